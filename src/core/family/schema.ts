import { z } from 'zod';
import { fail, misfitsOf, ok, type Result } from '../issue';
import { SPACINGS } from '../placement';
import { close, recipeSchema, type ClosedRecipe, type Recipe } from '../recipe';

/** Format of the families that this Mivvel writes. */
const FAMILY_VERSION = 1;

const { over, play, as, clash, meter, feel, levels, changes, kit } = recipeSchema.shape;
const change = changes.element;
const whole = z.int().min(-64).max(64);

/** Values of a change: one of them, none at all, a number that runs, or every placement of a rule. */
const changeValue = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('one'), change: change.nullable() }),
  z.strictObject({
    kind: z.literal('numbers'),
    change,
    field: z.enum(['by', 'note', 'nth', 'first', 'count', 'turn']),
    from: whole,
    to: whole,
  }),
  z.strictObject({
    kind: z.literal('placements'),
    change,
    slots: z.int().min(1).max(64),
    least: z.int().min(0).max(64),
    /** Caps how many, the anchors counted. */
    most: z.int().min(0).max(64),
    spacing: z.enum(SPACINGS),
    /** Slots that are always taken, and stay loudest. */
    anchors: z.array(z.int().min(0).max(63)).max(64).optional(),
    /** Slots that may be taken besides; all where left out. */
    free: z.array(z.int().min(0).max(63)).max(64).optional(),
  }),
]);

/** A phrase of the sentence with several values. `index` is the place in the recipe's list; one past
 * its end adds to it. */
const axis = z.discriminatedUnion('at', [
  z.strictObject({
    at: z.literal('over'),
    index: z.int().min(0).max(3),
    values: z.array(over.element.nullable()).min(1).max(200),
  }),
  z.strictObject({ at: z.literal('play'), values: z.array(play.unwrap()).min(1).max(400) }),
  z.strictObject({ at: z.literal('as'), values: z.array(as).min(1).max(40) }),
  z.strictObject({
    at: z.literal('change'),
    index: z.int().min(0).max(15),
    values: z.array(changeValue).min(1).max(200),
  }),
  z.strictObject({ at: z.literal('clash'), values: z.array(clash).min(1).max(3) }),
  z.strictObject({ at: z.literal('meter'), values: z.array(meter).min(1).max(20) }),
  z.strictObject({ at: z.literal('levels'), values: z.array(levels.unwrap()).min(1).max(8) }),
  z.strictObject({ at: z.literal('feel'), values: z.array(feel).min(1).max(20) }),
  z.strictObject({ at: z.literal('kit'), values: z.array(kit).min(1).max(40) }),
]);

const key = z.string().max(400);

const familySchema = z.strictObject({
  version: z.literal(FAMILY_VERSION),
  base: recipeSchema,
  axes: z.array(axis).max(8),
  /** Members by their keys. */
  kept: z.array(key).max(2000).nullable(),
  dropped: z.array(key).max(2000),
  /** The teacher's own order; null leaves it to the path. */
  order: z.array(key).max(2000).nullable(),
  first: key.nullable(),
  last: key.nullable(),
  /** The last member that is practised. */
  stop: key.nullable(),
  fold: z.boolean(),
  /** How members are called: `{n}` is the number, `{1}` the value of the first axis. */
  naming: z.string().max(80),
});

type OpenFamily = z.infer<typeof familySchema>;
type OpenAxis = OpenFamily['axes'][number];
export type ChangeValue = z.infer<typeof changeValue>;

/** An axis with the contents of all its values. */
export type Axis =
  | { at: 'over'; index: number; values: (ClosedRecipe['over'][number] | null)[] }
  | { at: 'play'; values: NonNullable<ClosedRecipe['play']>[] }
  | { at: 'as'; values: ClosedRecipe['as'][] }
  | { at: 'change'; index: number; values: ChangeValue[] }
  | { at: 'clash'; values: ClosedRecipe['clash'][] }
  | { at: 'meter'; values: string[] }
  | { at: 'levels'; values: NonNullable<ClosedRecipe['levels']>[] }
  | { at: 'feel'; values: ClosedRecipe['feel'][] }
  | { at: 'kit'; values: ClosedRecipe['kit'][] };

/** All variations that a choice of axes yields, and what the teacher decided about them. */
export type Family = Omit<OpenFamily, 'base' | 'axes'> & {
  readonly base: ClosedRecipe;
  readonly axes: readonly Axis[];
};

/** A family before anything is varied. */
export function familyOf(base: ClosedRecipe): Family {
  const { then: _, ...alone } = base;
  return {
    version: FAMILY_VERSION,
    base: alone,
    axes: [],
    kept: null,
    dropped: [],
    order: null,
    first: null,
    last: null,
    stop: null,
    fold: true,
    naming: '',
  };
}

/** Reads what came from a link or the database, and embeds the contents of all ingredients.
 * @returns issues `recipe-shape` and `ingredient-missing` */
export function readFamily(json: unknown): Result<Family> {
  const parsed = familySchema.safeParse(json);
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
