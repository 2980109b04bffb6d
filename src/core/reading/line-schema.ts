import * as z from 'zod/mini';
import { text, typedText } from '../shape';

/** A line as it is typed. */
export const lineTextSchema = z.strictObject({ name: z.optional(typedText(80)), text: text(2000) });
