'use client';

import { Minus, Plus } from 'lucide-react';
import { useRef } from 'react';
import type { Exercise } from '@/core/recipe';
import { bpm, FASTEST, parseBpm, SLOWEST, tempoFor, tempoOfTaps, type Bpm } from '@/core/time';
import { Button, TypedField, useSpeech } from '../base';
import { TempoGlyph } from './tempo-glyph';

/** The tempo with its note: typed, stepped, tapped. */
export function TempoField({
  exercise,
  tempo,
  onTempo,
}: {
  exercise: Exercise | null;
  tempo: Bpm;
  onTempo: (tempo: Bpm) => void;
}) {
  const { say } = useSpeech();
  const taps = useRef<number[]>([]);

  const set = (next: number) => onTempo(within(next));

  function tap() {
    taps.current = [...taps.current, performance.now()].slice(-8);
    const tapped = tempoOfTaps(taps.current);
    if (tapped !== null) set(tapped);
  }

  return (
    <div className="flex items-center gap-1">
      {exercise && <TempoGlyph tempo={tempoFor(exercise.meter, tempo)} />}
      <span className="text-soft">=</span>
      <Button
        look="quiet"
        aria-label={say.t('screen.common.slower')}
        onClick={() => set(tempo - 1)}
      >
        <Minus size={14} aria-hidden />
      </Button>
      <TypedField
        label={say.t('screen.common.tempoCapital')}
        value={tempo}
        write={String}
        read={readTempo}
        trouble={say.t('screen.common.tempoRange', { least: SLOWEST, most: FASTEST })}
        onTake={onTempo}
        step={(now, by) => within(now + by)}
        live
        inputMode="decimal"
        className="field w-14 text-center text-lg font-semibold"
      />
      <Button
        look="quiet"
        aria-label={say.t('screen.common.faster')}
        onClick={() => set(tempo + 1)}
      >
        <Plus size={14} aria-hidden />
      </Button>
      <Button onClick={tap} aria-keyshortcuts="T" data-tap>
        {say.t('screen.common.tap')}
      </Button>
    </div>
  );
}

function within(tempo: number): Bpm {
  return bpm(Math.min(FASTEST, Math.max(SLOWEST, tempo)));
}

/** @returns undefined for what is no tempo */
export function readTempo(text: string): Bpm | undefined {
  const read = parseBpm(text);
  return read.ok ? read.value : undefined;
}
