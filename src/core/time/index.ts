export { countMark, countName } from './counting';
export { formatFeel, parseFeel, swungTicks, writtenSwing } from './feel';
export {
  barTicks,
  beatIndexAt,
  beats,
  formatMeter,
  parseMeter,
  tempoBeatTicks,
  unitTicks,
} from './meter';
export { slotTicks, subdivision, SUBDIVISION_IDS, SUBDIVISIONS } from './subdivision';
export {
  bpm,
  FASTEST,
  noteOfTempo,
  parseBpm,
  secondsToTicks,
  SLOWEST,
  tempoFor,
  tempoOfTaps,
  ticksToSeconds,
} from './tempo';
export { gcd, lcm, quarters, tick, TICKS_PER_QUARTER, wrap } from './tick';
export type { CountLevel, CountMark } from './counting';
export type { Feel } from './feel';
export type { Beat, Meter } from './meter';
export type { SubdivisionId } from './subdivision';
export type { Bpm, Tempo } from './tempo';
export type { Tick } from './tick';
