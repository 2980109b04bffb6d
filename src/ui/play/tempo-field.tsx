'use client';

import { Minus, Plus } from 'lucide-react';
import { useId, useRef, useState } from 'react';
import type { Exercise } from '@/core/recipe';
import { bpm, FASTEST, parseBpm, SLOWEST, tempoFor, tempoOfTaps, type Bpm } from '@/core/time';
import { Button, IssueWords, useSpeech } from '../base';
import { TempoGlyph } from '../play';

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
  const id = useId();
  const [typed, setTyped] = useState<string | null>(null);
  const taps = useRef<number[]>([]);
  const read = parseBpm(typed ?? tempo);

  function set(next: number) {
    setTyped(null);
    onTempo(bpm(Math.min(FASTEST, Math.max(SLOWEST, next))));
  }

  function tap() {
    taps.current = [...taps.current, performance.now()].slice(-8);
    const tapped = tempoOfTaps(taps.current);
    if (tapped !== null) set(tapped);
  }

  return (
    <div className="flex items-center gap-1">
      {exercise && <TempoGlyph tempo={tempoFor(exercise.meter, tempo)} />}
      <span className="text-soft">=</span>
      <Button look="quiet" aria-label={say.t('screen.bench.slower')} onClick={() => set(tempo - 1)}>
        <Minus size={14} aria-hidden />
      </Button>
      <input
        id={id}
        aria-label={say.t('screen.common.tempoCapital')}
        inputMode="decimal"
        className="field w-14 text-center text-lg font-semibold"
        value={typed ?? String(tempo)}
        aria-invalid={!read.ok}
        aria-describedby={read.ok ? undefined : `${id}-trouble`}
        onChange={(event) => {
          setTyped(event.target.value);
          const next = parseBpm(event.target.value);
          if (next.ok) onTempo(next.value);
        }}
        onBlur={() => read.ok && setTyped(null)}
        onKeyDown={(event) => {
          const step = { ArrowUp: 1, ArrowDown: -1, PageUp: 5, PageDown: -5 }[event.key];
          if (step === undefined) return;
          event.preventDefault();
          set(tempo + step);
        }}
      />
      <Button look="quiet" aria-label={say.t('screen.bench.faster')} onClick={() => set(tempo + 1)}>
        <Plus size={14} aria-hidden />
      </Button>
      <Button onClick={tap} aria-keyshortcuts="T" data-tap>
        {say.t('screen.bench.tap')}
      </Button>
      {!read.ok && (
        <p
          id={`${id}-trouble`}
          role="alert"
          className="max-w-72 border-l-3 border-warm pl-2 text-sm"
        >
          <IssueWords issues={read.issues} />
        </p>
      )}
    </div>
  );
}
