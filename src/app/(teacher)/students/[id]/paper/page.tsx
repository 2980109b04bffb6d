import type { Metadata } from 'next';
import { parseId } from '@/core/studio';
import { getRecord } from '@/server';
import { PaperWeek } from '@/ui/students';
import { found, idOr404, teacherVisit } from '../../../../viewer';
import { storePaper, takeBackPaper } from '../../actions';
import { sayNow } from '../../../../language';

type Params = { params: Promise<{ id: string }> };

async function load({ params }: Params) {
  const { me } = await teacherVisit();
  const id = idOr404(parseId<'person'>((await params).id));
  return found(getRecord(me, id));
}

export async function generateMetadata(params: Params): Promise<Metadata> {
  const say = await sayNow();
  return { title: say.t('screen.shell.paperWeek', { student: (await load(params)).student.name }) };
}

export default async function PaperPage(params: Params) {
  const record = await load(params);
  const { id: student } = record.student;
  return (
    <PaperWeek
      record={record}
      store={storePaper.bind(null, student)}
      takeBack={takeBackPaper.bind(null, student)}
    />
  );
}
