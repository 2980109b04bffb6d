import type { Metadata } from 'next';
import { parseId } from '@/core/studio';
import { getPlan } from '@/server';
import { Plan } from '@/ui/plan';
import { found, idOr404, teacherVisit } from '../../../../viewer';
import { sayNow } from '../../../../language';
import { calendarOf, feedOf, setPlanOf } from '../../../../plans';

type Params = { params: Promise<{ id: string }> };

async function load({ params }: Params) {
  const { me } = await teacherVisit();
  const id = idOr404(parseId<'person'>((await params).id));
  return found(getPlan(me, id));
}

export async function generateMetadata(params: Params): Promise<Metadata> {
  const say = await sayNow();
  return { title: say.t('screen.common.planOf', { student: (await load(params)).student.name }) };
}

export default async function StudentPlanPage(params: Params) {
  const plan = await load(params);
  const { id } = plan.student;
  return (
    <Plan
      key={id}
      plan={plan}
      back={`/students/${id}`}
      onSet={setPlanOf.bind(null, id)}
      calendar={{ file: calendarOf.bind(null, id), feed: feedOf.bind(null, id) }}
    />
  );
}
