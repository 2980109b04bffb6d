export { hearFirst } from './lesson';
export { needsOf } from './needs';
export { minutesByDay, sufferedByLimb, verdictMix } from './tallies';
export type { BreakPlace, ItemStanding, Need } from './needs';
