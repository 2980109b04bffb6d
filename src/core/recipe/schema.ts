import { z } from 'zod';
import { fail, misfitsOf, ok, type Result } from '../issue';
import { LIMB_POLICIES } from '../interpret';
import { LIMIT_RANGE, STYLES, TEXTURE_IDS } from '../kit';
import { ORNAMENTS } from '../pattern';
import { assignment, change, dynamic, limb, subdivisionId, voiceId } from './change-schema';

/** Format of the recipes that this Mivvel writes. Raise it, with a reader for the old one, when
 * a recipe could otherwise mean something else than before. */
export const RECIPE_VERSION = 1;

const name = z.string().trim().min(1).max(80);

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

const mark = z.strictObject({
  slot: z.int().min(0).max(4096),
  ornament: z.enum(ORNAMENTS).optional(),
  texture: z.enum(TEXTURE_IDS).optional(),
});

const ostinato = z.strictObject({
  name,
  meter: z.string().max(20),
  swung: z.boolean(),
  lanes: z
    .array(
      z.strictObject({
        limb,
        voice: voiceId,
        slot: subdivisionId,
        grid: z.string().max(400),
        marks: z.array(mark).max(400).readonly().optional(),
      }),
    )
    .min(1)
    .max(12),
});

const line = z.strictObject({ name: name.optional(), text: z.string().max(2000) });

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
  cells: z.record(z.string().regex(/^[1-9]\d{0,2}$/), z.string().regex(/^[RLKF]{1,256}$/)),
});

/** Gaps that are too near, in ms; the usual one where left out. */
const limit = z.number().min(LIMIT_RANGE.least).max(LIMIT_RANGE.most).optional();

const kitProfile = z.strictObject({
  name,
  handedness: z.enum(['right', 'mirrored', 'open-handed', 'left-lead']),
  voices: z.array(voiceId),
  limits: z
    .strictObject({
      hatBeforeFoot: limit,
      ghostAfterAccent: limit,
      footToFoot: limit,
      handRun: limit,
      footRun: limit,
    })
    .optional(),
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
const HINDRANCE_RULES = [
  'hat-before-foot',
  'limb-twice',
  'foot-to-foot',
  'open-hat-closed',
  'ghost-after-accent',
  'fast-run',
  'voice-missing',
  'accent-on-rest',
  'swung-apart',
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
      misfits: misfitsOf([issue]),
    })),
  );
}
