import type { Metadata } from 'next';
import { parseId } from '@/core/studio';
import { getProgram, listVersions } from '@/server';
import { ClassPage } from '@/ui/programs';
import { found, idOr404, teacherVisit } from '../../../../viewer';
import { give, start } from '../../actions';
import { sayNow } from '../../../../language';

type Params = { params: Promise<{ id: string }> };

async function load({ params }: Params) {
  const { me } = await teacherVisit();
  const id = idOr404(parseId<'program'>((await params).id));
  return { me, program: found(getProgram(me, id)) };
}

export async function generateMetadata(params: Params): Promise<Metadata> {
  const say = await sayNow();
  return {
    title: say.t('screen.shell.eachStudent', { program: (await load(params)).program.name }),
  };
}

export default async function ProgramClassPage(params: Params) {
  const { me, program } = await load(params);
  const { id, name } = program;
  const versions = found(listVersions(me, id));
  return <ClassPage program={{ id, name }} versions={versions} actions={{ give, start }} />;
}
