export { hearFirst } from './lesson';
export { needsOf } from './needs';
export { minutesByDay, sufferedByLimb, verdictMix } from './tallies';
export type { ItemStanding, Need } from './needs';
