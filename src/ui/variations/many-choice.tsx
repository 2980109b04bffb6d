'use client';

import { Command } from 'cmdk';
import { Popover } from 'radix-ui';
import { useState, type ClipboardEvent, type KeyboardEvent, type ReactNode } from 'react';
import { type Option, OptionItem, Pop, rankOption, useSpeech } from '../base';

/** A phrase that takes several values: a list that stays open while they are ticked. What is typed and
 * is none of them is offered, where it can be read; a list, parted as the sentence shows it, or by lines, is taken whole. */
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
  /** Several at once, where a list was typed. */
  onToggle: (values: readonly string[]) => void;
  offer?: (text: string) => readonly Option<string>[];
  placeholder?: string;
  children: ReactNode;
  className?: string;
}) {
  const { say } = useSpeech();
  const [open, setOpen] = useState(false);
  const [query, setQuery] = useState('');
  const typed = query.trim();
  const list = listOf(typed);
  const found = list.map((text) => findOption(text));
  const missing = list[found.indexOf(undefined)];
  const offered = typed === '' || list.length > 1 ? [] : (offer?.(query) ?? []);

  /** The option that a text of a list names, or makes. */
  function findOption(text: string): Option<string> | undefined {
    const exact = options.find((one) => one.text.toLowerCase() === text.toLowerCase());
    return exact ?? offer?.(text)[0];
  }

  function onPaste(event: ClipboardEvent) {
    const lines = event.clipboardData
      .getData('text')
      .trim()
      .split(/\s*\n\s*/);
    if (lines.length < 2) return;
    event.preventDefault();
    setQuery([query, lines.join(' / ')].filter(Boolean).join(' / '));
  }

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
            onPaste={onPaste}
            placeholder={placeholder ?? label}
            className="w-full border-b border-line px-3 py-2 outline-none"
          />
          <Command.List className="max-h-80 overflow-y-auto p-1">
            <Command.Empty className="px-2 py-1.5 text-sm text-soft">
              {missing === undefined || list.length < 2
                ? say.t('screen.common.noMatch')
                : say.t('screen.variations.cannotBeRead', { text: missing })}
            </Command.Empty>
            {list.length > 1 && missing === undefined && (
              <OptionItem
                option={{
                  value: typed,
                  text: say.t('screen.variations.allOfTheList', { count: list.length }),
                }}
                on={false}
                found={query}
                onSelect={() => {
                  setQuery('');
                  const all = new Set(found.flatMap((one) => one?.value ?? []));
                  onToggle([...all].filter((value) => !chosen.has(value)));
                }}
              />
            )}
            {[...offered, ...options].map((one) => (
              <OptionItem
                key={one.value}
                option={one}
                on={chosen.has(one.value)}
                found={offered.includes(one) ? query : null}
                onSelect={(value) => {
                  setQuery('');
                  onToggle([value]);
                }}
              />
            ))}
          </Command.List>
        </Command>
      </Pop>
    </Popover.Root>
  );
}

/** The texts of a list. @example listOf('RLRR / LRLL') // => two */
function listOf(typed: string): readonly string[] {
  return typed.split(/\s+\/\s+/).filter(Boolean);
}
