import { fail, ok, type Result } from '../issue';
import { usualLimb, voice, VOICES, type Limb } from '../kit';
import { countPlaces } from '../materials';
import type { Stroke } from '../pattern';
import { compositeReadings, looksSticking, parsePhrase, stickingStart } from '../sticking';
import type { Meter, Syllables } from '../time';
import type { Exercise } from './exercise';
import { editByHand, type SeenEdit } from './hand';
import { placeName } from './place-name';
import type { ClosedRecipe } from './schema';

/** A recipe that typed text may mean; `says` tells the readings apart. */
export interface Retyped {
  readonly says: string;
  readonly recipe: ClosedRecipe;
}

/** A count typed where a limb's count stands, a bar's after the other with `|` between: the limb
 * plays just that. `–` is an empty bar.
 * @param syllables how the studio counts; English is understood, too
 * @returns every reading, the earliest first; issues `count-token`, `count-bars` */
export function retypeCount(
  recipe: ClosedRecipe,
  exercise: Exercise,
  limb: Limb,
  text: string,
  syllables?: Syllables,
): Result<readonly Retyped[]> {
  const bars = text.split('|').map((bar) => bar.trim());
  if (bars.length !== 1 && bars.length !== exercise.bars) {
    return fail({ code: 'count-bars', path: [], got: bars.length, wanted: exercise.bars });
  }
  const read = bars.map((bar) =>
    bar === '' || bar === '–' || bar === '-'
      ? ok([[]] as readonly (readonly number[])[])
      : countPlaces(bar, exercise.meter, [], syllables),
  );
  const bad = read.find((one) => !one.ok);
  if (bad && !bad.ok) return bad;
  const choices = read.map((one) => (one.ok ? one.value : []));
  const most = Math.max(...choices.map((one) => one.length));
  return ok(
    Array.from({ length: most }, (_, nth) => {
      const places = Array.from({ length: exercise.bars }, (_bar, bar) => {
        const options = choices[bars.length === 1 ? 0 : bar] ?? [];
        const hits = options[nth] ?? options[0] ?? [];
        return hits.map((at) => at + bar * exercise.barTicks);
      }).flat();
      return {
        says: places.map((at) => placeName(at, exercise, syllables)).join(', ') || 'rests',
        recipe: editByHand(recipe, exercise, editsTo(exercise, limb, places)),
      };
    }),
  );
}

/** Takes a limb's strokes away that are not wanted, and adds those that are missing, on the voice
 * that it plays most. */
function editsTo(exercise: Exercise, limb: Limb, places: readonly number[]): SeenEdit[] {
  const mine = exercise.strokes.filter((stroke) => stroke.limb === limb);
  const there = new Set<number>(mine.map((stroke) => stroke.at));
  const usual = VOICES.find((one) => usualLimb(one.id) === limb)?.id ?? 'snare';
  const sounds = mine[0]?.voice ?? usual;
  return [
    ...mine.filter(({ at }) => !places.includes(at)).map((from): SeenEdit => ({ from, to: null })),
    ...places
      .filter((at) => !there.has(at))
      .map((at): SeenEdit => ({
        from: null,
        to: { at, limb, voice: sounds, dynamic: 'normal', ornament: null },
      })),
  ];
}

/** Letters typed where the composite stands: a sticking in even slots, or a rhythm of two limbs
 * that reads so.
 * @returns issue `sticking-token` for a letter that is no limb */
export function retypeComposite(
  recipe: ClosedRecipe,
  meter: Meter,
  text: string,
): Result<readonly Retyped[]> {
  const letters = text.toUpperCase();
  const even = parsePhrase(letters, '16');
  if (!even.ok) return even;
  const joined = even.value.cells.join('');
  const plainReading = { says: `${joined} in even 16ths`, sticking: stickingStart(joined) };
  const rhythms = compositeReadings(joined, meter).map(({ sticking, slot, says }) => ({
    says,
    sticking: { ...stickingStart(sticking), slot, accents: 'none' as const },
  }));
  return ok(
    [...rhythms, plainReading].map(({ says, sticking }) => ({
      says,
      recipe: { ...recipe, play: { content: sticking } },
    })),
  );
}

/** What the line became, typed anew: a sticking is played instead; letters of voices, as many as
 * the line has notes, change what each note sounds.
 * @returns issues `sticking-token`, `line-letters` */
export function retypeLine(
  recipe: ClosedRecipe,
  exercise: Exercise,
  text: string,
): Result<readonly Retyped[]> {
  const letters = text.trim().toUpperCase().split(/\s+/);
  if (exercise.reads === 'sticking') {
    const before = recipe.play?.content;
    const kept = before && 'sticking' in before ? before : stickingStart('');
    const read = parsePhrase(text, kept.slot);
    if (!read.ok) return read;
    const content = { ...kept, name: undefined, sticking: text.trim(), bars: null, ending: '' };
    return ok([{ says: text.trim(), recipe: { ...recipe, play: { content } } }]);
  }
  const notes = notesOfLine(exercise);
  const voices = letters.map((one) => VOICES.find(({ letter }) => letter.toUpperCase() === one));
  const wrong = letters.find((_, index) => !voices[index]);
  if (wrong !== undefined && looksSticking(text)) {
    return ok([
      { says: text, recipe: { ...recipe, play: { content: stickingStart(text.trim()) } } },
    ]);
  }
  if (wrong !== undefined || voices.length !== notes.length) {
    return fail({
      code: 'line-letters',
      path: [],
      letter: wrong ?? null,
      got: letters.length,
      wanted: notes.length,
    });
  }
  const edits = notes.flatMap((strokes, index) => {
    const to = voices[index];
    const [first, ...others] = strokes;
    if (!to || !first) return [];
    const { at, dynamic } = first;
    const limb = voice(first.voice).id === to.id ? first.limb : usualLimb(to.id);
    const edited = { at, limb, voice: to.id, dynamic, ornament: first.ornament ?? null };
    return [{ from: first, to: edited }, ...others.map((from): SeenEdit => ({ from, to: null }))];
  });
  return ok([{ says: letters.join(' '), recipe: editByHand(recipe, exercise, edits) }]);
}

/** The strokes of each note of the line, in its order. */
function notesOfLine(exercise: Exercise): readonly (readonly Stroke[])[] {
  const notes = new Map<number, Stroke[]>();
  for (const layer of exercise.layers) {
    if (layer.role !== 'line') continue;
    for (const stroke of layer.strokes) {
      if (stroke.from.source !== 'line' || stroke.at >= (layer.ownTicks ?? layer.lengthTicks)) {
        continue;
      }
      const { onset } = stroke.from;
      notes.set(onset, [...(notes.get(onset) ?? []), stroke]);
    }
  }
  return [...notes].sort(([a], [b]) => a - b).map(([, strokes]) => strokes);
}
