import { planToday } from '@/core/plan';
import { getDay, getSpeech, listNotes } from '@/server';
import { Today } from '@/ui/today';
import { sayIn } from '@/words';
import { found, studentVisit } from '../../viewer';
import { readNow, type NowQuery } from '../now';
import { StudentBar } from '../student-bar';
import { languageNow, titled } from '../../language';

export const generateMetadata = titled('today');

export default async function TodayPage({ searchParams }: { searchParams: Promise<NowQuery> }) {
  const { me, name } = await studentVisit();
  const now = readNow(await searchParams);
  const { items, plan, open } = found(getDay(me));
  return (
    <>
      <StudentBar who={name} />
      <Today
        name={name}
        say={sayIn(await languageNow(), getSpeech(me))}
        items={items}
        open={open}
        plan={plan}
        entries={planToday(plan.planning, now && { ...now, at: plan.clock })}
        now={now}
        notes={found(listNotes(me))}
      />
    </>
  );
}
