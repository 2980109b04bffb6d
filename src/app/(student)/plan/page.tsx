import type { Metadata } from 'next';
import { getPlan } from '@/server';
import { Plan } from '@/ui/plan';
import { found } from '../../found';
import { setPlanOf } from '../../plans';
import { studentVisit } from '../../viewer';
import { StudentBar } from '../student-bar';

export const metadata: Metadata = { title: 'Plan' };

export default async function PlanPage() {
  const { context, viewer, name } = await studentVisit();
  const { personId } = viewer;
  return (
    <>
      <StudentBar who={name} />
      <Plan
        plan={found(getPlan(context, viewer, personId))}
        back={null}
        onSet={setPlanOf.bind(null, personId)}
      />
    </>
  );
}
