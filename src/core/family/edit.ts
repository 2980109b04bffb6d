import { partsOf, withParts, type ClosedMember, type ClosedRecipe } from '../recipe';
import type { Axis, ChangeValue, Family } from './schema';

/** A phrase of the sentence that can take several values. */
export type AxisPlace = (
  | { readonly at: 'over' | 'change'; readonly index: number }
  | { readonly at: 'play' | 'as' | 'clash' | 'meter' | 'feel' | 'levels' | 'kit' }
) & {
  /** The part of a sequence, from 0; the first where left out. */
  readonly part?: number | undefined;
};

type ValueOf = {
  readonly over: ClosedRecipe['over'][number] | null;
  readonly play: NonNullable<ClosedRecipe['play']>;
  readonly as: ClosedRecipe['as'];
  readonly change: ChangeValue;
  readonly clash: ClosedRecipe['clash'];
  readonly meter: string;
  readonly levels: NonNullable<ClosedRecipe['levels']>;
  readonly feel: ClosedRecipe['feel'];
  readonly kit: ClosedRecipe['kit'];
};

/** A value for a phrase, of the phrase’s own kind. */
export type PhraseValue = ValueOf[keyof ValueOf];

/** Whether an axis varies this phrase. */
export function isAt(axis: Axis, place: AxisPlace): boolean {
  const samePart = (axis.part ?? 0) === (place.part ?? 0);
  return axis.at === place.at && samePart && (!('index' in axis) || axis.index === indexOf(place));
}

function indexOf(place: AxisPlace): number {
  return 'index' in place ? place.index : 0;
}

/** The values that a phrase has now: its axis’s, or the one of the base. */
export function valuesAt(family: Family, place: AxisPlace): readonly PhraseValue[] {
  const axis = family.axes.find((one) => isAt(one, place));
  if (axis) return axis.values;
  const base = partAt(family.base, place.part);
  switch (place.at) {
    case 'over': {
      const one = base.over[indexOf(place)];
      return one ? [one] : [];
    }
    case 'change': {
      const change = base.changes[indexOf(place)];
      return change ? [{ kind: 'one', change }] : [];
    }
    case 'play':
      return base.play ? [base.play] : [];
    case 'as':
      return [base.as];
    case 'feel':
      return [base.feel];
    case 'clash':
      return [base.clash];
    case 'meter':
      return [base.meter];
    case 'levels':
      return base.levels ? [base.levels] : [];
    case 'kit':
      return [base.kit];
  }
}

/** Gives a phrase these values. One alone goes into the base; several, a range, or nothing at all, are an
 * axis; none takes the phrase out.
 * @param values of the place’s kind */
export function setValues(
  family: Family,
  place: AxisPlace,
  values: readonly PhraseValue[],
): Family {
  const axes = family.axes.filter((one) => !isAt(one, place));
  const [only] = values;
  const isRange = typeof only === 'object' && only !== null && isRangeKind(only);
  if (values.length > 1 || isRange || (values.length === 1 && isNothing(only))) {
    const axis = { ...place, values: [...values] } as Axis;
    const before = family.axes.findIndex((one) => isAt(one, place));
    const placed =
      before < 0 ? [...axes, axis] : family.axes.map((one, nth) => (nth === before ? axis : one));
    return { ...family, axes: [...placed].sort(bySentence) };
  }
  const { part = 0 } = place;
  const base = putInBase(partAt(family.base, part), place, only ?? null);
  return { ...family, axes, base: withPart(family.base, part, base) };
}

/** A value that leaves the phrase out: alone it has no place in the base, and waits for others. */
function isNothing(value: PhraseValue | undefined): boolean {
  if (value === null) return true;
  return typeof value === 'object' && 'kind' in value && value.kind === 'one' && !value.change;
}

function isRangeKind(value: object): boolean {
  return 'kind' in value && (value.kind === 'numbers' || value.kind === 'placements');
}

const SENTENCE = [
  'over',
  'play',
  'as',
  'clash',
  'change',
  'meter',
  'feel',
  'levels',
  'kit',
] as const;

function bySentence(a: Axis, b: Axis): number {
  const parts = (a.part ?? 0) - (b.part ?? 0);
  if (parts !== 0) return parts;
  const place = SENTENCE.indexOf(a.at) - SENTENCE.indexOf(b.at);
  return place || ('index' in a && 'index' in b ? a.index - b.index : 0);
}

/** What a part of a sequence plays, or the exercise itself. @param part from 0 */
export function partAt(recipe: ClosedRecipe, part = 0): ClosedMember {
  const parts = partsOf(recipe);
  return (parts[part] ?? parts[0]).recipe;
}

/** The recipe with another part in a place. */
function withPart(recipe: ClosedRecipe, part: number, next: ClosedMember): ClosedRecipe {
  const [first, ...others] = partsOf(recipe).map((one, nth) =>
    nth === part ? { ...one, recipe: next } : one,
  );
  return first ? withParts([first, ...others]) : recipe;
}

function putInBase(base: ClosedMember, place: AxisPlace, value: PhraseValue | null): ClosedMember {
  switch (place.at) {
    case 'over':
      return { ...base, over: putAt(base.over, place.index, value as ValueOf['over']) };
    case 'change': {
      const one = typeof value === 'object' && value !== null && 'kind' in value ? value : null;
      const change = one?.kind === 'one' ? one.change : null;
      return { ...base, changes: putAt(base.changes, place.index, change) };
    }
    case 'play':
      return { ...base, play: value as ValueOf['play'] | null };
    case 'levels':
      return { ...base, levels: (value ?? undefined) as ClosedRecipe['levels'] };
    case 'as':
    case 'clash':
    case 'meter':
    case 'feel':
    case 'kit':
      return value === null ? base : { ...base, [place.at]: value };
  }
}

function putAt<T>(list: readonly T[], index: number, value: T | null): T[] {
  const next = [...list];
  if (value === null) next.splice(index, 1);
  else next[Math.min(index, next.length)] = value;
  return next;
}

/** Takes a value of a phrase in, or out where it is there already. As written gives
 * way to an interpretation; it can be chosen again beside it. */
export function toggleValue(family: Family, place: AxisPlace, value: PhraseValue): Family {
  const values = valuesAt(family, place);
  const text = JSON.stringify(value);
  const without = values.filter((one) => JSON.stringify(one) !== text);
  const [only] = values;
  const instead = place.at === 'as' && values.length === 1 && isVerbatim(only);
  if (instead && !isVerbatim(value)) return setValues(family, place, [value]);
  return setValues(family, place, without.length < values.length ? without : [...values, value]);
}

function isVerbatim(as: PhraseValue | undefined): boolean {
  return typeof as === 'object' && as !== null && 'kind' in as && as.kind === 'verbatim';
}
