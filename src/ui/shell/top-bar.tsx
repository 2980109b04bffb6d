'use client';

import { usePathname, useRouter } from 'next/navigation';
import { clsx } from 'clsx';
import type { ReactNode } from 'react';
import { useSpeech, Link } from '../base';
import { lastPlace } from './last-place';
import { WhoMenu, type OwnPlace } from './who-menu';
import { ThemeSwitch } from './theme-switch';
import type { Place } from './place';

/** The bar over every desk screen: where one can go, who looks, the light. */
export function TopBar({
  places,
  who,
  leave,
  own,
  children,
}: {
  places: readonly Place[];
  who: string;
  leave: () => Promise<void>;
  /** Where whoever looks finds what is theirs. */
  own: OwnPlace;
  /** What else the bar has on its right. */
  children?: ReactNode;
}) {
  const { say } = useSpeech();
  const path = usePathname();
  const router = useRouter();
  return (
    <header className="flex min-h-11 shrink-0 flex-wrap items-center gap-x-5 border-b border-line px-4 max-sm:gap-x-2 max-sm:px-2">
      <Link href={places[0]?.href ?? '/'} className="font-serif text-lg font-bold tracking-tight">
        Mivvel
      </Link>
      <nav
        aria-label={say.t('screen.shell.screens')}
        className="flex gap-1 max-sm:order-last max-sm:basis-full max-sm:overflow-x-auto"
      >
        {places.map(({ href, id }) => (
          <Link
            key={href}
            href={href}
            onClick={(event) => {
              const left = lastPlace(href);
              if (left === null || event.ctrlKey || event.metaKey) return;
              event.preventDefault();
              if (!path.startsWith(href)) router.push(left);
            }}
            aria-current={path.startsWith(href) ? 'page' : undefined}
            className={clsx(
              'rounded-sm px-2.5 py-1',
              path.startsWith(href)
                ? 'font-semibold underline decoration-warm decoration-2 underline-offset-6'
                : 'text-soft hover:text-ink',
            )}
          >
            {say.t(`screen.shell.place.${id}`)}
          </Link>
        ))}
      </nav>
      <div className="ml-auto flex items-center gap-2">
        {children}
        <ThemeSwitch />
        <WhoMenu who={who} own={own} leave={leave} />
      </div>
    </header>
  );
}
