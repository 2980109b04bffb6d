/** Most bytes of a file that comes in. */
export const MOST_FILE_BYTES = 20_000_000;

/** Most bytes of a body that brings such a file in Base64, which takes four letters for three bytes, with its name and
 * what is chosen for it. */
export const MOST_FILE_BODY = MOST_FILE_BYTES * 1.4;
