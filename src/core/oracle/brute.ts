/** What an exercise plays, worked out anew from the rules of the trade, slot by slot and without any of the
 * core’s own code: slow, plain, and only for the tests that hold the core against it. Common practice,
 * no source. All numbers are in 20160ths of a quarter. */

const QUARTER = 20_160;

/** Slots to a quarter, by the name of the subdivision. */
const PARTS: Readonly<Record<string, number>> = {
  '4': 1,
  '8': 2,
  '8t': 3,
  '16': 4,
  '16t': 6,
  '5': 5,
  '7': 7,
  '32': 8,
};

export interface BruteStroke {
  readonly at: number;
  readonly limb: string;
  readonly voice: string;
  readonly loud: boolean;
  /** Where it sounds. */
  readonly sounds: number;
}

export interface BrutePart {
  readonly limb: string;
  readonly voice: string;
  readonly slot: string;
  readonly grid: string;
}

export type BruteFeel = 'straight' | 'triplets' | readonly [number, number];

/** Where the strokes of one grid sound: of a pair of 8ths, or in 16ths of a pair of 16ths, the second is
 * late; anything finer and all tuplets are even. In meters of 8ths only 16ths are pairs. */
function swungPlace(at: number, parts: number, share: number, eighths: boolean): number {
  const binary = parts === 1 || parts === 2 || parts === 4;
  if (!binary) return at;
  const pair = eighths ? QUARTER / 2 : parts === 4 ? QUARTER / 2 : QUARTER;
  const inPair = at % pair;
  if (inPair * 2 !== pair) return at;
  if (eighths && parts !== 4) return at;
  return at - inPair + pair * share;
}

/** An ostinato of parts on grids, looped until all of them and the bar begin together again. */
export function bruteGroove(
  parts: readonly BrutePart[],
  barQuarters: number,
  feel: BruteFeel,
  eighths: boolean,
): { readonly strokes: readonly BruteStroke[]; readonly length: number } {
  const bar = barQuarters * QUARTER;
  const lengths = parts.map(({ slot, grid }) => (grid.length * QUARTER) / (PARTS[slot] ?? 1));
  let length = bar;
  while (!lengths.every((one) => length % one === 0)) length += bar;
  const strokes: BruteStroke[] = [];
  parts.forEach(({ limb, voice, slot, grid }, index) => {
    const count = PARTS[slot] ?? 1;
    for (let pass = 0; pass * (lengths[index] ?? length) < length; pass += 1) {
      [...grid].forEach((mark, place) => {
        if (mark === '-') return;
        const written = pass * (lengths[index] ?? length) + (place * QUARTER) / count;
        const share = typeof feel === 'string' ? 2 / 3 : feel[0] / (feel[0] + feel[1]);
        const swung = feel === 'straight' ? written : swungPlace(written, count, share, eighths);
        const at = feel === 'triplets' ? swung : written;
        strokes.push({ at, limb, voice, loud: mark === 'X', sounds: swung });
      });
    }
  });
  return { strokes, length };
}

/** Milliseconds from each stroke of a limb to its next, over the repeat; the shortest. */
export function bruteNearest(
  strokes: readonly BruteStroke[],
  limb: string,
  length: number,
  beatsAMinute: number,
  beatQuarters: number,
): number {
  const mine = strokes.filter((one) => one.limb === limb).map((one) => one.sounds);
  mine.sort((a, b) => a - b);
  const gaps = mine.map((at, index) => (mine[index + 1] ?? (mine[0] ?? 0) + length) - at);
  return ((Math.min(...gaps) / QUARTER / beatQuarters) * 60_000) / beatsAMinute;
}

/** Places at which a stick on the hi-hat is the last thing before a chick, and nearer than so many ms. */
export function bruteOpens(
  strokes: readonly BruteStroke[],
  length: number,
  msPerQuarter: number,
  within: number,
): readonly number[] {
  const times = [...new Set(strokes.map((one) => Math.round(one.sounds * 1000)))].sort(
    (a, b) => a - b,
  );
  const at = (time: number) => strokes.filter((one) => Math.round(one.sounds * 1000) === time);
  const found: number[] = [];
  times.forEach((time, index) => {
    const before = times[index - 1] ?? times.at(-1);
    if (before === undefined || before === time) return;
    if (!at(time).some((one) => one.voice === 'hat-foot')) return;
    const stick = at(before).find((one) => one.voice === 'hat');
    const gap = (time - before + (index === 0 ? length * 1000 : 0)) / 1000;
    if (stick && (gap / QUARTER) * msPerQuarter < within) found.push(stick.at);
  });
  return found.sort((a, b) => a - b);
}

/** Every nth note, counted on without a break, in as many repeats as it takes. Where counting begins on a later
 * note, it has come round by the time the loop does: the notes before it are counted, too.
 * @param first the note on which counting begins, from 1 */
export function bruteEveryNth(
  places: readonly number[],
  length: number,
  nth: number,
  first: number,
): { readonly at: readonly number[]; readonly length: number } {
  const at: number[] = [];
  let repeats = 0;
  let counted = 0;
  do {
    for (const place of places) {
      if (counted % nth === (first - 1) % nth) at.push(repeats * length + place);
      counted += 1;
    }
    repeats += 1;
  } while (counted % nth !== 0);
  return { at, length: repeats * length };
}

/** The phrase cells of a line in 16ths: gaps around the loop, the letters of each cell from its note on. */
export function brutePhrase(
  onsets: readonly number[],
  slots: number,
  cells: Readonly<Record<string, string>>,
): readonly (string | null)[] | null {
  const bar: (string | null)[] = Array.from({ length: slots }, () => null);
  for (const [index, onset] of onsets.entries()) {
    const next = onsets[index + 1] ?? (onsets[0] ?? 0) + slots;
    const cell = cells[String(next - onset)];
    if (cell === undefined) return null;
    [...cell].forEach((letter, step) => {
      bar[(onset + step) % slots] = letter;
    });
  }
  return bar;
}

/** Levels from the bar down to a place, by cutting the bar as its meter is cut.
 * @param tree parts of each level, from the bar down; the last one’s parts are halved on and on */
export function bruteWeight(place: number, bar: number, tree: readonly number[]): number {
  let length = bar;
  for (let level = 0; level < 12; level += 1) {
    if (place % length === 0) return -level;
    length /= tree[level] ?? 2;
  }
  throw new RangeError(`${place} lies on no level`);
}

/** Feet of a double pedal in groups: right first in each, a group as long as the next note lies no further
 * than one slot. Tried note by note, each looking back. */
export function bruteGroups(slots: string): string | null {
  const count = slots.length;
  const hit = (place: number) => slots[((place % count) + count) % count] !== '-';
  if ([...slots].every((mark) => mark !== '-')) return null;
  return [...slots]
    .map((mark, place) => {
      if (mark === '-') return '-';
      let back = 0;
      while (hit(place - back - 1)) back += 1;
      return back % 2 === 0 ? 'r' : 'l';
    })
    .join('');
}

/** A note or a rest of a line, in 16ths. */
export interface BruteSign {
  readonly sixteenths: number;
  readonly rest: boolean;
}

interface BruteHit {
  readonly limb: string;
  readonly voice: string;
  readonly dynamic: string;
}

/** What plays in each 16th, a list of hits for each. */
export type BruteSlots = readonly (readonly BruteHit[])[];

const LOUDNESS = ['ghost', 'tap', 'normal', 'accent'];

/** A line of 16ths, read one way, slot by slot. `null` where the way cannot read it. */
export function bruteRead(
  signs: readonly BruteSign[],
  way: 'verbatim' | 'short-long' | 'accents-16ths' | 'line-doubled',
): BruteSlots | null {
  const length = signs.reduce((sum, one) => sum + one.sixteenths, 0);
  const slots: BruteHit[][] = Array.from({ length }, () => []);
  const onsets = new Map<number, number>();
  let at = 0;
  for (const { sixteenths, rest } of signs) {
    if (!rest) onsets.set(at, sixteenths);
    at += sixteenths;
  }
  for (let slot = 0; slot < length; slot += 1) {
    const lasts = onsets.get(slot);
    if (way === 'verbatim' && lasts !== undefined) {
      slots[slot]?.push({ limb: 'LH', voice: 'snare', dynamic: 'normal' });
    }
    if (way === 'short-long' && lasts !== undefined) {
      const long = lasts >= 4;
      const [limb, voice] = long ? ['RF', 'bass'] : ['LH', 'snare'];
      slots[slot]?.push({ limb: limb ?? '', voice: voice ?? '', dynamic: 'normal' });
    }
    if (way === 'accents-16ths') {
      const limb = slot % 2 === 0 ? 'RH' : 'LH';
      const dynamic = lasts === undefined ? 'ghost' : 'accent';
      slots[slot]?.push({ limb, voice: 'snare', dynamic });
    }
    if (way === 'line-doubled') {
      if (slot % 2 === 1 && lasts !== undefined) return null;
      if (lasts !== undefined) {
        slots[slot]?.push({ limb: 'RH', voice: 'crash', dynamic: 'accent' });
        slots[slot]?.push({ limb: 'RF', voice: 'bass', dynamic: 'accent' });
      } else if (slot % 2 === 0) {
        slots[slot]?.push({ limb: 'LH', voice: 'snare', dynamic: 'ghost' });
      }
    }
  }
  return slots;
}

/** A groove of 16ths and a line, both gone round until they and the bar begin together; where both want a
 * limb, the groove's limb or all of the groove rests from the line's first to its last stroke, each time
 * round, or the louder of two at once wins. */
export function bruteTogether(
  groove: BruteSlots,
  line: BruteSlots,
  policy: 'limbs' | 'groove' | 'merge',
  bar: number,
): BruteSlots {
  let length = bar;
  while (length % groove.length !== 0 || length % line.length !== 0) length += bar;
  const takes = [...new Set(line.flat().map(({ limb }) => limb))];
  const hit = line.map((hits) => hits.length > 0);
  const sounds = (slot: number) => {
    const place = slot % line.length;
    return place >= hit.indexOf(true) && place <= hit.lastIndexOf(true);
  };
  let meets = false;
  for (let slot = 0; slot < length; slot += 1) {
    for (const { limb } of groove[slot % groove.length] ?? []) {
      if (sounds(slot) && takes.includes(limb)) meets = true;
    }
  }
  const loud = (hit: BruteHit) => LOUDNESS.indexOf(hit.dynamic);
  return Array.from({ length }, (_, slot) => {
    const over = groove[slot % groove.length] ?? [];
    const played = line[slot % line.length] ?? [];
    if (policy !== 'merge') {
      const rests = (one: BruteHit) =>
        sounds(slot) && (policy === 'groove' ? meets : takes.includes(one.limb));
      return [...over.filter((one) => !rests(one)), ...played];
    }
    const rival = (one: BruteHit, others: readonly BruteHit[]) =>
      others.find((other) => other.limb === one.limb);
    const kept = over.filter((one) => {
      const other = rival(one, played);
      return other === undefined || loud(one) > loud(other);
    });
    return [...kept, ...played.filter((one) => rival(one, kept) === undefined)];
  });
}

/** Slots moved later, round their own end. */
export function bruteLater<T>(slots: readonly T[], by: number): readonly T[] {
  return slots.map(
    (_, slot) => slots[(((slot - by) % slots.length) + slots.length) % slots.length] as T,
  );
}

/** A ghost a 16th before each accent, where no accent is and the left hand is free. */
export function bruteGhosts(slots: BruteSlots): BruteSlots {
  const accented = (slot: number) => (slots[slot] ?? []).some((one) => one.dynamic === 'accent');
  return slots.map((hits, slot) => {
    const wanted = accented((slot + 1) % slots.length) && !accented(slot);
    const busy = hits.some((one) => one.limb === 'LH');
    return wanted && !busy ? [...hits, { limb: 'LH', voice: 'snare', dynamic: 'ghost' }] : hits;
  });
}

/** A grid that goes round through everything; what a limb plays on a voice already is not added. */
export function brutePlaced(slots: BruteSlots, grid: string): BruteSlots {
  let length = slots.length;
  while (length % grid.length !== 0) length += slots.length;
  return Array.from({ length }, (_, slot) => {
    const hits = slots[slot % slots.length] ?? [];
    if (grid[slot % grid.length] === '-') return hits;
    const there = hits.some((one) => one.limb === 'RF' && one.voice === 'bass');
    return there ? hits : [...hits, { limb: 'RF', voice: 'bass', dynamic: 'normal' }];
  });
}
