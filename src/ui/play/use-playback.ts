'use client';

import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import { openPlayer, type Player } from '@/audio';
import { positionAt, type Position, type Score } from '@/core/playing';
import type { Tempo, TempoMap } from '@/core/time';

export interface Playback {
  readonly playing: boolean;
  /** False when the browser gives no sound; everything else goes on. */
  readonly audible: boolean;
  readonly start: (score: Score, tempo: Tempo | TempoMap, onOver?: () => void) => Promise<void>;
  readonly stop: () => void;
  /** Goes on from where it is with another score or tempo. */
  readonly change: (change: { score?: Score; tempo?: Tempo }) => void;
  readonly subscribe: (tell: (position: Position | null) => void) => () => void;
}

/** Plays scores and tells at every frame where playing stands. Stops when its screen goes. */
export function usePlayback(): Playback {
  const [playing, setPlaying] = useState(false);
  const [audible, setAudible] = useState(true);
  const player = useRef<Player | null>(null);
  const score = useRef<Score | null>(null);
  const asked = useRef(0);
  const listeners = useRef(new Set<(position: Position | null) => void>());

  const tellAll = useCallback((position: Position | null) => {
    for (const tell of listeners.current) tell(position);
  }, []);

  useEffect(() => {
    if (!playing) return;
    let frame = requestAnimationFrame(function look() {
      const at = player.current?.position() ?? null;
      tellAll(at === null || !score.current ? null : positionAt(score.current, at));
      frame = requestAnimationFrame(look);
    });
    return () => {
      cancelAnimationFrame(frame);
      tellAll(null);
    };
  }, [playing, tellAll]);

  const stop = useCallback(() => {
    asked.current += 1;
    player.current?.stop();
    setPlaying(false);
  }, []);

  const start = useCallback<Playback['start']>(async (next, tempo, onOver) => {
    const mine = (asked.current += 1);
    const opened = await openPlayer();
    if (mine !== asked.current) return;
    player.current?.stop();
    player.current = opened.player;
    score.current = next;
    setAudible(opened.audible);
    setPlaying(true);
    opened.player.start(next, tempo, () => {
      setPlaying(false);
      onOver?.();
    });
  }, []);

  const change = useCallback<Playback['change']>((next) => {
    if (next.score) score.current = next.score;
    player.current?.change(next);
  }, []);

  const subscribe = useCallback<Playback['subscribe']>((tell) => {
    listeners.current.add(tell);
    return () => listeners.current.delete(tell);
  }, []);

  useEffect(() => stop, [stop]);

  return useMemo(
    () => ({ playing, audible, start, stop, change, subscribe }),
    [playing, audible, start, stop, change, subscribe],
  );
}
