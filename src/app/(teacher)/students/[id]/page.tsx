import type { Metadata } from 'next';
import { parseId } from '@/core/studio';
import { getRecord, listPrograms } from '@/server';
import { Record } from '@/ui/students';
import { found, idOr404, teacherVisit } from '../../../viewer';
import { logOf } from '../../../plans';
import { earlierTries, giveTo, logFor, setStudentKit, studentAsFile } from '../actions';

type Params = { params: Promise<{ id: string }> };

async function load({ params }: Params) {
  const { me } = await teacherVisit();
  const id = idOr404(parseId<'person'>((await params).id));
  return { me, record: found(getRecord(me, id)) };
}

export async function generateMetadata(params: Params): Promise<Metadata> {
  return { title: (await load(params)).record.student.name };
}

export default async function StudentPage(params: Params) {
  const { me, record } = await load(params);
  const { id } = record.student;
  return (
    <Record
      key={id}
      record={record}
      programs={found(listPrograms(me))}
      actions={{
        give: giveTo.bind(null, id),
        setKit: setStudentKit.bind(null, id),
        log: logFor.bind(null, id),
        earlier: earlierTries.bind(null, id),
        csv: logOf.bind(null, id),
        bundle: studentAsFile.bind(null, id),
      }}
    />
  );
}
