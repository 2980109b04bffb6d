'use client';

import { Command } from 'cmdk';
import { Search } from 'lucide-react';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import type { Result } from '@/core/issue';
import { Button } from '../base';
import type { Place } from './place';

/** Something to go to: an exercise, a program, a student. */
export interface PaletteEntry extends Place {
  readonly group: string;
}

/** Go anywhere by typing: Ctrl K. */
export function Palette({
  places,
  find,
}: {
  places: readonly Place[];
  find: () => Promise<Result<readonly PaletteEntry[]>>;
}) {
  const router = useRouter();
  const [open, setOpen] = useState(false);
  const [found, setFound] = useState<readonly PaletteEntry[] | 'loading' | 'failed'>('loading');

  function show(next: boolean) {
    setOpen(next);
    if (!next) return;
    setFound('loading');
    find().then(
      (answer) => setFound(answer.ok ? answer.value : 'failed'),
      () => setFound('failed'),
    );
  }

  useHotkeys('mod+k', () => show(!open), { enableOnFormTags: true, preventDefault: true });

  function go(href: string) {
    setOpen(false);
    router.push(href);
  }

  const screens = places.map((place): PaletteEntry => ({ ...place, group: 'Screens' }));
  const entries = [...(Array.isArray(found) ? (found as PaletteEntry[]) : []), ...screens];
  const groups = [...new Set(entries.map((entry) => entry.group))];
  return (
    <>
      <Button look="quiet" onClick={() => show(true)} aria-keyshortcuts="Control+K">
        <Search size={15} aria-hidden /> find <kbd className="text-xs">Ctrl K</kbd>
      </Button>
      <Command.Dialog
        open={open}
        onOpenChange={show}
        label="Go to"
        loop
        overlayClassName="fixed inset-0 z-40 bg-black/30"
        contentClassName="pop fixed top-[12vh] left-1/2 z-50 w-[36rem] max-w-[92vw] -translate-x-1/2"
      >
        <Command.Input
          placeholder="Exercise, program, student"
          className="w-full border-b border-line px-4 py-3 text-lg outline-none"
        />
        <Command.List className="max-h-[55vh] overflow-y-auto p-2">
          {found === 'loading' && <Command.Loading>Looking…</Command.Loading>}
          {found === 'failed' && (
            <p role="alert" className="px-2 py-1 text-sm">
              The list could not be loaded. Close this and open it again.
            </p>
          )}
          <Command.Empty className="px-2 py-1 text-soft">No match.</Command.Empty>
          {groups.map((group) => (
            <Command.Group key={group} heading={group} className="palette-group">
              {entries
                .filter((entry) => entry.group === group)
                .map((entry) => (
                  <Command.Item
                    key={entry.href}
                    value={entry.href}
                    keywords={[entry.name]}
                    onSelect={() => go(entry.href)}
                    className="cursor-pointer rounded-sm px-2 py-1 aria-selected:bg-warm-wash"
                  >
                    {entry.name}
                  </Command.Item>
                ))}
            </Command.Group>
          ))}
        </Command.List>
      </Command.Dialog>
    </>
  );
}
