import type { Metadata } from 'next';
import { parseId } from '@/core/studio';
import { getRecord, listPrograms } from '@/server';
import { Record } from '@/ui/students';
import { found, idOr404 } from '../../../found';
import { teacherVisit } from '../../../viewer';
import { decideOn, giveTo, note, putNoteAway, setStudentKit, takeBackDecision } from '../actions';

type Params = { params: Promise<{ id: string }> };

async function load({ params }: Params) {
  const { context, viewer } = await teacherVisit();
  const id = idOr404(parseId<'person'>((await params).id));
  return { context, viewer, record: found(getRecord(context, viewer, id)) };
}

export async function generateMetadata(params: Params): Promise<Metadata> {
  return { title: (await load(params)).record.student.name };
}

export default async function StudentPage(params: Params) {
  const { context, viewer, record } = await load(params);
  const { id } = record.student;
  return (
    <Record
      key={id}
      record={record}
      programs={found(listPrograms(context, viewer))}
      actions={{
        give: giveTo.bind(null, id),
        setKit: setStudentKit.bind(null, id),
        decide: decideOn.bind(null, id),
        takeBack: takeBackDecision.bind(null, id),
        addNote: note.bind(null, id),
        archiveNote: putNoteAway.bind(null, id),
      }}
    />
  );
}
