import { STARTER_IDS, STARTERS } from '@/core/program';
import { writeLink } from '@/core/recipe';
import { listPrograms } from '@/server';
import { ProgramList } from '@/ui/programs';
import { found, teacherVisit } from '../../viewer';
import { archiveFile, copyAsOwn, create, exportAll } from './actions';
import { titled } from '../../language';

export const generateMetadata = titled('programs');

export default async function ProgramsPage() {
  const { me } = await teacherVisit();
  const starters = STARTER_IDS.map((id) => ({
    id,
    items: STARTERS[id]().map((item) => ({
      id: item.id,
      link: `/bench?r=${writeLink(item.recipe)}`,
    })),
  }));
  return (
    <ProgramList
      programs={found(listPrograms(me))}
      starters={starters}
      copy={copyAsOwn}
      create={create}
      files={{ exportAll, archiveFile }}
    />
  );
}
