'use client';

import { Command } from 'cmdk';
import { Popover } from 'radix-ui';
import { useState, type KeyboardEvent, type ReactNode } from 'react';
import { type Result } from '@/core/issue';
import { sayIssues } from '@/words';
import { OptionItem, type Option } from './option-item';
import { rankOption } from './rank-option';
import { useSpeech } from './speech';
import { Pop } from './pop';

/** A phrase that is read as text and changed in place: click it, press Enter, or just type.
 * `onType` takes typed text that is none of the options, and answers what is wrong with it. */
export function Choice<T extends string>({
  label,
  options,
  value,
  onChoose,
  onType,
  offer,
  placeholder,
  elsewhere,
  children,
  className = 'phrase',
  wide = false,
}: {
  label: string;
  options: readonly Option<T>[];
  value?: T;
  onChoose: (value: T) => void;
  onType?: (text: string) => Result<T>;
  /** Options that typed text makes, put before the others. */
  offer?: (text: string) => readonly Option<T>[];
  /** What can be typed, where that is more than a search. */
  placeholder?: string;
  /** Where what is typed is found, if not here; null where it is nowhere. */
  elsewhere?: (text: string) => string | null;
  children: ReactNode;
  className?: string;
  /** For options with long hints. */
  wide?: boolean;
}) {
  const { say } = useSpeech();
  const [open, setOpen] = useState(false);
  const [query, setQuery] = useState('');
  const [trouble, setTrouble] = useState('');
  const offered = query.trim() === '' ? [] : (offer?.(query) ?? []);

  function show(next: boolean, text = '') {
    setOpen(next);
    setQuery(text);
    setTrouble('');
  }

  function choose(next: T) {
    show(false);
    onChoose(next);
  }

  /** Said where no option is found. */
  function nothing(): string {
    const there = elsewhere?.(query) ?? null;
    if (there !== null) return there;
    return say.t(onType ? 'screen.common.pressEnterToTakeWhatYou' : 'screen.common.noMatch');
  }

  function takeTyped(event: KeyboardEvent) {
    if (event.key !== 'Enter' || !onType) return;
    const text = query.trim();
    const known = options.some((one) => one.text.toLowerCase().includes(text.toLowerCase()));
    if (text === '' || known || offered.length > 0) return;
    event.preventDefault();
    const typed = onType(text);
    if (typed.ok) choose(typed.value);
    else setTrouble(sayIssues(say, typed.issues));
  }

  return (
    <Popover.Root open={open} onOpenChange={(next) => show(next)}>
      <Popover.Trigger
        className={className}
        aria-label={`${label}: ${typeof children === 'string' ? children : ''}`}
        onKeyDown={(event) => {
          const types = event.key.length === 1 && event.key !== ' ';
          if (!types || event.ctrlKey || event.metaKey || event.altKey) return;
          event.preventDefault();
          event.stopPropagation();
          show(true, event.key);
        }}
      >
        {typeof children === 'string' ? children : children}
      </Popover.Trigger>
      <Pop className={wide ? 'w-[36rem]' : 'w-80'}>
        <Command label={label} loop filter={rankOption} onKeyDown={takeTyped}>
          <Command.Input
            value={query}
            onValueChange={(text) => {
              setQuery(text);
              setTrouble('');
            }}
            placeholder={placeholder ?? label}
            className="w-full border-b border-line px-3 py-2 outline-none"
            aria-invalid={trouble !== ''}
          />
          {trouble && (
            <p role="alert" className="m-2 border-l-3 border-warm pl-2 text-sm">
              {trouble}
            </p>
          )}
          <Command.List className="max-h-72 overflow-y-auto p-1">
            <Command.Empty className="px-2 py-1.5 text-sm text-soft">
              {trouble ? '' : nothing()}
            </Command.Empty>
            {[...offered, ...options].map((option) => (
              <OptionItem
                key={option.value}
                option={option}
                on={option.value === value}
                found={offered.includes(option) ? query : null}
                onSelect={choose}
              />
            ))}
          </Command.List>
        </Command>
      </Pop>
    </Popover.Root>
  );
}
