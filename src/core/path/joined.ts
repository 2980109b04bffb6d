import { expand, partsOf, withParts, type ClosedRecipe } from '../recipe';
import type { BuildStep, StepFacts } from './step';

/** Each part, and after each but the first, all up to it together. */
export function joinedSteps(recipe: ClosedRecipe): readonly BuildStep[] {
  if (!expand(recipe).ok) return [];
  const [first, ...others] = partsOf(recipe);
  const parts = [first, ...others];
  return parts.flatMap((part, nth): BuildStep[] => {
    const { name, untimed } = part;
    const alone: BuildStep = {
      kind: 'parts',
      facts: { plays: 'part', part: nth + 1, name, untimed },
      recipe: part.recipe,
    };
    if (nth === 0) return [alone];
    const last = nth === parts.length - 1;
    const joined = withParts([first, ...others.slice(0, nth)]);
    const facts: StepFacts = last ? { plays: 'whole' } : { plays: 'joined', parts: nth + 1 };
    return [alone, { kind: last ? 'whole' : 'parts', facts, recipe: joined }];
  });
}
