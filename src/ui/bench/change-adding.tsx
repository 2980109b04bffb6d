'use client';

import { unreachable } from '@/core/issue';
import { voice, VOICES, type Limb, type VoiceId } from '@/core/kit';
import { DYNAMICS, type Dynamic } from '@/core/pattern';
import type { Change } from '@/core/recipe';
import { CHOSEN_NOTES } from '@/core/transform';
import { Choice } from '../base';
import { LIMB_WORDS, PlayedBy, Row, Slots, Toggle, VoiceRow } from './change-parts';
import { Stepper } from './phrase-parts';
import { PlaceDetails } from './change-place';

/** Changes that look at all parts at once. */
export type AddingChange = Extract<
  Change,
  { kind: 'place' | 'every-nth' | 'thicken' | 'orchestrate' | 'aim' }
>;

const DYNAMIC_WORDS = Object.fromEntries(DYNAMICS.map((one) => [one, one])) as Record<
  Dynamic,
  string
>;
const SIDES = { before: 'before', after: 'after', both: 'both' } as const;
const PASSES = { every: 'every time', second: 'every second time' } as const;
const LANDS = { end: 'its end', 'last note': 'its last note' } as const;
const UNDER = { 'goes on': 'goes on', rests: 'rests' } as const;
const NOTES = Object.fromEntries(CHOSEN_NOTES.map((one) => [one, one])) as Record<
  (typeof CHOSEN_NOTES)[number],
  string
>;
const WHOSE = { hands: 'both hands', ...LIMB_WORDS } as const;

const AROUND = [
  { value: 'accents', text: 'accent' },
  ...VOICES.map(({ id, name }) => ({ value: id, text: name })),
] as const;

export function AddingDetails({
  change,
  onChange,
}: {
  change: AddingChange;
  onChange: (change: AddingChange) => void;
}) {
  switch (change.kind) {
    case 'place':
      return <PlaceDetails change={change} onChange={onChange} />;
    case 'every-nth':
      return (
        <>
          <PlayedBy
            row="Add"
            label="Added"
            value={change.to}
            onChange={(to) => onChange({ ...change, to })}
          />
          <Row label="Every nth">
            <Stepper
              label="Every nth"
              value={change.nth}
              onChange={(nth) => onChange({ ...change, nth: within(nth, 32) })}
            />
            from note
            <Stepper
              label="From note"
              value={change.first}
              onChange={(first) => onChange({ ...change, first: within(first, 32) })}
            />
          </Row>
          <Toggle
            label="Of the"
            options={LIMB_WORDS}
            value={change.of.limb}
            onChoose={(limb) => onChange({ ...change, of: { limb, voice: null } })}
          />
          <Toggle
            label="Level"
            options={DYNAMIC_WORDS}
            value={change.dynamic}
            onChoose={(dynamic) => onChange({ ...change, dynamic })}
          />
        </>
      );
    case 'thicken':
      return (
        <>
          <PlayedBy
            row="Add"
            label="Added"
            value={change.to}
            onChange={(to) => onChange({ ...change, to })}
          />
          <Row label="Around each">
            <Choice
              label="Around each"
              options={AROUND}
              value={change.around}
              onChoose={(around) => onChange({ ...change, around: around as 'accents' | VoiceId })}
            >
              {change.around === 'accents' ? 'accent' : voice(change.around).name}
            </Choice>
          </Row>
          <Toggle
            label="Side"
            options={SIDES}
            value={change.side}
            onChoose={(side) => onChange({ ...change, side })}
          />
          <Row label="Notes">
            <Stepper
              label="Notes"
              value={change.count}
              onChange={(count) => onChange({ ...change, count: within(count, 8) })}
            />
            <Slots value={change.slot} onChoose={(slot) => onChange({ ...change, slot })} />
          </Row>
          <Toggle
            label="Level"
            options={DYNAMIC_WORDS}
            value={change.dynamic}
            onChoose={(dynamic) => onChange({ ...change, dynamic })}
          />
        </>
      );
    case 'orchestrate':
      return (
        <>
          <Toggle
            label="Notes"
            options={NOTES}
            value={change.notes}
            onChoose={(notes) => onChange({ ...change, notes })}
          />
          <Toggle
            label="Of"
            options={WHOSE}
            value={change.limb ?? 'hands'}
            onChoose={(whose) =>
              onChange({ ...change, limb: whose === 'hands' ? null : (whose as Limb) })
            }
          />
          <VoiceRow
            row="To"
            label="To voice"
            value={change.to}
            onChoose={(to) => onChange({ ...change, to })}
          />
          <Toggle
            label="Pass"
            options={PASSES}
            value={change.pass}
            onChoose={(pass) => onChange({ ...change, pass })}
          />
        </>
      );
    case 'aim':
      return (
        <>
          <Row label="In all">
            <Stepper
              label="Bars in all"
              value={change.bars}
              onChange={(bars) => onChange({ ...change, bars: within(bars, 64) })}
            />
            bars, the line
            <Stepper
              label="Times"
              value={change.times}
              onChange={(times) => onChange({ ...change, times: within(times, 16) })}
            />
            times
          </Row>
          <Toggle
            label="Landing"
            options={LANDS}
            value={change.by}
            onChoose={(by) => onChange({ ...change, by })}
          />
          <Row label="After beat 1">
            <Stepper
              label="After beat 1"
              signed
              value={change.lands}
              onChange={(lands) =>
                onChange({ ...change, lands: Math.max(-64, Math.min(64, lands)) })
              }
            />
            <Slots value={change.slot} onChoose={(slot) => onChange({ ...change, slot })} />
          </Row>
          <Toggle
            label="Ostinato"
            options={UNDER}
            value={change.over}
            onChoose={(over) => onChange({ ...change, over })}
          />
        </>
      );
    default:
      return unreachable(change);
  }
}

function within(count: number, most: number): number {
  return Math.max(1, Math.min(most, count));
}
