import type { StarterId, StarterItemId } from '@/core/program';
import type { WayIn } from '@/core/recipe';
import type { Say } from './say';

/** @example sayStarter(ENGLISH, 'cells') // => 'Phrase cells' */
export function sayStarter({ t }: Say, id: StarterId): string {
  return t(`starter.program.${id}`);
}

/** Whom a starter program helps. */
export function sayStarterUse({ t }: Say, id: StarterId): string {
  return t(`starter.goodFor.${id}`);
}

/** What an item of a starter program is called. */
export function sayStarterItem({ t }: Say, id: StarterItemId): string {
  return t(`starter.item.${id}`);
}

/** What to watch for in an item of a starter program. */
export function sayStarterCue({ t }: Say, id: StarterItemId): string {
  return t(`starter.cue.${id}`);
}

/** What an empty Bench offers. @example sayWayIn(ENGLISH, 'page') // => 'a page' */
export function sayWayIn({ t }: Say, id: WayIn): string {
  return t(`starter.wayIn.${id}`);
}

/** A starter program and its items, in their order. */
export interface StarterItems {
  readonly id: StarterId;
  readonly items: readonly { readonly id: StarterItemId }[];
}

/** What a copy of a starter program is called, with its items and what to watch for in each. */
export function starterNames(say: Say, { id, items }: StarterItems) {
  return {
    program: sayStarter(say, id),
    items: items.map((item) => sayStarterItem(say, item.id)),
    cues: items.map((item) => sayStarterCue(say, item.id)),
  };
}
