import type { Metadata } from 'next';
import { connection } from 'next/server';
import { invitationOf, liveContext } from '@/server';
import { EntryPage, Invitation } from '@/ui/entry';
import { accept } from '../../actions';
import { sayNow } from '../../language';
import { LinkOver } from '../../link-over';

export const metadata: Metadata = { robots: { index: false }, title: 'Mivvel' };

/** A teacher who was invited sets a name and a password. */
export default async function InvitationPage({ params }: { params: Promise<{ address: string }> }) {
  await connection();
  const { address } = await params;
  const say = await sayNow();
  const invited = invitationOf(liveContext(), address);
  if (!invited) return <LinkOver />;
  const { studio, email, known } = invited;
  return (
    <EntryPage say={say} title={say.t('screen.entry.invited', { studio })}>
      <Invitation accept={accept} address={address} email={email} known={known} />
    </EntryPage>
  );
}
