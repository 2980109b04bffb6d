import type { Metadata } from 'next';
import { listPrograms } from '@/server';
import { ProgramList } from '@/ui/programs';
import { found } from '../../found';
import { teacherVisit } from '../../viewer';
import { create } from './actions';

export const metadata: Metadata = { title: 'Programs' };

export default async function ProgramsPage() {
  const { context, viewer } = await teacherVisit();
  return <ProgramList programs={found(listPrograms(context, viewer))} create={create} />;
}
