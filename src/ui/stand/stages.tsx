'use client';

import Link from 'next/link';
import type { ReactNode } from 'react';
import { issueText, type Issue } from '@/core/issue';
import {
  beatPlaces,
  dosageNow,
  rampBpm,
  rungAt,
  sayBeat,
  sayDosage,
  sufferingName,
  type SufferingId,
  type Verdict,
} from '@/core/ladder';
import type { Limb } from '@/core/kit';
import type { Score } from '@/core/playing';
import { sentenceText, type Exercise } from '@/core/recipe';
import type { StandItem } from '@/core/studio';
import type { Tempo } from '@/core/time';
import { Button, buttonLook, Words } from '../base';
import { VerdictSign } from '../marks';
import { TempoGlyph, type Playback } from '../play';
import { Band, Patience } from './bands';
import { limbText, type Question, type Stand } from './machine';
import { Pattern } from './pattern';
import { Pulse, usePosition } from './pulse';

/** Seconds without a press after which a question answers itself. */
const PATIENCE_SECONDS = 20;

/** The pattern fills the screen; over it what is to be played, and why. */
export function Ready({
  item: { item, plays, state, reason, cues },
  exercise,
  tempo,
  onStart,
}: {
  item: StandItem;
  exercise: Exercise;
  tempo: Tempo;
  onStart: () => void;
}) {
  const rung = rungAt(state.rungs, state.rung);
  return (
    <>
      <p className="text-lg text-soft">
        <Words text={sentenceText(plays)} />
      </p>
      <div className="stand-row">
        <span data-testid="rung">
          <TempoGlyph tempo={tempo} size={54} /> {tempo.bpm}
        </span>
        <span>{sayDosage(dosageNow(state, item.course.dosage))}</span>
      </div>
      {rung.says !== String(tempo.bpm) && <p className="stand-words leading-none">{rung.says}</p>}
      <p className="text-2xl" role="status">
        {reason}
      </p>
      {item.kind === 'own' && <p className="text-2xl">Make your own version of it.</p>}
      {cues[0] && <p className="text-2xl text-soft">{cues[0]}</p>}
      <Pattern exercise={exercise} />
      <Band main onPress={onStart} className="stand-number h-40 shrink-0">
        Start
      </Band>
    </>
  );
}

/** Count-in: the pattern large. Then nobody reads sixteen marks: the beat large, for the corner of
 * the eye, with bar, bars left and tempo; the pattern smaller. */
export function Playing({
  item: { state },
  exercise,
  tempo,
  score,
  playback,
  onStop,
}: {
  item: StandItem;
  exercise: Exercise;
  tempo: Tempo;
  score: Score;
  playback: Playback;
  onStop: () => void;
}) {
  const position = usePosition(playback.subscribe, score);
  const counting = position.phase === 'count-in';
  const last = position.barsLeft === 0;
  const bpm = rampBpm(rungAt(state.rungs, state.rung), counting ? 0 : position.bar);
  return (
    <>
      <div className="stand-row">
        <span>
          <TempoGlyph tempo={tempo} size={54} /> {bpm}
        </span>
        <span>{counting ? 'count-in' : `bar ${position.bar + 1}`}</span>
        <span className={last ? 'text-warm' : ''} role="status">
          {last ? 'last bar' : `${position.barsLeft} left`}
        </span>
      </div>
      <div className={counting ? 'flex h-[26%]' : 'flex min-h-0 flex-1'}>
        <Pulse score={score} position={position} />
      </div>
      <div className={counting ? 'flex min-h-0 flex-1 flex-col' : 'flex h-[34%] flex-col'}>
        <Pattern exercise={exercise} subscribe={playback.subscribe} />
      </div>
      {!playback.audible && <p role="status">No sound in this browser: follow the blocks.</p>}
      <Band onPress={onStop} className="stand-words h-24 shrink-0">
        stop
      </Band>
    </>
  );
}

export function AskVerdict({
  question,
  bpm,
  onAnswer,
}: {
  question: Question<Verdict>;
  bpm: number;
  onAnswer: (verdict: Verdict) => void;
}) {
  return (
    <Ask title={`${bpm}: how was it?`} onOver={() => onAnswer('shaky')}>
      <div className="grid min-h-0 flex-1 grid-rows-3 gap-3">
        {question.options.map((verdict, index) => (
          <Band
            key={verdict}
            main={verdict === 'clean'}
            marked={question.cursor === index}
            onPress={() => onAnswer(verdict)}
            className="stand-number"
          >
            {verdict !== 'clean' && <VerdictSign verdict={verdict} size={56} />}
            {verdict}
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
}: {
  question: Question<number | null>;
  exercise: Exercise;
  onAnswer: (beat: number | null) => void;
}) {
  const places = beatPlaces(exercise);
  const perBar = places.length / exercise.bars;
  const inBar = (beat: number) => (beat % perBar) + 1;
  const long = exercise.bars > 1;
  return (
    <Ask title="Stored. Where did it break?" onOver={() => onAnswer(null)}>
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
              label={capital(sayBeat(exercise, beat))}
            >
              {inBar(beat)}
              {long && inBar(beat) === 1 && (
                <span className="stand-words text-soft">bar {Math.floor(beat / perBar) + 1}</span>
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
        nowhere in particular
      </Band>
    </Ask>
  );
}

function capital(text: string): string {
  return text.slice(0, 1).toUpperCase() + text.slice(1);
}

export function AskSuffered({
  question,
  onAnswer,
}: {
  question: Question<SufferingId | null>;
  onAnswer: (what: SufferingId | null) => void;
}) {
  return (
    <Ask title="What suffered?" onOver={() => onAnswer(null)}>
      <div className="grid min-h-0 flex-1 auto-rows-fr grid-cols-2 gap-2 lg:grid-cols-3">
        {question.options.map((what, index) => (
          <Band
            key={what ?? 'none'}
            marked={question.cursor === index}
            onPress={() => onAnswer(what)}
            className="stand-words leading-none"
          >
            {what === null ? 'go on' : sufferingName(what)}
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
  return (
    <Ask title={`${sufferingName(what)}: which limb?`} onOver={() => onAnswer(null)}>
      <div className="grid min-h-0 flex-1 auto-rows-fr gap-2">
        {question.options.map((limb, index) => (
          <Band
            key={limb ?? 'none'}
            marked={question.cursor === index}
            onPress={() => onAnswer(limb)}
            className="stand-words"
          >
            {limbText(limb)}
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

/** An entry that is not in the log. One that the log will never take can be left behind. */
export function Unstored({
  issues,
  onRetry,
  onGiveUp,
}: {
  issues: readonly Issue[] | null;
  onRetry: () => void;
  onGiveUp: () => void;
}) {
  return (
    <div className="m-auto flex w-full max-w-4xl flex-col gap-4" role="alert">
      <p className="stand-words">
        {issues
          ? issues.map(issueText).join(' ')
          : 'Not stored yet: Mivvel cannot be reached. The try is kept here.'}
      </p>
      <Band main onPress={onRetry} className="stand-number h-48">
        Retry
      </Band>
      {issues && (
        <Band onPress={onGiveUp} className="stand-words h-24">
          go on without it
        </Band>
      )}
    </div>
  );
}

/** What the round brought: verdicts, and where each ladder stands now. */
export function Done({
  stand,
  onAgain,
  onFinish,
}: {
  stand: Stand;
  onAgain: () => void;
  onFinish: () => void;
}) {
  return (
    <div className="flex min-h-0 flex-1 flex-col gap-4">
      <h1 className="stand-words">Round done.</h1>
      <ul className="min-h-0 flex-1 overflow-y-auto">
        {stand.items.map((one) => (
          <li key={`${one.assignmentId} ${one.item.id}`} className="stand-line">
            <span className="truncate">{one.item.name}</span>
            <span className="flex gap-1.5">
              {stand.stored
                .filter(({ item: { item: played } }) => played.id === one.item.id)
                .map(({ verdict }, index) => (
                  <VerdictSign key={index} verdict={verdict} size={22} />
                ))}
            </span>
            <b>{one.state.bpm}</b>
            <span className="col-span-3 text-lg text-soft">{one.reason}</span>
          </li>
        ))}
      </ul>
      <Band main onPress={onAgain} className="stand-number h-44 shrink-0">
        Once more
      </Band>
      <Band onPress={onFinish} className="stand-words h-24 shrink-0">
        finish
      </Band>
    </div>
  );
}

/** An exercise that an older or damaged file cannot play. */
export function Broken({
  item,
  alone,
  onSkip,
}: {
  item: StandItem;
  alone: boolean;
  onSkip: () => void;
}) {
  return (
    <main className="m-auto flex max-w-2xl flex-col gap-4 p-8">
      <h1 className="font-serif text-3xl">{item.item.name}</h1>
      <p className="text-xl">This exercise cannot be played as it stands. Tell your teacher.</p>
      {!alone && (
        <Button look="main" onClick={onSkip}>
          The next one
        </Button>
      )}
      <Link href="/today" className={buttonLook()}>
        Back to Today
      </Link>
    </main>
  );
}
