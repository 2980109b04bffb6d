import { barTicks, parseMeter, slotTicks, type SubdivisionId } from '../time';
import type { Change, ClosedRecipe } from '../recipe';
import { boundsOf, type Bounds } from '../transform';
import { RUNNING } from './data';
import type { ChangeValue } from './schema';

/** A range of changes, as a chooser offers it. */
export interface RangeOffer {
  readonly id: RangeId;
  /** The grid of those that are offered in several. */
  readonly slot?: SubdivisionId;
  readonly value: ChangeValue;
}

type RangeId =
  | 'displace'
  | 'displace-accents'
  | 'push'
  | 'bass-one'
  | 'bass-pair'
  | 'bass-any'
  | 'bass-eighths'
  | 'ghost-one'
  | 'ghosts-before'
  | 'every-nth'
  | 'rotate';

const BASS = { limb: 'RF', voice: 'bass' } as const;
const SNARE = { limb: 'LH', voice: 'snare' } as const;

const LINE_LATER = {
  kind: 'displace',
  what: 'pattern',
  part: 'line',
  by: 1,
  slot: '16',
} as const satisfies Change;

/** How far the number of a range may run. */
export function boundsOfRange({
  change,
  field,
}: Extract<ChangeValue, { kind: 'numbers' }>): Bounds {
  const own = boundsOf(change.kind, field) ?? RUNNING;
  return {
    least: Math.max(own.least, RUNNING.least),
    most: Math.min(own.most, RUNNING.most),
  };
}

/** Ranges that make sense for a recipe, the most usual first. */
export function rangeOffers(recipe: ClosedRecipe): readonly RangeOffer[] {
  const meter = parseMeter(recipe.meter);
  const bar = meter.ok ? barTicks(meter.value) : slotTicks('4') * 4;
  const slots = (id: SubdivisionId) => bar / slotTicks(id);
  const grids = (['8', '16', '8t'] as const).filter((id) => Number.isInteger(slots(id)));
  const has = recipe.play !== null;
  return [
    ...(has ? grids : []).map((slot): RangeOffer => ({
      id: 'displace',
      slot,
      value: numbers({ ...LINE_LATER, slot }, 'by', 0, slots(slot) - 1),
    })),
    ...(has ? (['16'] as const) : []).map((slot): RangeOffer => ({
      id: 'displace-accents',
      slot,
      value: numbers({ ...LINE_LATER, what: 'accents', slot }, 'by', 0, slots(slot) - 1),
    })),
    ...(has
      ? [
          {
            id: 'push' as const,
            value: numbers(
              { kind: 'push', part: 'line', note: 1, by: 1, slot: '16' },
              'note',
              1,
              4,
            ),
          },
        ]
      : []),
    placed('bass-one', BASS, '16', 4, 1, 1, 'any', 'x'),
    placed('bass-pair', BASS, '16', 4, 2, 2, 'adjacent', 'x'),
    placed('bass-any', BASS, '16', 4, 1, 4, 'any', 'x'),
    placed('bass-eighths', BASS, '8', slots('8'), 1, 3, 'any', 'x'),
    placed('ghost-one', SNARE, '16', slots('16'), 1, 1, 'any', 'g'),
    {
      id: 'ghosts-before' as const,
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
      id: 'every-nth' as const,
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
      id: 'rotate' as const,
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

type RangeField = Extract<ChangeValue, { kind: 'numbers' }>['field'];

function numbers(change: Change, field: RangeField, from: number, to: number): ChangeValue {
  return { kind: 'numbers', change, field, from, to };
}

function placed(
  id: RangeId,
  to: typeof BASS | typeof SNARE,
  slot: SubdivisionId,
  slots: number,
  least: number,
  most: number,
  spacing: 'any' | 'adjacent',
  grid: string,
): RangeOffer {
  const change: Change = { kind: 'place', to, slot, grid };
  return { id, value: { kind: 'placements', change, slots, least, most, spacing } };
}
