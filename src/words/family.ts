import {
  rangeOffers,
  stepBetween,
  type AxisValue,
  type ChangeValue,
  type ClosedPart,
  type Member,
  type OpenedFamily,
  type RangeOffer,
} from '@/core/family';
import { INTERPRETATION_STARTS, startOf, type ClosedRecipe } from '@/core/recipe';
import { sayAxis, sayReadAs } from './terms';
import { sayChange } from './change';
import { sayVoice } from './kit';
import { sayMaterial } from './material';
import type { Say } from './say';
import { sayPlayed, sayPolicy, sayStart } from './sentence';
import { sayFeel, saySubdivision } from './time';

/** A value of an axis in the words of the sentence. */
export function sayPart(say: Say, part: ClosedPart): string {
  switch (part.at) {
    case 'over':
      return part.value ? sayMaterial(say, part.value) : say.t('family.nothing');
    case 'play':
      return part.value ? sayPlayed(say, part.value) : '';
    case 'as':
      return sayAs(say, part.value);
    case 'feel':
      return sayFeel(say, part.value);
    case 'clash':
      return sayPolicy(say, part.value);
    case 'meter':
      return part.value;
    case 'levels':
      return say.t('sentence.levels', { style: part.value ?? '' });
    case 'kit':
      return sayMaterial(say, part.value);
    case 'change':
      return part.value ? sayChange(say, part.value) : say.t('family.asItIs');
  }
}

function sayAs(say: Say, as: ClosedRecipe['as']): string {
  const text = JSON.stringify(as);
  const start = INTERPRETATION_STARTS.find(({ id }) => JSON.stringify(startOf(id)) === text);
  return start ? sayStart(say, start.id).name : sayReadAs(say, as.kind);
}

const SAID = new WeakMap<Say, WeakMap<AxisValue, string>>();

/** Said once for each value: thousands of members share few of them. */
function sayValue(say: Say, value: AxisValue | undefined): string {
  if (!value) return '';
  let said = SAID.get(say);
  if (!said) SAID.set(say, (said = new WeakMap()));
  let text = said.get(value);
  if (text === undefined) said.set(value, (text = sayPart(say, value.part)));
  return text;
}

/** The values of a member in words, those of axes that do not vary left out. */
export function sayMember(say: Say, { axes }: OpenedFamily, { choice }: Member): string {
  const said = choice.flatMap((value, nth) => {
    const values = axes[nth]?.values ?? [];
    return values.length > 1 ? [sayValue(say, values[value])] : [];
  });
  return said.join(' · ');
}

/** What changes from one member to the next, an axis each. */
export function sayMemberStep(
  say: Say,
  { axes }: OpenedFamily,
  from: Member,
  to: Member,
): readonly string[] {
  return stepBetween(from, to).flatMap((nth) => {
    const axis = axes[nth];
    const value = axis?.values[to.choice[nth] ?? 0];
    if (!axis || !value) return [];
    const said = sayValue(say, value);
    // Nothing, and no change, say nothing without their axis.
    return [
      value.part.value === null
        ? say.t('family.onAxis', { axis: sayAxis(say, axis.name), value: said })
        : said,
    ];
  });
}

/** A member's name by the family's rule: `{n}` its number, `{1}` the value of the first axis.
 * @param number from 1
 * @example nameMember(ENGLISH, family, member, 3, 'Cells {n}') // => 'Cells 3' */
export function nameMember(
  say: Say,
  family: OpenedFamily,
  member: Member,
  number: number,
  naming: string,
): string {
  const value = (nth: number) => sayValue(say, family.axes[nth]?.values[member.choice[nth] ?? 0]);
  const name = naming.trim() || `{n} {all}`;
  return name
    .replaceAll('{n}', String(number))
    .replaceAll('{all}', sayMember(say, family, member))
    .replace(/\{(\d)\}/g, (_, digit: string) => value(Number(digit) - 1))
    .trim()
    .slice(0, 80);
}

/** A range that a chooser offers. */
export function sayOffer(say: Say, { id, slot }: RangeOffer): string {
  return say.t(`family.offer.${id}`, {
    grid: slot ? saySubdivision(say, slot) : '',
    eighths: saySubdivision(say, '8'),
    sixteenths: saySubdivision(say, '16'),
  });
}

/** A range of changes in the words of the sentence; null for a single one. */
export function sayChangeRange(say: Say, value: ChangeValue, recipe: ClosedRecipe): string | null {
  if (value.kind === 'one') return null;
  const text = JSON.stringify(value);
  const offer = rangeOffers(recipe).find((one) => JSON.stringify(one.value) === text);
  if (offer) return sayOffer(say, offer);
  if (value.kind === 'numbers') {
    return say.t(`family.numbers.${value.field}`, { from: value.from, to: value.to });
  }
  const { slots, least, most, change, anchors = [], free } = value;
  const grid = change.kind === 'place' ? saySubdivision(say, change.slot) : say.t('family.slots');
  const said = [
    least === most
      ? say.t('family.every', { least, slots, grid })
      : say.t('family.everyTo', { least, most, slots, grid }),
    value.spacing === 'any' ? '' : say.t(`family.spaced.${value.spacing}`),
    anchors.length > 0 ? say.t('family.always', { places: placesOf(anchors) }) : '',
    free ? say.t('family.besides', { places: placesOf(free) }) : '',
  ];
  const rule = said.filter(Boolean).join(', ');
  if (change.kind !== 'place') return rule;
  const level = change.grid.includes('g')
    ? 'ghost'
    : change.grid.includes('X')
      ? 'accent'
      : 'plain';
  return say.t('family.placed', { level, voice: sayVoice(say, change.to.voice), rule });
}

/** Slots as they are counted on the page, from 1. */
function placesOf(slots: readonly number[]): string {
  return slots.map((slot) => slot + 1).join(' ');
}
