import { z } from 'zod';
import { LIMBS, TEXTURE_IDS, VOICE_IDS } from '../kit';
import { DYNAMICS, ORNAMENTS } from '../pattern';
import { SUBDIVISION_IDS } from '../time';
import { CHOSEN_NOTES, FOOTINGS, THINNINGS } from '../transform';

export const limb = z.enum(LIMBS);
export const voiceId = z.enum(VOICE_IDS);
export const subdivisionId = z.enum(SUBDIVISION_IDS);
export const dynamic = z.enum(DYNAMICS);
/** A limb and what it sounds. */
export const assignment = z.strictObject({ limb, voice: voiceId });

const part = z.enum(['line', 'over', 'all']);

const strokePlace = z.strictObject({ at: z.int().min(0), limb, voice: voiceId });
const editedStroke = strokePlace.extend({
  dynamic,
  ornament: z.enum(ORNAMENTS).nullable(),
  texture: z.enum(TEXTURE_IDS).optional(),
});

/** One change of the whole or of a part, in the order of the sentence. */
export const change = z.discriminatedUnion('kind', [
  z.strictObject({
    kind: z.literal('displace'),
    what: z.enum(['pattern', 'accents', 'sticking']),
    part,
    /** Slots later; negative is earlier. Sticking moves by strokes. */
    by: z.int().min(-64).max(64),
    slot: subdivisionId,
  }),
  z.strictObject({ kind: z.literal('mirror'), what: z.enum(['hands', 'all limbs']), part }),
  z.strictObject({ kind: z.literal('reverse'), part, slot: subdivisionId }),
  /** `note` counts the instants of the line from 1; `by` is slots earlier. */
  z.strictObject({
    kind: z.literal('push'),
    part,
    note: z.int().min(1).max(512),
    by: z.int().min(1).max(64),
    slot: subdivisionId,
  }),
  z.strictObject({ kind: z.literal('swap-feet'), part }),
  z.strictObject({ kind: z.literal('footing'), part, school: z.enum(FOOTINGS) }),
  z.strictObject({ kind: z.literal('give'), part, from: limb, to: assignment }),
  z.strictObject({ kind: z.literal('revoice'), part, from: voiceId, to: voiceId }),
  z.strictObject({
    kind: z.literal('substitute'),
    part,
    every: z.int().min(1).max(64),
    place: z.int().min(1).max(64),
    to: assignment,
    hands: z.enum(['kept', 'anew']),
  }),
  z.strictObject({
    kind: z.literal('turn'),
    part,
    voices: z.array(voiceId).min(2).max(6),
    turn: z.int().min(0).max(5),
    reversed: z.boolean(),
  }),
  z.strictObject({
    kind: z.literal('every-nth'),
    of: z.strictObject({ limb, voice: voiceId.nullable() }),
    nth: z.int().min(1).max(32),
    first: z.int().min(1).max(32),
    to: assignment,
    dynamic,
  }),
  /** `grid` goes round through the whole cycle. */
  z.strictObject({
    kind: z.literal('place'),
    to: assignment,
    slot: subdivisionId,
    grid: z.string().regex(/^[xXg-]{1,64}$/),
  }),
  z.strictObject({
    kind: z.literal('thicken'),
    around: z.union([z.literal('accents'), voiceId]),
    side: z.enum(['before', 'after', 'both']),
    count: z.int().min(1).max(8),
    slot: subdivisionId,
    to: assignment,
    dynamic,
  }),
  z.strictObject({ kind: z.literal('thin'), part, limb, keep: z.enum(THINNINGS) }),
  z.strictObject({
    kind: z.literal('orchestrate'),
    part,
    notes: z.enum(CHOSEN_NOTES),
    limb: limb.nullable(),
    to: voiceId,
    pass: z.enum(['every', 'second']),
  }),
  /** `lands` is in slots after the end of the whole; negative is before it. */
  z.strictObject({
    kind: z.literal('aim'),
    bars: z.int().min(1).max(64),
    times: z.int().min(1).max(16),
    lands: z.int().min(-64).max(64),
    slot: subdivisionId,
    by: z.enum(['end', 'last note']),
    over: z.enum(['goes on', 'rests']),
  }),
  /** What these limbs play alone. */
  z.strictObject({ kind: z.literal('only'), limbs: z.array(limb).min(1).max(4) }),
  /** A stretch of the cycle, the rest silent; `from` counts slots from its start. */
  z.strictObject({
    kind: z.literal('excerpt'),
    from: z.int().min(0).max(4096),
    slots: z.int().min(1).max(4096),
    slot: subdivisionId,
  }),
  z.strictObject({ kind: z.literal('plain') }),
  z.strictObject({ kind: z.literal('open-graces'), slot: subdivisionId }),
  /** Strokes changed by hand, in a cycle of `length` ticks. */
  z.strictObject({
    kind: z.literal('hand'),
    length: z.int().min(1),
    edits: z
      .array(z.strictObject({ from: strokePlace.nullable(), to: editedStroke.nullable() }))
      .max(512),
  }),
]);
