import { type Result, fail, ok } from '../issue';
import { barTicks, slotTicks, type Meter, type SubdivisionId } from '../time';
import { mirrorLetters, parsePhrase, type StickingPhrase, type StickingSlot } from './parse';

/** A hand that leads. */
export type Lead = 'R' | 'L';

/** How a phrase is made to fill bars. */
export interface Fitting {
  readonly bars: number;
  /** Whole times that the phrase fits. */
  readonly repeats: number;
  /** What fills the rest; empty where nothing is left. */
  readonly ending: string;
  /** The hand that would lead what follows. */
  readonly next: Lead | null;
}

/** The hand that naturally follows: the other one than played last. */
export function nextLead(letters: string): Lead | null {
  const last = [...letters].reverse().find((letter) => letter === 'R' || letter === 'L');
  return last === undefined ? null : last === 'R' ? 'L' : 'R';
}

/** Most bars that a phrase is fitted to. */
const MOST_BARS = 4;

/** Ways to fill 1 to 4 bars with whole repeats and an adjusted ending, where the full cycle is
 * longer. Endings: the phrase cut off, singles, and singles with the last one doubled, so that the
 * other hand leads on.
 * @example RLL in 16ths, one bar of 4/4: five times and R, or RLL ×4 and RLRR */
export function fittings(text: string, slot: SubdivisionId, meter: Meter): readonly Fitting[] {
  const phrase = parsePhrase(text, slot);
  if (!phrase.ok) return [];
  const { lengthTicks, cells } = phrase.value;
  const bar = barTicks(meter);
  const last = phrase.value.slots.at(-1)?.ticks ?? slotTicks(slot);
  const letters = cells.join('');
  const found: Fitting[] = [];
  for (let bars = 1; bars <= MOST_BARS; bars += 1) {
    if ((bars * bar) % lengthTicks === 0) {
      if (found.length === 0) return [];
      break;
    }
    const most = Math.floor((bars * bar) / lengthTicks);
    for (const repeats of [most, most - 1]) {
      const rest = (bars * bar - repeats * lengthTicks) / last;
      if (repeats < 1 || !Number.isInteger(rest) || rest > 8) continue;
      for (const ending of endings(letters, rest)) {
        found.push({ bars, repeats, ending, next: nextLead(letters + ending) });
      }
    }
  }
  return found;
}

function endings(letters: string, slots: number): readonly string[] {
  const lead = [...letters].find((letter) => letter === 'R' || letter === 'L') ?? 'R';
  const singles = Array.from({ length: slots }, (_, index) =>
    index % 2 === 0 ? lead : mirrorLetters(lead),
  ).join('');
  const doubled = slots < 2 ? singles : singles.slice(0, -1) + singles.slice(-2, -1);
  const cut = letters.repeat(Math.ceil(slots / letters.length)).slice(0, slots);
  return [...new Set([cut, singles, doubled])];
}

/** The slots that fill so many bars: whole repeats, then the ending.
 * @returns issue `ending-length` when the ending does not fill what is left */
export function fitted(
  phrase: StickingPhrase,
  ending: string,
  bars: number,
  meter: Meter,
): Result<readonly StickingSlot[]> {
  const total = bars * barTicks(meter);
  const ticks = phrase.slots.at(-1)?.ticks ?? total;
  const rest = total - ending.length * ticks;
  const repeats = rest / phrase.lengthTicks;
  if (repeats < 0 || !Number.isInteger(repeats)) {
    const left = (total % phrase.lengthTicks) / ticks;
    return fail({
      code: 'ending-length',
      path: ['play'],
      bars,
      ending,
      wanted: Math.round(left * 100) / 100,
    });
  }
  const cells = phrase.cells.length;
  const slots = Array.from({ length: repeats }, (_, pass) =>
    phrase.slots.map((one) => ({ ...one, cell: one.cell + pass * cells })),
  ).flat();
  const last = [...ending].map((letter, index) => ({
    letter,
    ornament: null,
    accent: false,
    ticks,
    cell: repeats * cells,
    index,
  }));
  return ok([...slots, ...last]);
}
