import type { Metadata } from 'next';
import { getToday, listNotes } from '@/server';
import { TopBar } from '@/ui/shell';
import { Today } from '@/ui/today';
import { leave } from '../../actions';
import { found } from '../../found';
import { studentVisit } from '../../viewer';

export const metadata: Metadata = { title: 'Today' };

export default async function TodayPage() {
  const { context, viewer, name } = await studentVisit();
  return (
    <>
      <TopBar places={[{ href: '/today', name: 'Today' }]} who={name} leave={leave} />
      <Today
        name={name}
        items={found(getToday(context, viewer))}
        notes={found(listNotes(context, viewer))}
      />
    </>
  );
}
