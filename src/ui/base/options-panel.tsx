'use client';

import { Command } from 'cmdk';
import type { ClipboardEventHandler, KeyboardEventHandler } from 'react';
import type { Issue } from '@/core/issue';
import { IssueWords } from './issue-words';
import { OptionItem, type Option } from './option-item';
import { PopPanel, type PopPanelProps } from './pop-panel';
import { rankOption } from './rank-option';

export interface OptionsProps<T extends string = string> {
  readonly label: string;
  readonly query: string;
  readonly onQuery: (text: string) => void;
  readonly placeholder: string;
  /** What is wrong with what is typed. */
  readonly trouble?: readonly Issue[];
  /** Said where no option is found. */
  readonly nothing: string;
  /** Made by what is typed: they are always found, and stand before the others. */
  readonly offered: readonly Option<T>[];
  readonly options: readonly Option<T>[];
  readonly isOn: (value: T) => boolean;
  readonly onSelect: (value: T) => void;
  readonly onKeyDown?: KeyboardEventHandler;
  readonly onPaste?: ClipboardEventHandler;
  readonly className?: string;
}

/** Options that are looked for by typing. */
export function OptionsPanel({
  label,
  query,
  onQuery,
  placeholder,
  trouble = [],
  nothing,
  offered,
  options,
  isOn,
  onSelect,
  onKeyDown,
  onPaste,
  ...pop
}: OptionsProps & Pick<PopPanelProps, 'id' | 'trigger' | 'onClose'>) {
  return (
    <PopPanel {...pop}>
      <Command label={label} loop filter={rankOption} onKeyDown={onKeyDown}>
        <Command.Input
          value={query}
          onValueChange={onQuery}
          onPaste={onPaste}
          placeholder={placeholder}
          className="w-full border-b border-line px-3 py-2 outline-none"
          aria-invalid={trouble.length > 0}
        />
        {trouble.length > 0 && (
          <p role="alert" className="m-2 border-l-3 border-warm pl-2 text-sm">
            <IssueWords issues={trouble} />
          </p>
        )}
        <Command.List className="max-h-80 overflow-y-auto p-1">
          <Command.Empty className="px-2 py-1.5 text-sm text-soft">
            {trouble.length > 0 ? '' : nothing}
          </Command.Empty>
          {[...offered, ...options].map((option) => (
            <OptionItem
              key={option.value}
              option={option}
              on={isOn(option.value)}
              found={offered.includes(option) ? query : null}
              onSelect={onSelect}
            />
          ))}
        </Command.List>
      </Command>
    </PopPanel>
  );
}
