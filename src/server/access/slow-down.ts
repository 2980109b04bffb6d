import { setTimeout as after } from 'node:timers/promises';
import { RateLimiterMemory } from 'rate-limiter-flexible';
import { fail, ok, type Result } from '@/core/issue';

/** What can be found by trying, and how many wrong tries are free: from one address, or on one device, for one account,
 * after which that pair waits; and for the account from everywhere, after which each try takes longer and none is
 * refused, so that nobody can lock others out. Links are too long to be found and are never slowed. */
const GUESSES = {
  password: { pair: 10, pairSeconds: 900, all: 30, allSeconds: 3600 },
  code: { pair: 10, pairSeconds: 900, all: 50, allSeconds: 3600 },
  pin: { pair: 5, pairSeconds: 300, all: 30, allSeconds: 900 },
  setup: { pair: 10, pairSeconds: 900, all: 50, allSeconds: 3600 },
  mail: { pair: 5, pairSeconds: 3600, all: 10, allSeconds: 3600 },
} as const;

export type Guess = keyof typeof GUESSES;

/** Where what is tried was typed. */
const FIELDS: Readonly<Record<Guess, string>> = {
  password: 'password',
  code: 'code',
  pin: 'pin',
  setup: 'code',
  mail: 'email',
};

const SLOW_MS = 2000;

interface Limits {
  readonly pair: RateLimiterMemory;
  readonly all: RateLimiterMemory;
}

const held = globalThis as { mivvelGuesses?: Map<Guess, Limits> };

function limitsOf(guess: Guess): Limits {
  const all = (held.mivvelGuesses ??= new Map<Guess, Limits>());
  const known = all.get(guess);
  if (known) return known;
  const { pair, pairSeconds, all: most, allSeconds } = GUESSES[guess];
  const made = {
    pair: new RateLimiterMemory({ points: pair, duration: pairSeconds }),
    all: new RateLimiterMemory({ points: most, duration: allSeconds }),
  };
  all.set(guess, made);
  return made;
}

/** Lets somebody try, as long as not too many tries went wrong before.
 * @param from the address or device  @param account what is tried
 * @param right what came of it; null for a wrong try
 * @returns issue `too-many-tries`, or what `right` gave */
export async function trying<T>(
  guess: Guess,
  { from, account }: { readonly from: string; readonly account: string },
  right: () => Promise<T | null> | T | null,
): Promise<Result<T | null>> {
  const { pair, all } = limitsOf(guess);
  const both = `${account}\n${from}`;
  // Counted before it is known what comes of it, so that a thousand at once are a thousand tries.
  const [mine, everybody] = await Promise.all([pair.penalty(both, 1), all.penalty(account, 1)]);
  if (mine.consumedPoints > pair.points) {
    return fail({
      code: 'too-many-tries',
      path: [FIELDS[guess]],
      minutes: minutesOf(mine.msBeforeNext),
    });
  }
  if (everybody.consumedPoints > all.points) await after(SLOW_MS);
  const got = await right();
  if (got !== null) await Promise.all([pair.delete(both), all.reward(account, 1)]);
  return ok(got);
}

function minutesOf(ms: number): number {
  return Math.max(1, Math.ceil(ms / 60_000));
}
