'use client';

import { useState } from 'react';
import { type Result } from '@/core/issue';
import { inOrder, type LoggedTry, type Verdict } from '@/core/log';
import { verdictsOf } from '@/core/ladder';
import { expand } from '@/core/recipe';
import type { EntryId, ItemRecord } from '@/core/studio';
import { sayBeat, sayDay, saySuffering, sayVerdict } from '@/words';
import { attemptOrSay, Button, useSpeech } from '../base';
import { JudgeButtons, VerdictSign } from '../marks';

/** Reads tries before one that is shown, latest first. */
export type EarlierTries = (
  before: Pick<LoggedTry, 'day' | 'seq'>,
) => Promise<Result<readonly LoggedTry[]>>;

/** The tries, latest first: what each was, what went wrong, where it broke. */
export function LogTable({
  record,
  earlier,
  onJudge,
}: {
  record: ItemRecord;
  earlier: EarlierTries;
  onJudge: (id: EntryId, verdict: Verdict) => void;
}) {
  const { say } = useSpeech();
  const { latest, count, whole } = record;
  const [older, setOlder] = useState<readonly LoggedTry[]>([]);
  const [busy, setBusy] = useState(false);
  const newest = [...latest].reverse();
  const oldest = newest.at(-1);
  const before = older.filter((one) => oldest && inOrder(one, oldest) < 0);
  const rows = [...newest, ...before];
  const left = count - rows.length;

  async function readOn() {
    const last = rows.at(-1);
    if (busy || !last) return;
    setBusy(true);
    const found = await attemptOrSay(() => earlier({ day: last.day, seq: last.seq }));
    setBusy(false);
    if (found) setOlder([...before, ...found.value]);
  }

  const exercise = expand(whole);
  const sayBroke = (beat: number) =>
    exercise.ok
      ? say.t('screen.students.brokeAt', { beat: sayBeat(say, exercise.value, beat) })
      : say.t('screen.students.broke');
  return (
    <>
      <table className="mt-4 w-full text-left" aria-label={say.t('screen.students.log')}>
        <thead>
          <tr className="label border-b border-line">
            <th className="w-20 py-1 font-normal">{say.t('screen.common.day')}</th>
            <th className="w-14 font-normal">{say.t('screen.students.tempo')}</th>
            <th className="w-20 font-normal">{say.t('screen.students.verdict')}</th>
            <th className="w-20 font-normal">{say.t('screen.students.played')}</th>
            <th className="font-normal">{say.t('screen.students.whatWentWrong')}</th>
          </tr>
        </thead>
        <tbody>
          {rows.map((one, index) => (
            <tr key={one.id} className="border-b border-faint align-baseline [&>td]:py-0.5">
              <td>{rows[index - 1]?.day === one.day ? '' : sayDay(say, one.day)}</td>
              <td>{one.bpm}</td>
              <td>
                <VerdictSign verdict={one.verdict} /> {sayVerdict(say, one.verdict)}
                {one.judgedBy === 'teacher' && !one.paper && (
                  <span className="text-soft"> {say.t('screen.students.byTheTeacher')}</span>
                )}
                {one.verdict === null && (
                  <JudgeButtons
                    of={say.t('screen.students.dayAt', { day: sayDay(say, one.day), bpm: one.bpm })}
                    verdicts={verdictsOf(one, record.item.course.rule)}
                    onJudge={(verdict) => onJudge(one.id, verdict)}
                  />
                )}
              </td>
              <td className="text-soft">
                {one.paper
                  ? say.t('screen.students.onPaper')
                  : say.t(one.stopped ? 'screen.students.stoppedAfter' : 'screen.common.barCount', {
                      bars: one.bars,
                    })}
              </td>
              <td>
                {[
                  ...one.suffered.map(
                    ({ what, limb }) => saySuffering(say, what) + (limb ? ` (${limb})` : ''),
                  ),
                  ...one.broke.map(sayBroke),
                  ...(one.remark ? [`“${one.remark}”`] : []),
                ].join(', ')}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      {left > 0 && (
        <Button look="quiet" className="mt-2" onClick={() => void readOn()}>
          {busy
            ? say.t('screen.students.reading')
            : say.t('screen.students.earlierTriesMore', { left })}
        </Button>
      )}
    </>
  );
}
