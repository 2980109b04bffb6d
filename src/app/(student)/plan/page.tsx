import { getPlan } from '@/server';
import { Plan } from '@/ui/plan';
import { found, studentVisit } from '../../viewer';
import { calendarOf, feedOf, setPlanOf } from '../../plans';
import { StudentBar } from '../student-bar';
import { titled } from '../../language';

export const generateMetadata = titled('plan');

export default async function PlanPage() {
  const { me, name } = await studentVisit();
  const { id } = me.store;
  return (
    <>
      <StudentBar who={name} />
      <Plan
        plan={found(getPlan(me, id))}
        back={null}
        onSet={setPlanOf.bind(null, id)}
        calendar={{ file: calendarOf.bind(null, id), feed: feedOf.bind(null, id) }}
      />
    </>
  );
}
