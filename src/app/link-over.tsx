import { EntryPage } from '@/ui/entry';
import { sayNow } from './language';

/** A link that opens nothing (any more), whatever it may have been. */
export async function LinkOver() {
  const say = await sayNow();
  return (
    <EntryPage say={say} title={say.t('screen.entry.linkOver')}>
      <p className="text-lg text-soft">{say.t('screen.entry.linkOverWhy')}</p>
    </EntryPage>
  );
}
