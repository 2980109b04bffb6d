import type { Metadata } from 'next';
import { listPrograms } from '@/server';
import { ProgramList } from '@/ui/programs';
import { found, teacherVisit } from '../../viewer';
import { create } from './actions';

export const metadata: Metadata = { title: 'Programs' };

export default async function ProgramsPage() {
  const { me } = await teacherVisit();
  return <ProgramList programs={found(listPrograms(me))} create={create} />;
}
