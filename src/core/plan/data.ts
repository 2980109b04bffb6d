export const SURFACES = ['kit', 'pad'] as const;

/** Longest practice of a day, in minutes. */
export const MOST_MINUTES = 480;

/** Tries of one exercise after the other, or exercises in turn. */
export const ORDERS = ['blocked', 'interleaved'] as const;
