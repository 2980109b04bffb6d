'use client';

import type { ReactNode } from 'react';
import { type SufferingId, type Verdict } from '@/core/log';
import { beatPlaces } from '@/core/ladder';
import type { Limb } from '@/core/kit';
import type { Exercise } from '@/core/recipe';
import { sayAnyLimb, sayBeat, saySuffering, sayVerdict } from '@/words';
import { useSpeech } from '../base';
import { VerdictSign } from '../marks';
import { Band, Patience } from './bands';
import type { Played, Question } from './round';

/** Seconds without a press after which a question answers itself. */
const PATIENCE_SECONDS = 20;

export function AskVerdict({
  question,
  played,
  left,
  onAnswer,
}: {
  question: Question<Verdict | null>;
  played: Pick<Played, 'bpm' | 'bars' | 'stopped'>;
  /** Tries that are judged after this one. */
  left: number;
  onAnswer: (verdict: Verdict | null) => void;
}) {
  const { say } = useSpeech();
  return (
    <Ask
      title={
        played.stopped
          ? say.t('screen.stand.howWasItStopped', { bars: played.bars, bpm: played.bpm, left })
          : say.t('screen.stand.howWasIt', { bpm: played.bpm, left })
      }
      onOver={() => onAnswer(null)}
    >
      <div className="grid min-h-0 flex-1 grid-rows-3 gap-3">
        {question.options.map((verdict, index) => (
          <Band
            key={verdict}
            marked={question.cursor === index}
            onPress={() => onAnswer(verdict)}
            className="stand-number"
          >
            <VerdictSign verdict={verdict} size={56} />
            {verdict ? sayVerdict(say, verdict) : say.t('screen.stand.justStopped')}
          </Band>
        ))}
      </div>
    </Ask>
  );
}

/** One touch on the beat where it broke: a band for each beat of the cycle, bars under each other. */
export function AskBroke({
  question,
  exercise,
  onAnswer,
  onOver,
}: {
  question: Question<number | null>;
  exercise: Exercise;
  onAnswer: (beat: number | null) => void;
  /** Nobody answered, and nothing more is asked. */
  onOver: () => void;
}) {
  const { say } = useSpeech();
  const places = beatPlaces(exercise);
  const perBar = places.length / exercise.bars;
  const inBar = (beat: number) => (beat % perBar) + 1;
  const long = exercise.bars > 1;
  return (
    <Ask title={say.t('screen.stand.whereDidItBreak')} onOver={onOver}>
      <div
        className="grid min-h-0 flex-1 auto-rows-fr gap-2"
        style={{ gridTemplateColumns: `repeat(${perBar}, minmax(0, 1fr))` }}
      >
        {question.options.map((beat, index) =>
          beat === null ? null : (
            <Band
              key={beat}
              marked={question.cursor === index}
              onPress={() => onAnswer(beat)}
              className="stand-number flex-col gap-0 leading-none"
              label={capital(sayBeat(say, exercise, beat))}
            >
              {inBar(beat)}
              {long && inBar(beat) === 1 && (
                <span className="stand-words text-soft">
                  {say.t('screen.stand.bar', { bar: Math.floor(beat / perBar) + 1 })}
                </span>
              )}
            </Band>
          ),
        )}
      </div>
      <Band
        marked={question.cursor === 0}
        onPress={() => onAnswer(null)}
        className="stand-words h-24 shrink-0"
      >
        {say.t('screen.stand.nowhereInParticular')}
      </Band>
    </Ask>
  );
}

function capital(text: string): string {
  return text.slice(0, 1).toUpperCase() + text.slice(1);
}

export function AskSuffered({
  question,
  cue,
  onAnswer,
  onOver,
}: {
  question: Question<SufferingId | null>;
  /** What was to be watched for, in words; null where that is nothing, or several things. */
  cue: string | null;
  onAnswer: (what: SufferingId | null) => void;
  onOver: () => void;
}) {
  const { say } = useSpeech();
  return (
    <Ask title={say.t('screen.stand.whatWentWrong')} onOver={onOver}>
      <div className="grid min-h-0 flex-1 auto-rows-fr grid-cols-2 gap-2 lg:grid-cols-3">
        {question.options.map((what, index) => (
          <Band
            key={what ?? 'none'}
            marked={question.cursor === index}
            onPress={() => onAnswer(what)}
            className="stand-words leading-none"
          >
            <span className="line-clamp-3">
              {what === null
                ? say.t('screen.common.goOn')
                : what === 'cue' && cue !== null
                  ? say.t('screen.stand.itHappened', { cue })
                  : saySuffering(say, what)}
            </span>
          </Band>
        ))}
      </div>
    </Ask>
  );
}

export function AskLimb({
  question,
  what,
  onAnswer,
}: {
  question: Question<Limb | null>;
  what: SufferingId;
  onAnswer: (limb: Limb | null) => void;
}) {
  const { say } = useSpeech();
  return (
    <Ask
      title={say.t('practice.sufferingWhich', { what: saySuffering(say, what) })}
      onOver={() => onAnswer(null)}
    >
      <div className="grid min-h-0 flex-1 auto-rows-fr gap-2">
        {question.options.map((limb, index) => (
          <Band
            key={limb ?? 'none'}
            marked={question.cursor === index}
            onPress={() => onAnswer(limb)}
            className="stand-words"
          >
            {sayAnyLimb(say, limb)}
          </Band>
        ))}
      </div>
    </Ask>
  );
}

function Ask({
  title,
  onOver,
  children,
}: {
  title: string;
  onOver: () => void;
  children: ReactNode;
}) {
  return (
    <>
      <h2 className="stand-words" role="status">
        {title}
      </h2>
      {children}
      <Patience seconds={PATIENCE_SECONDS} onOver={onOver} />
    </>
  );
}
