import type { Metadata } from 'next';
import { getRecord } from '@/server';
import { StudentRecord } from '@/ui/record';
import { found, studentVisit } from '../../viewer';
import { StudentBar } from '../student-bar';

export const metadata: Metadata = { title: 'Record' };

export default async function RecordPage() {
  const { me, name } = await studentVisit();
  return (
    <>
      <StudentBar who={name} />
      <StudentRecord record={found(getRecord(me, me.store.id))} />
    </>
  );
}
