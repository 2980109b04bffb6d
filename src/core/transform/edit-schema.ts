import * as z from 'zod/mini';
import { limbSchema, voiceSchema, textureSchema } from '../kit';
import { dynamicSchema, ornamentSchema } from '../pattern';
import { whole, list } from '../shape';

/** Names one stroke: no limb has two on one voice at one instant. */
const strokePlaceSchema = z.strictObject({ at: whole(0), limb: limbSchema, voice: voiceSchema });

export type StrokePlace = Readonly<z.infer<typeof strokePlaceSchema>>;

/** What a hand edit makes of a place. */
const editedStrokeSchema = z.extend(strokePlaceSchema, {
  dynamic: dynamicSchema,
  ornament: z.nullable(ornamentSchema),
  texture: z.optional(textureSchema),
});

export type EditedStroke = Readonly<z.infer<typeof editedStrokeSchema>>;

/** One edit: from nothing to a stroke adds it, from a stroke to nothing takes it away, else the
 * stroke becomes another one. */
const handEditSchema = z.strictObject({
  from: z.nullable(strokePlaceSchema),
  to: z.nullable(editedStrokeSchema),
});

export type HandEdit = Readonly<z.infer<typeof handEditSchema>>;

/** Strokes changed by hand, in a cycle of `length` ticks. */
export const handSchema = z.strictObject({
  kind: z.literal('hand'),
  length: whole(1),
  edits: list(handEditSchema, 0, 512),
});
