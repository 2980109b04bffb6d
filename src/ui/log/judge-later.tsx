'use client';

import { useId, useState } from 'react';
import { VERDICTS, type Verdict } from '@/core/log';
import type { EntryId, OpenTry } from '@/core/studio';
import { sayDay, sayVerdict } from '@/words';
import { Button, newId, useSpeech } from '../base';
import { JudgeButtons, VerdictSign } from '../marks';
import { useSender } from './use-log';

/** Tries of which nobody has said how they went: it can be said now, and taken back. */
export function JudgeLater({ tries }: { tries: readonly OpenTry[] }) {
  const { say } = useSpeech();
  const title = useId();
  const sender = useSender();
  const [said, setSaid] = useState<ReadonlyMap<EntryId, Verdict>>(new Map());
  // What is judged here stays to be taken back, once the log no longer has it open.
  const [judged, setJudged] = useState<readonly OpenTry[]>([]);
  const shown = [...tries, ...judged.filter(({ id }) => !tries.some((one) => one.id === id))];

  function judge(one: OpenTry, verdict: Verdict | null) {
    const about = one.id;
    if (!judged.some(({ id }) => id === about)) setJudged([...judged, one]);
    sender.put({ kind: 'judged', id: newId<'entry'>(), agoMs: 0, about, body: { verdict } });
    const next = new Map(said);
    if (verdict) next.set(about, verdict);
    else next.delete(about);
    setSaid(next);
  }

  if (shown.length === 0) return null;
  return (
    <section aria-labelledby={title}>
      <h2 id={title} className="label mb-1">
        {say.t('screen.common.notJudgedYet')}
      </h2>
      <ul className="border-t border-line">
        {shown.map((one) => {
          const verdict = said.get(one.id);
          const played = say.t('screen.common.openTry', {
            name: one.name,
            day: sayDay(say, one.day),
            bars: one.bars,
            bpm: one.bpm,
          });
          return (
            <li
              key={one.id}
              className="flex flex-wrap items-center gap-x-3 gap-y-1 border-b border-line py-2"
            >
              <span className="min-w-0 flex-1 basis-56">{played}</span>
              {verdict ? (
                <span className="inline-flex items-center gap-2">
                  <VerdictSign verdict={verdict} /> {sayVerdict(say, verdict)}
                  <Button look="quiet" onClick={() => judge(one, null)}>
                    {say.t('screen.common.undo')}
                  </Button>
                </span>
              ) : (
                <JudgeButtons
                  of={played}
                  verdicts={VERDICTS}
                  onJudge={(next) => judge(one, next)}
                />
              )}
            </li>
          );
        })}
      </ul>
    </section>
  );
}
