'use client';

import { Command } from 'cmdk';
import { Popover } from 'radix-ui';
import { useState, type KeyboardEvent, type ReactNode } from 'react';
import { type Option, OptionItem, Pop, rankOption, useSpeech } from '../base';

/** A phrase that takes several values: a list that stays open while they are ticked. What is typed and
 * is none of them is offered, where it can be read. */
export function ManyChoice({
  label,
  options,
  chosen,
  onToggle,
  offer,
  placeholder,
  children,
  className = 'phrase text-left',
}: {
  label: string;
  options: readonly Option<string>[];
  chosen: ReadonlySet<string>;
  onToggle: (value: string) => void;
  offer?: (text: string) => readonly Option<string>[];
  placeholder?: string;
  children: ReactNode;
  className?: string;
}) {
  const { say } = useSpeech();
  const [open, setOpen] = useState(false);
  const [query, setQuery] = useState('');
  const typed = query.trim();
  const offered = typed === '' ? [] : (offer?.(query) ?? []);

  function show(next: boolean, text = '') {
    setOpen(next);
    setQuery(text);
  }

  function onKeyDown(event: KeyboardEvent) {
    const types = event.key.length === 1 && event.key !== ' ';
    if (!types || event.ctrlKey || event.metaKey || event.altKey) return;
    event.preventDefault();
    event.stopPropagation();
    show(true, event.key);
  }

  return (
    <Popover.Root open={open} onOpenChange={(next) => show(next)}>
      <Popover.Trigger className={className} aria-label={label} onKeyDown={onKeyDown}>
        {children}
      </Popover.Trigger>
      <Pop className="w-[36rem]">
        <Command label={label} loop filter={rankOption}>
          <Command.Input
            value={query}
            onValueChange={setQuery}
            placeholder={placeholder ?? label}
            className="w-full border-b border-line px-3 py-2 outline-none"
          />
          <Command.List className="max-h-80 overflow-y-auto p-1">
            <Command.Empty className="px-2 py-1.5 text-sm text-soft">
              {say.t('screen.common.noMatch')}
            </Command.Empty>
            {[...offered, ...options].map((one) => (
              <OptionItem
                key={one.value}
                option={one}
                on={chosen.has(one.value)}
                found={offered.includes(one) ? query : null}
                onSelect={(value) => {
                  setQuery('');
                  onToggle(value);
                }}
              />
            ))}
          </Command.List>
        </Command>
      </Pop>
    </Popover.Root>
  );
}
