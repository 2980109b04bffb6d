import * as z from 'zod/mini';
import { fail, misfitsOf, ok, type Result } from '../issue';
import { LIMB_POLICIES, cellSetSchema, interpretationSchema } from '../interpret';
import { kitSchema, STYLES } from '../kit';
import { ostinatoSchema } from '../materials';
import { lineTextSchema } from '../reading';
import { list, text, typedText, whole } from '../shape';
import { stickingSchema } from '../sticking';
import { feelSchema } from '../time';
import { changeSchema } from '../transform';
import { MOST_CHANGES, MOST_OVER } from './data';
import { upgrade, RECIPE_VERSION, UPGRADES, versionOf } from './upgrades';

/** An ingredient by name, or with its content embedded. */
function ingredient<Content extends z.ZodMiniType>(content: Content) {
  const id = z.string().check(z.minLength(1), z.maxLength(60));
  const version = whole(1);
  return z.union([
    z.strictObject({ id, version, content }),
    z.strictObject({ content }),
    z.strictObject({ id, version }),
  ]);
}

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
  'anchor-lost',
] as const;

/** One ingredient, or one choice, of each phrase of the sentence that can hold several. */
export const axisSchemas = {
  over: ingredient(ostinatoSchema),
  play: ingredient(z.union([lineTextSchema, stickingSchema])),
  as: interpretationSchema(ingredient(cellSetSchema)),
  change: changeSchema,
  clash: z.enum(LIMB_POLICIES),
  meter: text(20),
  levels: z.enum(STYLES),
  feel: feelSchema,
  kit: ingredient(kitSchema),
} as const;

const exercise = z.strictObject({
  version: z.literal(RECIPE_VERSION),
  kind: z.literal('exercise'),
  meter: axisSchemas.meter,
  feel: axisSchemas.feel,
  over: list(axisSchemas.over, 0, MOST_OVER),
  play: z.nullable(axisSchemas.play),
  as: axisSchemas.as,
  clash: axisSchemas.clash,
  changes: list(axisSchemas.change, 0, MOST_CHANGES),
  kit: axisSchemas.kit,
  /** Bars after which everything begins anew, where its own cycle is longer. */
  cut: z.optional(whole(1, 64)),
  /** How loud the voices are against each other; as the dynamics say when left out. */
  levels: z.optional(axisSchemas.levels),
  /** Hindrances that the teacher keeps, each with the reason. */
  kept: z.optional(
    list(z.strictObject({ rule: z.enum(HINDRANCE_RULES), note: typedText(200) }), 0, 12),
  ),
});

export const recipeSchema = z.extend(exercise, {
  /** What follows, back to back, after so many bars of this (null: its whole cycle). */
  then: z.optional(
    z.strictObject({
      /** What the exercise itself is called as the first part. */
      name: z.optional(typedText(80)),
      bars: z.nullable(whole(1, 64)),
      /** Played once, at its own length and without a click. */
      untimed: z.optional(z.boolean()),
      members: list(
        z.strictObject({
          name: typedText(80),
          bars: z.nullable(whole(1, 64)),
          untimed: z.optional(z.boolean()),
          recipe: exercise,
        }),
        1,
        64,
      ),
    }),
  ),
});

/** An exercise as its ingredients: small, versioned, never a drawing. */
export type Recipe = z.infer<typeof recipeSchema>;

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
  over: readonly WithContent<OpenMember['over'][number]>[];
  play: WithContent<NonNullable<OpenMember['play']>> | null;
  as: ClosedAs;
  kit: WithContent<OpenMember['kit']>;
};

/** A recipe with the contents of all its ingredients: hash, link and store use this form. */
export type ClosedRecipe = ClosedMember & {
  then?:
    | (Omit<NonNullable<Recipe['then']>, 'members'> & {
        members: readonly (Omit<NonNullable<Recipe['then']>['members'][number], 'recipe'> & {
          recipe: ClosedMember;
        })[];
      })
    | undefined;
};

/** What is played: a reading line, or a sticking. */
export type PlayContent = ContentOf<NonNullable<Recipe['play']>>;

/** A recipe of any format as one of this, unchecked. */
export function upgradeRecipe(json: unknown): unknown {
  return upgrade(json, UPGRADES);
}

/** A recipe of any format inside something that is kept. */
export const keptRecipeSchema = z.pipe(z.transform(upgradeRecipe), recipeSchema);

/** Reads what came from a link, a file or the database, in this format or an older one.
 * @returns issues `recipe-newer` for a later format, `recipe-shape` for anything else unreadable */
export function readRecipe(json: unknown): Result<Recipe> {
  const version = versionOf(json);
  if (version > RECIPE_VERSION) {
    return fail({ code: 'recipe-newer', path: ['version'], version, known: RECIPE_VERSION });
  }
  const parsed = recipeSchema.safeParse(upgradeRecipe(json));
  if (parsed.success) return ok(parsed.data);
  return fail(
    ...parsed.error.issues.slice(0, 3).map((issue) => ({
      code: 'recipe-shape' as const,
      path: issue.path.map((key) => (typeof key === 'symbol' ? String(key) : key)),
      misfits: misfitsOf([issue]),
    })),
  );
}
