'use client';

import { Minus, Plus, RotateCcw } from 'lucide-react';
import { FASTEST, SLOWEST } from '@/core/time';
import { useSpeech } from '../base';
import { TempoGlyph } from '../play';
import type { SlotPlan } from './plan-slot';

/** A step of the tempo, in bpm. */
const TEMPO_STEP = 5;

/** The tempo of the next try: slower or faster in fives, and back to the rung that is asked for. One that climbs by
 * itself, or follows the student's own music, has no other. */
export function TempoNow({
  plan: { tempo, rung },
  asked,
  onTempo,
}: {
  plan: SlotPlan;
  /** Of the rung, in bpm. */
  asked: number;
  /** Null is the rung's. */
  onTempo: (bpm: number | null) => void;
}) {
  const { say } = useSpeech();
  const ownMusic = rung.stage?.kind === 'manner' && rung.stage.manner === 'own-music';
  const step = (by: number) => {
    const bpm = tempo.bpm + by;
    return (
      <button
        type="button"
        disabled={bpm < SLOWEST || bpm > FASTEST}
        aria-label={say.t('screen.stand.tempoTo', { bpm })}
        onClick={() => onTempo(bpm === asked ? null : bpm)}
        className="inline-flex size-14 items-center justify-center self-center rounded-sm border-2 border-line bg-sheet disabled:opacity-40"
      >
        {by < 0 ? <Minus size={28} aria-hidden /> : <Plus size={28} aria-hidden />}
      </button>
    );
  };
  const isFixed = ownMusic || rung.ramp !== undefined;
  return (
    <span className="inline-flex flex-wrap items-baseline gap-x-3">
      {!isFixed && step(-TEMPO_STEP)}
      <span data-testid="rung">
        <TempoGlyph tempo={tempo} size={54} /> {tempo.bpm}
      </span>
      {!isFixed && step(TEMPO_STEP)}
      {!isFixed && tempo.bpm !== asked && (
        <button
          type="button"
          onClick={() => onTempo(null)}
          aria-label={say.t('screen.stand.backTo', { bpm: asked })}
          className="inline-flex h-14 items-center gap-2 self-center rounded-sm border-2 border-line bg-sheet px-3 font-sans text-2xl"
        >
          <RotateCcw size={22} aria-hidden /> {asked}
        </button>
      )}
    </span>
  );
}
