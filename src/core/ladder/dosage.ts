import { z } from 'zod';
import { fail, ok, type Path, type Result } from '../issue';
import type { Exercise } from '../recipe';
import { ticksToSeconds, type Tempo } from '../time';
import type { Ladder } from './ladder';
import { rungsOf } from './ladder';
import type { AdvanceRule } from './verdict';

/** How much is one try. Repetitions are cycles of the exercise. */
export const dosageSchema = z.strictObject({
  kind: z.enum(['minutes', 'repetitions', 'bars']),
  amount: z.number().min(0.5).max(120),
});

export type Dosage = z.infer<typeof dosageSchema>;

/** @returns issue `dosage` for nothing, too much, or part of a repetition or bar */
export function makeDosage(
  kind: Dosage['kind'],
  typed: string | number,
  path: Path = ['dosage'],
): Result<Dosage> {
  const amount = typeof typed === 'number' ? typed : Number(typed.trim() || NaN);
  const step = kind === 'minutes' ? 0.5 : 1;
  const fine = Number.isFinite(amount) && amount >= step && amount <= 120 && amount % step === 0;
  return fine ? ok({ kind, amount }) : fail({ code: 'dosage', path, text: String(typed) });
}

/** Bars of one try. Minutes end at the next cycle seam, so that no phrase is cut.
 * @example 1 minute of a 4/4 bar at 62 // => 16 bars, 61.9 s */
export function dosageBars(dosage: Dosage, exercise: Exercise, tempo: Tempo): number {
  switch (dosage.kind) {
    case 'bars':
      return dosage.amount;
    case 'repetitions':
      return dosage.amount * exercise.bars;
    case 'minutes': {
      const cycleSeconds = ticksToSeconds(exercise.cycleTicks, tempo);
      return Math.ceil((dosage.amount * 60) / cycleSeconds - 1e-9) * exercise.bars;
    }
  }
}

/** @example sayDosage({ kind: 'minutes', amount: 5 }) // => '5 minutes' */
export function sayDosage({ kind, amount }: Dosage): string {
  const one = { minutes: 'minute', repetitions: 'repetition', bars: 'bar' }[kind];
  return `${amount} ${amount === 1 ? one : `${one}s`}`;
}

/** Least practice time from start to target, when every try is clean: rungs · cleans · dosage.
 * @returns minutes, or null where the dosage is not in minutes
 * @example 60→100 by 5, 3 clean, 5 minutes // => 135 */
export function leastMinutes(ladder: Ladder, rule: AdvanceRule, dosage: Dosage): number | null {
  if (dosage.kind !== 'minutes') return null;
  return rungsOf(ladder).length * rule.clean * dosage.amount;
}
