import type { Metadata } from 'next';
import { redirect } from 'next/navigation';
import { connection } from 'next/server';
import { liveContext, whoseLink } from '@/server';
import { ByLink, EntryPage } from '@/ui/entry';
import { enterWithLink } from '../../actions';
import { sayNow } from '../../language';
import { LinkOver } from '../../link-over';
import { viewerNow } from '../../viewer';

export const metadata: Metadata = { robots: { index: false }, title: 'Mivvel' };

/** A student's private link: one touch, and they are in. */
export default async function LinkPage({ params }: { params: Promise<{ address: string }> }) {
  await connection();
  const { address } = await params;
  const [say, viewer] = await Promise.all([sayNow(), viewerNow()]);
  const whose = whoseLink(liveContext(), address);
  if (!whose) return <LinkOver />;
  if (viewer?.personId === whose.personId) redirect('/today');
  return (
    <EntryPage say={say} title={whose.name}>
      <p className="-mt-8 text-lg text-soft">{whose.studio}</p>
      <ByLink enter={enterWithLink} address={address} />
    </EntryPage>
  );
}
