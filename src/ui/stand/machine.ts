import type { Posted, SufferingId } from '@/core/log';
import type { RoundSlot, StandItem } from '@/core/studio';
import type { Learnt } from '../log';
import { afterAnswer, afterSuffered, afterVerdict, askSuffered, stepped } from './asking';
import { advance, next, playAgain, settle } from './going-on';
import { askVerdict } from './how-was-it';
import { learn, withMade } from './made';
import { at, startStand, type Played, type RoundState, type Stand, type StandStage } from './round';
import { resume } from './taking-up';

export type StandAction =
  | { readonly kind: 'skip' | 'step' | 'nowhere' | 'again' }
  /** Nobody answered. */
  | { readonly kind: 'silent' }
  /** `stays`: on an exercise until its rung is over. */
  | { readonly kind: 'start'; readonly places: readonly number[]; readonly stays?: boolean }
  /** A try was played, to its end or as far as it went. */
  | { readonly kind: 'part'; readonly played: Played }
  /** Playing has ended. */
  | { readonly kind: 'over'; readonly slept?: boolean }
  /** An entry is made; the ladder moves with it at once. */
  | { readonly kind: 'log'; readonly entry: Posted }
  /** Entries of an earlier page that are not stored yet. */
  | { readonly kind: 'waiting'; readonly entries: readonly Posted[] }
  /** What became of entries, and where the server says that items stand. */
  | ({ readonly kind: 'learnt' } & Learnt)
  | { readonly kind: 'suffered'; readonly what: SufferingId | null }
  | { readonly kind: 'resume'; readonly kept: RoundState; readonly fresh?: boolean }
  | {
      readonly kind: 'more';
      readonly items: readonly StandItem[];
      readonly slots: readonly RoundSlot[];
    };

/** A round, one step further. An action counts only in the stage that offers it. */
export function standReducer(stand: Stand, action: StandAction): Stand {
  const { stage } = stand;
  switch (action.kind) {
    case 'start':
      return stage.kind === 'ready' ? begun(stand, action) : stand;
    case 'skip':
      if (stage.kind === 'break') return next({ ...stand, sinceBreak: 0 });
      return stage.kind === 'ready' ? next(stand) : stand;
    case 'part':
      return stage.kind === 'playing' ? withPlayed(stand, stage, action.played) : stand;
    case 'over':
      return stage.kind === 'playing'
        ? afterPlaying(stand, stage.places, stage.played, action.slept ?? false)
        : stand;
    case 'step':
      return 'options' in stage ? at(stand, stepped(stage)) : stand;
    case 'again':
      return isAtRest(stage) ? playAgain(stand) : stand;
    case 'silent':
      if (stage.kind === 'verdict') return afterVerdict(stand, null);
      return 'tryId' in stage ? advance(stand) : stand;
    case 'log':
      return afterAnswer(withMade(stand, stand.known, [...stand.made, action.entry]), action.entry);
    case 'waiting':
      return withMade(stand, stand.known, [...action.entries, ...stand.made]);
    case 'learnt':
      return learn(stand, action);
    case 'nowhere':
      return stage.kind === 'broke' ? askSuffered(stand, stage.tryId) : stand;
    case 'suffered':
      return stage.kind === 'suffered' ? afterSuffered(stand, stage, action.what) : stand;
    case 'resume':
      return resume(stand, action.kept, action.fresh ?? false);
    case 'more':
      return settle({
        ...withMade(startStand(action.items, action.slots, stand.day), action.items, stand.made),
        sinceBreak: stand.sinceBreak,
        stays: stand.stays,
      });
  }
}

function begun(
  stand: Stand,
  { places, stays = false }: Extract<StandAction, { kind: 'start' }>,
): Stand {
  return { ...at(stand, { kind: 'playing', places, played: [] }), stays, notice: null };
}

/** Where something else can be begun. */
function isAtRest({ kind }: StandStage): boolean {
  return kind === 'ready' || kind === 'break' || kind === 'done';
}

/** What was played is asked about; the round goes on after it. */
function afterPlaying(
  stand: Stand,
  places: readonly number[],
  played: readonly Played[],
  slept: boolean,
): Stand {
  const last = places[played.length - 1];
  if (last === undefined) {
    return { ...at(stand, { kind: 'ready' }), notice: slept ? 'slept-short' : 'short' };
  }
  const notice = slept ? 'slept' : null;
  const toPlay = leftOfSlot(stand, last, played.at(-1));
  return askVerdict({ ...stand, place: last, judging: played, notice, toPlay });
}

/** Seconds that are still to be played of a place in the round: all stopped tries together are one as soon as they are
 * half of it. */
function leftOfSlot({ place, toPlay }: Stand, last: number, played: Played | undefined): number {
  if (!played?.stopped) return 0;
  const before = place === last && toPlay > 0 ? toPlay : played.whole / 2;
  return Math.max(0, before - played.seconds);
}

function withPlayed(
  stand: Stand,
  stage: Extract<StandStage, { kind: 'playing' }>,
  played: Played,
): Stand {
  const sinceBreak = stand.sinceBreak + played.seconds;
  return { ...stand, sinceBreak, stage: { ...stage, played: [...stage.played, played] } };
}
