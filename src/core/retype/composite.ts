import { spokenComposite } from '../analysis';
import { ok, type Result } from '../issue';
import type { Limb } from '../kit';
import type { ClosedRecipe, Exercise } from '../recipe';
import { compositeReadings, parsePhrase, typedSticking } from '../sticking';
import { tidy, type Retyped } from './retyped';

/** Letters typed where the composite stands: a rhythm of two limbs that reads so, or a sticking in even
 * slots. What reads so already comes first, unchanged.
 * @param limbs whose composite it is
 * @returns issue `sticking-token` for a letter that is no limb */
export function retypeComposite(
  recipe: ClosedRecipe,
  exercise: Exercise,
  limbs: readonly Limb[],
  text: string,
): Result<readonly Retyped[]> {
  const letters = text.toUpperCase();
  const said = spokenComposite(exercise, limbs).toUpperCase();
  const same =
    said !== '' &&
    tidy(letters)
      .split(said)
      .every((rest) => rest.trim() === '');
  const even = parsePhrase(letters, '16');
  if (!even.ok) return even;
  const joined = even.value.cells.join('');
  const rhythms = compositeReadings(joined, exercise.meter).map((reading) => ({
    means: { kind: 'rhythm' as const, ...reading },
    sticking: { ...typedSticking(reading.sticking), slot: reading.slot },
  }));
  const plain = {
    means: { kind: 'even' as const, sticking: joined },
    sticking: typedSticking(joined),
  };
  const read = [...rhythms, plain].map(({ means, sticking }) => ({
    means,
    // What is typed is all that these limbs play.
    recipe: { ...recipe, play: { content: sticking }, clash: 'throughout' as const },
  }));
  return ok(same ? [{ means: { kind: 'same' }, recipe }, ...read] : read);
}
