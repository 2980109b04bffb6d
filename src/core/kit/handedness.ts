/** How the kit stands and which hand leads: three different kinds of left-handed.
 * `mirrored`: all four limbs swap. `open-handed`: what the hands play on the kit swaps, stickings
 * keep their lead. `left-lead`: hands swap in stickings too, feet stay. */
export const HANDEDNESS = ['right', 'mirrored', 'open-handed', 'left-lead'] as const;
export type Handedness = (typeof HANDEDNESS)[number];
