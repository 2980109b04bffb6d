import { STARTER_IDS, STARTERS } from '@/core/program';
import { getBackups, listPrograms, listStudents } from '@/server';
import { StudentList } from '@/ui/students';
import { found, reachedNow, teacherVisit } from '../../viewer';
import { archive, archiveFile, copyAsOwn, take } from '../programs/actions';
import { add, backUp, giveTo, linkOf, rosterOf } from './actions';
import { titled } from '../../language';

export const generateMetadata = titled('students');

const STARTERS_OFFERED = STARTER_IDS.map((id) => ({
  id,
  items: STARTERS[id]().map((item) => ({ id: item.id })),
}));

export default async function StudentsPage() {
  const { me } = await teacherVisit();
  return (
    <StudentList
      students={found(listStudents(me))}
      add={add}
      files={{ rosterOf, archiveFile }}
      backups={found(getBackups(me))}
      backUp={backUp}
      offered={{
        programs: found(listPrograms(me)),
        starters: STARTERS_OFFERED,
        needsLinks: !me.store.studio().demo,
        reached: await reachedNow(me),
        actions: { give: giveTo, take, copy: copyAsOwn, archive, link: linkOf },
      }}
    />
  );
}
