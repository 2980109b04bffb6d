import { redirect } from 'next/navigation';
import { getRound } from '@/server';
import { Stand } from '@/ui/stand';
import { found, studentVisit } from '../../viewer';
import { readNow, type NowQuery } from '../now';
import { moreToPlay } from './actions';
import { titled } from '../../language';

export const generateMetadata = titled('stand');

type Query = NowQuery & { item?: string | string[] };

export default async function StandPage({ searchParams }: { searchParams: Promise<Query> }) {
  const { me } = await studentVisit();
  const query = await searchParams;
  const item = typeof query.item === 'string' ? query.item : null;
  const now = readNow(query);
  const round = found(getRound(me, me.store.id, { item, now }));
  if (round.slots.length === 0) redirect('/today');
  return (
    <Stand
      person={me.store.id}
      round={round}
      fresh={item !== null || now !== null}
      home="/today"
      more={moreToPlay.bind(null, me.store.id)}
    />
  );
}
