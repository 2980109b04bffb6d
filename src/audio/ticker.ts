import type { Sounder } from './sounder';
import type { Ticker } from './player';

const EVERY_MS = 25;

/** A timer that a busy or hidden page does not hold up: it runs in a worker. */
const workerTicker: Ticker = (tick) => {
  const worker = new Worker(new URL('../workers/ticker.worker.ts', import.meta.url), {
    type: 'module',
  });
  worker.onmessage = tick;
  worker.postMessage(EVERY_MS);
  return () => worker.terminate();
};

/** Without sound nothing can come late, so the page's own timer will do. */
const pageTicker: Ticker = (tick) => {
  const timer = setInterval(tick, EVERY_MS);
  return () => clearInterval(timer);
};

export function tickerFor(sounder: Sounder): Ticker {
  return sounder.audible && typeof Worker !== 'undefined' ? workerTicker : pageTicker;
}
