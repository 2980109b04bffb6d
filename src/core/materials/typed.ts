import { fail, ok, type Issue, type Path, type Result } from '../issue';
import { parseVoice, usualLimb, VOICES, type Limb, type VoiceId } from '../kit';
import { parseGrid } from '../pattern';
import {
  barTicks,
  formatMeter,
  slotTicks,
  SUBDIVISION_IDS,
  type Meter,
  type SubdivisionId,
  type Syllables,
} from '../time';
import { countPlaces } from './count-places';
import type { Lane, Ostinato } from './ostinato-schema';

const PATH: Path = ['over'];

/** Most readings that are offered. */
const MOST_READINGS = 6;

/** Reads an ostinato as a teacher types it: `K: x--x--x-` or `K: 1 & 3 &`, parts after a
 * semicolon. Before the colon stands a limb (R L K F, LH), a voice (ride, S) or both.
 * @param syllables how the studio counts; English is understood, too
 * @returns every reading of the text, the likeliest first; issues `part-who`, `grid-token`,
 * `count-token`, `part-empty` */
export function readOstinato(
  text: string,
  meter: Meter,
  syllables?: Syllables,
): Result<readonly Ostinato[]> {
  const issues: Issue[] = [];
  const parts = text
    .split(';')
    .filter((part) => part.trim() !== '')
    .map((part): readonly Lane[] => {
      const read = readPart(part, meter, syllables);
      if (read.ok) return read.value;
      issues.push(...read.issues);
      return [];
    });
  if (parts.length === 0) return fail({ code: 'part-empty', path: PATH });
  if (issues.length > 0) return fail(...issues);
  const combined = parts.reduce<readonly (readonly Lane[])[]>(
    (all, readings) => all.flatMap((one) => readings.map((reading) => [...one, reading])),
    [[]],
  );
  return ok(
    combined.slice(0, MOST_READINGS).map((lanes) => ({
      name: text.trim().slice(0, 80),
      meter: formatMeter(meter),
      swung: false,
      lanes,
    })),
  );
}

function readPart(part: string, meter: Meter, syllables?: Syllables): Result<readonly Lane[]> {
  const colon = part.indexOf(':');
  const who = readWho(colon < 0 ? '' : part.slice(0, colon));
  if (!who.ok) return who;
  const body = part.slice(colon + 1).trim();
  if (body === '') return fail({ code: 'part-empty', path: PATH });
  return /^[xXg\-\s|]+$/.test(body)
    ? readGridBody(who.value, body, meter)
    : readCountBody(who.value, body, meter, syllables);
}

interface Who {
  readonly limb: Limb;
  readonly voice: VoiceId;
}

/** Limbs by their letters, with what they usually play. */
const LIMB_WORDS: Readonly<Record<string, Who>> = {
  r: { limb: 'RH', voice: 'snare' },
  l: { limb: 'LH', voice: 'snare' },
  k: { limb: 'RF', voice: 'bass' },
  f: { limb: 'LF', voice: 'hat-foot' },
  rh: { limb: 'RH', voice: 'snare' },
  lh: { limb: 'LH', voice: 'snare' },
  rf: { limb: 'RF', voice: 'bass' },
  lf: { limb: 'LF', voice: 'hat-foot' },
};

function readWho(text: string): Result<Who> {
  const words = text.trim().toLowerCase().split(/\s+/).filter(Boolean);
  const limb = words[0] === undefined ? undefined : LIMB_WORDS[words[0]];
  const rest = (limb ? words.slice(1) : words).join(' ');
  if (rest === '') {
    return limb ? ok(limb) : fail({ code: 'part-who', path: PATH, text: text.trim() });
  }
  const byLetter = VOICES.find((one) => one.letter.toLowerCase() === rest);
  const found = byLetter ? ok(byLetter.id) : parseVoice(rest, PATH);
  if (!found.ok) return fail({ code: 'part-who', path: PATH, text: text.trim() });
  return ok({ limb: limb?.limb ?? usualLimb(found.value), voice: found.value });
}

/** A grid over the subdivisions that make it whole bars, the fewest bars first, then as a cell over
 * the usual ones. */
function readGridBody(who: Who, body: string, meter: Meter): Result<readonly Lane[]> {
  const grid = body.replace(/[\s|]/g, '');
  const slots = parseGrid(grid, PATH);
  if (!slots.ok) return slots;
  const bar = barTicks(meter);
  const whole = SUBDIVISION_IDS.filter((id) => (grid.length * slotTicks(id)) % bar === 0).sort(
    (a, b) => slotTicks(a) - slotTicks(b),
  );
  const cells = (['16', '8', '8t'] as const).filter((id) => !whole.includes(id));
  return ok([...whole, ...cells].map((slot) => ({ ...who, slot, grid })));
}

const GRIDS: readonly SubdivisionId[] = ['4', '8', '8t', '16', '16t', '32'];

/** Syllables over the coarsest grid that holds them all; a bar after the other, with `|` between. An empty
 * bar is silent. */
function readCountBody(
  who: Who,
  body: string,
  meter: Meter,
  syllables?: Syllables,
): Result<readonly Lane[]> {
  const bar = barTicks(meter);
  const bars = body.replace(/\|\s*$/, '').split('|');
  let readings: readonly (readonly number[])[] = [[]];
  for (const [index, text] of bars.entries()) {
    const places = text.trim() === '' ? ok([[]]) : countPlaces(text, meter, PATH, syllables);
    if (!places.ok) return places;
    const here = places.value.map((hits) => hits.map((at) => at + index * bar));
    readings = readings
      .flatMap((before) => here.map((hits) => [...before, ...hits]))
      .slice(0, MOST_READINGS);
  }
  return ok(
    readings.flatMap((hits): readonly Lane[] => {
      const slot = GRIDS.find(
        (id) => bar % slotTicks(id) === 0 && hits.every((at) => at % slotTicks(id) === 0),
      );
      if (!slot) return [];
      const slots = Array.from({ length: (bars.length * bar) / slotTicks(slot) }, (_, index) =>
        hits.includes(index * slotTicks(slot)) ? 'x' : '-',
      );
      return [{ ...who, slot, grid: slots.join('') }];
    }),
  );
}

/** Whether text is meant as an ostinato and not as the name of one. */
export function looksTyped(text: string): boolean {
  return text.includes(':');
}
