'use client';

import { useState, type KeyboardEvent, type ReactNode } from 'react';
import type { Issue, Result } from '@/core/issue';
import type { Option } from './option-item';
import { OptionsPop, OptionsTrigger, PopRoot } from './pop';
import { useSpeech } from './use-speech';

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
  const [trouble, setTrouble] = useState<readonly Issue[]>([]);
  const offered = query.trim() === '' ? [] : (offer?.(query) ?? []);

  function show(next: boolean, text = '') {
    setOpen(next);
    setQuery(text);
    setTrouble([]);
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
    else setTrouble(typed.issues);
  }

  return (
    <PopRoot open={open} onOpenChange={show}>
      <OptionsTrigger
        className={className}
        aria-label={`${label}: ${typeof children === 'string' ? children : ''}`}
        onType={(letter) => show(true, query + letter)}
      >
        {children}
      </OptionsTrigger>
      <OptionsPop
        label={label}
        query={query}
        onQuery={(text) => {
          setQuery(text);
          setTrouble([]);
        }}
        placeholder={placeholder ?? label}
        trouble={trouble}
        nothing={nothing()}
        offered={offered}
        options={options}
        isOn={(one) => one === value}
        onSelect={choose}
        onKeyDown={takeTyped}
        className={wide ? 'w-[36rem]' : 'w-80'}
      />
    </PopRoot>
  );
}
