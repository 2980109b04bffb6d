'use client';

import { unreachable } from '@/core/issue';
import { LIMBS } from '@/core/kit';
import { type Change } from '@/core/recipe';
import { Button } from '../base';
import { AddingDetails, type AddingChange } from './change-adding';
import { LIMB_WORDS, PlayedBy, Row, Slots, Toggle, VoiceRow } from './change-parts';
import { Stepper } from './phrase-parts';
import { TurnDetails } from './change-turn';

const FURTHEST = 64;

const PARTS = { line: 'line', over: 'ostinato', all: 'everything' } as const;
const WHATS = { pattern: 'all of it', accents: 'accents only', sticking: 'sticking only' } as const;
const MIRRORS = { hands: 'hands, feet stay', 'all limbs': 'all limbs' } as const;
const SCHOOLS = { grid: 'by the grid', groups: 'right leads each group' } as const;
const HANDS = { kept: 'as they were', anew: 'alternating again' } as const;
const KEEPS = { accents: 'accents', beats: 'beats', 'every other': 'every other' } as const;

type OnChange = (change: Change) => void;

/** One change of the recipe, all of its choices at hand. */
export function ChangeEditor({ change, onChange }: { change: Change; onChange: OnChange }) {
  return (
    <div className="flex flex-col gap-2">
      {'part' in change && (
        <Toggle
          label="Of"
          options={PARTS}
          value={change.part}
          onChoose={(part) => onChange({ ...change, part })}
        />
      )}
      {isAdding(change) ? (
        <AddingDetails change={change} onChange={onChange} />
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
  switch (change.kind) {
    case 'displace':
      return (
        <>
          <Toggle
            label="Move"
            options={WHATS}
            value={change.what}
            onChoose={(what) => onChange({ ...change, what })}
          />
          <Row label="Later by">
            <Stepper
              label="Later by"
              signed
              value={change.by}
              onChange={(by) => onChange({ ...change, by: within(by, -FURTHEST) })}
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
          <Row label="Note">
            <Stepper
              label="Note"
              value={change.note}
              onChange={(note) => onChange({ ...change, note: within(note, 1) })}
            />
          </Row>
          <Row label="Earlier by">
            <Stepper
              label="Earlier by"
              value={change.by}
              onChange={(by) => onChange({ ...change, by: within(by, 1) })}
            />
            <Slots value={change.slot} onChoose={(slot) => onChange({ ...change, slot })} />
          </Row>
        </>
      );
    case 'mirror':
      return (
        <Toggle
          label="Mirror"
          options={MIRRORS}
          value={change.what}
          onChoose={(what) => onChange({ ...change, what })}
        />
      );
    case 'footing':
      return (
        <Toggle
          label="Feet"
          options={SCHOOLS}
          value={change.school}
          onChoose={(school) => onChange({ ...change, school })}
        />
      );
    case 'give':
      return (
        <>
          <Toggle
            label="From"
            options={LIMB_WORDS}
            value={change.from}
            onChoose={(from) => onChange({ ...change, from })}
          />
          <PlayedBy
            row="To"
            label="Give to"
            value={change.to}
            onChange={(to) => onChange({ ...change, to })}
          />
        </>
      );
    case 'revoice':
      return (
        <>
          <VoiceRow
            row="From"
            label="From voice"
            value={change.from}
            onChoose={(from) => onChange({ ...change, from })}
          />
          <VoiceRow
            row="To"
            label="To voice"
            value={change.to}
            onChoose={(to) => onChange({ ...change, to })}
          />
        </>
      );
    case 'substitute':
      return (
        <>
          <Row label="Stroke">
            <Stepper
              label="Stroke"
              value={change.place}
              onChange={(place) =>
                onChange({ ...change, place: Math.min(within(place, 1), change.every) })
              }
            />
            of every
            <Stepper
              label="Of every"
              value={change.every}
              onChange={(every) => {
                const most = within(every, 1);
                onChange({ ...change, every: most, place: Math.min(change.place, most) });
              }}
            />
          </Row>
          <PlayedBy
            row="To"
            label="Give to"
            value={change.to}
            onChange={(to) => onChange({ ...change, to })}
          />
          <Toggle
            label="Hands"
            options={HANDS}
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
            label="Limb"
            options={LIMB_WORDS}
            value={change.limb}
            onChoose={(limb) => onChange({ ...change, limb })}
          />
          <Toggle
            label="Keep"
            options={KEEPS}
            value={change.keep}
            onChoose={(keep) => onChange({ ...change, keep })}
          />
        </>
      );
    case 'open-graces':
    case 'reverse':
      return (
        <Row label="In">
          <Slots value={change.slot} onChoose={(slot) => onChange({ ...change, slot })} />
        </Row>
      );
    case 'only':
      return (
        <Row label="Limbs">
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
          <Row label="From">
            <Stepper
              label="From"
              value={change.from}
              onChange={(from) => onChange({ ...change, from: within(from, 0) })}
            />
            <Slots value={change.slot} onChoose={(slot) => onChange({ ...change, slot })} />
          </Row>
          <Row label="Long">
            <Stepper
              label="Long"
              value={change.slots}
              onChange={(slots) => onChange({ ...change, slots: within(slots, 1) })}
            />
          </Row>
        </>
      );
    case 'hand':
      return <p className="max-w-72 text-sm text-soft">Made on the lanes, and changed there.</p>;
    case 'plain':
    case 'swap-feet':
      return null;
    default:
      return unreachable(change);
  }
}

function within(count: number, least: number): number {
  return Math.max(least, Math.min(FURTHEST, count));
}
