import tone from '@tonejs/midi';
import fc from 'fast-check';
import {
  draftsOf,
  FORMATS,
  likelyChoice,
  readBundle,
  readMusic,
  writeBundle,
  type Piece,
} from '@/core/format';
import { must } from '@/core/issue';
import { rungsOf, USUAL_COURSE } from '@/core/ladder';
import { USUAL_LOOK } from '@/core/print';
import { expand, type ClosedRecipe } from '@/core/recipe';
import { RECIPES } from '@/core/recipe/recipes.fixture';
import { bpm } from '@/core/time';
import { PdfWriter, sheetPages, type Sheet } from '@/paper';
import { sayOnPaperIn } from '@/words';
import { median, timed, type Row } from './report';

const ITEMS = 60;
const STUDENTS = 20;
const ITEMS_EACH = 8;
const DAMAGED = 2000;
const LONG = 500;

interface Item extends Piece {
  readonly recipe: ClosedRecipe;
}

function itemsFor(count: number, seed: number): readonly Item[] {
  return fc
    .sample(RECIPES, { numRuns: count * 2, seed })
    .flatMap((recipe, index): readonly Item[] => {
      const made = expand(recipe);
      const name = `Exercise ${index + 1}`;
      return made.ok ? [{ name, says: name, exercise: made.value, bpm: bpm(80), recipe }] : [];
    })
    .slice(0, count);
}

function sheetOf(items: readonly Item[], student: string): Sheet {
  const practice = { course: USUAL_COURSE, rungs: rungsOf(USUAL_COURSE.ladder), rung: 1 };
  return {
    ...{ title: 'Program', student, wayIn: null, day: '2026-03-02', week: null, line: null },
    items: items.map(({ name, recipe, exercise }, index) => ({
      ...{
        number: index + 1,
        name,
        recipe,
        exercise,
        cues: [],
        bpm: 80,
        opens: null,
        why: '',
        practice,
      },
    })),
  };
}

async function pdfOf(sheets: readonly Sheet[]): Promise<number> {
  const file = new PdfWriter('Sheets', 'en');
  const say = sayOnPaperIn('en-GB');
  for (const sheet of sheets) file.add(sheetPages(say, USUAL_LOOK, sheet));
  return (await file.end()).length;
}

/** The notes of exercises put into a file by a general library, one by one. */
function byLibrary(pieces: readonly Piece[]): Uint8Array {
  const midi = new tone.Midi();
  const track = midi.addTrack();
  let from = 0;
  for (const { exercise } of pieces) {
    for (const { at } of exercise.strokes) {
      const ticks = Math.round(((from + at) / 20160) * 480);
      track.addNote({ midi: 38, ticks, durationTicks: 30, velocity: 0.7 });
    }
    from += exercise.cycleTicks;
  }
  return midi.toArray();
}

/** A program in all formats, a class set of sheets, and damaged files through the reader. */
export async function files(): Promise<Row[]> {
  const items = itemsFor(ITEMS, 3);
  const rows: Row[] = [];
  const strokes = items.reduce((sum, { exercise }) => sum + exercise.strokes.length, 0);
  const timeOf = (run: () => void) => median([1, 2, 3, 4, 5].map(() => timed(run)));
  const library = timeOf(() => byLibrary(items));
  const bundled = { exercises: items.map(({ name, recipe }) => ({ name, recipe })) };
  const bundle = writeBundle(bundled);
  const parsed = timeOf(() => JSON.parse(bundle));
  const against = (ms: number) =>
    `${(ms / library).toFixed(2)} × a MIDI library (${library.toFixed(0)} ms)`;
  for (const [id, { write }] of Object.entries(FORMATS)) {
    const ms = timeOf(() => write('Program', items));
    const what = `${ITEMS} items, ${strokes} strokes, as ${id}`;
    rows.push({ what, measured: `${ms.toFixed(0)} ms`, against: against(ms) });
  }
  const read = timeOf(() => readBundle(bundle));
  rows.push({
    what: `a bundle of ${ITEMS} exercises (${Math.round(bundle.length / 1000)} KB) read and closed`,
    measured: `${read.toFixed(0)} ms`,
    against: `${(read / parsed).toFixed(0)} × parsing its JSON (${parsed.toFixed(1)} ms)`,
  });
  const one = sheetOf(items, 'One');
  let size = 0;
  const program = await timedAsync(async () => {
    size = await pdfOf([one]);
  });
  rows.push({
    what: `${ITEMS} items as PDF (${Math.round(size / 1000)} KB)`,
    measured: `${program.toFixed(0)} ms`,
    against: against(program),
  });
  const memory = process.memoryUsage().rss;
  const sheets = Array.from({ length: STUDENTS }, (_, index) =>
    sheetOf(itemsFor(ITEMS_EACH, index + 1), `Student ${index + 1}`),
  );
  const class_ = await timedAsync(async () => {
    size = await pdfOf(sheets);
  });
  const grown = (process.memoryUsage().rss - memory) / 1_000_000;
  rows.push({
    what: `a class set for ${STUDENTS}, ${ITEMS_EACH} items each, as PDF (${Math.round(size / 1000)} KB)`,
    measured: `${class_.toFixed(0)} ms, ${grown.toFixed(0)} MB more`,
    against: `${(class_ / program).toFixed(2)} × the ${ITEMS} items`,
  });
  const long = itemsFor(ITEMS * 4, 9).reduce<readonly Item[]>((found, item) => {
    const bars = found.reduce((sum, { exercise }) => sum + exercise.bars, 0);
    return bars < LONG ? [...found, item] : found;
  }, []);
  for (const id of ['musicxml', 'midi'] as const) {
    const file = FORMATS[id].write('Long', long);
    const heap = process.memoryUsage().heapUsed;
    const bars = long.reduce((sum, { exercise }) => sum + exercise.bars, 0);
    const come = timed(() => {
      const { score, grid } = must(readMusic(file, null));
      draftsOf(score, likelyChoice(score, 0, grid), grid);
    });
    const more = Math.round((process.memoryUsage().heapUsed - heap) / 1_000_000);
    rows.push({
      what: `${bars} bars of ${id} (${Math.round(file.length / 1000)} KB) read and made exercises`,
      measured: `${come.toFixed(0)} ms, ${more} MB more`,
      against: against(come),
    });
    const short = FORMATS[id].write('Short', items.slice(0, 2));
    const reads = timed(() => must(readMusic(short, null)));
    const places = fc.sample(fc.tuple(fc.nat(short.length - 1), fc.nat(255)), {
      numRuns: DAMAGED,
      seed: 6,
    });
    const all = timed(() => {
      for (const [at, byte] of places) {
        const altered = Uint8Array.from(short);
        altered[at] = byte;
        readMusic(altered, null);
      }
    });
    rows.push({
      what: `${DAMAGED} damaged files of ${id}`,
      measured: `${all.toFixed(0)} ms`,
      against: `${(all / DAMAGED / reads).toFixed(2)} × one that is read, each`,
    });
  }
  const random = fc.sample(fc.tuple(fc.nat(bundle.length), fc.nat(200)), {
    numRuns: DAMAGED,
    seed: 5,
  });
  const damaged = timed(() => {
    for (const [from, length] of random)
      readBundle(bundle.slice(0, from) + bundle.slice(from + length));
  });
  rows.push({
    what: `${DAMAGED} damaged bundles`,
    measured: `${damaged.toFixed(0)} ms`,
    against: `${(damaged / DAMAGED / read).toFixed(2)} × one that is read, each`,
  });
  return rows;
}

async function timedAsync(run: () => Promise<void>): Promise<number> {
  const from = performance.now();
  await run();
  return performance.now() - from;
}
