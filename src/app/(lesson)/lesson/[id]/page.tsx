import type { Metadata } from 'next';
import { redirect } from 'next/navigation';
import { parseId } from '@/core/studio';
import { getRecord, getRound, getSpeech } from '@/server';
import { SpeechProvider } from '@/ui/base';
import { LogProvider } from '@/ui/log';
import { Stand } from '@/ui/stand';
import { moreToPlay } from '../../../(student)/stand/actions';
import { found, idOr404, teacherVisit } from '../../../viewer';

interface Address {
  params: Promise<{ id: string }>;
  searchParams: Promise<{ item?: string | string[] }>;
}

async function load({ params }: Pick<Address, 'params'>) {
  const { me } = await teacherVisit();
  const id = idOr404(parseId<'person'>((await params).id));
  return { me, student: found(getRecord(me, id)).student };
}

export async function generateMetadata(address: Address): Promise<Metadata> {
  return { title: (await load(address)).student.name };
}

/** A student's Stand in a lesson: the teacher has it beside the kit, and judges. */
export default async function LessonPage(address: Address) {
  const { me, student } = await load(address);
  const { item } = await address.searchParams;
  const home = `/students/${student.id}`;
  const of = typeof item === 'string' ? item : null;
  const round = found(getRound(me, student.id, { item: of }));
  if (round.slots.length === 0) redirect(home);
  return (
    <SpeechProvider speech={getSpeech(me)}>
      <LogProvider key={student.id} person={student.id}>
        <Stand
          person={student.id}
          round={round}
          fresh={of !== null}
          home={home}
          lesson={student.name}
          more={moreToPlay.bind(null, student.id)}
        />
      </LogProvider>
    </SpeechProvider>
  );
}
