import type { Metadata } from 'next';
import { redirect } from 'next/navigation';
import { connection } from 'next/server';
import { listDemo, liveContext, setupNow, tabletNow } from '@/server';
import { ByNumber, DemoList, Doors, EntryPage } from '@/ui/entry';
import { enter, enterWithCode, enterWithPin, signIn } from './actions';
import { sayNow } from './language';
import { homeOf, tabletToken, viewerNow } from './viewer';
import { Link } from '@/ui/base';

export async function generateMetadata(): Promise<Metadata> {
  return { title: { absolute: 'Mivvel' }, description: (await sayNow()).t('screen.shell.about') };
}

/** Where everybody comes in. Whoever is in already goes on to their own first page, except in a demo, where one looks as
 * one person after the other. */
export default async function StartPage({
  searchParams,
}: {
  searchParams: Promise<{ doors?: string | string[] }>;
}) {
  await connection();
  const context = liveContext();
  const [say, viewer, token] = await Promise.all([sayNow(), viewerNow(), tabletToken()]);
  const demo = listDemo(context);
  if (viewer && !demo.some(({ id }) => id === viewer.studioId)) redirect(homeOf(viewer.role));
  const tablet = token === null ? null : tabletNow(context, token);
  const { doors } = await searchParams;
  if (tablet && doors === undefined) {
    return (
      <EntryPage say={say} title={say.t('screen.entry.whoPlays')}>
        <p className="-mt-8 text-soft">
          {say.t('screen.entry.tabletOf', { tablet: tablet.name, studio: tablet.studio })}
        </p>
        <ByNumber students={tablet.students} enter={enterWithPin} />
        <p>
          <Link href="/?doors" className="text-soft underline">
            {say.t('screen.entry.teachersHere')}
          </Link>
        </p>
      </EntryPage>
    );
  }
  const setup = setupNow(context);
  // Where nobody can come in yet there is nothing else to do.
  if (setup && !setup.open && demo.length === 0) redirect('/setup');
  return (
    <EntryPage say={say}>
      {demo.map((door) => (
        <DemoList key={door.id} say={say} door={door} enter={enter} />
      ))}
      {doors === 'set' && (
        <p role="status" className="text-lg">
          {say.t('screen.entry.passwordIsSet')}
        </p>
      )}
      {(setup?.open ?? true) && <Doors code={enterWithCode} signIn={signIn} />}
      {setup && (
        <p>
          <Link href="/setup" className="underline">
            {say.t(setup.first ? 'screen.entry.openYours' : 'screen.entry.claim')}
          </Link>
        </p>
      )}
    </EntryPage>
  );
}
