'use client';

import { createElement, useCallback, useEffect, useMemo, useRef, useState } from 'react';
import type { Part, PlayedTo, Player, Telling } from '@/audio';
import { positionAt, type Position, type Score } from '@/core/playing';
import { steadyTempo, type Tempo } from '@/core/time';
import { MadeDrums, toast } from '../base';

export interface Playback {
  readonly playing: boolean;
  /** False when the browser gives no sound; everything else goes on. */
  readonly audible: boolean;
  readonly start: (score: Score, tempo: Tempo, onOver?: () => void) => Promise<void>;
  /** Plays several, one after the other. */
  readonly play: (parts: readonly Part[], telling?: Telling) => Promise<void>;
  /** @returns where it stood, also when it was stopped just before; null when nothing was played */
  readonly stop: () => PlayedTo | null;
  /** Goes on from where it is with another score or tempo. */
  readonly change: (change: { score?: Score; tempo?: Tempo }) => void;
  /** What is heard now; null when nothing plays. */
  readonly where: () => PlayedTo | null;
  /** @param tell gets the position in the score that plays, and which one that is */
  readonly subscribe: (tell: (position: Position | null, part: number) => void) => () => void;
}

/** What sounds is fetched after the first view, and ahead of the touch that wants it. */
const fetchAudio = () => import('@/audio');

/** Said once on a page. */
let isMadeSaid = false;

/** Plays scores and tells at every frame where playing stands. Stops when its screen goes. */
export function usePlayback(): Playback {
  const [playing, setPlaying] = useState(false);
  const [audible, setAudible] = useState(true);
  const player = useRef<Player | null>(null);
  const scores = useRef<readonly Score[]>([]);
  const asked = useRef(0);
  const stood = useRef<PlayedTo | null>(null);
  const listeners = useRef(new Set<(position: Position | null, part: number) => void>());

  const tellAll = useCallback((position: Position | null, part: number) => {
    for (const tell of listeners.current) tell(position, part);
  }, []);

  useEffect(() => {
    if (!playing) return;
    let frame = requestAnimationFrame(function look() {
      const at = player.current?.position() ?? null;
      const score = at && scores.current[at.part];
      tellAll(score ? positionAt(score, at.ticks) : null, at?.part ?? 0);
      frame = requestAnimationFrame(look);
    });
    return () => {
      cancelAnimationFrame(frame);
      tellAll(null, 0);
    };
  }, [playing, tellAll]);

  // One that cannot be fetched ahead says so when it is wanted.
  useEffect(() => void fetchAudio().catch(() => null), []);

  const stop = useCallback(() => {
    asked.current += 1;
    stood.current = player.current?.stop() ?? stood.current;
    setPlaying(false);
    return stood.current;
  }, []);

  const play = useCallback<Playback['play']>(async (parts, telling = {}) => {
    const mine = (asked.current += 1);
    const { openPlayer } = await fetchAudio();
    const opened = await openPlayer();
    if (mine !== asked.current) return;
    player.current?.stop();
    stood.current = null;
    player.current = opened.player;
    scores.current = parts.map((part) => part.score);
    setAudible(opened.audible);
    if (opened.audible && !opened.recorded && !isMadeSaid) {
      isMadeSaid = true;
      toast.message(createElement(MadeDrums));
    }
    setPlaying(true);
    const { onPart, onOver, onSlept } = telling;
    opened.player.start(parts, {
      onPart,
      onOver() {
        setPlaying(false);
        onOver?.();
      },
      onSlept(to) {
        setPlaying(false);
        onSlept?.(to);
      },
    });
  }, []);

  const start = useCallback<Playback['start']>(
    (score, tempo, onOver) => play([{ score, tempi: steadyTempo(tempo) }], { onOver }),
    [play],
  );

  const change = useCallback<Playback['change']>((next) => {
    if (next.score) scores.current = [next.score];
    player.current?.change(next);
  }, []);

  const where = useCallback(() => player.current?.position() ?? null, []);

  const subscribe = useCallback<Playback['subscribe']>((tell) => {
    listeners.current.add(tell);
    return () => listeners.current.delete(tell);
  }, []);

  useEffect(() => () => void stop(), [stop]);

  return useMemo(
    () => ({ playing, audible, start, play, stop, change, where, subscribe }),
    [playing, audible, start, play, stop, change, where, subscribe],
  );
}
