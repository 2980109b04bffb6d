import { closeWith, recipeHash } from '../recipe';
import type { Manner } from './stage';
import type { PracticeStep } from './stage-schema';

/** What a rung asks, as it is said: a step by the name that it was given, with its tempo where it climbs. */
export type RungFacts =
  | Exclude<Asked, { readonly kind: 'stage' }>
  | { readonly kind: 'manner'; readonly manner: Manner; readonly bpm?: number }
  | { readonly kind: 'step'; readonly name: string; readonly bpm?: number };

/** What a rung asks. */
export type Asked =
  | { readonly kind: 'tempo'; readonly bpm: number }
  | { readonly kind: 'hold'; readonly bpm: number; readonly minutes: number }
  | {
      readonly kind: 'ramp';
      readonly start: number;
      readonly target: number;
      readonly step: number;
      readonly every: number;
    }
  | { readonly kind: 'stage'; readonly stage: PracticeStep; readonly bpm: number };

/** What is said of a rung; how it is named in the log: by what it asks, never by words; and how it was
 * named before, in the words of that time, which stand in logs for good.
 * @example { kind: 'hold', bpm: 70, minutes: 4 } // => key 'hold:70:4', was '70 for 4 min' */
export function rungNames(asked: Asked): {
  readonly asks: RungFacts;
  readonly key: string;
  readonly was: string;
} {
  return { asks: factsOf(asked), ...keysOf(asked) };
}

function factsOf(asked: Asked): RungFacts {
  if (asked.kind !== 'stage') return asked;
  const { stage } = asked;
  const at = stage.way && { bpm: asked.bpm };
  return stage.kind === 'manner'
    ? { kind: 'manner', manner: stage.manner, ...at }
    : { kind: 'step', name: stage.says, ...at };
}

function keysOf(asked: Asked): { readonly key: string; readonly was: string } {
  switch (asked.kind) {
    case 'tempo':
      return { key: `tempo:${asked.bpm}`, was: String(asked.bpm) };
    case 'hold':
      return {
        key: `hold:${asked.bpm}:${asked.minutes}`,
        was: `${asked.bpm} for ${asked.minutes} min`,
      };
    case 'ramp': {
      const { start, target, step, every } = asked;
      return {
        key: `ramp:${start}:${target}:${step}:${every}`,
        was: `${start} to ${target} by ${step} every ${every}`,
      };
    }
    case 'stage': {
      const { stage, bpm } = asked;
      return stage.kind === 'manner'
        ? { key: `manner:${stage.manner}:${bpm}`, was: `${FORMER_MANNERS[stage.manner]}, ${bpm}` }
        : { key: `step:${stepHash(stage)}:${bpm}`, was: `${stage.says}, ${bpm}` };
    }
  }
}

/** Whether a logged rung is this one. @param logged its key, or how it was named before */
export function isRung(
  rung: { readonly key: string; readonly was: string },
  logged: string,
): boolean {
  return logged === rung.key || logged === rung.was;
}

/** The words of manners when logs were kept in words. These never change. */
const FORMER_MANNERS: Readonly<Record<Manner, string>> = {
  pad: 'on the pad',
  lap: 'on the lap',
  voice: 'sung and counted',
  'click-2-4': 'click on 2 and 4',
  'click-drops': 'click drops out',
  'click-off': 'without a click',
  soft: 'everything soft',
  'own-music': 'to music of your own',
  'own-version': 'your own version',
};

type Step = Extract<PracticeStep, { kind: 'step' }>;

const HASHES = new WeakMap<Step, string>();

/** What a step plays, by its recipe's hash; one that cannot be read plays nothing and is named by its
 * words. */
function stepHash(step: Step): string {
  let hash = HASHES.get(step);
  if (hash === undefined) {
    const closed = 'damaged' in step.recipe ? null : closeWith(step.recipe);
    hash = closed?.ok ? recipeHash(closed.value) : step.says;
    HASHES.set(step, hash);
  }
  return hash;
}
