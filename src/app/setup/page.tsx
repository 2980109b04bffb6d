import type { Metadata } from 'next';
import { redirect } from 'next/navigation';
import { connection } from 'next/server';
import { liveContext, maySetUp, setupNow } from '@/server';
import { ClaimStudio, EntryPage, OpenStudio, SetupCode } from '@/ui/entry';
import { claim, openMine, readSetup } from '../actions';
import { sayNow } from '../language';
import { browserNow } from '../viewer';

export async function generateMetadata(): Promise<Metadata> {
  return { title: (await sayNow()).t('screen.entry.setUp') };
}

/** The first studio is opened here, and studios of before there were accounts are claimed: by whoever can read the code
 * where Mivvel runs. */
export default async function SetupPage({
  searchParams,
}: {
  searchParams: Promise<{ code?: string | string[] }>;
}) {
  await connection();
  const say = await sayNow();
  const setup = setupNow(liveContext());
  if (!setup) redirect('/');
  const { code } = await searchParams;
  const may = typeof code === 'string' && (await maySetUp(code, await browserNow())).ok;
  if (!may || typeof code !== 'string') {
    return (
      <EntryPage say={say} title={say.t('screen.entry.setUp')}>
        <SetupCode read={readSetup} />
      </EntryPage>
    );
  }
  return setup.unclaimed.length > 0 ? (
    <EntryPage say={say} title={say.t('screen.entry.claim')}>
      <ClaimStudio claim={claim} code={code} studios={setup.unclaimed} />
    </EntryPage>
  ) : (
    <EntryPage say={say} title={say.t('screen.entry.openYours')}>
      <OpenStudio open={openMine} code={code} />
    </EntryPage>
  );
}
