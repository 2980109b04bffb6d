'use client';

import { Popover, ToggleGroup } from 'radix-ui';
import { DISPLACEMENT_SLOTS, sayChange, type Change } from '@/core/recipe';
import { subdivision, type SubdivisionId } from '@/core/time';
import { Choice, type Option } from '../base';
import { Stepper, TakeAway } from './phrase-parts';

const STARTS: Readonly<Record<string, Change>> = {
  line: { kind: 'displace', what: 'pattern', part: 'line', by: 1, slot: '16' },
  accents: { kind: 'displace', what: 'accents', part: 'line', by: 1, slot: '16' },
  sticking: { kind: 'displace', what: 'sticking', part: 'line', by: 1, slot: '16' },
  over: { kind: 'displace', what: 'pattern', part: 'over', by: 1, slot: '8' },
  hands: { kind: 'mirror', what: 'hands', part: 'line' },
  limbs: { kind: 'mirror', what: 'all limbs', part: 'all' },
};

const START_OPTIONS: readonly Option<string>[] = Object.entries(STARTS).map(([value, change]) => ({
  value,
  text: sayChange(change),
}));

const FURTHEST = 64;

/** Adds a change; empty sentences show nothing else. */
export function AddChange({ onAdd }: { onAdd: (change: Change) => void }) {
  return (
    <Choice
      label="Change it by"
      options={START_OPTIONS}
      className="phrase-add"
      onChoose={(key) => {
        const start = STARTS[key];
        if (start) onAdd(start);
      }}
    >
      + change
    </Choice>
  );
}

/** The changes in order, each to be edited or taken away. */
export function ChangesPhrase({
  changes,
  onChange,
}: {
  changes: readonly Change[];
  onChange: (changes: Change[], about?: string) => void;
}) {
  return (
    <>
      {changes.map((change, index) => {
        const replace = (next: Change) =>
          onChange(
            changes.map((one, at) => (at === index ? next : one)),
            `change-${index}`,
          );
        return (
          <span key={index} className="whitespace-nowrap">
            {index > 0 && <span className="text-soft">then </span>}
            <Popover.Root>
              <Popover.Trigger className="phrase">{sayChange(change)}</Popover.Trigger>
              <Popover.Portal>
                <Popover.Content align="start" sideOffset={4} className="pop p-3">
                  <ChangeEditor change={change} onChange={replace} />
                </Popover.Content>
              </Popover.Portal>
            </Popover.Root>
            <TakeAway
              what={sayChange(change)}
              onClick={() => onChange(changes.filter((_, at) => at !== index))}
            />{' '}
          </span>
        );
      })}
    </>
  );
}

const PARTS = { line: 'line', over: 'ostinato', all: 'everything' } as const;
const WHATS = { pattern: 'all of it', accents: 'accents only', sticking: 'sticking only' } as const;
const MIRRORS = { hands: 'hands, feet stay', 'all limbs': 'all limbs' } as const;

function ChangeEditor({
  change,
  onChange,
}: {
  change: Change;
  onChange: (change: Change) => void;
}) {
  return (
    <div className="flex flex-col gap-2">
      <Toggle
        label="Of"
        options={PARTS}
        value={change.part}
        onChoose={(part) => onChange({ ...change, part })}
      />
      {change.kind === 'mirror' ? (
        <Toggle
          label="Mirror"
          options={MIRRORS}
          value={change.what}
          onChoose={(what) => onChange({ ...change, what })}
        />
      ) : (
        <>
          <Toggle
            label="Move"
            options={WHATS}
            value={change.what}
            onChoose={(what) => onChange({ ...change, what })}
          />
          <div className="flex items-center gap-2">
            <span className="label w-12">Later by</span>
            <Stepper
              label="Later by"
              value={change.by}
              onChange={(by) =>
                onChange({ ...change, by: Math.max(-FURTHEST, Math.min(FURTHEST, by)) })
              }
            />
            {change.what !== 'sticking' && (
              <Toggle
                label="Unit"
                hidden
                options={
                  Object.fromEntries(
                    DISPLACEMENT_SLOTS.map((id) => [id, subdivision(id).name]),
                  ) as Record<SubdivisionId, string>
                }
                value={change.slot}
                onChoose={(slot) => onChange({ ...change, slot })}
              />
            )}
          </div>
        </>
      )}
    </div>
  );
}

function Toggle<T extends string>({
  label,
  options,
  value,
  onChoose,
  hidden = false,
}: {
  label: string;
  options: Readonly<Record<T, string>>;
  value: T;
  onChoose: (value: T) => void;
  hidden?: boolean;
}) {
  return (
    <div className="flex items-center gap-2">
      {!hidden && <span className="label w-12">{label}</span>}
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
    </div>
  );
}
