import type { Metadata } from 'next';
import { EntryPage, ResetPassword } from '@/ui/entry';
import { reset } from '../../actions';
import { sayNow } from '../../language';

export const metadata: Metadata = { robots: { index: false }, title: 'Mivvel' };

export default async function ResetPage({ params }: { params: Promise<{ token: string }> }) {
  const { token } = await params;
  const say = await sayNow();
  return (
    <EntryPage say={say} title={say.t('screen.entry.setPassword')}>
      <ResetPassword reset={reset} token={token} />
    </EntryPage>
  );
}
