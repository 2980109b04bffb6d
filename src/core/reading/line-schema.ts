import * as z from 'zod/mini';
import { text, typedText } from '../shape';

/** Longest text of a line. */
export const MOST_LETTERS = 2000;

/** A line as it is typed. */
export const lineTextSchema = z.strictObject({
  name: z.optional(typedText(80)),
  text: text(MOST_LETTERS),
});
