import { findHelp, forecast } from '@/core/plan';
import type { FromForecastWorker, ToForecastWorker } from './forecast-messages';

function say(message: FromForecastWorker): void {
  self.postMessage(message);
}

self.onmessage = ({ data }: MessageEvent<ToForecastWorker>) => {
  say({ kind: 'forecast', forecast: forecast(data) });
  say({ kind: 'help', help: findHelp(data) });
};
