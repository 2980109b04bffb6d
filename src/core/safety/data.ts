/** What protects the ears, with the reduction that its label promises, in dB. */
export const PROTECTIONS = ['none', 'foam', 'plugs', 'muffs'] as const;

/** What a level, in dBA, and a label, in dB, may be. */
export const NOISE_RANGE = { kit: [60, 125], pad: [40, 110], label: [0, 40] } as const;
