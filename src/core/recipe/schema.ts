import { z } from 'zod';
import { fail, ok, type Result } from '../issue';
import { LIMB_POLICIES } from '../interpret';
import { LIMBS, STYLES, TEXTURE_IDS, VOICE_IDS } from '../kit';
import { DYNAMICS, ORNAMENTS } from '../pattern';
import { SUBDIVISION_IDS } from '../time';
import { CHOSEN_NOTES, FOOTINGS, THINNINGS } from '../transform';

/** Format of the recipes that this Mivvel writes. Raise it, with a reader for the old one, when
 * a recipe could otherwise mean something else than before. */
export const RECIPE_VERSION = 1;

const name = z.string().trim().min(1).max(80);
const limb = z.enum(LIMBS);
const voiceId = z.enum(VOICE_IDS);
const subdivisionId = z.enum(SUBDIVISION_IDS);
const assignment = z.strictObject({ limb, voice: voiceId });

/** An ingredient by name, or with its content embedded. */
function ingredient<Content extends z.ZodType>(content: Content) {
  const id = z.string().min(1).max(60);
  const version = z.int().min(1);
  return z.union([
    z.strictObject({ id, version, content }),
    z.strictObject({ content }),
    z.strictObject({ id, version }),
  ]);
}

const ostinato = z.strictObject({
  name,
  meter: z.string().max(20),
  swung: z.boolean(),
  lanes: z
    .array(z.strictObject({ limb, voice: voiceId, slot: subdivisionId, grid: z.string().max(400) }))
    .min(1)
    .max(12),
});

const line = z.strictObject({ name: name.optional(), text: z.string().max(2000) });

const dynamic = z.enum(DYNAMICS);

const sticking = z.strictObject({
  name: name.optional(),
  sticking: z.string().max(600),
  slot: subdivisionId,
  voices: z.strictObject({ RH: voiceId, LH: voiceId, RF: voiceId, LF: voiceId }),
  accents: z.enum(['cells', 'bars', 'beats', 'none']),
  soft: dynamic,
  bars: z.int().min(1).max(64).nullable(),
  ending: z.string().regex(/^[RLKFTrl-]{0,32}$/),
  sides: z.enum(['written', 'hand over']),
});

const cellSet = z.strictObject({
  name,
  cells: z.record(z.string().regex(/^[1-9]\d?$/), z.string().regex(/^[RLKF]{1,32}$/)),
});

const kitProfile = z.strictObject({
  name,
  handedness: z.enum(['right', 'mirrored', 'open-handed', 'left-lead']),
  voices: z.array(voiceId),
});

const sixteenths = z.number().min(0).max(256).nullable();

const rule = z.strictObject({
  by: z.enum(['length', 'gap']),
  from: sixteenths,
  to: sixteenths,
  place: z.enum(['any', 'on', 'off']),
  order: z.enum(['any', 'first', 'last']),
  plays: z.array(assignment).min(1).max(2),
  dynamic,
  fill: assignment.nullable(),
});

const interpretation = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('verbatim'), on: assignment }),
  z.strictObject({
    kind: z.literal('short-long'),
    short: assignment,
    long: assignment,
    longFrom: subdivisionId,
  }),
  z.strictObject({
    kind: z.literal('phrase-cells'),
    cells: ingredient(cellSet),
    chosen: cellSet.shape.cells,
    voices: z.strictObject({ R: voiceId, L: voiceId, K: voiceId, F: voiceId }),
    accentLastOfSix: z.boolean(),
  }),
  z.strictObject({
    kind: z.literal('accent-grid'),
    grid: subdivisionId,
    sticking: z.string().regex(/^[RLKF]{1,32}$/),
    voice: voiceId,
    doubled: z.boolean(),
  }),
  z.strictObject({
    kind: z.literal('line-fill'),
    short: z.array(assignment).min(1).max(2),
    long: z.array(assignment).min(1).max(2),
    longFrom: subdivisionId,
    fill: assignment,
    grid: subdivisionId,
  }),
  z.strictObject({ kind: z.literal('rules'), rules: z.array(rule).min(1).max(24) }),
]);

const part = z.enum(['line', 'over', 'all']);

const strokePlace = z.strictObject({ at: z.int().min(0), limb, voice: voiceId });
const editedStroke = strokePlace.extend({
  dynamic,
  ornament: z.enum(ORNAMENTS).nullable(),
  texture: z.enum(TEXTURE_IDS).optional(),
});

const change = z.discriminatedUnion('kind', [
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
  /** Strokes changed by hand, in a cycle of `length` ticks. */
  z.strictObject({
    kind: z.literal('hand'),
    length: z.int().min(1),
    edits: z
      .array(z.strictObject({ from: strokePlace.nullable(), to: editedStroke.nullable() }))
      .max(512),
  }),
]);

const feel = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('straight') }),
  z.strictObject({ kind: z.literal('triplets') }),
  z.strictObject({
    kind: z.literal('swung'),
    long: z.int().min(1).max(9),
    short: z.int().min(1).max(9),
  }),
]);

/** Rules of playability that a teacher may set aside with a note. */
export const HINDRANCE_RULES = [
  'hat-before-foot',
  'limb-twice',
  'foot-to-foot',
  'open-hat-closed',
  'ghost-after-accent',
  'fast-run',
  'voice-missing',
] as const;

/** What each kind of material holds, checked where it comes in. */
export const materialSchemas = {
  ostinato,
  line: z.strictObject({ name, text: line.shape.text }),
  sticking,
  cells: cellSet,
  rules: z.strictObject({ name, rules: z.array(rule).min(1).max(24) }),
  kit: kitProfile,
} as const;

const exercise = z.strictObject({
  version: z.literal(RECIPE_VERSION),
  kind: z.literal('exercise'),
  meter: z.string().max(20),
  feel,
  over: z.array(ingredient(ostinato)).max(4),
  play: ingredient(z.union([line, sticking])).nullable(),
  as: interpretation,
  clash: z.enum(LIMB_POLICIES),
  changes: z.array(change).max(16),
  kit: ingredient(kitProfile),
  /** Bars after which everything begins anew, where its own cycle is longer. */
  cut: z.int().min(1).max(64).optional(),
  /** How loud the voices are against each other; as the dynamics say when left out. */
  levels: z.enum(STYLES).optional(),
  /** Hindrances that the teacher keeps, each with the reason. */
  kept: z
    .array(
      z.strictObject({ rule: z.enum(HINDRANCE_RULES), note: z.string().trim().min(1).max(200) }),
    )
    .max(12)
    .optional(),
});

export const recipeSchema = exercise.extend({
  /** What follows, back to back, after so many bars of this (null: its whole cycle). */
  then: z
    .strictObject({
      bars: z.int().min(1).max(64).nullable(),
      members: z
        .array(
          z.strictObject({
            name: name,
            bars: z.int().min(1).max(64).nullable(),
            recipe: exercise,
          }),
        )
        .min(1)
        .max(64),
    })
    .optional(),
});

/** An exercise as its ingredients: small, versioned, never a drawing. */
export type Recipe = z.infer<typeof recipeSchema>;
export type Change = Recipe['changes'][number];

type WithContent<T> = T extends { content: infer C }
  ? { readonly id?: string; readonly version?: number; readonly content: C }
  : never;
type ContentOf<T> = Extract<T, { content: unknown }>['content'];
type OpenMember = z.infer<typeof exercise>;
type RecipeAs = OpenMember['as'];
type ClosedAs =
  | Exclude<RecipeAs, { kind: 'phrase-cells' }>
  | (Omit<Extract<RecipeAs, { kind: 'phrase-cells' }>, 'cells'> & {
      cells: WithContent<Extract<RecipeAs, { kind: 'phrase-cells' }>['cells']>;
    });

/** One exercise with the contents of all its ingredients, nothing following it. */
export type ClosedMember = Omit<OpenMember, 'over' | 'play' | 'as' | 'kit'> & {
  over: WithContent<OpenMember['over'][number]>[];
  play: WithContent<NonNullable<OpenMember['play']>> | null;
  as: ClosedAs;
  kit: WithContent<OpenMember['kit']>;
};

/** A recipe with the contents of all its ingredients: hash, link and store use this form. */
export type ClosedRecipe = ClosedMember & {
  then?:
    | {
        bars: number | null;
        members: { name: string; bars: number | null; recipe: ClosedMember }[];
      }
    | undefined;
};

/** What is played: a reading line, or a sticking. */
export type PlayContent = ContentOf<NonNullable<Recipe['play']>>;

/** Reads what came from a link, a file or the database.
 * @returns issues `recipe-newer` for a later format, `recipe-shape` for anything else unreadable */
export function readRecipe(json: unknown): Result<Recipe> {
  const version = typeof json === 'object' && json !== null && 'version' in json ? json.version : 0;
  if (typeof version === 'number' && version > RECIPE_VERSION) {
    return fail({ code: 'recipe-newer', path: ['version'], version, known: RECIPE_VERSION });
  }
  const parsed = recipeSchema.safeParse(json);
  if (parsed.success) return ok(parsed.data);
  return fail(
    ...parsed.error.issues.slice(0, 3).map((issue) => ({
      code: 'recipe-shape' as const,
      path: issue.path.map((key) => (typeof key === 'symbol' ? String(key) : key)),
      what: `${issue.path.join(' ') || 'the whole'}: ${issue.message}`,
    })),
  );
}
