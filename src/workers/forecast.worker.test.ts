import { afterEach, expect, it, vi } from 'vitest';
import { findHelp, forecast, USUAL_SCHEDULE, type Forecasting } from '@/core/plan';
import type { FromForecastWorker } from './forecast-messages';

const ASKED: Forecasting = {
  works: [],
  states: [],
  schedule: USUAL_SCHEDULE,
  today: '2026-01-05',
  keeps: 0.5,
  seed: 3,
  futures: 20,
};

afterEach(() => vi.unstubAllGlobals());

it('says the forecast first, then what would help, as the core has them', async () => {
  const said: FromForecastWorker[] = [];
  const self = {
    postMessage: (message: FromForecastWorker) => said.push(structuredClone(message)),
    onmessage: (_: MessageEvent<Forecasting>) => undefined as void,
  };
  vi.stubGlobal('self', self);
  await import('./forecast.worker');
  self.onmessage({ data: structuredClone(ASKED) } as MessageEvent<Forecasting>);
  expect(said).toEqual([
    { kind: 'forecast', forecast: forecast(ASKED) },
    { kind: 'help', help: findHelp(ASKED) },
  ]);
});
