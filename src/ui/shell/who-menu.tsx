'use client';

import { Pop, PopRoot, PopTrigger, useSpeech, Link } from '../base';

/** Who looks: their account, and the way out. */
export function WhoMenu({
  who,
  account,
  leave,
}: {
  who: string;
  account: string | null;
  leave: () => Promise<void>;
}) {
  const { say } = useSpeech();
  const row = 'block w-full px-3 py-2 text-left hover:bg-faint';
  return (
    <PopRoot>
      <PopTrigger className="px-2 text-soft hover:text-ink">{who}</PopTrigger>
      <Pop className="w-56 py-1">
        {account !== null && (
          <Link href={account} className={row}>
            {say.t('screen.shell.account')}
          </Link>
        )}
        <form action={leave}>
          <button className={row}>{say.t('screen.shell.signOut')}</button>
        </form>
        {account === null && (
          <p className="px-3 py-1 text-sm text-soft">{say.t('screen.shell.backByLink')}</p>
        )}
      </Pop>
    </PopRoot>
  );
}
