export { beatOf, countMark, countMarks, countSigns } from './counting';
export {
  formatFeel,
  pairedNote,
  parseFeel,
  swungTicks,
  usualSwing,
  unwrittenSwing,
  writtenSwing,
} from './feel';
export {
  barTicks,
  beatIndexAt,
  beatPlaces,
  beats,
  formatMeter,
  onBeat,
  parseMeter,
  tempoBeatTicks,
  unitTicks,
} from './meter';
export { ownSyllables, SYLLABLES, SYLLABLES_IDS } from './syllables';
export { isBinarySlot, slotTicks, SUBDIVISION_IDS, SUBDIVISIONS, swingOfSlot } from './subdivision';
export {
  bpm,
  FASTEST,
  parseBpm,
  secondsToTicks,
  SLOWEST,
  tempoFor,
  tempoOfTaps,
  ticksToSeconds,
} from './tempo';
export { feelSchema, subdivisionSchema } from './schema';
export { speechSchema } from './speech';
export { USUAL_FEELS, USUAL_METERS } from './usual';
export { metricalWeight, syncopatedNotes } from './weight';
export { secondsAt, steadyTempo, ticksAt } from './tempo-map';
export { gcd, lcm, quarters, tick, TICKS_PER_QUARTER, wrap } from './tick';
export type { CountMark } from './counting';
export type { Feel } from './schema';
export type { Meter } from './meter';
export type { NoteNames } from './note-names';
export type { Syllables } from './syllables';
export type { Speech } from './speech';
export type { SubdivisionId, SwingOf } from './subdivision';
export type { TempoChange, TempoMap } from './tempo-map';
export type { Bpm, Tempo } from './tempo';
export type { Tick } from './tick';
