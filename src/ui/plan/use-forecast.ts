'use client';

import { useCallback, useEffect, useRef, useState } from 'react';
import type { Forecast, Forecasting, Help } from '@/core/plan';
import type { FromForecastWorker } from '@/workers/forecast-messages';

export interface ForecastWork {
  readonly forecast: Forecast | null;
  /** Null while it is looked for. */
  readonly help: readonly Help[] | null;
  readonly stage: 'working' | 'done' | 'stopped' | 'failed';
  readonly stop: () => void;
  readonly again: () => void;
}

interface Found {
  readonly of: Forecasting;
  readonly forecast: Forecast | null;
  readonly help: readonly Help[] | null;
  readonly stage: ForecastWork['stage'];
}

/** Forecasts in a worker, anew when anything changes; what was being worked on is dropped then. The last
 * forecast stays until the next is there. */
export function useForecast(asked: Forecasting): ForecastWork {
  const [found, setFound] = useState<Found | null>(null);
  const [turn, setTurn] = useState(0);
  const worker = useRef<Worker | null>(null);

  useEffect(() => {
    const mine = new Worker(new URL('../../workers/forecast.worker.ts', import.meta.url), {
      type: 'module',
    });
    worker.current = mine;
    const tell = (change: Partial<Found>) =>
      setFound((before) => ({
        of: asked,
        forecast: before?.forecast ?? null,
        help: before?.of === asked ? before.help : null,
        stage: 'working',
        ...change,
      }));
    mine.onmessage = ({ data }: MessageEvent<FromForecastWorker>) =>
      tell(
        data.kind === 'forecast' ? { forecast: data.forecast } : { help: data.help, stage: 'done' },
      );
    mine.onerror = () => tell({ stage: 'failed' });
    mine.postMessage(asked);
    return () => mine.terminate();
  }, [asked, turn]);

  const stop = useCallback(() => {
    worker.current?.terminate();
    setFound((before) => ({
      of: asked,
      forecast: before?.forecast ?? null,
      help: before?.help ?? null,
      stage: 'stopped',
    }));
  }, [asked]);
  const again = useCallback(() => {
    setFound((before) => before && { ...before, stage: 'working' });
    setTurn((before) => before + 1);
  }, []);

  const now = found?.of === asked;
  return {
    forecast: found?.forecast ?? null,
    help: now ? found.help : null,
    stage: now ? found.stage : 'working',
    stop,
    again,
  };
}
