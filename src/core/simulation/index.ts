export { compareRules } from './compare-rules';
export { holdForecasts, sumHeld } from './hold-forecast';
export { practise } from './practice';
export { LEARNERS } from './students';
export type { RuleDays } from './compare-rules';
export type { Held, HeldSum } from './hold-forecast';
export type { Practised, Practising, ProgramItem } from './practice';
export type { Learner } from './students';
