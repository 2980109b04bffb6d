'use client';

import { Popover } from 'radix-ui';
import { sayChange, type Change } from '@/core/recipe';
import { Choice, type Option } from '../base';
import { ChangeEditor } from './change-editor';
import { TakeAway } from './phrase-parts';

const STARTS: Readonly<Record<string, Change>> = {
  line: { kind: 'displace', what: 'pattern', part: 'line', by: 1, slot: '16' },
  accents: { kind: 'displace', what: 'accents', part: 'line', by: 1, slot: '16' },
  sticking: { kind: 'displace', what: 'sticking', part: 'line', by: 1, slot: '16' },
  over: { kind: 'displace', what: 'pattern', part: 'over', by: 1, slot: '8' },
  push: { kind: 'push', part: 'line', note: 1, by: 1, slot: '16' },
  hands: { kind: 'mirror', what: 'hands', part: 'line' },
  limbs: { kind: 'mirror', what: 'all limbs', part: 'all' },
  reverse: { kind: 'reverse', part: 'line', slot: '16' },
  feet: { kind: 'swap-feet', part: 'all' },
  grid: { kind: 'footing', part: 'all', school: 'grid' },
  groups: { kind: 'footing', part: 'all', school: 'groups' },
  give: { kind: 'give', part: 'line', from: 'RH', to: { limb: 'LF', voice: 'hat-foot' } },
  revoice: { kind: 'revoice', part: 'over', from: 'hat', to: 'ride' },
};

const START_OPTIONS: readonly Option<string>[] = Object.entries(STARTS).map(([value, change]) => ({
  value,
  text: sayChange(change),
}));

/** Adds a change; empty sentences show nothing else. */
export function AddChange({ onAdd }: { onAdd: (change: Change) => void }) {
  return (
    <Choice
      label="Change it by"
      options={START_OPTIONS}
      wide
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
