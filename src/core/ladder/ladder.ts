import { z } from 'zod';
import { fail, ok, type Issue, type Path, type Result } from '../issue';
import { bpm, FASTEST, parseBpm, SLOWEST, type Bpm } from '../time';

const tempo = z.number().min(SLOWEST).max(FASTEST);

/** A tempo ladder of equal steps, up or down; the last step shortens to hit the target.
 * `step` carries its sign: it leads from start to target. One tempo throughout is a ladder whose
 * start is its target. */
export const ladderSchema = z.strictObject({
  kind: z.literal('fixed'),
  start: tempo,
  target: tempo,
  step: z.number(),
});

export type Ladder = z.infer<typeof ladderSchema>;

/** Checks what was typed.
 * @param path where the three fields lie; issues add the field's name
 * @returns issues `tempo`, `ladder-step-zero`, `ladder-step-away` */
export function makeLadder(
  typed: { start: string | number; target: string | number; step: string | number },
  path: Path = ['ladder'],
): Result<Ladder> {
  const start = parseBpm(typed.start, [...path, 'start']);
  const target = parseBpm(typed.target, [...path, 'target']);
  const step = typeof typed.step === 'number' ? typed.step : Number(typed.step.trim() || NaN);
  const issues: Issue[] = [...(start.ok ? [] : start.issues), ...(target.ok ? [] : target.issues)];
  const at = [...path, 'step'];
  if (!Number.isFinite(step) || step === 0) issues.push({ code: 'ladder-step-zero', path: at });
  else if (start.ok && target.ok && (target.value - start.value) * step < 0) {
    const facts = { start: start.value, target: target.value, step };
    issues.push({ code: 'ladder-step-away', path: at, ...facts });
  }
  if (issues.length > 0 || !start.ok || !target.ok) return fail(...issues);
  return ok({ kind: 'fixed', start: start.value, target: target.value, step });
}

/** The tempi of a ladder, first to last; the last one is the target.
 * @throws RangeError on a ladder that `makeLadder` refuses (a caller's bug)
 * @example rungsOf({ kind: 'fixed', start: 60, target: 72, step: 5 }) // => [60, 65, 70, 72] */
export function rungsOf(ladder: Ladder): readonly Bpm[] {
  const { start, target, step } = ladder;
  if (step === 0 || (target - start) * step < 0) throw new RangeError('step leads nowhere');
  const rungs: Bpm[] = [];
  const before = (tempo: number) => (step > 0 ? tempo < target : tempo > target);
  for (let n = 0; before(start + n * step); n += 1) rungs.push(bpm(start + n * step));
  return [...rungs, bpm(target)];
}
