'use client';

import { unreachable } from '@/core/issue';
import { LIMBS, type Limb } from '@/core/kit';
import { type Change } from '@/core/recipe';
import { CHANGE_NUMBERS } from '@/core/transform';
import { sayEach } from '@/words';
import { Button, useSpeech } from '../base';
import { AddingDetails, type AddingChange } from './change-adding';
import type { PlacementRange } from './change-place';
import { LIMB_WORDS, PlayedBy, Row, Slots, Toggle, VoiceRow } from './change-parts';
import { Stepper } from './phrase-parts';
import { TurnDetails } from './change-turn';

const PARTS = {
  line: 'screen.bench.partLine',
  over: 'screen.bench.partOver',
  all: 'screen.bench.partAll',
} as const;
const WHATS = {
  pattern: 'screen.bench.allOfIt',
  accents: 'screen.bench.accentsOnly',
  sticking: 'screen.bench.stickingOnly',
} as const;
const MIRRORS = {
  hands: 'screen.bench.handsFeetStay',
  'all limbs': 'screen.bench.allLimbs',
} as const;
const SCHOOLS = {
  grid: 'screen.bench.byTheGrid',
  groups: 'screen.bench.rightLeadsEachGroup',
} as const;
const HANDS = { kept: 'screen.bench.asTheyWere', anew: 'screen.bench.alternatingAgain' } as const;
const KEEPS = {
  accents: 'screen.bench.accents',
  beats: 'screen.bench.beats',
  'every other': 'screen.bench.everyOther',
} as const;

const EVERY_LIMB = 'every';

type OnChange = (change: Change) => void;

/** One change of the recipe, all of its choices at hand. */
export function ChangeEditor({
  change,
  onChange,
  onVary,
}: {
  change: Change;
  onChange: OnChange;
  /** Makes a family of all placements that a rule allows. */
  onVary?: (range: PlacementRange) => void;
}) {
  const { say } = useSpeech();
  return (
    <div className="flex flex-col gap-2">
      {'part' in change && (
        <Toggle
          label={say.t('screen.bench.of')}
          options={sayEach(say, PARTS)}
          value={change.part}
          onChoose={(part) => onChange({ ...change, part })}
        />
      )}
      {isAdding(change) ? (
        <AddingDetails change={change} onChange={onChange} onVary={onVary} />
      ) : (
        <Details change={change} onChange={onChange} />
      )}
    </div>
  );
}

function isAdding(change: Change): change is AddingChange {
  return ['place', 'every-nth', 'thicken', 'orchestrate', 'aim'].includes(change.kind);
}

function Details({
  change,
  onChange,
}: {
  change: Exclude<Change, AddingChange>;
  onChange: OnChange;
}) {
  const { say } = useSpeech();
  switch (change.kind) {
    case 'displace':
      return (
        <>
          <Toggle
            label={say.t('screen.bench.move')}
            options={sayEach(say, WHATS)}
            value={change.what}
            onChoose={(what) => onChange({ ...change, what })}
          />
          <Row label={say.t('screen.bench.laterBy')}>
            <Stepper
              label={say.t('screen.bench.laterBy')}
              signed
              value={change.by}
              bounds={CHANGE_NUMBERS.displace.by}
              onChange={(by) => onChange({ ...change, by })}
            />
            {change.what !== 'sticking' && (
              <Slots value={change.slot} onChoose={(slot) => onChange({ ...change, slot })} />
            )}
          </Row>
        </>
      );
    case 'push':
      return (
        <>
          <Row label={say.t('screen.bench.note')}>
            <Stepper
              label={say.t('screen.bench.note')}
              value={change.note}
              bounds={CHANGE_NUMBERS.push.note}
              onChange={(note) => onChange({ ...change, note })}
            />
          </Row>
          <Row label={say.t('screen.bench.earlierBy')}>
            <Stepper
              label={say.t('screen.bench.earlierBy')}
              value={change.by}
              bounds={CHANGE_NUMBERS.push.by}
              onChange={(by) => onChange({ ...change, by })}
            />
            <Slots value={change.slot} onChoose={(slot) => onChange({ ...change, slot })} />
          </Row>
        </>
      );
    case 'mirror':
      return (
        <Toggle
          label={say.t('screen.bench.mirror')}
          options={sayEach(say, MIRRORS)}
          value={change.what}
          onChoose={(what) => onChange({ ...change, what })}
        />
      );
    case 'footing':
      return (
        <Toggle
          label={say.t('screen.bench.feet')}
          options={sayEach(say, SCHOOLS)}
          value={change.school}
          onChoose={(school) => onChange({ ...change, school })}
        />
      );
    case 'give':
      return (
        <>
          <Toggle
            label={say.t('screen.common.fromCapital')}
            options={LIMB_WORDS}
            value={change.from}
            onChoose={(from) => onChange({ ...change, from })}
          />
          <PlayedBy
            row={say.t('screen.common.toCapital')}
            label={say.t('screen.bench.giveTo')}
            value={change.to}
            onChange={(to) => onChange({ ...change, to })}
          />
        </>
      );
    case 'revoice':
      return (
        <>
          <Toggle
            label={say.t('screen.bench.limbCapital')}
            options={{ [EVERY_LIMB]: say.t('screen.bench.everyLimb'), ...LIMB_WORDS }}
            value={change.limb ?? EVERY_LIMB}
            onChoose={(whose) =>
              onChange({ ...change, limb: whose === EVERY_LIMB ? undefined : (whose as Limb) })
            }
          />
          <VoiceRow
            row={say.t('screen.common.fromCapital')}
            label={say.t('screen.bench.fromVoice')}
            value={change.from}
            onChoose={(from) => onChange({ ...change, from })}
          />
          <VoiceRow
            row={say.t('screen.common.toCapital')}
            label={say.t('screen.bench.toVoice')}
            value={change.to}
            onChoose={(to) => onChange({ ...change, to })}
          />
        </>
      );
    case 'substitute':
      return (
        <>
          <Row label={say.t('screen.bench.stroke')}>
            {say.t.rich('screen.bench.strokeOfEvery', {
              stroke: () => (
                <Stepper
                  label={say.t('screen.bench.stroke')}
                  value={change.place}
                  bounds={{ ...CHANGE_NUMBERS.substitute.place, most: change.every }}
                  onChange={(place) => onChange({ ...change, place })}
                />
              ),
              every: () => (
                <Stepper
                  label={say.t('screen.bench.ofEvery')}
                  value={change.every}
                  bounds={CHANGE_NUMBERS.substitute.every}
                  onChange={(every) =>
                    onChange({ ...change, every, place: Math.min(change.place, every) })
                  }
                />
              ),
            })}
          </Row>
          <PlayedBy
            row={say.t('screen.common.toCapital')}
            label={say.t('screen.bench.giveTo')}
            value={change.to}
            onChange={(to) => onChange({ ...change, to })}
          />
          <Toggle
            label={say.t('screen.bench.hands')}
            options={sayEach(say, HANDS)}
            value={change.hands}
            onChoose={(hands) => onChange({ ...change, hands })}
          />
        </>
      );
    case 'turn':
      return <TurnDetails change={change} onChange={onChange} />;
    case 'thin':
      return (
        <>
          <Toggle
            label={say.t('screen.bench.limbCapital')}
            options={LIMB_WORDS}
            value={change.limb}
            onChoose={(limb) => onChange({ ...change, limb })}
          />
          <Toggle
            label={say.t('screen.common.keepCapital')}
            options={sayEach(say, KEEPS)}
            value={change.keep}
            onChoose={(keep) => onChange({ ...change, keep })}
          />
        </>
      );
    case 'open-graces':
    case 'reverse':
      return (
        <Row label={say.t('screen.bench.in')}>
          <Slots value={change.slot} onChoose={(slot) => onChange({ ...change, slot })} />
        </Row>
      );
    case 'grace-width':
      return (
        <Row label={say.t('screen.bench.apart')}>
          <Stepper
            label={say.t('screen.bench.graceNotesApart')}
            value={change.ms}
            bounds={CHANGE_NUMBERS['grace-width'].ms}
            onChange={(ms) => onChange({ ...change, ms })}
          />
          {say.t('screen.bench.milliseconds')}
        </Row>
      );
    case 'only':
      return (
        <Row label={say.t('screen.bench.limbs')}>
          {LIMBS.map((limb) => {
            const on = change.limbs.includes(limb);
            const others = change.limbs.filter((one) => one !== limb);
            return (
              <Button
                key={limb}
                className="h-7 px-2"
                aria-pressed={on}
                onClick={() => {
                  const limbs = on ? others : [...change.limbs, limb];
                  if (limbs.length > 0) onChange({ ...change, limbs });
                }}
              >
                {limb}
              </Button>
            );
          })}
        </Row>
      );
    case 'excerpt':
      return (
        <>
          <Row label={say.t('screen.common.fromCapital')}>
            <Stepper
              label={say.t('screen.common.fromCapital')}
              value={change.from}
              bounds={CHANGE_NUMBERS.excerpt.from}
              onChange={(from) => onChange({ ...change, from })}
            />
            <Slots value={change.slot} onChoose={(slot) => onChange({ ...change, slot })} />
          </Row>
          <Row label={say.t('screen.bench.long')}>
            <Stepper
              label={say.t('screen.bench.long')}
              value={change.slots}
              bounds={CHANGE_NUMBERS.excerpt.slots}
              onChange={(slots) => onChange({ ...change, slots })}
            />
          </Row>
        </>
      );
    case 'hand':
      return (
        <p className="max-w-72 text-sm text-soft">
          {say.t('screen.bench.madeOnTheLanesAndChanged')}
        </p>
      );
    case 'plain':
    case 'swap-feet':
      return null;
    default:
      return unreachable(change);
  }
}
