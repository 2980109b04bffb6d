import type { Metadata } from 'next';
import { parseId } from '@/core/studio';
import { getProgram, listVersions } from '@/server';
import { ClassPage } from '@/ui/programs';
import { found, idOr404, teacherVisit } from '../../../../viewer';
import { give, start } from '../../actions';

type Params = { params: Promise<{ id: string }> };

async function load({ params }: Params) {
  const { me } = await teacherVisit();
  const id = idOr404(parseId<'program'>((await params).id));
  return { me, program: found(getProgram(me, id)) };
}

export async function generateMetadata(params: Params): Promise<Metadata> {
  return { title: `${(await load(params)).program.name}, each student` };
}

export default async function ProgramClassPage(params: Params) {
  const { me, program } = await load(params);
  const { id, name } = program;
  const versions = found(listVersions(me, id));
  return <ClassPage program={{ id, name }} versions={versions} actions={{ give, start }} />;
}
