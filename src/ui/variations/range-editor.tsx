'use client';

import { Popover } from 'radix-ui';
import type { ChangeValue } from '@/core/family';
import { Stepper, Toggle } from '../bench';

type Range = Exclude<ChangeValue, { kind: 'one' }>;

const SPACINGS = { any: 'any', adjacent: 'neighbours', apart: 'apart' } as const;

/** A range, its ends at hand. */
export function RangeEditor({
  value,
  says,
  onChange,
}: {
  value: Range;
  says: string;
  onChange: (value: Range) => void;
}) {
  return (
    <Popover.Root>
      <Popover.Trigger className="phrase">{says}</Popover.Trigger>
      <Popover.Portal>
        <Popover.Content align="start" sideOffset={4} className="pop flex flex-col gap-2 p-3">
          {value.kind === 'numbers' ? (
            <Ends
              from={value.from}
              to={value.to}
              least={value.field === 'by' ? -64 : value.field === 'turn' ? 0 : 1}
              most={value.field === 'turn' ? 5 : value.field === 'count' ? 8 : 32}
              onChange={(from, to) => onChange({ ...value, from, to })}
            />
          ) : (
            <>
              <Ends
                from={value.least}
                to={value.most}
                least={0}
                most={value.slots}
                onChange={(least, most) => onChange({ ...value, least, most })}
              />
              <label className="flex items-center gap-2">
                <span className="label w-12">of slots</span>
                <Stepper
                  label="Slots"
                  value={value.slots}
                  onChange={(slots) =>
                    onChange({ ...value, slots: Math.max(value.most, Math.min(32, slots)) })
                  }
                />
              </label>
              <Toggle
                label="Spacing"
                bare
                options={SPACINGS}
                value={value.spacing}
                onChoose={(spacing) => onChange({ ...value, spacing })}
              />
            </>
          )}
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}

function Ends({
  from,
  to,
  least,
  most,
  onChange,
}: {
  from: number;
  to: number;
  least: number;
  most: number;
  onChange: (from: number, to: number) => void;
}) {
  const within = (value: number) => Math.max(least, Math.min(most, value));
  return (
    <div className="flex items-center gap-2">
      <span className="label w-12">from</span>
      <Stepper
        label="From"
        value={from}
        onChange={(next) => onChange(Math.min(within(next), to), to)}
      />
      <span className="label">to</span>
      <Stepper
        label="To"
        value={to}
        onChange={(next) => onChange(from, Math.max(within(next), from))}
      />
    </div>
  );
}
