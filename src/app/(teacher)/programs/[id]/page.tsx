import type { Metadata } from 'next';
import { parseId } from '@/core/studio';
import { getProgram, getSteps, listExerciseNames, listRoster } from '@/server';
import { ProgramEditor } from '@/ui/programs';
import { found, idOr404 } from '../../../found';
import { teacherVisit } from '../../../viewer';
import * as actions from '../actions';

type Params = { params: Promise<{ id: string }> };

async function load({ params }: Params) {
  const { context, viewer } = await teacherVisit();
  const id = idOr404(parseId<'program'>((await params).id));
  return { context, viewer, program: found(getProgram(context, viewer, id)) };
}

export async function generateMetadata(params: Params): Promise<Metadata> {
  return { title: (await load(params)).program.name };
}

export default async function ProgramPage(params: Params) {
  const { context, viewer, program } = await load(params);
  const { rename, archive, template, save, give, take, follow, preview } = actions;
  return (
    <ProgramEditor
      program={program}
      exercises={found(listExerciseNames(context, viewer))}
      students={found(listRoster(context, viewer))}
      template={getSteps(context, viewer)}
      actions={{ rename, archive, template, save, give, take, follow, preview }}
    />
  );
}
