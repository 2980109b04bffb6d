import { getBackups, listStudents } from '@/server';
import { StudentList } from '@/ui/students';
import { found, teacherVisit } from '../../viewer';
import { archiveFile } from '../programs/actions';
import { add, backUp, rosterOf } from './actions';
import { titled } from '../../language';

export const generateMetadata = titled('students');

export default async function StudentsPage() {
  const { me } = await teacherVisit();
  return (
    <StudentList
      students={found(listStudents(me))}
      add={add}
      files={{ rosterOf, archiveFile }}
      backups={found(getBackups(me))}
      backUp={backUp}
    />
  );
}
