import { strokesMade } from '../analysis';
import { fail, ok, type Path, type Result } from '../issue';
import type { Exercise } from '../recipe';
import { ticksToSeconds, type Tempo } from '../time';
import type { Dosage } from './dosage-schema';

/** Most of one try: two hours, or what a rudiment is drilled at a sitting. */
const MOST = { minutes: 120, repetitions: 500, bars: 5000, strokes: 5000 } as const;

/** @returns issue `dosage` for nothing, too much, or part of a repetition, bar or stroke */
export function makeDosage(
  kind: Dosage['kind'],
  typed: string | number,
  path: Path = ['dosage'],
): Result<Dosage> {
  const amount = typeof typed === 'number' ? typed : Number(typed.trim() || NaN);
  const step = kind === 'minutes' ? 0.5 : 1;
  const most = MOST[kind];
  const fine = Number.isFinite(amount) && amount >= step && amount <= most && amount % step === 0;
  return fine ? ok({ kind, amount }) : fail({ code: 'dosage', path, text: String(typed), most });
}

/** Bars of one try. Minutes and strokes end at the next cycle seam, so that no phrase is cut.
 * @example 1 minute of a 4/4 bar at 62 // => 16 bars, 61.9 s */
export function dosageBars(dosage: Dosage, exercise: Exercise, tempo: Tempo): number {
  switch (dosage.kind) {
    case 'bars':
      return dosage.amount;
    case 'repetitions':
      return dosage.amount * exercise.bars;
    case 'strokes':
      return Math.ceil(dosage.amount / Math.max(1, strokesMade(exercise))) * exercise.bars;
    case 'minutes': {
      const cycleSeconds = ticksToSeconds(exercise.cycleTicks, tempo);
      return Math.ceil((dosage.amount * 60) / cycleSeconds - 1e-9) * exercise.bars;
    }
  }
}
