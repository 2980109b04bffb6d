'use client';

import { ToggleGroup } from 'radix-ui';
import type { ReactNode } from 'react';
import { unreachable } from '@/core/issue';
import { LIMBS, type Limb } from '@/core/kit';
import { DISPLACEMENT_SLOTS, type Change } from '@/core/recipe';
import { subdivision, type SubdivisionId } from '@/core/time';
import { AssignmentPhrase, Stepper, VoicePhrase } from './phrase-parts';

const FURTHEST = 64;

const PARTS = { line: 'line', over: 'ostinato', all: 'everything' } as const;
const WHATS = { pattern: 'all of it', accents: 'accents only', sticking: 'sticking only' } as const;
const MIRRORS = { hands: 'hands, feet stay', 'all limbs': 'all limbs' } as const;
const SCHOOLS = { grid: 'by the grid', groups: 'right leads each group' } as const;
const SLOTS = Object.fromEntries(
  DISPLACEMENT_SLOTS.map((id) => [id, subdivision(id).name]),
) as Record<SubdivisionId, string>;
const LIMB_NAMES = Object.fromEntries(LIMBS.map((limb) => [limb, limb])) as Record<Limb, string>;

type OnChange = (change: Change) => void;

/** One change of the recipe, all of its choices at hand. */
export function ChangeEditor({ change, onChange }: { change: Change; onChange: OnChange }) {
  return (
    <div className="flex flex-col gap-2">
      <Toggle
        label="Of"
        options={PARTS}
        value={change.part}
        onChoose={(part) => onChange({ ...change, part })}
      />
      <Details change={change} onChange={onChange} />
    </div>
  );
}

function Details({ change, onChange }: { change: Change; onChange: OnChange }) {
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
            options={LIMB_NAMES}
            value={change.from}
            onChoose={(from) => onChange({ ...change, from })}
          />
          <Row label="To">
            <AssignmentPhrase
              label="Given to"
              value={change.to}
              onChange={(to) => onChange({ ...change, to })}
            />
          </Row>
        </>
      );
    case 'revoice':
      return (
        <>
          <Row label="From">
            <VoicePhrase
              label="From voice"
              value={change.from}
              onChoose={(from) => onChange({ ...change, from })}
            />
          </Row>
          <Row label="To">
            <VoicePhrase
              label="To voice"
              value={change.to}
              onChoose={(to) => onChange({ ...change, to })}
            />
          </Row>
        </>
      );
    case 'reverse':
      return (
        <Row label="In">
          <Slots value={change.slot} onChoose={(slot) => onChange({ ...change, slot })} />
        </Row>
      );
    case 'swap-feet':
      return null;
    default:
      return unreachable(change);
  }
}

function within(count: number, least: number): number {
  return Math.max(least, Math.min(FURTHEST, count));
}

function Row({ label, children }: { label: string; children: ReactNode }) {
  return (
    <div className="flex items-center gap-2">
      <span className="label w-16">{label}</span>
      {children}
    </div>
  );
}

function Slots({
  value,
  onChoose,
}: {
  value: SubdivisionId;
  onChoose: (value: SubdivisionId) => void;
}) {
  return <Toggle label="Unit" bare options={SLOTS} value={value} onChoose={onChoose} />;
}

function Toggle<T extends string>({
  label,
  options,
  value,
  onChoose,
  bare = false,
}: {
  label: string;
  options: Readonly<Record<T, string>>;
  value: T;
  onChoose: (value: T) => void;
  /** Without its label beside it. */
  bare?: boolean;
}) {
  const group = (
    <ToggleGroup.Root
      type="single"
      aria-label={label}
      value={value}
      onValueChange={(next) => next && onChoose(next as T)}
      className="flex flex-wrap rounded-sm border border-line"
    >
      {Object.entries<string>(options).map(([key, text]) => (
        <ToggleGroup.Item
          key={key}
          value={key}
          className="px-2 py-0.5 text-sm data-[state=on]:bg-ink data-[state=on]:text-paper"
        >
          {text}
        </ToggleGroup.Item>
      ))}
    </ToggleGroup.Root>
  );
  return bare ? group : <Row label={label}>{group}</Row>;
}
