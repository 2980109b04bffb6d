'use client';

import {
  boundsOfRange,
  countValues,
  PLACED_SLOTS,
  type Axis,
  type ChangeValue,
} from '@/core/family';
import type { Bounds } from '@/core/transform';
import { sayEach } from '@/words';
import { useSpeech } from '../base';
import { PlayedBy, Stepper, Toggle } from '../sentence';

type Range = Exclude<ChangeValue, { kind: 'one' }>;

const SPACINGS = {
  any: 'screen.variations.any',
  adjacent: 'screen.variations.neighbours',
  apart: 'screen.variations.apart',
  even: 'screen.common.asEvenAsCanBe',
} as const;

/** What a range goes from and to. */
export function RangeFields({
  value,
  onChange,
}: {
  value: Range;
  onChange: (value: Range) => void;
}) {
  if (value.kind !== 'numbers') return <Placements value={value} onChange={onChange} />;
  return (
    <Ends
      from={value.from}
      to={value.to}
      bounds={boundsOfRange(value)}
      onChange={(from, to) => onChange({ ...value, from, to })}
    />
  );
}

type PlacementRange = Extract<Range, { kind: 'placements' }>;

/** How many notes, in which slots, and how they lie to each other; how many ways that makes. */
function Placements({
  value,
  onChange,
}: {
  value: PlacementRange;
  onChange: (value: Range) => void;
}) {
  const { say } = useSpeech();
  const axis: Axis = { at: 'change', index: 0, values: [value] };
  const { change } = value;
  if (change.kind !== 'place') return null;
  const [mark = 'x'] = /[xXg]/.exec(change.grid) ?? [];
  return (
    <>
      <PlayedBy
        row={say.t('screen.common.add')}
        label={say.t('screen.bench.added')}
        value={change.to}
        onChange={(to) => onChange({ ...value, change: { ...change, to } })}
      />
      <Toggle
        label={say.t('screen.bench.level')}
        options={sayEach(say, LEVELS)}
        value={mark as keyof typeof LEVELS}
        onChoose={(next) =>
          onChange({ ...value, change: { ...change, grid: change.grid.replace(/[xXg]/g, next) } })
        }
      />
      <Ends
        from={value.least}
        to={value.most}
        bounds={{ least: 0, most: value.slots }}
        onChange={(least, most) => onChange({ ...value, least, most })}
      />
      <label className="flex items-center gap-2">
        <span className="label w-12">{say.t('screen.variations.ofSlots')}</span>
        <Stepper
          label={say.t('screen.common.slots')}
          value={value.slots}
          bounds={{ ...PLACED_SLOTS, least: value.most }}
          onChange={(slots) => onChange({ ...value, slots })}
        />
      </label>
      <Toggle
        label={say.t('screen.common.spacing')}
        bare
        options={sayEach(say, SPACINGS)}
        value={value.spacing}
        onChoose={(spacing) => onChange({ ...value, spacing })}
      />
      <SlotChoice value={value} onChange={onChange} />
      <p className="text-sm text-soft" data-testid="placement-count">
        {say.t('screen.variations.ways', { count: countValues(axis) })}
      </p>
    </>
  );
}

/** How loud the notes are, by their mark in a grid. */
const LEVELS = {
  g: 'screen.bench.ghosts',
  x: 'screen.bench.normal',
  X: 'screen.bench.accents',
} as const;

const CHOICES = { may: '○', always: '●', never: '–' } as const;
type Choice = keyof typeof CHOICES;

const NEXT: Readonly<Record<Choice, Choice>> = { may: 'always', always: 'never', never: 'may' };

/** Each slot may be taken, is always taken, or never: a touch goes on to the next. */
function SlotChoice({
  value,
  onChange,
}: {
  value: PlacementRange;
  onChange: (value: Range) => void;
}) {
  const { say } = useSpeech();
  const { slots, anchors = [], free } = value;
  const all = Array.from({ length: slots }, (_, slot) => slot);
  const choiceOf = (slot: number): Choice =>
    anchors.includes(slot) ? 'always' : free && !free.includes(slot) ? 'never' : 'may';
  const set = (choices: readonly Choice[]) => {
    const { anchors: _a, free: _f, ...rest } = value;
    const always = all.filter((slot) => choices[slot] === 'always');
    const may = all.filter((slot) => choices[slot] === 'may');
    onChange({
      ...rest,
      ...(always.length > 0 && { anchors: always }),
      ...(always.length + may.length < slots && { free: may }),
    });
  };
  const choices = all.map(choiceOf);
  const between = all.map((slot): Choice => (slot % 2 === 0 ? 'never' : 'may'));
  return (
    <div className="flex flex-col gap-1">
      <div
        role="group"
        aria-label={say.t('screen.variations.eachSlot')}
        className="grid w-fit grid-cols-8 gap-0.5"
      >
        {all.map((slot) => (
          <button
            key={slot}
            type="button"
            className="w-7 rounded-sm border border-line py-0.5 text-center hover:bg-faint"
            aria-label={say.t('screen.variations.slot', {
              slot: slot + 1,
              choice: choices[slot] ?? 'may',
            })}
            title={say.t('screen.variations.slotIs', {
              slot: slot + 1,
              choice: choices[slot] ?? 'may',
            })}
            onClick={() => set(choices.map((one, nth) => (nth === slot ? NEXT[one] : one)))}
          >
            {CHOICES[choices[slot] ?? 'may']}
          </button>
        ))}
      </div>
      <p className="flex gap-3 text-sm text-soft">
        <span>{say.t('screen.variations.mayAlwaysNever')}</span>
        <button type="button" className="phrase" onClick={() => set(between)}>
          {say.t('screen.variations.inBetweenOnly')}
        </button>
      </p>
    </div>
  );
}

function Ends({
  from,
  to,
  bounds: { least, most },
  onChange,
}: {
  from: number;
  to: number;
  bounds: Bounds;
  onChange: (from: number, to: number) => void;
}) {
  const { say } = useSpeech();
  return (
    <div className="flex items-center gap-2">
      <span className="label w-12">{say.t('screen.common.from')}</span>
      <Stepper
        label={say.t('screen.common.fromCapital')}
        value={from}
        bounds={{ least, most: to }}
        onChange={(next) => onChange(next, to)}
      />
      <span className="label">{say.t('screen.variations.to')}</span>
      <Stepper
        label={say.t('screen.common.toCapital')}
        value={to}
        bounds={{ least: from, most }}
        onChange={(next) => onChange(from, next)}
      />
    </div>
  );
}
