import type { Metadata } from 'next';
import { listStudents } from '@/server';
import { StudentList } from '@/ui/students';
import { found } from '../../found';
import { teacherVisit } from '../../viewer';
import { add } from './actions';

export const metadata: Metadata = { title: 'Students' };

export default async function StudentsPage() {
  const { context, viewer } = await teacherVisit();
  return <StudentList students={found(listStudents(context, viewer))} add={add} />;
}
