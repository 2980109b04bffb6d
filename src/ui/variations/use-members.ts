'use client';

import { useMemo } from 'react';
import {
  eachOnce,
  memberAt,
  memberKey,
  memberRecipe,
  type Family,
  type OpenedFamily,
} from '@/core/family';
import { staffOrder, VOICE_IDS, type VoiceId } from '@/core/kit';
import { expand, recipeHash, type ClosedRecipe, type Exercise } from '@/core/recipe';
import type { FamilyWork, ShownMember } from './use-family-work';

/** Members as they are asked for: recipes and strokes are made when a row comes in sight, and kept. */
export interface Members {
  readonly keyOf: (index: number) => string;
  readonly recipeOf: (index: number) => ClosedRecipe;
  readonly exerciseOf: (index: number) => Exercise | null;
  readonly practised: (index: number) => boolean;
}

export function useMembers(opened: OpenedFamily | null, practised: readonly string[]): Members {
  return useMemo(() => {
    const keys = new Map<number, string>();
    const exercises = new Map<number, Exercise | null>();
    const played = new Map<number, boolean>();
    const known = new Set(practised);
    const recipeOf = (index: number) => {
      if (!opened) throw new Error('no family is open');
      return memberRecipe(opened, memberAt(opened, index));
    };
    return {
      recipeOf,
      keyOf: (index) =>
        kept(keys, index, () => (opened ? memberKey(opened, memberAt(opened, index)) : '')),
      exerciseOf: (index) =>
        kept(exercises, index, () => {
          const made = expand(recipeOf(index));
          return made.ok ? made.value : null;
        }),
      practised: (index) =>
        known.size > 0 && kept(played, index, () => known.has(recipeHash(recipeOf(index)))),
    };
  }, [opened, practised]);
}

/** Most of them that are kept. */
const MOST_KEPT = 20_000;

function kept<T>(known: Map<number, T>, index: number, make: () => T): T {
  const found = known.get(index);
  if (found !== undefined) return found;
  if (known.size >= MOST_KEPT) known.clear();
  const made = make();
  known.set(index, made);
  return made;
}

/** How the members stand: on the path or not, and why not. */
export interface Standing {
  /** Each exercise once; one of each sound, where those alike are left out. */
  readonly candidates: readonly ShownMember[];
  readonly path: readonly ShownMember[];
  /** Dropped, or left out by a cover. */
  readonly out: readonly ShownMember[];
  readonly same: readonly ShownMember[];
  /** How many sound like another, though they are not the same stroke by stroke. */
  readonly alike: number;
  /** Voices of all members, from the top of the staff. */
  readonly rows: readonly VoiceId[];
  readonly hardest: number;
  /** Bars of the longest. */
  readonly longest: number;
}

export function useStanding(
  { played }: FamilyWork,
  { fold, kept: chosen, dropped }: Family,
  { keyOf }: Members,
): Standing {
  return useMemo(() => {
    const [keep, drop] = [chosen && new Set(chosen), new Set(dropped)];
    const once = eachOnce(played);
    const apart = once.filter((one) => one.sameAs === one.index);
    const candidates = fold ? apart : once;
    const shown = new Set(candidates);
    const isOn = ({ index }: ShownMember) => {
      if (keep === null && drop.size === 0) return true;
      const key = keyOf(index);
      return !drop.has(key) && (keep === null || keep.has(key));
    };
    const path = candidates.filter(isOn);
    const bits = candidates.reduce((sum, one) => sum | one.voices, 0);
    return {
      candidates,
      path,
      out: path.length === candidates.length ? [] : candidates.filter((one) => !isOn(one)),
      same: played.filter((one) => !shown.has(one)),
      alike: once.length - apart.length,
      rows: VOICE_IDS.filter((_, nth) => (bits & (1 << nth)) !== 0).sort(
        (a, b) => staffOrder(a) - staffOrder(b),
      ),
      longest: path.reduce((most, one) => Math.max(most, one.bars), 1),
      hardest: path.reduce((most, one) => Math.max(most, one.points), 0),
    };
  }, [played, fold, chosen, dropped, keyOf]);
}
