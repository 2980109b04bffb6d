'use client';

import dynamic from 'next/dynamic';
import { useMemo } from 'react';
import { LIMBS } from '@/core/kit';
import { VERDICTS } from '@/core/log';
import { minutesByDay, sufferedByLimb, verdictMix } from '@/core/roster';
import type { StudentRecord } from '@/core/studio';
import { saySuffering, sayVerdict } from '@/words';
import { Loading, useSpeech } from '../base';
import { LimbSign, VerdictSign } from '../marks';

const PracticeChart = dynamic(() => import('../charts/practice-chart'), {
  ssr: false,
  loading: () => (
    <div className="h-32 text-soft">
      <Loading />
    </div>
  ),
});

/** Days that the bars cover. */
const DAYS = 28;

/** Sufferings that are listed. */
const MOST = 6;

/** All of a student's practice: time by day, how the tries went, what suffered in which limb. */
export function Tallies({ record: { items, today } }: { record: StudentRecord }) {
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
  const mix = verdictMix(items);
  const suffered = sufferedByLimb(items).slice(0, MOST);
  if (items.every((item) => item.count === 0)) return null;
  return (
    <section aria-labelledby="tallies-title">
      <h2 id="tallies-title" className="label mb-1">
        {say.t('screen.students.fourWeeksMinutesADay')}
      </h2>
      <PracticeChart days={days} />
      <h2 className="label mt-3 mb-1">{say.t('screen.students.allTries')}</h2>
      <div className="flex h-3 w-full gap-0.5" aria-hidden>
        {VERDICTS.map((verdict) => (
          <span
            key={verdict}
            className={{ clean: 'bg-ink', shaky: 'border border-ink', lost: 'bg-warm' }[verdict]}
            style={{ flexGrow: mix[verdict], flexBasis: 0 }}
          />
        ))}
        <span className="bg-faint" style={{ flexGrow: mix.open, flexBasis: 0 }} />
      </div>
      <p className="mt-1 flex flex-wrap gap-x-4 text-sm">
        {[...VERDICTS, null].map((verdict) => (
          <span key={verdict} className="inline-flex items-center gap-1">
            <VerdictSign verdict={verdict} /> {mix[verdict ?? 'open']} {sayVerdict(say, verdict)}
          </span>
        ))}
      </p>
      {suffered.length > 0 && (
        <>
          <h2 className="label mt-3 mb-1">{say.t('screen.students.whatGoesWrong')}</h2>
          <ul className="text-sm">
            {suffered.map(({ what, times, limbs }) => (
              <li key={what} className="flex items-center gap-2 border-b border-faint py-0.5">
                <span className="w-6 text-right font-semibold">{times}</span>
                <span>{saySuffering(say, what)}</span>
                <span className="ml-auto inline-flex gap-2">
                  {LIMBS.filter((limb) => limbs[limb]).map((limb) => (
                    <span key={limb} className="inline-flex items-center gap-1">
                      <LimbSign limb={limb} size={10} /> {limbs[limb]}
                    </span>
                  ))}
                </span>
              </li>
            ))}
          </ul>
        </>
      )}
    </section>
  );
}
