import type { Limb } from '../kit';
import type { Try, Variation, SufferingId } from '../log';
import type { ExerciseFacts } from './facts';

/** What to take away, and the fact behind it. */
export interface Simpler {
  readonly variation: Variation;
  readonly because: SimplerBecause;
}

/** What was logged, and how often. */
export type SimplerBecause =
  | {
      readonly code: 'named' | 'blurred' | 'broke-there' | 'broke-at-seam' | 'lost-count';
      readonly times: number;
    }
  | { readonly code: 'nothing-named' };

/** What makes an exercise simpler where it breaks, chosen from what was logged: the limb that was
 * named most, ornaments that blur, the beat on which it broke most, the repeat, the count; else the
 * limb with the line. Common practice, no source.
 * @param tries those it rests on, clean ones too
 * @returns null where nothing can be taken away */
export function chooseSimpler(facts: ExerciseFacts, tries: readonly Try[]): Simpler | null {
  const bad = tries.filter((one) => one.verdict !== 'clean');
  return (
    withoutNamed(facts, bad) ??
    withoutOrnaments(facts, bad) ??
    bridgeOver(facts, bad) ??
    halfOfIt(facts, bad) ??
    withoutLine(facts)
  );
}

/** The step into the beat on which most tries broke. */
export function bridgeOver(facts: ExerciseFacts, bad: readonly Try[]): Simpler | null {
  const beats = bad.flatMap((one) => one.broke);
  const seams = count(bad, ['seam']);
  const [beat, times] = mostOf(beats) ?? [0, 0];
  const [at, because]: readonly [number, SimplerBecause] =
    times >= seams
      ? [beat, { code: 'broke-there', times }]
      : [0, { code: 'broke-at-seam', times: seams }];
  const variation = facts.bridges[at];
  return Math.max(times, seams) > 0 && variation ? { variation, because } : null;
}

function withoutNamed(facts: ExerciseFacts, bad: readonly Try[]): Simpler | null {
  const named = bad.flatMap((one) => one.suffered.flatMap(({ limb }) => (limb ? [limb] : [])));
  const known = named.filter((limb) => facts.limbs.some(({ plays }) => plays === limb));
  const [limb, times] = mostOf(known) ?? [null, 0];
  return limb === null ? null : without(facts, limb, { code: 'named', times });
}

function without(facts: ExerciseFacts, limb: Limb, because: SimplerBecause): Simpler | null {
  const found = facts.limbs.find(({ plays }) => plays === limb);
  if (!found || facts.limbs.length < 2) return null;
  const { written, plays, voice } = found;
  return { variation: { kind: 'without', limb: written, plays, voice }, because };
}

function withoutOrnaments(facts: ExerciseFacts, bad: readonly Try[]): Simpler | null {
  const times = count(bad, ['uneven', 'flam', 'accents']);
  if (!facts.ornaments || times === 0) return null;
  return { variation: { kind: 'plain' }, because: { code: 'blurred', times } };
}

function halfOfIt(facts: ExerciseFacts, bad: readonly Try[]): Simpler | null {
  const times = count(bad, ['count']);
  if (!facts.halves || times === 0) return null;
  return { variation: { kind: 'half', half: 'first' }, because: { code: 'lost-count', times } };
}

function withoutLine(facts: ExerciseFacts): Simpler | null {
  const limb = facts.lineLimb ?? facts.limbs.at(-1)?.plays;
  return limb ? without(facts, limb, { code: 'nothing-named' }) : null;
}

function count(tries: readonly Try[], what: readonly SufferingId[]): number {
  return tries.filter((one) => one.suffered.some((each) => what.includes(each.what))).length;
}

/** What comes most often, the first of equals, and how often. */
function mostOf<T>(values: readonly T[]): readonly [T, number] | null {
  const counts = new Map<T, number>();
  for (const value of values) counts.set(value, (counts.get(value) ?? 0) + 1);
  let best: readonly [T, number] | null = null;
  for (const [value, times] of counts) if (!best || times > best[1]) best = [value, times];
  return best;
}
