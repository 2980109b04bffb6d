import * as z from 'zod/mini';
import { limbSchema, voiceSchema, textureSchema } from '../kit';
import { ornamentSchema } from '../pattern';
import { whole, text, typedText, list } from '../shape';
import { subdivisionSchema } from '../time';

/** Most slots of a lane: 64 bars of twelve to the beat, with the grids that they change to. */
const MOST_SLOTS = 4096;

const laneMarkSchema = z.strictObject({
  slot: whole(0, MOST_SLOTS),
  ornament: z.optional(ornamentSchema),
  texture: z.optional(textureSchema),
});

export type LaneMark = Readonly<z.infer<typeof laneMarkSchema>>;

/** One limb's part of an ostinato, as a grid string over equal slots; it loops by itself. A
 * subdivision and a colon change the slots from there on: `x-x-x-x- 8t: xxxxxxxxxxxx`. */
const laneSchema = z.strictObject({
  limb: limbSchema,
  voice: voiceSchema,
  slot: subdivisionSchema,
  grid: text(MOST_SLOTS),
  /** Ornaments and textures, by slot counted through the whole grid. */
  marks: z.optional(list(laneMarkSchema, 0, MOST_SLOTS)),
});

export type Lane = Readonly<z.infer<typeof laneSchema>>;

/** What keeps going. `swung` tells that it is meant with swung 8ths. */
export const ostinatoSchema = z.strictObject({
  name: typedText(80),
  meter: text(20),
  swung: z.boolean(),
  lanes: list(laneSchema, 1, 12),
});

export type Ostinato = Readonly<z.infer<typeof ostinatoSchema>>;
