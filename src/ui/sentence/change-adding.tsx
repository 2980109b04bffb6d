'use client';

import { unreachable } from '@/core/issue';
import { VOICES, type Limb, type VoiceId } from '@/core/kit';
import type { Change } from '@/core/recipe';
import { CHANGE_NUMBERS } from '@/core/transform';
import { sayChosenNotes, sayDynamics, sayEach, sayVoice } from '@/words';
import { Choice, useSpeech } from '../base';
import { LIMB_WORDS, PlayedBy, Row, Slots, Toggle, VoiceRow } from './change-parts';
import { Stepper } from './phrase-parts';
import { PlaceDetails, type PlacementRange } from './change-place';

/** Changes that look at all parts at once. */
export type AddingChange = Extract<
  Change,
  { kind: 'place' | 'every-nth' | 'thicken' | 'orchestrate' | 'aim' }
>;

const SIDES = {
  before: 'screen.bench.before',
  after: 'screen.bench.after',
  both: 'screen.bench.both',
} as const;
const PASSES = { every: 'screen.bench.everyTime', second: 'screen.bench.everySecondTime' } as const;
const LANDS = {
  end: 'screen.bench.itsEnd',
  'last note': 'screen.bench.itsLastNote',
  start: 'screen.bench.itsStart',
} as const;
const UNDER = { 'goes on': 'screen.bench.goesOn', rests: 'screen.bench.rests' } as const;

export function AddingDetails({
  change,
  onChange,
  onVary,
}: {
  change: AddingChange;
  onChange: (change: AddingChange) => void;
  onVary?: (range: PlacementRange) => void;
}) {
  const { say } = useSpeech();
  switch (change.kind) {
    case 'place':
      return <PlaceDetails change={change} onChange={onChange} onVary={onVary} />;
    case 'every-nth':
      return (
        <>
          <PlayedBy
            row={say.t('screen.common.add')}
            label={say.t('screen.bench.added')}
            value={change.to}
            onChange={(to) => onChange({ ...change, to })}
          />
          <Row label={say.t('screen.bench.everyNthCapital')}>
            {say.t.rich('screen.bench.everyNthFrom', {
              nth: () => (
                <Stepper
                  label={say.t('screen.bench.everyNthCapital')}
                  value={change.nth}
                  bounds={CHANGE_NUMBERS['every-nth'].nth}
                  onChange={(nth) => onChange({ ...change, nth })}
                />
              ),
              first: () => (
                <Stepper
                  label={say.t('screen.bench.fromNote')}
                  value={change.first}
                  bounds={CHANGE_NUMBERS['every-nth'].first}
                  onChange={(first) => onChange({ ...change, first })}
                />
              ),
            })}
          </Row>
          <Toggle
            label={say.t('screen.bench.ofThe')}
            options={LIMB_WORDS}
            value={change.of.limb}
            onChoose={(limb) => onChange({ ...change, of: { limb, voice: null } })}
          />
          <Toggle
            label={say.t('screen.bench.level')}
            options={sayDynamics(say)}
            value={change.dynamic}
            onChoose={(dynamic) => onChange({ ...change, dynamic })}
          />
        </>
      );
    case 'thicken':
      return (
        <>
          <PlayedBy
            row={say.t('screen.common.add')}
            label={say.t('screen.bench.added')}
            value={change.to}
            onChange={(to) => onChange({ ...change, to })}
          />
          <Row label={say.t('screen.bench.aroundEach')}>
            <Choice
              label={say.t('screen.bench.aroundEach')}
              options={[
                { value: 'accents', text: say.t('screen.bench.accent') },
                ...VOICES.map(({ id }) => ({ value: id, text: sayVoice(say, id) })),
              ]}
              value={change.around}
              onChoose={(around) => onChange({ ...change, around: around as 'accents' | VoiceId })}
            >
              {change.around === 'accents'
                ? say.t('screen.bench.accent')
                : sayVoice(say, change.around)}
            </Choice>
          </Row>
          <Toggle
            label={say.t('screen.bench.side')}
            options={sayEach(say, SIDES)}
            value={change.side}
            onChoose={(side) => onChange({ ...change, side })}
          />
          <Row label={say.t('screen.bench.notes')}>
            <Stepper
              label={say.t('screen.bench.notes')}
              value={change.count}
              bounds={CHANGE_NUMBERS.thicken.count}
              onChange={(count) => onChange({ ...change, count })}
            />
            <Slots value={change.slot} onChoose={(slot) => onChange({ ...change, slot })} />
          </Row>
          <Toggle
            label={say.t('screen.bench.level')}
            options={sayDynamics(say)}
            value={change.dynamic}
            onChoose={(dynamic) => onChange({ ...change, dynamic })}
          />
        </>
      );
    case 'orchestrate':
      return (
        <>
          <Toggle
            label={say.t('screen.bench.notes')}
            options={sayChosenNotes(say)}
            value={change.notes}
            onChoose={(notes) => onChange({ ...change, notes })}
          />
          <Toggle
            label={say.t('screen.bench.of')}
            options={{ hands: say.t('screen.bench.bothHands'), ...LIMB_WORDS }}
            value={change.limb ?? 'hands'}
            onChoose={(whose) =>
              onChange({ ...change, limb: whose === 'hands' ? null : (whose as Limb) })
            }
          />
          <VoiceRow
            row={say.t('screen.common.toCapital')}
            label={say.t('screen.bench.toVoice')}
            value={change.to}
            onChoose={(to) => onChange({ ...change, to })}
          />
          <Toggle
            label={say.t('screen.bench.pass')}
            options={sayEach(say, PASSES)}
            value={change.pass}
            onChoose={(pass) => onChange({ ...change, pass })}
          />
        </>
      );
    case 'aim':
      return (
        <>
          <Row label={say.t('screen.bench.inAll')}>
            {say.t.rich('screen.bench.barsTheLineTimes', {
              bars: () => (
                <Stepper
                  label={say.t('screen.bench.barsInAll')}
                  value={change.bars}
                  bounds={CHANGE_NUMBERS.aim.bars}
                  onChange={(bars) => onChange({ ...change, bars })}
                />
              ),
              times: () => (
                <Stepper
                  label={say.t('screen.bench.times')}
                  value={change.times}
                  bounds={CHANGE_NUMBERS.aim.times}
                  onChange={(times) => onChange({ ...change, times })}
                />
              ),
            })}
          </Row>
          <Toggle
            label={say.t('screen.bench.landing')}
            options={sayEach(say, LANDS)}
            value={change.by}
            onChoose={(by) =>
              onChange({
                ...change,
                by,
                lands: by === 'start' ? Math.max(0, change.lands) : change.lands,
              })
            }
          />
          {change.by === 'start' && <StartsOn change={change} onChange={onChange} />}
          <Row
            label={say.t(
              change.by === 'start' ? 'screen.bench.andThen' : 'screen.bench.afterBeat1',
            )}
          >
            <Stepper
              label={say.t(
                change.by === 'start' ? 'screen.bench.andThen' : 'screen.bench.afterBeat1',
              )}
              signed={change.by !== 'start'}
              value={change.lands}
              bounds={{
                ...CHANGE_NUMBERS.aim.lands,
                ...(change.by === 'start' ? { least: 0 } : {}),
              }}
              onChange={(lands) => onChange({ ...change, lands })}
            />
            <Slots value={change.slot} onChoose={(slot) => onChange({ ...change, slot })} />
          </Row>
          <Toggle
            label={say.t('screen.bench.ostinato')}
            options={sayEach(say, UNDER)}
            value={change.over}
            onChoose={(over) => onChange({ ...change, over })}
          />
        </>
      );
    default:
      return unreachable(change);
  }
}

type Aim = Extract<Change, { kind: 'aim' }>;

/** Bar and beat of where a phrase starts, both from 1. */
function StartsOn({ change, onChange }: { change: Aim; onChange: (change: Aim) => void }) {
  const { say } = useSpeech();
  const on = change.on ?? { bar: change.bars, beat: 1 };
  return (
    <Row label={say.t('screen.bench.onBeat')}>
      {say.t.rich('screen.bench.beatOfBar', {
        beat: () => (
          <Stepper
            label={say.t('screen.bench.onBeat')}
            value={on.beat}
            bounds={CHANGE_NUMBERS.aim.beat}
            onChange={(beat) => onChange({ ...change, on: { ...on, beat } })}
          />
        ),
        bar: () => (
          <Stepper
            label={say.t('screen.bench.ofBar')}
            value={on.bar}
            bounds={{ ...CHANGE_NUMBERS.aim.bars, most: change.bars }}
            onChange={(bar) => onChange({ ...change, on: { ...on, bar } })}
          />
        ),
      })}
    </Row>
  );
}
