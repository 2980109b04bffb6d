/** Kinds of steps in which an exercise is built, in the order of a teacher who begins with the single
 * parts. Common practice, no source. */
export const STEP_KINDS = [
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
