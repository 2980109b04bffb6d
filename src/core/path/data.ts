/** Kinds of steps in which an exercise is built, in the order of a teacher who begins with the single
 * parts. Common practice, no source. */
const USUAL_KINDS = [
  'limbs',
  'pairs',
  'threes',
  'pulse',
  'beats',
  'nth',
  'skeleton',
  'graces',
  'shares',
  'halves',
] as const;

/** All kinds of steps: those of the usual build order first. */
export const STEP_KINDS = [...USUAL_KINDS, 'sides', 'away'] as const;

/** The build order of a studio that has not said its own. */
export const USUAL_STEPS: readonly (typeof STEP_KINDS)[number][] = USUAL_KINDS;
