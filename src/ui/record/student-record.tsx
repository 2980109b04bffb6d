'use client';

import { clsx } from 'clsx';
import dynamic from 'next/dynamic';
import { useMemo } from 'react';
import { minutesByDay } from '@/core/roster';
import { itemKey, type ItemRecord, type StudentRecord as Record } from '@/core/studio';
import { sayDay, sayRung, sayWhyToStudent } from '@/words';
import { Loading, useSpeech } from '../base';
import { JudgeLater } from '../log';
import { VerdictSign } from '../marks';

const PracticeChart = dynamic(() => import('../charts/practice-chart'), {
  ssr: false,
  loading: () => (
    <div className="h-32 text-soft">
      <Loading />
    </div>
  ),
});

/** Days that the bars cover. */
const DAYS = 42;

/** Tries that are shown of each exercise, the latest first. */
const LATELY = 12;

/** A student's own record: what was done, where each ladder stands, what the teacher wrote. */
export function StudentRecord({
  record: { items, today, notes },
  title,
  judges = true,
}: {
  record: Record;
  /** What stands over it; “Record” when left out. */
  title?: string;
  /** Whether who looks may say how a try went. */
  judges?: boolean;
}) {
  const { say } = useSpeech();
  const days = useMemo(
    () =>
      minutesByDay(
        items.flatMap((item) => item.days),
        today,
        DAYS,
      ),
    [items, today],
  );
  return (
    <main className="mx-auto flex max-w-4xl flex-col gap-6 px-6 py-8">
      <h1 className="font-serif text-4xl">{title ?? say.t('screen.record.record')}</h1>
      {notes.length > 0 && (
        <section aria-labelledby="notes-title">
          <h2 id="notes-title" className="label mb-1">
            {say.t('screen.record.fromYourTeacher')}
          </h2>
          <ul className="border-l-3 border-warm pl-3 text-lg">
            {notes.map((note) => (
              <li key={note.id}>
                {note.text} <span className="text-sm text-soft">{sayDay(say, note.day)}</span>
              </li>
            ))}
          </ul>
        </section>
      )}
      {items.some((item) => item.count > 0) ? (
        <section aria-labelledby="done-title">
          <h2 id="done-title" className="label mb-1">
            {say.t('screen.record.sixWeeksMinutesADay')}
          </h2>
          <PracticeChart days={days} />
        </section>
      ) : (
        <p className="text-lg">{say.t('screen.record.nothingIsOnRecordYetWhat')}</p>
      )}
      <ul aria-label={say.t('screen.common.ladders')} className="border-t border-line">
        {items.map((item) => (
          <li key={itemKey(item)} className="border-b border-line py-4">
            <Ladder record={item} judges={judges} />
          </li>
        ))}
      </ul>
    </main>
  );
}

/** Where a ladder stands: its rungs, why, and how the last tries went. */
function Ladder({ record, judges }: { record: ItemRecord; judges: boolean }) {
  const { say } = useSpeech();
  const { item, state, why, count } = record;
  const { rungs, rung: now, passed } = state;
  const latest = record.latest.slice(-LATELY).reverse();
  const remarks = latest.filter((one) => one.remark !== '');
  return (
    <>
      <p className="flex items-baseline gap-3">
        <span className="font-serif text-2xl leading-7">{item.name}</span>
        <span className="ml-auto text-soft">{say.t('screen.common.tryCount', { count })}</span>
      </p>
      <p>{sayWhyToStudent(say, why)}</p>
      <ol
        aria-label={say.t('screen.record.rungsOf', { item: item.name })}
        className="mt-2 flex flex-wrap gap-1"
      >
        {rungs.map((rung, index) => (
          <li
            key={index}
            aria-current={index === now ? 'step' : undefined}
            className={clsx(
              'rounded-sm border px-2 text-lg',
              index === now && !passed
                ? 'border-ink bg-ink font-semibold text-paper'
                : index < now || passed
                  ? 'border-soft bg-sheet'
                  : 'border-line text-soft',
            )}
          >
            {sayRung(say, rung.asks)}
          </li>
        ))}
      </ol>
      {latest.length > 0 && (
        <p className="mt-2 flex flex-wrap items-center gap-2 text-sm text-soft">
          {say.t('screen.record.lastTries')}
          {latest.map((one) => (
            <span key={one.id} className="inline-flex items-center gap-1">
              <VerdictSign verdict={one.verdict} /> {one.bpm}
            </span>
          ))}
        </p>
      )}
      {judges && (
        <JudgeLater
          tries={latest
            .filter((one) => one.verdict === null)
            .map((one) => ({ ...one, name: item.name }))}
        />
      )}
      {remarks.map((one) => (
        <p key={one.id} className="text-sm">
          <span className="text-soft">{sayDay(say, one.day)}</span> {one.remark}
        </p>
      ))}
    </>
  );
}
