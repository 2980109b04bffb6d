import { barTicks, parseMeter, slotTicks, subdivision, type SubdivisionId } from '../time';
import type { Change, ClosedRecipe } from '../recipe';
import type { ChangeValue } from './schema';

/** A range of changes, as a chooser offers it. */
export interface RangeOffer {
  readonly says: string;
  readonly value: ChangeValue;
}

const BASS = { limb: 'RF', voice: 'bass' } as const;
const SNARE = { limb: 'LH', voice: 'snare' } as const;

const LINE_LATER = {
  kind: 'displace',
  what: 'pattern',
  part: 'line',
  by: 1,
  slot: '16',
} as const satisfies Change;

/** Ranges that make sense for a recipe, the most usual first. */
export function rangeOffers(recipe: ClosedRecipe): readonly RangeOffer[] {
  const meter = parseMeter(recipe.meter);
  const bar = meter.ok ? barTicks(meter.value) : slotTicks('4') * 4;
  const slots = (id: SubdivisionId) => bar / slotTicks(id);
  const grids = (['8', '16', '8t'] as const).filter((id) => Number.isInteger(slots(id)));
  const has = recipe.play !== null;
  return [
    ...(has ? grids : []).map((slot): RangeOffer => ({
      says: `every displacement of the line in ${subdivision(slot).name}`,
      value: numbers({ ...LINE_LATER, slot }, 'by', 0, slots(slot) - 1),
    })),
    ...(has ? (['16'] as const) : []).map((slot): RangeOffer => ({
      says: `every displacement of its accents in ${subdivision(slot).name}`,
      value: numbers({ ...LINE_LATER, what: 'accents', slot }, 'by', 0, slots(slot) - 1),
    })),
    ...(has
      ? [
          {
            says: 'each of the first four notes pushed',
            value: numbers(
              { kind: 'push', part: 'line', note: 1, by: 1, slot: '16' },
              'note',
              1,
              4,
            ),
          },
        ]
      : []),
    placed('bass drum on every one of four 16ths', BASS, '16', 4, 1, 1, 'any', 'x'),
    placed('bass drum on every pair of neighbours of four', BASS, '16', 4, 2, 2, 'adjacent', 'x'),
    placed('bass drum on any of four 16ths', BASS, '16', 4, 1, 4, 'any', 'x'),
    placed('bass drum: every 1 to 3 of the 8ths', BASS, '8', slots('8'), 1, 3, 'any', 'x'),
    placed('ghosted snare: every one of the 16ths', SNARE, '16', slots('16'), 1, 1, 'any', 'g'),
    {
      says: 'ghosted snares, 1 to 3 before each accent',
      value: numbers(
        {
          kind: 'thicken',
          around: 'accents',
          side: 'before',
          count: 1,
          slot: '16',
          to: SNARE,
          dynamic: 'ghost',
        },
        'count',
        1,
        3,
      ),
    },
    {
      says: 'bass drum on every 2nd to 5th note of the right hand',
      value: numbers(
        {
          kind: 'every-nth',
          of: { limb: 'RH', voice: null },
          nth: 2,
          first: 1,
          to: BASS,
          dynamic: 'normal',
        },
        'nth',
        2,
        5,
      ),
    },
    {
      says: 'every rotation of bass drum, high tom, floor tom',
      value: numbers(
        {
          kind: 'turn',
          part: 'all',
          voices: ['bass', 'tom-high', 'tom-floor'],
          turn: 0,
          reversed: false,
        },
        'turn',
        0,
        2,
      ),
    },
  ].filter(({ value }) => value.kind !== 'placements' || Number.isInteger(value.slots));
}

type Field = Extract<ChangeValue, { kind: 'numbers' }>['field'];

function numbers(change: Change, field: Field, from: number, to: number): ChangeValue {
  return { kind: 'numbers', change, field, from, to };
}

function placed(
  says: string,
  to: typeof BASS | typeof SNARE,
  slot: SubdivisionId,
  slots: number,
  least: number,
  most: number,
  spacing: 'any' | 'adjacent',
  grid: string,
): RangeOffer {
  const change: Change = { kind: 'place', to, slot, grid };
  return { says, value: { kind: 'placements', change, slots, least, most, spacing } };
}

/** A range or a change in the words of the sentence. */
export function sayRange(value: ChangeValue, recipe: ClosedRecipe): string | null {
  if (value.kind === 'one') return null;
  const text = JSON.stringify(value);
  const offer = rangeOffers(recipe).find((one) => JSON.stringify(one.value) === text);
  if (offer) return offer.says;
  if (value.kind === 'numbers') return `${FIELDS[value.field]} ${value.from} to ${value.to}`;
  const { slots, least, most, change } = value;
  const grid = change.kind === 'place' ? subdivision(change.slot).name : 'slots';
  const count = least === most ? `every ${least}` : `every ${least} to ${most}`;
  const { anchors = [], free } = value;
  const said = [
    `${count} of ${slots} ${grid}`,
    value.spacing === 'any' ? '' : SPACED[value.spacing],
    anchors.length > 0 ? `always ${sayPlaces(anchors)}` : '',
    free ? `besides only ${sayPlaces(free)}` : '',
  ];
  return said.filter(Boolean).join(', ');
}

const SPACED = { adjacent: 'neighbours', apart: 'apart', even: 'as even as can be' } as const;

/** Slots as they are counted on the page, from 1. */
function sayPlaces(slots: readonly number[]): string {
  return slots.map((slot) => slot + 1).join(' ');
}

const FIELDS: Readonly<Record<Field, string>> = {
  by: 'later by',
  note: 'note',
  nth: 'every nth,',
  first: 'from note',
  count: 'notes,',
  turn: 'turned',
};
