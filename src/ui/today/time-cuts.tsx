import { clsx } from 'clsx';
import { MOST_MINUTES, type Surface } from '@/core/plan';
import { type Say } from '@/words';
import { Link } from '../base';
import type { Now } from './stand-of';

/** Minutes that are offered at a touch. */
const OFFERED = [5, 10, 15, 30, 45];

/** Cuts the day to the minutes there are just now, and to kit or pad. */
export function Minutes({ say, now, usual }: { say: Say; now: Now | null; usual: Surface }) {
  const on = now?.on ?? usual;
  return (
    <nav
      aria-label={say.t('screen.today.minutesNow')}
      className="flex flex-wrap items-center gap-2 text-lg"
    >
      <span className="label">{say.t('screen.today.iHave')}</span>
      <Cut href="/today" on={now === null}>
        {say.t('screen.today.asPlanned')}
      </Cut>
      {OFFERED.map((minutes) => (
        <Cut
          key={minutes}
          href={`/today?minutes=${minutes}&on=${on}`}
          on={now?.minutes === minutes}
        >
          {say.t('screen.common.minutesShort', { minutes })}
        </Cut>
      ))}
      <form action="/today" className="inline-flex items-baseline gap-1">
        <input type="hidden" name="on" value={on} />
        <input
          key={now?.minutes ?? ''}
          name="minutes"
          type="number"
          required
          min={1}
          max={MOST_MINUTES}
          defaultValue={now && !OFFERED.includes(now.minutes) ? now.minutes : undefined}
          aria-label={say.t('screen.today.minutesIHave')}
          className={clsx(
            'w-20 rounded-sm border px-2 py-1.5 text-center',
            now && !OFFERED.includes(now.minutes)
              ? 'border-ink bg-ink text-paper'
              : 'border-line bg-sheet',
          )}
        />
        <button className="rounded-sm border border-line bg-sheet px-3 py-1.5 hover:border-soft">
          {say.t('screen.today.minutes')}
        </button>
      </form>
      {now && (
        <span className="ml-2 flex gap-2">
          {(['kit', 'pad'] as const).map((surface) => (
            <Cut
              key={surface}
              href={`/today?minutes=${now.minutes}&on=${surface}`}
              on={now.on === surface}
            >
              {say.t(`screen.common.surface.${surface}`)}
            </Cut>
          ))}
        </span>
      )}
    </nav>
  );
}

function Cut({ href, on, children }: { href: string; on: boolean; children: React.ReactNode }) {
  return (
    <Link
      href={href}
      aria-current={on ? 'true' : undefined}
      className={clsx(
        'rounded-sm border px-3 py-1.5',
        on ? 'border-ink bg-ink text-paper' : 'border-line bg-sheet hover:border-soft',
      )}
    >
      {children}
    </Link>
  );
}
