import * as z from 'zod/mini';
import { amount, list, typedText } from '../shape';
import { LIMIT_RANGE } from './data';
import { LIMBS } from './limb';
import { HANDEDNESS } from './handedness';
import { TEXTURE_IDS } from './texture';
import { VOICE_IDS } from './voice';

export const limbSchema = z.enum(LIMBS);
export const voiceSchema = z.enum(VOICE_IDS);
export const textureSchema = z.enum(TEXTURE_IDS);

/** A limb and what it sounds. */
export const assignmentSchema = z.strictObject({ limb: limbSchema, voice: voiceSchema });

const ms = z.optional(amount(LIMIT_RANGE.least, LIMIT_RANGE.most));

/** What is too near to be played well on a kit, by whoever plays it, in ms; the usual where left out. */
const limitsSchema = z.strictObject({
  /** A stick on the hi-hat before the foot closes it. */
  hatBeforeFoot: ms,
  /** A hand that comes down from an accent to a ghost. */
  ghostAfterAccent: ms,
  /** Right foot into left foot. */
  footToFoot: ms,
  /** Strokes of one hand in a row. */
  handRun: ms,
  /** Strokes of one foot in a row. */
  footRun: ms,
});

export const kitSchema = z.strictObject({
  name: typedText(80),
  handedness: z.enum(HANDEDNESS),
  voices: list(voiceSchema, 0, 40),
  /** What is too near for this kit and player; the usual limits where left out. */
  limits: z.optional(limitsSchema),
});

export type Assignment = Readonly<z.infer<typeof assignmentSchema>>;

/** A kit, and how its player sits at it. */
export type KitProfile = Readonly<z.infer<typeof kitSchema>>;

/** Limits that a kit sets itself. */
export type OwnLimits = z.infer<typeof limitsSchema>;
