export { compareRules } from './compare-rules';
export { holdForecasts, sumHeld } from './hold-forecast';
export { practise } from './practice';
export { LEARNERS } from './students';
export type { Held } from './hold-forecast';
