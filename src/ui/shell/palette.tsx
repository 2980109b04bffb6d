'use client';

import { Command } from 'cmdk';
import { useRouter } from 'next/navigation';
import { useEffect, useState } from 'react';
import type { Result } from '@/core/issue';
import { rankOption, useSpeech } from '../base';
import type { Place } from './place';

/** What can be gone to, by its kind. */
export interface PaletteEntry {
  readonly group: 'exercises' | 'programs' | 'students' | 'screens';
  readonly name: string;
  readonly href: string;
}

export interface PaletteProps {
  readonly places: readonly Place[];
  readonly find: () => Promise<Result<readonly PaletteEntry[]>>;
}

/** Go anywhere by typing. Looks for what there is each time that it opens. */
export function Palette({
  places,
  find,
  typed,
  onType,
  close,
}: PaletteProps & {
  readonly typed: string;
  readonly onType: (text: string) => void;
  readonly close: () => void;
}) {
  const { say } = useSpeech();
  const router = useRouter();
  const [found, setFound] = useState<readonly PaletteEntry[] | 'loading' | 'failed'>('loading');

  useEffect(() => {
    let here = true;
    find().then(
      (answer) => here && setFound(answer.ok ? answer.value : 'failed'),
      () => here && setFound('failed'),
    );
    return () => {
      here = false;
    };
  }, [find]);

  function go(href: string) {
    close();
    router.push(href);
  }

  const screens = places.map(({ href, id }): PaletteEntry => ({
    group: 'screens',
    name: say.t(`screen.shell.place.${id}`),
    href,
  }));
  const entries = [...(Array.isArray(found) ? (found as PaletteEntry[]) : []), ...screens];
  const groups = [...new Set(entries.map((entry) => entry.group))];
  return (
    <Command.Dialog
      open
      onOpenChange={close}
      label={say.t('screen.shell.goTo')}
      filter={rankOption}
      loop
      overlayClassName="fixed inset-0 z-40 bg-black/30"
      contentClassName="pop fixed top-[12vh] left-1/2 z-50 w-[36rem] max-w-[92vw] -translate-x-1/2"
    >
      <Command.Input
        value={typed}
        onValueChange={onType}
        placeholder={say.t('screen.shell.exerciseProgramStudent')}
        className="w-full border-b border-line px-4 py-3 text-lg outline-none"
      />
      <Command.List className="max-h-[55vh] overflow-y-auto p-2">
        {found === 'loading' && <Command.Loading>{say.t('screen.shell.looking')}</Command.Loading>}
        {found === 'failed' && (
          <p role="alert" className="px-2 py-1 text-sm">
            {say.t('screen.shell.theListCouldNotBeLoaded')}
          </p>
        )}
        <Command.Empty className="px-2 py-1 text-soft">
          {say.t('screen.common.noMatch')}
        </Command.Empty>
        {groups.map((group) => (
          <Command.Group
            key={group}
            heading={say.t(`screen.shell.found.${group}`)}
            className="palette-group"
          >
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
  );
}
