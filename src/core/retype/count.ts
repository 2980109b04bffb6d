import { countStrings } from '../analysis';
import { fail, ok, type Result } from '../issue';
import { usualLimb, VOICES, type Limb } from '../kit';
import { countPlaces } from '../materials';
import { editByHand, type ClosedRecipe, type Exercise, type SeenEdit } from '../recipe';
import type { Syllables } from '../time';
import type { Retyped } from './retyped';

/** A count typed where a limb's count stands, a bar's after the other with `|` between: the limb
 * plays just that; `2: 1 & 3` is for bar 2 alone. `–` is an empty bar. A syllable that lies in several beats
 * is where the limb plays now as far as that goes.
 * @param syllables how the studio counts; English is understood, too
 * @returns every reading, the nearest to what is played first; issues `count-token`, `count-bars` */
export function retypeCount(
  recipe: ClosedRecipe,
  exercise: Exercise,
  limb: Limb,
  text: string,
  syllables?: Syllables,
): Result<readonly Retyped[]> {
  const [, only, rest = text] = /^\s*(\d{1,2})\s*:(.*)$/su.exec(text) ?? [];
  if (only !== undefined && !(Number(only) >= 1 && Number(only) <= exercise.bars)) {
    return fail({ code: 'count-bar', path: [], bar: Number(only), bars: exercise.bars });
  }
  const bars = rest.split('|').map((bar) => bar.trim());
  if (only !== undefined && bars.length > 1) {
    return fail({ code: 'count-bars', path: [], got: bars.length, wanted: 1 });
  }
  if (bars.length !== 1 && bars.length !== exercise.bars) {
    return fail({ code: 'count-bars', path: [], got: bars.length, wanted: exercise.bars });
  }
  const now = placesNow(exercise, limb);
  const others = placesNow(exercise, null);
  const shown = countStrings(exercise, syllables).find((one) => one.limb === limb)?.bars ?? [];
  const choices: (readonly (readonly number[])[])[] = [];
  for (let bar = 0; bar < exercise.bars; bar += 1) {
    const typed = bars[bars.length === 1 ? 0 : bar] ?? '';
    const stays = only !== undefined && Number(only) !== bar + 1;
    if (stays || typed === (shown[bar] ?? '–')) choices.push([now[bar] ?? []]);
    else if (typed === '' || typed === '–' || typed === '-') choices.push([[]]);
    else {
      const played = { now: now[bar] ?? [], others: others[bar] ?? [] };
      const read = countPlaces(typed, exercise.meter, [], syllables, played);
      if (!read.ok) return read;
      choices.push(read.value);
    }
  }
  const most = Math.max(...choices.map((one) => one.length));
  return ok(
    Array.from({ length: most }, (_, nth) => {
      const places = choices.flatMap((options, bar) =>
        (options[nth] ?? options[0] ?? []).map((at) => at + bar * exercise.barTicks),
      );
      return {
        means: { kind: 'places', at: places },
        recipe: editByHand(recipe, exercise, editsTo(exercise, limb, places)),
      };
    }),
  );
}

/** The places of each bar that a limb plays, or any limb where it is null; from the bar's start. */
function placesNow({ strokes, bars, barTicks }: Exercise, limb: Limb | null): readonly number[][] {
  const found = Array.from({ length: bars }, () => new Set<number>());
  for (const stroke of strokes) {
    if (limb !== null && stroke.limb !== limb) continue;
    found[Math.floor(stroke.at / barTicks)]?.add(stroke.at % barTicks);
  }
  return found.map((places) => [...places].sort((a, b) => a - b));
}

/** Takes a limb's strokes away that are not wanted, and adds those that are missing, on the voice
 * that it plays first. */
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
