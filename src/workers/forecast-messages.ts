import type { Forecast, Forecasting, Help } from '@/core/plan';

export type ToForecastWorker = Forecasting;

/** First the forecast, then what would help. */
export type FromForecastWorker =
  | { readonly kind: 'forecast'; readonly forecast: Forecast }
  | { readonly kind: 'help'; readonly help: readonly Help[] };
