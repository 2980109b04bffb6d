'use client';

import { Command } from 'cmdk';
import type { ReactNode } from 'react';

export interface Option<T extends string> {
  readonly value: T;
  readonly text: string;
  /** Said after the text, softer. */
  readonly hint?: string;
  /** What stands in the place of the text. */
  readonly picture?: () => ReactNode;
  /** Other words under which it is looked for. */
  readonly also?: string;
}

/** An option of a list that is searched by typing, marked where it is chosen.
 * @param found what is typed, where that made the option: it is then always found */
export function OptionItem<T extends string>({
  option: { value, text, hint, picture, also },
  on,
  found,
  onSelect,
}: {
  option: Option<T>;
  on: boolean;
  found: string | null;
  onSelect: (value: T) => void;
}) {
  return (
    <Command.Item
      value={value}
      keywords={[found ?? text, `${hint ?? ''} ${also ?? ''}`]}
      onSelect={() => onSelect(value)}
      aria-checked={on}
      className="flex cursor-pointer items-baseline gap-2 rounded-sm px-2 py-1 aria-selected:bg-warm-wash"
    >
      <span className="w-3 shrink-0" aria-hidden>
        {on ? '●' : ''}
      </span>
      {picture ? picture() : <span>{text}</span>}
      {hint && <span className="ml-auto pl-3 text-sm text-soft">{hint}</span>}
    </Command.Item>
  );
}
