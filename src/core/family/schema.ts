import * as z from 'zod/mini';
import { text, list, whole, within } from '../shape';
import { FAMILY_VERSION, MOST_DECIDED, PLACED_SLOTS, RUNNING } from './data';
import { fail, misfitsOf, ok, type Result } from '../issue';
import { SPACINGS } from '../placement';
import {
  axisSchemas,
  close,
  isRecord,
  MOST_CHANGES,
  MOST_OVER,
  recipeSchema,
  upgradeRecipe,
  type ClosedRecipe,
  type Recipe,
} from '../recipe';

const { over, play, as, change, clash, meter, levels, feel, kit } = axisSchemas;
const running = within(RUNNING);

/** Values of a change: one of them, none at all, a number that runs, or every placement of a rule. */
const changeValue = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('one'), change: z.nullable(change) }),
  z.strictObject({
    kind: z.literal('numbers'),
    change,
    field: z.enum(['by', 'note', 'nth', 'first', 'count', 'turn']),
    from: running,
    to: running,
  }),
  z.strictObject({
    kind: z.literal('placements'),
    change,
    slots: within(PLACED_SLOTS),
    least: whole(0, PLACED_SLOTS.most),
    /** Caps how many, the anchors counted. */
    most: whole(0, PLACED_SLOTS.most),
    spacing: z.enum(SPACINGS),
    /** Slots that are always taken, and stay loudest. */
    anchors: z.optional(list(whole(0, 63), 0, 64)),
    /** Slots that may be taken besides; all where left out. */
    free: z.optional(list(whole(0, 63), 0, 64)),
  }),
]);

/** The part of a sequence, from 0; the first where left out. */
const part = z.optional(whole(0, 64));

/** A phrase of the sentence with several values. `index` is the place in the recipe's list; one past
 * its end adds to it. */
const axis = z.discriminatedUnion('at', [
  z.strictObject({
    at: z.literal('over'),
    part,
    index: whole(0, MOST_OVER - 1),
    values: list(z.nullable(over), 1, 200),
  }),
  z.strictObject({ at: z.literal('play'), part, values: list(play, 1, 400) }),
  z.strictObject({ at: z.literal('as'), part, values: list(as, 1, 40) }),
  z.strictObject({
    at: z.literal('change'),
    part,
    index: whole(0, MOST_CHANGES - 1),
    values: list(changeValue, 1, 200),
  }),
  z.strictObject({ at: z.literal('clash'), part, values: list(clash, 1, 5) }),
  z.strictObject({ at: z.literal('meter'), part, values: list(meter, 1, 20) }),
  z.strictObject({ at: z.literal('levels'), part, values: list(levels, 1, 8) }),
  z.strictObject({ at: z.literal('feel'), part, values: list(feel, 1, 20) }),
  z.strictObject({ at: z.literal('kit'), part, values: list(kit, 1, 40) }),
]);

const key = text(400);

const familySchema = z.strictObject({
  version: z.literal(FAMILY_VERSION),
  base: recipeSchema,
  axes: list(axis, 0, 8),
  /** Members by their keys. */
  kept: z.nullable(list(key, 0, MOST_DECIDED)),
  dropped: list(key, 0, MOST_DECIDED),
  /** The teacher's own order; null leaves it to the path. */
  order: z.nullable(list(key, 0, MOST_DECIDED)),
  /** Those that stand at the ends, in this order. */
  first: list(key, 0, MOST_DECIDED),
  last: list(key, 0, MOST_DECIDED),
  /** The last member that is practised. */
  stop: z.nullable(key),
  /** Whether they stand in the order of their values, as written, and not by small steps; left out, what
   * was typed as a list does. */
  written: z.optional(z.boolean()),
  /** The phrase by whose values the order as written goes in passes: all with the first of them, then all
   * with the second. */
  passes: z.optional(
    z.union([
      z.strictObject({ at: z.enum(['over', 'change']), part, index: whole(0, 15) }),
      z.strictObject({
        part,
        at: z.enum(['play', 'as', 'clash', 'meter', 'feel', 'levels', 'kit']),
      }),
    ]),
  ),
  /** Whether those are left out that sound like another. */
  fold: z.boolean(),
  /** How members are called: `{n}` is the number, `{1}` the value of the first axis. */
  naming: text(80),
});

/** A family of any format inside something that is kept. */
export const keptFamilySchema = z.pipe(z.transform(upgradeFamily), familySchema);

type OpenFamily = z.infer<typeof familySchema>;
type OpenAxis = OpenFamily['axes'][number];
export type ChangeValue = z.infer<typeof changeValue>;

/** An axis with the contents of all its values. */
export type Axis =
  | {
      at: 'over';
      part?: number | undefined;
      index: number;
      values: readonly (ClosedRecipe['over'][number] | null)[];
    }
  | { at: 'play'; part?: number | undefined; values: readonly NonNullable<ClosedRecipe['play']>[] }
  | { at: 'as'; part?: number | undefined; values: readonly ClosedRecipe['as'][] }
  | { at: 'change'; part?: number | undefined; index: number; values: readonly ChangeValue[] }
  | { at: 'clash'; part?: number | undefined; values: readonly ClosedRecipe['clash'][] }
  | { at: 'meter'; part?: number | undefined; values: readonly string[] }
  | {
      at: 'levels';
      part?: number | undefined;
      values: readonly NonNullable<ClosedRecipe['levels']>[];
    }
  | { at: 'feel'; part?: number | undefined; values: readonly ClosedRecipe['feel'][] }
  | { at: 'kit'; part?: number | undefined; values: readonly ClosedRecipe['kit'][] };

/** All variations that a choice of axes yields, and what the teacher decided about them. */
export type Family = Omit<OpenFamily, 'base' | 'axes'> & {
  readonly base: ClosedRecipe;
  readonly axes: readonly Axis[];
};

/** Reads what came from a link or the database, and embeds the contents of all ingredients.
 * @returns issues `recipe-shape` and `ingredient-missing` */
export function readFamily(json: unknown): Result<Family> {
  const parsed = familySchema.safeParse(upgradeFamily(json));
  if (!parsed.success) {
    return fail(
      ...parsed.error.issues.slice(0, 3).map((issue) => ({
        code: 'recipe-shape' as const,
        path: [],
        misfits: misfitsOf([issue]),
      })),
    );
  }
  const { base, axes, ...rest } = parsed.data;
  const closed = close(base);
  if (!closed.ok) return closed;
  const { value: closedBase } = closed;
  const read: Axis[] = [];
  for (const one of axes) {
    const values = closeAxis(one, base);
    if (!values.ok) return values;
    read.push(values.value);
  }
  return ok({ ...rest, base: closedBase, axes: read });
}

/** Brings a family up to the newest format, and its recipe and what its axes hold to that of recipes. In the
 * first format one member alone was pinned to an end, or none, and none stood as written unasked. */
function upgradeFamily(kept: unknown): unknown {
  const json = isRecord(kept) && kept.version === 1 ? pinsAsLists(kept) : kept;
  if (!isRecord(json) || !isRecord(json.base) || !Array.isArray(json.axes)) return json;
  const { base, axes } = json;
  const axesNow = axes.map((axis: unknown) => {
    if (!isRecord(axis) || axis.at !== 'clash' || !Array.isArray(axis.values)) return axis;
    const values = axis.values.map((clash: unknown) => {
      const now = upgradeRecipe({ version: base.version, clash });
      return isRecord(now) ? now.clash : clash;
    });
    return { ...axis, values };
  });
  return { ...json, base: upgradeRecipe(base), axes: axesNow };
}

function pinsAsLists(kept: Readonly<Record<string, unknown>>): unknown {
  const asList = (pinned: unknown) => (pinned === null ? [] : [pinned]);
  const written = kept.written ?? false;
  return { ...kept, version: 2, written, first: asList(kept.first), last: asList(kept.last) };
}

function closeAxis(axis: OpenAxis, base: Recipe): Result<Axis> {
  const closed = <T>(parts: readonly Partial<Recipe>[], take: (recipe: ClosedRecipe) => T) => {
    const values: T[] = [];
    for (const part of parts) {
      const one = close({ ...base, then: undefined, ...part });
      if (!one.ok) return one;
      values.push(take(one.value));
    }
    return ok(values);
  };
  switch (axis.at) {
    case 'over': {
      const parts = axis.values.map((one) => ({ over: one ? [one] : [] }));
      const values = closed(parts, (recipe) => recipe.over[0] ?? null);
      return values.ok ? ok({ ...axis, values: values.value }) : values;
    }
    case 'play': {
      const parts = axis.values.map((one) => ({ play: one }));
      const values = closed(parts, (recipe) => recipe.play);
      return values.ok
        ? ok({ ...axis, values: values.value.filter((one) => one !== null) })
        : values;
    }
    case 'as': {
      const values = closed(
        axis.values.map((one) => ({ as: one })),
        (recipe) => recipe.as,
      );
      return values.ok ? ok({ ...axis, values: values.value }) : values;
    }
    case 'kit': {
      const values = closed(
        axis.values.map((one) => ({ kit: one })),
        (recipe) => recipe.kit,
      );
      return values.ok ? ok({ ...axis, values: values.value }) : values;
    }
    case 'change':
    case 'feel':
    case 'clash':
    case 'meter':
    case 'levels':
      return ok(axis);
  }
}
