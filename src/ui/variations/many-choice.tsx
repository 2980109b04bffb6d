'use client';

import { useState, type ClipboardEvent, type ReactNode } from 'react';
import { type Option, optionNamed, OptionsPop, OptionsTrigger, PopRoot, useSpeech } from '../base';

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

  const whole =
    list.length > 1 && missing === undefined
      ? [{ value: typed, text: say.t('screen.variations.allOfTheList', { count: list.length }) }]
      : [];

  /** The option that a text of a list names, or makes. */
  function findOption(text: string): Option<string> | undefined {
    return optionNamed(options, text) ?? offer?.(text)[0];
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

  /** Takes one, or the whole of what was typed. */
  function select(value: string) {
    setQuery('');
    if (whole.length === 0 || value !== typed) return onToggle([value]);
    const all = new Set(found.flatMap((one) => one?.value ?? []));
    onToggle([...all].filter((one) => !chosen.has(one)));
  }

  return (
    <PopRoot open={open} onOpenChange={show}>
      <OptionsTrigger
        className={className}
        aria-label={label}
        onType={(letter) => show(true, query + letter)}
      >
        {children}
      </OptionsTrigger>
      <OptionsPop
        label={label}
        query={query}
        onQuery={setQuery}
        onPaste={onPaste}
        placeholder={placeholder ?? label}
        nothing={
          missing === undefined || list.length < 2
            ? say.t('screen.common.noMatch')
            : say.t('screen.variations.cannotBeRead', { text: missing })
        }
        offered={[...whole, ...offered]}
        options={options}
        isOn={(value) => chosen.has(value)}
        onSelect={select}
        className="w-[36rem]"
      />
    </PopRoot>
  );
}

/** The texts of a list. @example listOf('RLRR / LRLL') // => two */
function listOf(typed: string): readonly string[] {
  return typed.split(/\s+\/\s+/).filter(Boolean);
}
