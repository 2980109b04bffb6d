import type { Exercise } from '../recipe';
import {
  secondsAt,
  steadyTempo,
  tempoFor,
  type Tempo,
  type TempoChange,
  type TempoMap,
} from '../time';
import { dosageBars } from './dosage';
import type { Dosage } from './dosage-schema';
import { rampBpm, type Rung } from './ladder';

/** One try of an exercise on a rung: how many bars, at which tempi, for how long. */
export interface TryPlan {
  readonly bars: number;
  /** At which it begins. */
  readonly tempo: Tempo;
  readonly tempi: TempoMap;
  readonly seconds: number;
}

/** @param dosage of one try on this rung */
export function planTry(exercise: Exercise, rung: Rung, dosage: Dosage): TryPlan {
  const tempo = tempoFor(exercise.meter, rung.bpm);
  const bars = dosageBars(dosage, exercise, tempo);
  const tempi = tempiOf(rung, tempo, exercise, bars);
  return { bars, tempo, tempi, seconds: secondsAt(tempi, bars * exercise.barTicks) };
}

/** One tempo, or those of a ramp, a step at a bar line. */
function tempiOf(rung: Rung, tempo: Tempo, exercise: Exercise, bars: number): TempoMap {
  const changes: TempoChange[] = [];
  let before = rung.bpm;
  for (let bar = 1; bar < bars && rung.ramp; bar += 1) {
    const bpm = rampBpm(rung, bar);
    if (bpm !== before) changes.push({ at: bar * exercise.barTicks, tempo: { ...tempo, bpm } });
    before = bpm;
  }
  return [...steadyTempo(tempo), ...changes];
}
