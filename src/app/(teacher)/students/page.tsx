import { listStudents } from '@/server';
import { StudentList } from '@/ui/students';
import { found, teacherVisit } from '../../viewer';
import { add } from './actions';
import { titled } from '../../language';

export const generateMetadata = titled('students');

export default async function StudentsPage() {
  const { me } = await teacherVisit();
  return <StudentList students={found(listStudents(me))} add={add} />;
}
