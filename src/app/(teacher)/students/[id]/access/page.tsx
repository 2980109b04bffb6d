import type { Metadata } from 'next';
import { parseId } from '@/core/studio';
import { getRecord, getWaysIn } from '@/server';
import { Access } from '@/ui/students';
import { sayNow } from '../../../../language';
import { found, idOr404, reachedNow, teacherVisit } from '../../../../viewer';
import {
  codeFor,
  endDeviceOf,
  endLinkOf,
  endReadingOf,
  erase,
  letReadOf,
  linkOf,
  pinFor,
  renewReadingOf,
  setTeacherOf,
} from '../../actions';

type Params = { params: Promise<{ id: string }> };

async function load({ params }: Params) {
  const { me } = await teacherVisit();
  const id = idOr404(parseId<'person'>((await params).id));
  return { me, student: found(getRecord(me, id)).student };
}

export async function generateMetadata(params: Params): Promise<Metadata> {
  const { student } = await load(params);
  return { title: (await sayNow()).t('screen.access.title', { student: student.name }) };
}

/** How a student gets in, who may read their record, who teaches them, and how they leave. */
export default async function AccessPage(params: Params) {
  const { me, student } = await load(params);
  const { id } = student;
  return (
    <Access
      student={student}
      studio={me.store.studio().name}
      {...await reachedNow(me)}
      ways={found(getWaysIn(me, id))}
      actions={{
        link: linkOf.bind(null, id),
        endLink: endLinkOf.bind(null, id),
        code: codeFor.bind(null, id),
        pin: pinFor.bind(null, id),
        endDevice: endDeviceOf.bind(null, id),
        letRead: letReadOf.bind(null, id),
        renewReading: renewReadingOf.bind(null, id),
        endReading: endReadingOf.bind(null, id),
        setTeacher: setTeacherOf.bind(null, id),
        erase: erase.bind(null, id),
      }}
    />
  );
}
