import type { Metadata } from 'next';
import { connection } from 'next/server';
import { liveContext, readByLink } from '@/server';
import { SpeechProvider } from '@/ui/base';
import { StudentRecord } from '@/ui/record';
import { sayInstant } from '@/words';
import { sayNow } from '../../language';
import { LinkOver } from '../../link-over';

export const metadata: Metadata = { robots: { index: false }, title: 'Mivvel' };

/** A student's record for whoever was given its link, such as a parent: to be read, and nothing else. */
export default async function ReadingPage({ params }: { params: Promise<{ address: string }> }) {
  await connection();
  const { address } = await params;
  const read = readByLink(liveContext(), address);
  if (!read.ok) return <LinkOver />;
  const say = await sayNow();
  const { record, speech, studio, reader, endsAt } = read.value;
  return (
    <SpeechProvider speech={speech}>
      <header className="mx-auto max-w-4xl px-6 pt-8">
        <p className="label">
          {say.t('screen.entry.readingFor', {
            ...{ reader, studio, ends: endsAt === null ? 'no' : 'yes' },
            at: endsAt === null ? '' : sayInstant(say, endsAt),
          })}
        </p>
      </header>
      <StudentRecord record={record} title={record.student.name} judges={false} />
    </SpeechProvider>
  );
}
