import type { Metadata } from 'next';
import { connection } from 'next/server';
import { packFile } from '@/core/format';
import { itemsOf } from '@/core/program';
import { liveContext, openShared } from '@/server';
import { EntryPage, TakeAlong } from '@/ui/entry';
import { SentenceText } from '@/ui/marks';
import { sayAllIn } from '@/words';
import { languageNow } from '../../language';
import { LinkOver } from '../../link-over';

export const metadata: Metadata = { robots: { index: false }, title: 'Mivvel' };

/** A program that was shared, for whoever has its address: looked at, and taken along. */
export default async function SharedPage({ params }: { params: Promise<{ address: string }> }) {
  await connection();
  const { address } = await params;
  const shared = openShared(liveContext(), address);
  if (!shared.ok) return <LinkOver />;
  const { program, speech, studio, bundle } = shared.value;
  const say = sayAllIn(await languageNow(), speech);
  const items = itemsOf(program.outline);
  return (
    <EntryPage say={say} title={program.name}>
      <p className="-mt-8 text-soft">
        {say.t('screen.entry.sharedBy', { studio, items: items.length })}
      </p>
      <ol className="border-t border-line">
        {items.map(({ id, name }, index) => {
          const recipe = program.recipes[id];
          return (
            <li key={id} className="border-b border-line py-3">
              <p className="font-serif text-lg">
                {index + 1} {name}
              </p>
              {recipe && (
                <p className="text-soft">
                  <SentenceText say={say} recipe={recipe} />
                </p>
              )}
            </li>
          );
        })}
      </ol>
      <TakeAlong name={program.name} bundle={bundle} packed={packFile(bundle)} />
    </EntryPage>
  );
}
