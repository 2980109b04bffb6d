import type { Metadata } from 'next';
import { redirect } from 'next/navigation';
import { isDue } from '@/core/studio';
import { getToday } from '@/server';
import { Stand } from '@/ui/stand';
import { found } from '../../found';
import { studentVisit } from '../../viewer';

export const metadata: Metadata = { title: 'Stand' };

type Query = { item?: string | string[] };

export default async function StandPage({ searchParams }: { searchParams: Promise<Query> }) {
  const { context, viewer } = await studentVisit();
  const items = found(getToday(context, viewer)).filter(isDue);
  if (items.length === 0) redirect('/today');
  const { item } = await searchParams;
  const index = items.findIndex((one) => one.item.id === item);
  return <Stand person={viewer.personId} items={items} first={Math.max(0, index)} />;
}
