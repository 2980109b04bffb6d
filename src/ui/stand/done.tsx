'use client';

import { useState } from 'react';
import { itemKey, type EntryId, type StandItem } from '@/core/studio';
import { sayWhyToStudent } from '@/words';
import { Button, useSpeech } from '../base';
import { LogMark } from '../log';
import { VerdictSign } from '../marks';
import { Again, Band } from './bands';
import type { Stand } from './round';

/** What the round brought: verdicts, where each ladder stands now, and room for a word to the teacher. */
export function Done({
  stand,
  lesson,
  onWrite,
  again,
  onAgain,
  onMore,
  onFinish,
}: {
  stand: Stand;
  /** The teacher writes what to watch for; a student, a word to the teacher. */
  lesson: boolean;
  onWrite: (of: StandItem, tryId: EntryId, text: string) => void;
  /** What was played last. */
  again: string | undefined;
  onAgain: () => void;
  onMore: () => void;
  onFinish: () => void;
}) {
  const { say } = useSpeech();
  const named = new Set([...stand.slots, ...stand.judged].map((one) => one.key));
  const open = stand.judged.filter((one) => one.verdict === null && !one.stopped).length;
  return (
    <div className="flex min-h-0 flex-1 flex-col gap-4">
      <h1 className="stand-words">{say.t('screen.stand.roundDone')}</h1>
      {open > 0 && (
        <p className="text-xl">
          {say.t('screen.stand.stillToJudge', { count: open, lesson: lesson ? 'yes' : 'no' })}
        </p>
      )}
      <LogMark />
      <ul className="min-h-0 flex-1 overflow-y-auto">
        {stand.items.flatMap((one) => {
          if (!named.has(itemKey(one))) return [];
          const tries = stand.judged.filter(({ key }) => key === itemKey(one));
          const last = tries.at(-1);
          return (
            <li key={itemKey(one)} className="stand-line">
              <span className="truncate">{one.item.name}</span>
              <span className="flex gap-1.5">
                {tries.map(({ tryId, verdict }) => (
                  <VerdictSign key={tryId} verdict={verdict} size={22} />
                ))}
              </span>
              <b>{one.state.bpm}</b>
              <span className="text-lg text-soft">{sayWhyToStudent(say, one.why)}</span>
              {last && (
                <span className="col-span-2 text-right">
                  <Remark
                    name={one.item.name}
                    lesson={lesson}
                    onWrite={(text) => onWrite(one, last.tryId, text)}
                  />
                </span>
              )}
            </li>
          );
        })}
      </ul>
      {again !== undefined && <Again name={again} onPress={onAgain} />}
      <Band main onPress={onMore} className="stand-number h-44 shrink-0">
        {say.t('screen.stand.goOnCapital')}
      </Band>
      <Band onPress={onFinish} className="stand-words h-24 shrink-0">
        {say.t('screen.stand.finish')}
      </Band>
    </div>
  );
}

/** A word about the last try, for the teacher; in a lesson, what to watch for. */
function Remark({
  name,
  lesson,
  onWrite,
}: {
  name: string;
  lesson: boolean;
  onWrite: (text: string) => void;
}) {
  const { say } = useSpeech();
  const [stage, setStage] = useState<'closed' | 'open' | 'kept'>('closed');
  const [text, setText] = useState('');
  const label = say.t(lesson ? 'screen.stand.watchForIn' : 'screen.stand.noteOn', { name });
  if (stage === 'kept') {
    return (
      <span className="text-lg text-soft" role="status">
        {text}
      </span>
    );
  }
  if (stage === 'closed') {
    return (
      <Button look="quiet" aria-label={label} onClick={() => setStage('open')}>
        {say.t(lesson ? 'screen.stand.watchFor' : 'screen.stand.note')}
      </Button>
    );
  }
  return (
    <form
      className="flex gap-2 text-lg"
      onSubmit={(event) => {
        event.preventDefault();
        if (text.trim() === '') return setStage('closed');
        onWrite(text.trim());
        setStage('kept');
      }}
    >
      <input
        autoFocus
        aria-label={label}
        maxLength={lesson ? 120 : 300}
        className="field min-w-0 flex-1"
        value={text}
        onChange={(event) => setText(event.target.value)}
      />
      <Button type="submit">{say.t('screen.common.keepCapital')}</Button>
    </form>
  );
}
