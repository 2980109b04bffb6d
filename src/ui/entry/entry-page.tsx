import type { ReactNode } from 'react';
import type { Say } from '@/words';
import { EntryWords } from './entry-words';
import { Link } from '../base';

/** A page before somebody is in: the name of the house, what it is about, and the way in. */
export function EntryPage({
  say,
  title,
  children,
}: {
  say: Say;
  title?: string;
  children: ReactNode;
}) {
  const House = title === undefined ? 'h1' : 'p';
  return (
    <EntryWords>
      <div className="mx-auto flex min-h-dvh max-w-4xl flex-col gap-8 px-6 py-10 sm:py-14">
        <header>
          <House className="font-serif text-5xl font-bold tracking-tight">
            <Link href="/">Mivvel</Link>
          </House>
          {title === undefined && (
            <p className="mt-2 text-lg text-soft">{say.t('screen.shell.motto')}</p>
          )}
        </header>
        <main className="flex flex-1 flex-col gap-10">
          {title !== undefined && <h1 className="font-serif text-3xl">{title}</h1>}
          {children}
        </main>
        <footer>
          <Link href="/privacy" className="text-sm text-soft underline">
            {say.t('screen.entry.privacy')}
          </Link>
        </footer>
      </div>
    </EntryWords>
  );
}
