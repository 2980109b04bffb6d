import {
  draftsOf,
  isMusic,
  likelyChoice,
  readBundle,
  readMusic,
  voicesOfPart,
  type Bundle,
  type Choice,
  type FileChoices,
  type Music,
} from '@/core/format';
import { fail, ok, type Result } from '@/core/issue';
import { recipeHash } from '@/core/recipe';
import {
  NOTHING_IMPORTED,
  type ExerciseId,
  type FileLook,
  type Imported,
  type MaterialId,
  type PartLook,
} from '@/core/studio';
import type { Teacher } from './authority';
import { importBundle, lookIntoBundle } from './bundles';
import { newId } from './context';
import { saveMaterial } from './materials';
import { importLog, isLogTable, readLog, type ReadLog } from './log-tables';
import { importRoster, readRoster } from './rosters';

/** Most notes of a file that are shown with how far they were off. */
const MOST_NOTES = 300;

/** Most that is shown of what a part becomes. */
const MOST_DRAFTS = 12;

/** A file as it was sent. */
export interface SentFile {
  readonly name: string;
  readonly bytes: Uint8Array;
}

type Roster = Extract<ReturnType<typeof readRoster>, { ok: true }>['value'];

type Read =
  | { readonly kind: 'bundle'; readonly bundle: Bundle }
  | { readonly kind: 'music'; readonly music: Music }
  | { readonly kind: 'log'; readonly log: ReadLog }
  | ({ readonly kind: 'roster' } & Roster);

/** Whether a file may be a text: no letter of one is a zero, but for those of UTF-16, which begins with a mark. */
function isText(bytes: Uint8Array): boolean {
  const [first, second] = bytes;
  const isWide = (first === 0xff && second === 0xfe) || (first === 0xfe && second === 0xff);
  return isWide || !bytes.subarray(0, 1000).includes(0);
}

/** What it is shows in how it begins, whatever it is called. */
function readFile(me: Teacher, { name, bytes }: SentFile, choices: FileChoices): Result<Read> {
  const begins = new TextDecoder().decode(bytes.subarray(0, 100)).replace(/^\uFEFF/, '');
  if (/^\s*[{[]/.test(begins)) {
    const bundle = readBundle(new TextDecoder().decode(bytes));
    return bundle.ok ? ok({ kind: 'bundle', bundle: bundle.value }) : bundle;
  }
  if (!isMusic(bytes)) {
    if (!isText(bytes)) return fail({ code: 'file-other', path: [] });
    if (isLogTable(bytes)) {
      const log = readLog(me, bytes, choices.student);
      return log.ok ? ok({ kind: 'log', log: log.value }) : log;
    }
    const roster = readRoster(me, bytes);
    return roster.ok ? ok({ kind: 'roster', ...roster.value }) : roster;
  }
  const music = readMusic(bytes, choices.grid);
  if (!music.ok) return music;
  const { score } = music.value;
  // What has neither name nor title is called as its file.
  const called = score.title || name.replace(/\.\w+$/, '');
  const parts = score.parts.map((part) => ({ ...part, name: part.name || called }));
  return ok({ kind: 'music', music: { ...music.value, score: { ...score, parts } } });
}

/** What a file would bring: a bundle, a table of students or of tries, or music with what its parts would become. Nothing
 * is stored.
 * @returns issues of whatever reads it */
export function lookIntoFile(me: Teacher, file: SentFile, choices: FileChoices): Result<FileLook> {
  const read = readFile(me, file, choices);
  if (!read.ok) return read;
  if (read.value.kind === 'bundle') {
    const summary = lookIntoBundle(me, read.value.bundle);
    return summary.ok ? ok({ kind: 'bundle', summary: summary.value }) : summary;
  }
  if (read.value.kind === 'log') return ok(read.value.log.look);
  if (read.value.kind === 'roster') return ok(read.value);
  const { music } = read.value;
  const { grid, notes } = music;
  const farthest = [...notes].sort((a, b) => Math.abs(b.offMs) - Math.abs(a.offMs));
  const parts = choicesOf(music, choices).map((choice): PartLook => {
    const part = music.score.parts[choice.part];
    const { name = '', isKit = false } = part ?? {};
    const voices = part ? voicesOfPart(part) : [];
    const { drafts, left } = draftsOf(music.score, choice, grid);
    const shown = drafts.slice(0, MOST_DRAFTS);
    return { name, isKit, voices, choice, left, drafts: shown, count: drafts.length };
  });
  return ok({
    ...{ kind: 'music', grid, parts, notes: farthest.slice(0, MOST_NOTES) },
    ...{ noteCount: notes.length, doubtful: notes.filter((one) => one.doubtful).length },
  });
}

function choicesOf({ score, grid }: Music, { parts }: FileChoices): readonly Choice[] {
  return score.parts.map((_, part) => {
    const chosen = parts?.find((one) => one.part === part);
    return chosen ?? likelyChoice(score, part, grid);
  });
}

/** Takes a file in, whole or not at all, as it was looked at with the same choices. */
export function importFile(me: Teacher, file: SentFile, choices: FileChoices): Result<Imported> {
  const read = readFile(me, file, choices);
  if (!read.ok) return read;
  if (read.value.kind === 'bundle') return importBundle(me, read.value.bundle);
  if (read.value.kind === 'roster') {
    const people = importRoster(me, read.value.coming);
    if (!people.ok) return people;
    return ok({ ...NOTHING_IMPORTED, people: people.value });
  }
  if (read.value.kind === 'log') {
    const tries = importLog(me, read.value.log);
    return tries.ok ? ok({ ...NOTHING_IMPORTED, tries: tries.value }) : tries;
  }
  const { music } = read.value;
  const drafts = choicesOf(music, choices).flatMap(
    (choice) => draftsOf(music.score, choice, music.grid).drafts,
  );
  return me.store.together(() => {
    const materials: MaterialId[] = [];
    const exercises: ExerciseId[] = [];
    for (const draft of drafts) {
      const { name, meter } = draft;
      if (draft.kind === 'exercise') {
        const id = newId<'exercise'>(me);
        const { recipe } = draft;
        const hash = recipeHash(recipe);
        me.store.exercises.insert({ id, name, recipe, hash, updatedAt: me.now() });
        exercises.push(id);
        continue;
      }
      const content = draft.kind === 'line' ? { text: draft.text } : draft.ostinato;
      const { kind } = draft;
      const saved = saveMaterial(me, { id: null, kind, name, trains: '', meter, content });
      if (!saved.ok) return saved;
      materials.push(saved.value.id);
    }
    return ok({ ...NOTHING_IMPORTED, materials, exercises });
  });
}
