import { startLadder, USUAL_COURSE, whyOf } from '@/core/ladder';
import { blankRecipe, recipeHash, toggleOstinato } from '@/core/recipe';
import type { Posted, Verdict } from '@/core/log';
import { NOTHING_PLAYED } from '@/core/progress';
import {
  itemKey,
  type EntryId,
  type RoundSlot,
  type StandItem,
  type Standing,
} from '@/core/studio';
import { standReducer, type StandAction } from './machine';
import { startStand, type Played, type Stand } from './round';
import { tryEntry } from './try-entry';

export function item(name: string): StandItem {
  const recipe = toggleOstinato(blankRecipe(), 'jazz-ride');
  return {
    assignmentId: 'a' as StandItem['assignmentId'],
    program: 'Autumn',
    section: '',
    item: {
      id: name as StandItem['item']['id'],
      kind: 'exercise',
      exerciseId: name as StandItem['item']['exerciseId'],
      hash: recipeHash(recipe),
      name,
      course: USUAL_COURSE,
      cues: [],
      place: 'derived',
      after: [],
    },
    whole: recipe,
    plays: recipe,
    recent: { late: [], lowest: [] },
    state: startLadder({ course: USUAL_COURSE }),
    why: whyOf(startLadder({ course: USUAL_COURSE }), USUAL_COURSE),
    cues: [],
    waitsFor: [],
    resting: false,
    today: NOTHING_PLAYED,
    cue: '',
  };
}

export const items = [item('one'), item('two'), item('three')];

const REST: RoundSlot = { key: null, kind: 'break', on: 'kit', cutTo: null };

/** Slots by the items' names; `-` is a break. */
export function slotsOf(names: string, kind: RoundSlot['kind'] = 'new'): readonly RoundSlot[] {
  return names.split(' ').map((name) => {
    return name === '-' ? REST : { key: itemKey(item(name)), kind, on: 'kit', cutTo: null };
  });
}

export const DAY = '2026-03-02';

export const slots = slotsOf('one two three');

export function begin(of: readonly RoundSlot[]): Stand {
  return startStand(items, of, DAY);
}

export function played(name: string, seconds = 32): Played {
  const id = name as Played['id'];
  const at = { rung: 'tempo:60', bpm: 60, bars: 8, seconds, stopped: false, whole: 32 };
  return { id, item: item(name), ...at };
}

/** What is said about the try of an item. */
export function judged(of: string, verdict: Verdict): Posted<'judged'> {
  const id = `${of} judged` as EntryId;
  return { kind: 'judged', id, agoMs: 0, about: of as EntryId, body: { verdict } };
}

/** A try of an item, and what is said about it. */
export function tried(of: string, verdict: Verdict): readonly Posted[] {
  return [tryEntry(played(of), null), judged(of, verdict)];
}

/** What the server says of an item. */
export function standing(of: string, own: Partial<Standing> = {}): Standing {
  return { ...item(of), ...own };
}

/** Something about the try of the first item. */
export function said<Kind extends 'broke' | 'suffered'>(
  kind: Kind,
  body: Posted<Kind>['body'],
): Posted {
  const id = `${kind} one` as EntryId;
  return { kind, id, agoMs: 0, about: 'one' as EntryId, body } as unknown as Posted;
}

export function tryOf(id: string) {
  const played = { bpm: 60, rung: 'tempo:60', verdict: 'clean' as const };
  return { kind: 'try' as const, id, day: DAY, ...played, suffered: [], broke: [] };
}

export function run(
  actions: readonly StandAction[],
  from: Stand = startStand(items, slots, DAY),
): Stand {
  return actions.reduce(standReducer, from);
}

/** A try from its start to its verdict. */
export function play(of: string, verdict: Verdict): readonly StandAction[] {
  return [...playToEnd(of), { kind: 'log', entry: judged(of, verdict) }];
}

/** A try to where it is asked about. */
export function playToEnd(of: string, by: Played = played(of)): readonly StandAction[] {
  return [
    { kind: 'start', places: [slots.findIndex((slot) => slot.key === itemKey(item(of)))] },
    { kind: 'log', entry: tryEntry(by, null) },
    { kind: 'part', played: by },
    { kind: 'over' },
  ];
}
