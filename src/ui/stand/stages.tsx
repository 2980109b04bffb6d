'use client';

import Link from 'next/link';
import { Fragment, useRef, type ReactNode } from 'react';
import { countStrings } from '@/core/analysis';
import { issueText, type Issue } from '@/core/issue';
import {
  beatPlaces,
  dosageBars,
  dosageNow,
  rampBpm,
  sayBeat,
  sayDosage,
  sufferingName,
  type SufferingId,
  type Verdict,
} from '@/core/ladder';
import { limbName, type Limb } from '@/core/kit';
import { partAt, sayCall, sayChangeAt } from '@/core/playing';
import { sentenceText, type Exercise } from '@/core/recipe';
import type { StandItem } from '@/core/studio';
import { tempoFor, tempoOfTaps, ticksToSeconds } from '@/core/time';
import { Button, buttonLook, useSpeech, Words } from '../base';
import { VerdictSign } from '../marks';
import { TempoGlyph, type Playback } from '../play';
import { Band, Patience } from './bands';
import { limbText, type Played, type Question } from './machine';
import { Pattern } from './pattern';
import type { SlotPlan } from './plan-slot';
import { Pulse, usePosition } from './pulse';

/** Seconds without a press after which a question answers itself. */
const PATIENCE_SECONDS = 20;

const NOTICES = {
  slept: 'The device slept: that try was not heard to its end, and is not counted.',
  resumed: 'Going on where you stopped.',
} as const;

/** The pattern fills the screen; over it what is to be played, and why. */
export function Ready({
  plan,
  next,
  notice,
  caution,
  onTap,
  onStart,
}: {
  plan: SlotPlan;
  /** Tries that follow without a hand on the screen. */
  next: number;
  notice: keyof typeof NOTICES | null;
  caution: string | null;
  onTap: (bpm: number) => void;
  onStart: () => void;
}) {
  const { item, rung, exercise, tempo, bars, score } = plan;
  const { plays, reason, cues, state } = item;
  const ownMusic = rung.stage?.kind === 'manner' && rung.stage.manner === 'own-music';
  return (
    <>
      {notice && (
        <p role="status" className="border-l-3 border-warm pl-3 text-2xl">
          {NOTICES[notice]}
        </p>
      )}
      <p className="text-lg text-soft">
        <Words text={sentenceText(plays)} />
      </p>
      <div className="stand-row">
        <span data-testid="rung">
          <TempoGlyph tempo={tempo} size={54} /> {tempo.bpm}
        </span>
        <span>{sayAmount(item, bars, exercise)}</span>
      </div>
      {rung.says !== String(state.bpm) && <p className="stand-words leading-none">{rung.says}</p>}
      <p className="text-2xl" role="status">
        {reason}
        {next > 0 && (
          <span className="text-soft"> Then {next} more, with two empty bars between.</span>
        )}
      </p>
      {score.calls && (
        <p className="text-2xl">
          {exercise.bars > 1
            ? 'Bars are called one ahead, in any order.'
            : 'Bars of your own are called one ahead.'}
        </p>
      )}
      {cues[0] && <p className="text-2xl text-soft">{cues[0]}</p>}
      {caution && <p className="text-lg">{caution}</p>}
      <Shown plan={plan} />
      {ownMusic && <Tap onTap={onTap} />}
      <Band main onPress={onStart} className="stand-number h-40 shrink-0">
        Start
      </Band>
    </>
  );
}

/** The pattern; what is sung and counted is shown as it is said. */
function Shown({
  plan: { exercise, rung },
  subscribe,
}: {
  plan: SlotPlan;
  subscribe?: Playback['subscribe'];
}) {
  const { syllables } = useSpeech();
  if (rung.stage?.kind !== 'manner' || rung.stage.manner !== 'voice') {
    return <Pattern exercise={exercise} subscribe={subscribe} />;
  }
  return (
    <dl className="m-auto grid min-h-0 w-full grid-cols-[auto_minmax(0,1fr)] items-baseline gap-x-6 overflow-y-auto">
      {countStrings(exercise, syllables).map(({ limb, bars }) => (
        <Fragment key={limb}>
          <dt className="text-2xl text-soft">{limbName(limb)}</dt>
          <dd className="stand-words">{bars.join(' | ')}</dd>
        </Fragment>
      ))}
    </dl>
  );
}

/** The dosage as the teacher set it, or as it was cut. */
function sayAmount({ item, state }: StandItem, bars: number, exercise: Exercise): string {
  const dosage = dosageNow(state, item.course.dosage);
  const tempo = tempoFor(exercise.meter, state.bpm);
  if (dosage.kind !== 'minutes' || dosageBars(dosage, exercise, tempo) <= bars) {
    return sayDosage(dosage);
  }
  const minutes = ticksToSeconds(bars * exercise.barTicks, tempo) / 60;
  return sayDosage({ kind: 'minutes', amount: Math.round(2 * minutes) / 2 });
}

/** Taps the tempo of the student's own music. */
function Tap({ onTap }: { onTap: (bpm: number) => void }) {
  const taps = useRef<readonly number[]>([]);
  return (
    <Band
      onPress={() => {
        taps.current = [...taps.current.slice(-8), performance.now()];
        const bpm = tempoOfTaps(taps.current);
        if (bpm !== null) onTap(bpm);
      }}
      className="stand-words h-24 shrink-0"
    >
      tap the tempo of your music
    </Band>
  );
}

/** Count-in, and the empty bars before the next try: the pattern large. Then nobody reads sixteen marks:
 * the beat large, for the corner of the eye, with bar, bars left and tempo, and what changes one bar
 * before it does; the pattern smaller. */
export function Playing({
  plans,
  playback,
  onStop,
}: {
  plans: readonly SlotPlan[];
  playback: Playback;
  onStop: () => void;
}) {
  const { position, part } = usePosition(
    playback.subscribe,
    plans.map((plan) => plan.score),
  );
  const plan = plans[part];
  if (!plan) return null;
  const { exercise, tempo, score, tempi, rung, item } = plan;
  const counting = position.phase === 'count-in';
  const last = position.barsLeft === 0;
  const bpm = rampBpm(rung, counting ? 0 : position.bar);
  const change = counting ? '' : sayChangeAt(score, tempi, position.bar + 1);
  const named = partAt(score, counting ? 0 : position.bar);
  return (
    <>
      {plans.length > 1 && (
        <p className="stand-words truncate leading-none">
          {item.item.name}{' '}
          <span className="text-soft">
            · {part + 1} of {plans.length}
          </span>
        </p>
      )}
      <div className="stand-row">
        <span>
          <TempoGlyph tempo={tempo} size={54} /> {bpm}
        </span>
        <span>{counting ? 'count-in' : `bar ${position.bar + 1}`}</span>
        <span className={last ? 'text-warm' : ''} role="status">
          {last ? 'last bar' : `${position.barsLeft} left`}
        </span>
      </div>
      {(score.calls || exercise.members.length > 0 || tempi.length > 1 || change) && (
        <div className="stand-row" data-testid="change">
          <span>{position.call === null ? named : sayCall(position.call)}</span>
          <span className="text-warm">{change && `→ ${change}`}</span>
        </div>
      )}
      <div className={counting ? 'flex h-[26%]' : 'flex min-h-0 flex-1'}>
        <Pulse score={score} position={position} />
      </div>
      <div className={counting ? 'flex min-h-0 flex-1 flex-col' : 'flex h-[34%] flex-col'}>
        <Shown plan={plan} subscribe={playback.subscribe} />
      </div>
      {!playback.audible && (
        <p role="status">
          No sound in this browser yet: follow the blocks, or stop and start again.
        </p>
      )}
      <Band onPress={onStop} className="stand-words h-24 shrink-0">
        stop
      </Band>
    </>
  );
}

export function AskVerdict({
  question,
  played,
  left,
  onAnswer,
}: {
  question: Question<Verdict>;
  played: Pick<Played, 'bpm'>;
  /** Tries that are judged after this one. */
  left: number;
  onAnswer: (verdict: Verdict) => void;
}) {
  return (
    <Ask
      title={`${played.bpm}: how was it?${left > 0 ? ` ${left} more to say.` : ''}`}
      onOver={() => onAnswer('shaky')}
    >
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
