import type { Metadata } from 'next';
import { listStudents } from '@/server';
import { StudentList } from '@/ui/students';
import { found, teacherVisit } from '../../viewer';
import { add } from './actions';

export const metadata: Metadata = { title: 'Students' };

export default async function StudentsPage() {
  const { me } = await teacherVisit();
  return <StudentList students={found(listStudents(me))} add={add} />;
}
