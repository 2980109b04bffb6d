'use client';

import { Pop, PopRoot, PopTrigger, useSpeech, Link } from '../base';

/** A page about whoever looks: a teacher's account, a student's devices. */
export interface OwnPlace {
  readonly href: string;
  readonly id: 'account' | 'devices';
}

/** Who looks: what is theirs, and the way out. */
export function WhoMenu({
  who,
  own,
  leave,
}: {
  who: string;
  own: OwnPlace;
  leave: () => Promise<void>;
}) {
  const { say } = useSpeech();
  const row = 'block w-full px-3 py-2 text-left hover:bg-faint';
  return (
    <PopRoot>
      <PopTrigger className="px-2 text-soft hover:text-ink">{who}</PopTrigger>
      <Pop className="w-56 py-1">
        <Link href={own.href} className={row}>
          {say.t(`screen.shell.${own.id}`)}
        </Link>
        <form action={leave}>
          <button className={row}>{say.t('screen.shell.signOut')}</button>
        </form>
        {own.id === 'devices' && (
          <p className="px-3 py-1 text-sm text-soft">{say.t('screen.shell.backByLink')}</p>
        )}
      </Pop>
    </PopRoot>
  );
}
