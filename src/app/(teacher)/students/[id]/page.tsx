import type { Metadata } from 'next';
import type { KitProfile } from '@/core/kit';
import { parseId, type ProgramId } from '@/core/studio';
import { getRecord, listPrograms } from '@/server';
import { Record } from '@/ui/students';
import { found, idOr404 } from '../../../found';
import { teacherVisit } from '../../../viewer';
import { give } from '../../programs/actions';
import { setStudentKit } from '../actions';

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
  async function giveHere(program: ProgramId) {
    'use server';
    return give(program, id);
  }
  async function setKitHere(kit: KitProfile) {
    'use server';
    return setStudentKit(id, kit);
  }
  return (
    <Record
      record={record}
      programs={found(listPrograms(context, viewer))}
      give={giveHere}
      setKit={setKitHere}
    />
  );
}
