'use client';

import { useEffect, useState } from 'react';
import { scoreOf } from '@/core/playing';
import type { Exercise } from '@/core/recipe';
import { tempoFor, type Bpm } from '@/core/time';
import { usePlayback, type Playback } from './use-playback';

/** Hears one of several things: a touch on what plays stops it, a touch on another goes on with that.
 * A change of tempo is followed at once. */
export function useHear<Key>(tempo: Bpm): {
  readonly playback: Playback;
  /** What plays just now. */
  readonly heard: Key | null;
  readonly hear: (key: Key, exercise: Exercise) => void;
} {
  const playback = usePlayback();
  const [last, setLast] = useState<{ key: Key; exercise: Exercise } | null>(null);
  const heard = playback.playing && last ? last.key : null;
  const { change } = playback;
  const meter = last?.exercise.meter;

  useEffect(() => {
    if (meter) change({ tempo: tempoFor(meter, tempo) });
  }, [change, meter, tempo]);

  function hear(key: Key, exercise: Exercise) {
    if (heard === key) return playback.stop();
    setLast({ key, exercise });
    void playback.start(scoreOf(exercise), tempoFor(exercise.meter, tempo));
  }
  return { playback, heard, hear };
}
