export const SURFACES = ['kit', 'pad'] as const;

/** Longest practice of a day, in minutes. */
export const MOST_MINUTES = 480;

/** Tries of one exercise after the other, or exercises in turn. */
export const ORDERS = ['blocked', 'interleaved'] as const;

/** Count-in, the bars between two tries and the verdict, in seconds; common practice, no source. */
export const REST_SECONDS = 20;

/** So long is played before a break, and so long is the break; common practice, no source. Seconds. */
export const BREAK_AFTER = 30 * 60;
export const BREAK_SECONDS = 5 * 60;
