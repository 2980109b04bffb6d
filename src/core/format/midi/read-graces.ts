import { mirrorLimb, isHand, type Limb, type VoiceId } from '../../kit';
import type { Ornament } from '../../pattern';

interface Struck {
  /** Quarters from the start. */
  readonly at: number;
  readonly key: number;
  readonly velocity: number;
  readonly limb: Limb | null;
  readonly voice: VoiceId | null;
}

/** Nearer to the note after it than this, and softer, a note may be a grace note; common practice, no source. */
const NEAREST_MS = 45;

/** Grace notes are at most so loud beside their note. */
const SOFTER = 0.75;

/** Ornaments by their grace notes: `o` is the other hand, `x` the note's own. */
const BY_HANDS: Readonly<Record<string, Ornament>> = {
  o: 'flam',
  oo: 'drag',
  ox: 'ruff',
  oox: 'ruff4',
};

const BY_COUNT: readonly (Ornament | null)[] = [null, 'flam', 'drag', 'ruff4'];

/** Takes soft notes right before a louder one of the same drum for its grace notes: one makes a flam, two a drag or a
 * ruff, three a four-stroke ruff, where their hands are those of one, or are not told.
 * @param msAt milliseconds a quarter note at a place
 * @returns the notes that are left, each with its ornament, in order of time */
export function readGraces<Note extends Struck>(
  notes: readonly Note[],
  msAt: (at: number) => number,
): readonly { readonly note: Note; readonly ornament: Ornament | null; readonly graces: number }[] {
  const taken = new Set<Note>();
  const ornaments = new Map<Note, { readonly ornament: Ornament; readonly graces: number }>();
  for (const own of byDrum(notes).values()) {
    const sorted = [...own].sort((a, b) => a.at - b.at || a.velocity - b.velocity);
    for (let index = sorted.length - 1; index > 0; index -= 1) {
      const main = sorted[index];
      if (!main || taken.has(main)) continue;
      const graces: Note[] = [];
      for (let before = index - 1; before >= 0 && graces.length < 3; before -= 1) {
        const grace = sorted[before];
        const next = graces.at(-1) ?? main;
        if (!grace || !isGrace(grace, next, main, msAt)) break;
        graces.push(grace);
      }
      const ornament = ornamentOf(main, graces);
      if (!ornament) continue;
      ornaments.set(main, { ornament, graces: graces.length });
      for (const grace of graces) taken.add(grace);
    }
  }
  return notes.flatMap((note) => {
    if (taken.has(note)) return [];
    return [{ note, ...(ornaments.get(note) ?? { ornament: null, graces: 0 }) }];
  });
}

function byDrum<Note extends Struck>(notes: readonly Note[]): ReadonlyMap<string, Note[]> {
  const found = new Map<string, Note[]>();
  for (const note of notes) {
    const drum = `${note.key} ${note.voice ?? ''}`;
    const own = found.get(drum);
    if (own) own.push(note);
    else found.set(drum, [note]);
  }
  return found;
}

/** At the very start, grace notes stand on their note: nothing can be before it. */
function isGrace(grace: Struck, next: Struck, main: Struck, msAt: (at: number) => number): boolean {
  const ms = (next.at - grace.at) * msAt(grace.at);
  const isNear = ms > 0 ? ms <= NEAREST_MS : main.at === 0 && grace.limb !== null;
  return isNear && grace.velocity <= main.velocity * SOFTER;
}

function ornamentOf(main: Struck, graces: readonly Struck[]): Ornament | null {
  const { limb } = main;
  if (limb === null || graces.some((one) => one.limb === null)) {
    return BY_COUNT[graces.length] ?? null;
  }
  if (!isHand(limb)) {
    return graces.every((one) => one.limb === limb) ? (BY_COUNT[graces.length] ?? null) : null;
  }
  const hands = graces.map((one) =>
    one.limb === limb ? 'x' : one.limb === mirrorLimb(limb) ? 'o' : '?',
  );
  return BY_HANDS[hands.sort().join('')] ?? null;
}
