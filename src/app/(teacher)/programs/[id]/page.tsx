import type { Metadata } from 'next';
import { parseId } from '@/core/studio';
import { getProgram, getShared, getSteps, listExerciseNames, listRoster } from '@/server';
import { ProgramEditor } from '@/ui/programs';
import { found, idOr404, teacherVisit } from '../../../viewer';
import * as actions from '../actions';

type Params = { params: Promise<{ id: string }> };

async function load({ params }: Params) {
  const { me } = await teacherVisit();
  const id = idOr404(parseId<'program'>((await params).id));
  return { me, program: found(getProgram(me, id)) };
}

export async function generateMetadata(params: Params): Promise<Metadata> {
  return { title: (await load(params)).program.name };
}

export default async function ProgramPage(params: Params) {
  const { me, program } = await load(params);
  const { rename, archive, template, save, give, take, follow, preview, share } = actions;
  return (
    <ProgramEditor
      program={program}
      shared={found(getShared(me, program.id))}
      exercises={found(listExerciseNames(me))}
      students={found(listRoster(me))}
      template={getSteps(me)}
      actions={{ rename, archive, template, save, give, take, follow, preview, share }}
    />
  );
}
