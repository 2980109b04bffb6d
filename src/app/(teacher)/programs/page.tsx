import { listPrograms } from '@/server';
import { ProgramList } from '@/ui/programs';
import { found, teacherVisit } from '../../viewer';
import { create } from './actions';
import { titled } from '../../language';

export const generateMetadata = titled('programs');

export default async function ProgramsPage() {
  const { me } = await teacherVisit();
  return <ProgramList programs={found(listPrograms(me))} create={create} />;
}
