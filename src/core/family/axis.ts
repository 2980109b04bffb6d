import { sha256 } from '@noble/hashes/sha2.js';
import { bytesToHex, utf8ToBytes } from '@noble/hashes/utils.js';
import type { AxisName } from '../issue';
import { countPlacements, placementGrid, placements, type PlacementRule } from '../placement';
import type { Change, ClosedRecipe } from '../recipe';
import type { Axis, ChangeValue } from './schema';

/** One value of an axis: a name that stays when the family grows, and what it does. */
export interface AxisValue {
  readonly key: string;
  readonly part: ClosedPart;
}

/** What a value puts into the recipe. */
export type ClosedPart = (
  | {
      readonly at: 'over';
      readonly index: number;
      readonly value: ClosedRecipe['over'][number] | null;
    }
  | { readonly at: 'change'; readonly index: number; readonly value: Change | null }
  | { readonly at: 'play'; readonly value: ClosedRecipe['play'] }
  | { readonly at: 'as'; readonly value: ClosedRecipe['as'] }
  | { readonly at: 'clash'; readonly value: ClosedRecipe['clash'] }
  | { readonly at: 'meter'; readonly value: string }
  | { readonly at: 'levels'; readonly value: ClosedRecipe['levels'] }
  | { readonly at: 'feel'; readonly value: ClosedRecipe['feel'] }
  | { readonly at: 'kit'; readonly value: ClosedRecipe['kit'] }
) & {
  /** The part of a sequence, from 0; the first where left out. */
  readonly part?: number | undefined;
};

/** Eight hex digits that tell values apart. */
function valueKey(value: unknown): string {
  return bytesToHex(sha256(utf8ToBytes(JSON.stringify(value) ?? ''))).slice(0, 8);
}

/** All values of an axis, ranges written out, each once.
 * @example every displacement from 0 to 7 // => eight values */
export function valuesOf(axis: Axis): readonly AxisValue[] {
  const values = new Map<string, AxisValue>();
  const { part } = axis;
  for (const value of spread(axis)) {
    if (values.has(value.key)) continue;
    values.set(value.key, part ? { ...value, part: { ...value.part, part } } : value);
  }
  return [...values.values()];
}

function* spread(axis: Axis): Generator<AxisValue> {
  switch (axis.at) {
    case 'over':
      for (const value of axis.values) {
        yield { key: valueKey(value?.content ?? null), part: { ...axisPlace(axis), value } };
      }
      return;
    case 'play':
      for (const value of axis.values) {
        yield { key: valueKey({ ...value.content, name: '' }), part: { at: 'play', value } };
      }
      return;
    case 'as':
      for (const value of axis.values) yield { key: valueKey(value), part: { at: 'as', value } };
      return;
    case 'feel':
      for (const value of axis.values) yield { key: valueKey(value), part: { at: 'feel', value } };
      return;
    case 'clash':
      // Decisions about members are kept by keys, in which the policy has its name of old.
      for (const value of axis.values) {
        const key = value === 'throughout' ? 'rest' : value;
        yield { key, part: { at: 'clash', value } };
      }
      return;
    case 'meter':
      for (const value of axis.values) yield { key: value, part: { at: 'meter', value } };
      return;
    case 'levels':
      for (const value of axis.values) yield { key: value, part: { at: 'levels', value } };
      return;
    case 'kit':
      for (const value of axis.values) {
        yield { key: valueKey(value.content), part: { at: 'kit', value } };
      }
      return;
    case 'change':
      for (const value of axis.values) {
        for (const change of changesOf(value)) {
          yield { key: valueKey(change), part: { ...axisPlace(axis), value: change } };
        }
      }
  }
}

function axisPlace<A extends 'over' | 'change'>({ at, index }: { at: A; index: number }) {
  return { at, index };
}

/** The changes that a value stands for. A field that runs over 0 leaves the change out there, where 0
 * means nothing is changed. */
function changesOf(value: ChangeValue): readonly (Change | null)[] {
  switch (value.kind) {
    case 'one':
      return [value.change];
    case 'numbers': {
      const { change, field, from, to } = value;
      const [least, most] = [Math.min(from, to), Math.max(from, to)];
      return Array.from({ length: most - least + 1 }, (_, index) => least + index).flatMap(
        (number): (Change | null)[] => {
          if (field === 'by' && number === 0) return [null];
          return field in change ? [{ ...change, [field]: number } as Change] : [];
        },
      );
    }
    case 'placements': {
      const { change, slots } = value;
      if (change.kind !== 'place') return [];
      const mark = /[xXg]/.exec(change.grid)?.[0] ?? 'x';
      const dynamic = mark === 'X' ? 'accent' : mark === 'g' ? 'ghost' : 'normal';
      return Array.from(placements(ruleOf(value)), (placed): Change | null =>
        placed.length === 0
          ? null
          : { ...change, grid: placementGrid(placed, slots, dynamic, value.anchors) },
      );
    }
  }
}

function ruleOf(value: Extract<ChangeValue, { kind: 'placements' }>): PlacementRule {
  const { slots, least, most, spacing, anchors, free } = value;
  const within = (all: readonly number[] | undefined) => all?.filter((slot) => slot < slots);
  const [always, may] = [within(anchors), within(free)];
  return {
    ...{ slots, least, most, spacing, cyclic: true },
    ...(always && always.length > 0 && { anchors: always }),
    ...(may && { free: may }),
  };
}

/** How many values an axis has at most, without writing them out. */
export function countValues(axis: Axis): number {
  if (axis.at !== 'change') return axis.values.length;
  return axis.values.reduce((sum, value) => {
    if (value.kind === 'placements') return sum + countPlacements(ruleOf(value));
    return sum + (value.kind === 'numbers' ? Math.abs(value.to - value.from) + 1 : 1);
  }, 0);
}

/** Which axis it is, of how many of its kind. @example axisName({ at: 'over', index: 1, … }) // => over, 2 */
export function axisName(axis: Axis, axes: readonly Axis[]): AxisName {
  const alike = axes.filter((one) => one.at === axis.at);
  return { at: axis.at, nth: alike.length > 1 ? alike.indexOf(axis) + 1 : null };
}
