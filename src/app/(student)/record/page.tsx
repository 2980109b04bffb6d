import { getRecord } from '@/server';
import { StudentRecord } from '@/ui/record';
import { found, studentVisit } from '../../viewer';
import { StudentBar } from '../student-bar';
import { titled } from '../../language';

export const generateMetadata = titled('record');

export default async function RecordPage() {
  const { me, name } = await studentVisit();
  return (
    <>
      <StudentBar who={name} />
      <StudentRecord record={found(getRecord(me, me.store.id))} />
    </>
  );
}
