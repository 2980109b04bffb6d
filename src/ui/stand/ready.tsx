'use client';

import { Play, Square } from 'lucide-react';
import { useRef } from 'react';
import { dosageBars, dosageNow, rungAt } from '@/core/ladder';
import type { CueLine } from '@/core/progress';
import type { Dose } from '@/core/safety';
import type { StandItem } from '@/core/studio';
import { tempoFor, tempoOfTaps, ticksToSeconds } from '@/core/time';
import { type Say, sayCueLine, sayDosage, sayDose, sayRung, sayWhyToStudent } from '@/words';
import type { Exercise } from '@/core/recipe';
import { useSpeech } from '../base';
import type { Written } from './kept';
import { Again, Band } from './bands';
import type { StandNotice } from './round';
import type { SlotPlan } from './plan-slot';
import { Shown } from './shown';
import { TempoNow } from './tempo-now';

const NOTICES = {
  slept: 'screen.stand.theDeviceSlept',
  'slept-short': 'screen.stand.theDeviceSleptAtOnce',
  resumed: 'screen.stand.goingOnWhereYouStopped',
  short: 'screen.stand.lessThanABar',
  open: 'screen.stand.notJudged',
} as const satisfies Record<StandNotice, string>;

/** The pattern fills the screen; over it at which tempo, how much, and why. */
export function Ready({
  written,
  plan,
  next,
  cue,
  notice,
  caution,
  again,
  onAgain,
  tapsLeft,
  onTap,
  onTempo,
  hearing,
  onHear,
  onStart,
}: {
  plan: SlotPlan;
  written: Written;
  /** Tries that follow without a hand on the screen. */
  next: number;
  /** What to watch for. */
  cue: CueLine | null;
  notice: StandNotice | null;
  caution: Dose | null;
  /** What was played last, where it is something else. */
  again: string | null;
  onAgain: () => void;
  /** Of the bar that is tapped to start; null where it is counted in. */
  tapsLeft: number | null;
  onTap: (bpm: number) => void;
  /** Another tempo than the rung's; null is that one again. */
  onTempo: (bpm: number | null) => void;
  /** Whether it is heard just now. */
  hearing: boolean;
  onHear: () => void;
  onStart: () => void;
}) {
  const { say } = useSpeech();
  const { item, rung, exercise, bars, score } = plan;
  const asked = rungAt(item.state.rungs, item.state.rung);
  const { plays, why } = item;
  const ownMusic = rung.stage?.kind === 'manner' && rung.stage.manner === 'own-music';
  return (
    <>
      {notice && (
        <p role="status" className="border-l-3 border-warm pl-3 text-2xl">
          {say.t(NOTICES[notice])}
        </p>
      )}
      <div className="stand-row">
        <TempoNow plan={plan} asked={asked.bpm} onTempo={onTempo} />
        <span>{sayAmount(say, item, bars, exercise)}</span>
        <button
          type="button"
          aria-pressed={hearing}
          onClick={onHear}
          className="inline-flex min-h-14 items-center gap-3 self-center rounded-sm border-2 border-line bg-sheet px-4 font-sans text-2xl"
        >
          {hearing ? <Square size={24} aria-hidden /> : <Play size={24} aria-hidden />}
          {say.t('screen.common.hearIt')}
        </button>
      </div>
      {rung.asks.kind !== 'tempo' && (
        <p className="stand-words leading-none">{sayRung(say, rung.asks)}</p>
      )}
      <p className="text-2xl" role="status">
        {plan.tempo.bpm === asked.bpm || ownMusic
          ? sayWhyToStudent(say, why)
          : say.t('screen.stand.countsAs', { bpm: plan.tempo.bpm, asked: asked.bpm })}
        {next > 0 && (
          <span className="text-soft"> {say.t('screen.stand.then', { count: next })}</span>
        )}
      </p>
      {score.calls && (
        <p className="text-2xl">
          {exercise.bars > 1
            ? say.t('screen.stand.barsAreCalledOneAheadIn')
            : say.t('screen.stand.barsOfYourOwnAreCalled')}
        </p>
      )}
      {cue && <p className="text-2xl text-soft">{sayCueLine(say, cue, plays.meter)}</p>}
      {caution && <p className="text-lg">{sayDose(say, caution)}</p>}
      <Shown plan={plan} written={written} />
      {ownMusic && <Tap onTap={onTap} />}
      {again !== null && <Again name={again} onPress={onAgain} />}
      <Band main onPress={onStart} className="stand-number h-40 shrink-0">
        {tapsLeft === null
          ? say.t('screen.stand.start')
          : say.t('screen.stand.tapToStart', { left: tapsLeft })}
      </Band>
    </>
  );
}

/** The dosage as the teacher set it, or as it was cut. */
function sayAmount(say: Say, { item, state }: StandItem, bars: number, exercise: Exercise): string {
  const dosage = dosageNow(state, item.course.dosage);
  const tempo = tempoFor(exercise.meter, state.bpm);
  if (dosage.kind !== 'minutes' || dosageBars(dosage, exercise, tempo) <= bars) {
    return sayDosage(say, dosage);
  }
  const minutes = ticksToSeconds(bars * exercise.barTicks, tempo) / 60;
  return sayDosage(say, { kind: 'minutes', amount: Math.round(2 * minutes) / 2 });
}

/** Taps the tempo of the student's own music. */
function Tap({ onTap }: { onTap: (bpm: number) => void }) {
  const { say } = useSpeech();
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
      {say.t('screen.stand.tapTheTempoOfYourMusic')}
    </Band>
  );
}
