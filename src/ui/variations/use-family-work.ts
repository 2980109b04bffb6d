'use client';

import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import type { CoverOf, Family, Impossible } from '@/core/family';
import type { Issue } from '@/core/issue';
import type { Bpm } from '@/core/time';
import type { FromFamilyWorker, ShownMember, ToFamilyWorker } from '../../workers/family-messages';

/** How far the work on a family is. */
export interface FamilyWork {
  readonly state: 'working' | 'done' | 'stopped' | 'refused' | 'died';
  readonly played: readonly ShownMember[];
  readonly impossible: readonly Impossible[];
  readonly done: number;
  readonly size: number;
  readonly issues: readonly Issue[];
  readonly stop: () => void;
  /** Begins anew, after a stop or a death. */
  readonly again: () => void;
  readonly order: (ask: OrderAsk) => Promise<readonly number[]>;
  /** @returns members by index, the best first */
  readonly cover: (
    members: readonly number[],
    of: CoverOf,
    count: number | null,
  ) => Promise<readonly number[]>;
}

export type { ShownMember };

interface OrderAsk {
  readonly members: readonly number[];
  readonly first: readonly number[];
  readonly last: readonly number[];
  readonly own: readonly number[] | null;
}

interface Progress extends Pick<
  FamilyWork,
  'state' | 'played' | 'impossible' | 'done' | 'size' | 'issues'
> {
  /** The work that this is about. */
  readonly of: object | null;
}

const NOTHING: Progress = {
  of: null,
  state: 'working',
  played: [],
  impossible: [],
  done: 0,
  size: 0,
  issues: [],
};

/** Begun anew this often by itself when a worker dies. */
const LIVES = 1;

/** Expands a family in a worker; a change of the family ends that work and begins the next. Nothing of
 * the teacher’s is in there, so a worker that dies loses nothing. */
export function useFamilyWork(
  { base, axes }: Pick<Family, 'base' | 'axes'>,
  tempo: Bpm,
): FamilyWork {
  const [round, setRound] = useState(0);
  const [progress, setProgress] = useState(NOTHING);
  const worker = useRef<Worker | null>(null);
  const asked = useRef(new Map<number, (message: FromFamilyWorker) => void>());
  const asks = useRef(0);
  const deaths = useRef(0);
  const jobs = useRef(0);
  const job = useMemo(() => ({ base, axes, tempo, round }), [base, axes, tempo, round]);

  useEffect(() => {
    const number = (jobs.current += 1);
    const waiting = asked.current;
    let now: Progress = { ...NOTHING, of: job };
    const tell = (change: Partial<Progress>) => {
      now = { ...now, ...change };
      setProgress(now);
    };
    worker.current ??= new Worker(new URL('../../workers/family.worker.ts', import.meta.url), {
      type: 'module',
    });
    const mine = worker.current;
    mine.onmessage = ({ data }: MessageEvent<FromFamilyWorker>) => {
      if ('job' in data && data.job !== number) return;
      switch (data.kind) {
        case 'refused':
          return tell({ state: 'refused', issues: data.issues });
        case 'part':
          return tell({
            played: [...now.played, ...data.played],
            impossible: [...now.impossible, ...data.impossible],
            done: data.done,
            size: data.size,
            state: data.done >= data.size ? 'done' : 'working',
          });
        case 'ordered':
        case 'covered':
          waiting.get(data.ask)?.(data);
          waiting.delete(data.ask);
      }
    };
    mine.onerror = () => {
      mine.terminate();
      worker.current = null;
      deaths.current += 1;
      if (deaths.current <= LIVES) setRound((before) => before + 1);
      else tell({ state: 'died' });
    };
    mine.postMessage({
      kind: 'open',
      job: number,
      family: { base: job.base, axes: job.axes },
      tempo: job.tempo,
    } satisfies ToFamilyWorker);
  }, [job]);

  useEffect(() => {
    const waiting = asked.current;
    return () => {
      worker.current?.terminate();
      worker.current = null;
      waiting.clear();
    };
  }, []);

  const stop = useCallback(() => {
    worker.current?.terminate();
    worker.current = null;
    setProgress((before) => ({ ...before, state: 'stopped' }));
  }, []);
  const again = useCallback(() => {
    deaths.current = 0;
    setRound((before) => before + 1);
  }, []);
  const ask = useCallback(
    <T extends FromFamilyWorker>(message: (nth: number) => ToFamilyWorker) =>
      new Promise<T>((resolve) => {
        const nth = (asks.current += 1);
        asked.current.set(nth, (answer) => resolve(answer as T));
        worker.current?.postMessage(message(nth));
      }),
    [],
  );
  const order = useCallback<FamilyWork['order']>(
    async (wanted) => {
      type Ordered = Extract<FromFamilyWorker, { kind: 'ordered' }>;
      const said = await ask<Ordered>((nth) => ({ kind: 'order', ask: nth, ...wanted }));
      return said.order;
    },
    [ask],
  );
  const cover = useCallback<FamilyWork['cover']>(
    async (members, of, count) => {
      type Covered = Extract<FromFamilyWorker, { kind: 'covered' }>;
      const said = await ask<Covered>((nth) => ({ kind: 'cover', ask: nth, members, of, count }));
      return said.chosen;
    },
    [ask],
  );
  const shown = progress.of === job ? progress : { ...NOTHING, of: job };
  return { ...shown, stop, again, order, cover };
}
