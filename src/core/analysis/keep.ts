import type { Exercise } from '../recipe';
import type { Tempo } from '../time';

/** What was worked out of one exercise, by the place of what worked it out. */
type Memo = unknown[];

/** Readings begin with the same few facts; each is worked out once and kept for the exercises that were
 * read lately. Not for all of them: of a family there are very many, each is read in one go, and what
 * is kept for long slows everything down. */
const KEPT = new Map<Exercise, Memo>();
const MOST_KEPT = 4;
let lately: { readonly exercise: Exercise; readonly kept: Memo } | null = null;
let places = 0;

function keptOf(exercise: Exercise): Memo {
  if (lately?.exercise === exercise) return lately.kept;
  let kept = KEPT.get(exercise);
  if (!kept) {
    kept = [];
    if (KEPT.size >= MOST_KEPT) forgetOldest();
    KEPT.set(exercise, kept);
  }
  lately = { exercise, kept };
  return kept;
}

function forgetOldest(): void {
  for (const exercise of KEPT.keys()) {
    KEPT.delete(exercise);
    return;
  }
}

/** Works a thing out once for each exercise. @param make gives anything but undefined */
export function once<T>(make: (exercise: Exercise) => T): (exercise: Exercise) => T {
  const place = places;
  places += 1;
  return (exercise) => {
    const kept = keptOf(exercise);
    let found = kept[place] as T | undefined;
    if (found === undefined) {
      found = make(exercise);
      kept[place] = found;
    }
    return found;
  };
}

/** Works a thing out for an exercise at a tempo, and keeps the last. */
export function onceAt<T>(
  make: (exercise: Exercise, tempo: Tempo) => T,
): (exercise: Exercise, tempo: Tempo) => T {
  const place = places;
  places += 1;
  return (exercise, tempo) => {
    const kept = keptOf(exercise);
    const found = kept[place] as { readonly tempo: Tempo; readonly value: T } | undefined;
    if (found?.tempo.bpm === tempo.bpm && found.tempo.beatTicks === tempo.beatTicks) {
      return found.value;
    }
    const value = make(exercise, tempo);
    keptOf(exercise)[place] = { tempo, value };
    return value;
  };
}
