import type { Metadata } from 'next';
import { parseId } from '@/core/studio';
import { getProgram, listVersions } from '@/server';
import { ClassPage } from '@/ui/programs';
import { found, idOr404 } from '../../../../found';
import { teacherVisit } from '../../../../viewer';
import { give, start } from '../../actions';

type Params = { params: Promise<{ id: string }> };

async function load({ params }: Params) {
  const { context, viewer } = await teacherVisit();
  const id = idOr404(parseId<'program'>((await params).id));
  return { context, viewer, program: found(getProgram(context, viewer, id)) };
}

export async function generateMetadata(params: Params): Promise<Metadata> {
  return { title: `${(await load(params)).program.name}, each student` };
}

export default async function ProgramClassPage(params: Params) {
  const { context, viewer, program } = await load(params);
  const { id, name } = program;
  const versions = found(listVersions(context, viewer, id));
  return <ClassPage program={{ id, name }} versions={versions} actions={{ give, start }} />;
}
