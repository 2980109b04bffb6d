import type { Metadata } from 'next';
import { parseId } from '@/core/studio';
import { getRecord } from '@/server';
import { PaperWeek } from '@/ui/students';
import { found, idOr404 } from '../../../../found';
import { teacherVisit } from '../../../../viewer';
import { storePaper } from '../../actions';

type Params = { params: Promise<{ id: string }> };

async function load({ params }: Params) {
  const { context, viewer } = await teacherVisit();
  const id = idOr404(parseId<'person'>((await params).id));
  return found(getRecord(context, viewer, id));
}

export async function generateMetadata(params: Params): Promise<Metadata> {
  return { title: `${(await load(params)).student.name}, a paper week` };
}

export default async function PaperPage(params: Params) {
  const record = await load(params);
  return <PaperWeek record={record} store={storePaper.bind(null, record.student.id)} />;
}
