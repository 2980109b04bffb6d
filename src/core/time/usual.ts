/** Meters that are offered, each as it is written; others are typed. */
export const USUAL_METERS = [
  '4/4',
  '3/4',
  '2/4',
  '2/2',
  '5/4',
  '5/4 2+3',
  '6/8',
  '9/8',
  '12/8',
  '7/8',
  '7/8 2+3+2',
  '7/8 3+2+2',
] as const;

/** Feels that are offered, each as it is typed. */
export const USUAL_FEELS = ['straight', 'triplets', '2:1', '3:2', '3:1', '5:3'] as const;
