/** Most parts that go on under what is played. */
export const MOST_OVER = 4;

/** Most changes of one exercise. */
export const MOST_CHANGES = 16;
