import { fail, ok, type AxisName, type Result } from '../issue';
import {
  partsOf,
  withParts,
  withWrittenSwing,
  type ClosedMember,
  type ClosedRecipe,
} from '../recipe';
import { axisName, countValues, valuesOf, type AxisValue, type ClosedPart } from './axis';
import type { Family } from './schema';

/** Most members that are expanded. */
const MOST_MEMBERS = 100_000;

/** A family with its axes written out, ready to give members. */
export interface OpenedFamily {
  readonly base: ClosedRecipe;
  readonly axes: readonly { readonly name: AxisName; readonly values: readonly AxisValue[] }[];
  /** The product of the axes. */
  readonly size: number;
}

/** One choice of a value for each axis. */
export interface Member {
  /** Its number in the product, from 0; the last axis runs fastest. */
  readonly index: number;
  /** The value of each axis, by its place. */
  readonly choice: readonly number[];
}

/** How many members a family has at most, at once and without writing anything out. */
export function familySize({ axes }: Pick<Family, 'axes'>): number {
  return axes.reduce((product, axis) => product * countValues(axis), 1);
}

/** @returns issue `family-too-large`, which names the axis to narrow, before anything is written out,
 * and `axis-empty` */
export function openFamily({ base, axes }: Pick<Family, 'base' | 'axes'>): Result<OpenedFamily> {
  const size = familySize({ axes });
  if (size > MOST_MEMBERS) {
    const widest = axes.reduce((a, b) => (countValues(b) > countValues(a) ? b : a));
    return fail({
      code: 'family-too-large',
      path: ['axes', axes.indexOf(widest)],
      size,
      most: MOST_MEMBERS,
      axis: axisName(widest, axes),
      values: countValues(widest),
    });
  }
  const opened = axes.map((axis) => ({ name: axisName(axis, axes), values: valuesOf(axis) }));
  const empty = opened.findIndex((axis) => axis.values.length === 0);
  const gone = opened[empty];
  if (gone) return fail({ code: 'axis-empty', path: ['axes', empty], axis: gone.name });
  const count = opened.reduce((product, axis) => product * axis.values.length, 1);
  return ok({ base, axes: opened, size: count });
}

/** @param index from 0 up to, not including, the family's size */
export function memberAt({ axes }: OpenedFamily, index: number): Member {
  const choice = axes.map(() => 0);
  let rest = index;
  for (let nth = axes.length - 1; nth >= 0; nth -= 1) {
    const count = axes[nth]?.values.length ?? 1;
    choice[nth] = rest % count;
    rest = Math.floor(rest / count);
  }
  return { index, choice };
}

/** The reverse of `memberAt`. */
export function indexOfChoice({ axes }: OpenedFamily, choice: readonly number[]): number {
  return choice.reduce((sum, value, nth) => sum * (axes[nth]?.values.length ?? 1) + value, 0);
}

/** A member's name for what is kept of it: the same while its values are there. */
export function memberKey({ axes }: OpenedFamily, { choice }: Member): string {
  return choice.map((value, nth) => axes[nth]?.values[value]?.key ?? '').join('.');
}

/** The recipe of a member: the base with the member's values put in, each in its part. */
export function memberRecipe({ base, axes }: OpenedFamily, { choice }: Member): ClosedRecipe {
  const chosen = choice.flatMap((value, nth) => axes[nth]?.values[value]?.part ?? []);
  if (!base.then) return memberPart(base, chosen);
  const [first, ...others] = partsOf(base).map((one, nth) => ({
    ...one,
    recipe: memberPart(
      one.recipe,
      chosen.filter(({ part = 0 }) => part === nth),
    ),
  }));
  return first ? withParts([first, ...others]) : base;
}

function memberPart(base: ClosedMember, chosen: readonly ClosedPart[]): ClosedMember {
  const over: (ClosedRecipe['over'][number] | null)[] = [...base.over];
  const changes: (ClosedRecipe['changes'][number] | null)[] = [...base.changes];
  let recipe = base;
  chosen.forEach((part) => {
    if (part.at === 'over') over[part.index] = part.value;
    else if (part.at === 'change') changes[part.index] = part.value;
    else recipe = { ...recipe, ...partOf(part) };
  });
  return withWrittenSwing({
    ...recipe,
    over: over.filter((one) => one !== null && one !== undefined),
    changes: changes.filter((one) => one !== null && one !== undefined),
  });
}

function partOf(part: Exclude<ClosedPart, { at: 'over' | 'change' }>): Partial<ClosedRecipe> {
  return { [part.at]: part.value };
}

/** What changes from one member to the next: the axes, by their place. */
export function stepBetween(from: Member, to: Member): readonly number[] {
  return to.choice.flatMap((value, nth) => (from.choice[nth] === value ? [] : [nth]));
}
