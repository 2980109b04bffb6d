import { listExercises, listMaterials } from '@/server';
import { Materials } from '@/ui/materials';
import { found, teacherVisit } from '../../viewer';
import { archiveFile } from '../programs/actions';
import { archive, save } from './actions';
import { titled } from '../../language';

export const generateMetadata = titled('materials');

type Query = Readonly<Record<string, string | string[] | undefined>>;

/** `k` is the kind that is shown, `m` the material. */
export default async function MaterialsPage({ searchParams }: { searchParams: Promise<Query> }) {
  const { me } = await teacherVisit();
  const query = await searchParams;
  const text = (key: string) => (typeof query[key] === 'string' ? query[key] : '');
  const exercises = found(listExercises(me));
  return (
    <Materials
      kind={text('k')}
      chosen={text('m')}
      own={found(listMaterials(me))}
      exercises={exercises.map(({ id, name, recipe }) => ({ id, name, recipe }))}
      actions={{ save, archive }}
      archiveFile={archiveFile}
    />
  );
}
