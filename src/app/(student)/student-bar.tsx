import { LogMark, LogRefresh } from '@/ui/log';
import { TopBar } from '@/ui/shell';
import { leave } from '../actions';

const PLACES = [
  { href: '/today', id: 'today' },
  { href: '/plan', id: 'plan' },
  { href: '/record', id: 'record' },
] as const;

const OWN = { href: '/devices', id: 'devices' } as const;

/** The bar over a student's screens, the Stand left out. */
export function StudentBar({ who }: { who: string }) {
  return (
    <>
      <TopBar places={PLACES} who={who} leave={leave} own={OWN} />
      <LogRefresh />
      <div className="mx-auto max-w-4xl px-6 pt-2 empty:hidden">
        <LogMark />
      </div>
    </>
  );
}
