import { difficultyParts, difficultyPoints } from '../analysis';
import type { Limb, VoiceId } from '../kit';
import type { Stroke } from '../pattern';
import { editByHand, expand, type ClosedRecipe, type Exercise, type SeenEdit } from '../recipe';
import { gcd, slotTicks, tick, wrap, type Tempo } from '../time';

/** An exercise that is one note away from another. */
export interface Neighbour {
  readonly kind: 'added' | 'removed' | 'moved';
  readonly voice: VoiceId;
  /** Ticks in the cycle: where the note was, and where it is; null where it is not. */
  readonly from: number | null;
  readonly to: number | null;
  readonly recipe: ClosedRecipe;
  /** Points of difficulty more than the exercise itself; negative is easier. */
  readonly harder: number;
}

/** Most strokes of a cycle whose neighbours are made; longer ones have too many. */
const MOST_STROKES = 96;

/** Every exercise that is one note away: a note removed, one moved by a slot, one added where the
 * limb is free. Slots are the exercise's own grid, at least 8ths.
 * @returns the easiest first; empty for cycles with too many notes and for sequences
 * @example bass drum on 1 and 3 of four // => two removed, three moved, two added and so on */
export function neighboursOf(
  recipe: ClosedRecipe,
  exercise: Exercise,
  tempo: Tempo,
): readonly Neighbour[] {
  if (exercise.members.length > 0 || exercise.strokes.length > MOST_STROKES) return [];
  const own = difficultyPoints(difficultyParts(exercise, tempo));
  return changesOf(exercise)
    .flatMap(({ kind, edit }): Neighbour[] => {
      const next = editByHand(recipe, exercise, [edit]);
      const expanded = expand(next);
      if (!expanded.ok) return [];
      const points = difficultyPoints(difficultyParts(expanded.value, tempo));
      const { from, to } = edit;
      const voice = (to ?? from)?.voice ?? 'snare';
      const places = { from: from?.at ?? null, to: to?.at ?? null };
      return [{ kind, voice, ...places, recipe: next, harder: points - own }];
    })
    .sort((a, b) => a.harder - b.harder);
}

interface Change {
  readonly kind: Neighbour['kind'];
  readonly edit: SeenEdit;
}

function changesOf(exercise: Exercise): readonly Change[] {
  const { strokes, cycleTicks } = exercise;
  const slot = Math.max(
    slotTicks('32'),
    strokes.reduce<number>((sum, { at }) => gcd(sum, at), slotTicks('8')),
  );
  const busy = new Set(strokes.map(({ at, limb }) => `${at} ${limb}`));
  const free = (at: number, limb: Limb) => !busy.has(`${at} ${limb}`);
  const removed = strokes.map((from): Change => ({ kind: 'removed', edit: { from, to: null } }));
  const moved = strokes.flatMap((from) =>
    [-slot, slot]
      .map((by) => tick(wrap(from.at + by, cycleTicks)))
      .filter((at) => free(at, from.limb))
      .map((at): Change => ({ kind: 'moved', edit: { from, to: edited(from, at) } })),
  );
  const parts = new Map<string, { limb: Limb; voice: VoiceId }>();
  for (const { limb, voice: id } of strokes) parts.set(`${limb} ${id}`, { limb, voice: id });
  const added = [...parts.values()].flatMap((part) =>
    Array.from({ length: cycleTicks / slot }, (_, index) => index * slot)
      .filter((at) => free(at, part.limb))
      .map((at): Change => ({
        kind: 'added',
        edit: { from: null, to: { at, ...part, dynamic: 'normal', ornament: null } },
      })),
  );
  return [...removed, ...moved, ...added];
}

function edited({ limb, voice: id, dynamic, ornament, texture }: Stroke, at: number) {
  return { at, limb, voice: id, dynamic, ornament: ornament ?? null, texture };
}
