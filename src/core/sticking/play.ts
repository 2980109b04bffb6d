import { ok, type Result } from '../issue';
import { inTimeOrder, makeStroke, type Layer, type Stroke, type WordSlot } from '../pattern';
import { barTicks, onBeat, swingOfSlot, tick, type Meter } from '../time';
import { fitted, nextLead } from './fit';
import {
  limbsOfLetter,
  mirrorLetters,
  ornamentMark,
  parsePhrase,
  type StickingSlot,
} from './parse';
import type { Sticking } from './sticking-schema';

/** A sticking as it is practised: 16ths on the snare, each cell accented, the full cycle. */
export function stickingStart(sticking: string): Sticking {
  return {
    sticking,
    slot: '16',
    voices: { RH: 'snare', LH: 'snare', RF: 'bass', LF: 'hat-foot' },
    accents: 'cells',
    soft: 'tap',
    bars: null,
    ending: '',
    sides: 'written',
  };
}

/** A sticking as somebody types it: nothing is accented but what they mark. */
export function typedSticking(sticking: string): Sticking {
  return { ...stickingStart(sticking), accents: 'none', soft: 'normal' };
}

/** A sticking as a layer. Its length is the phrase's own, or the bars it is fitted to, twice that
 * where it hands over to the other side.
 * @returns issues `sticking-token`, `ending-length` */
export function stickingLayer(sticking: Sticking, meter: Meter): Result<Layer> {
  const phrase = parsePhrase(sticking.sticking, sticking.slot);
  if (!phrase.ok) return phrase;
  const once =
    sticking.bars === null
      ? ok(phrase.value.slots)
      : fitted(phrase.value, sticking.ending, sticking.bars, meter);
  if (!once.ok) return once;
  const slots = sticking.sides === 'written' ? once.value : bothSides(once.value);
  const length = slots.reduce((sum, one) => sum + one.ticks, 0);
  return ok({
    role: 'line',
    name: sticking.name ?? sticking.sticking,
    lengthTicks: tick(length),
    words: wordsOf(slots),
    strokes: strokesOf(slots, sticking, meter),
  });
}

function wordsOf(slots: readonly StickingSlot[]): readonly WordSlot[] {
  let at = 0;
  return slots.map(({ ticks, cell }) => {
    const one = { at: tick(at), ticks: tick(ticks), word: cell };
    at += ticks;
    return one;
  });
}

/** The phrase, and after it the mirrored one where the other hand has the lead by then. */
function bothSides(slots: readonly StickingSlot[]): readonly StickingSlot[] {
  const letters = slots.map((one) => one.letter).join('');
  const first = [...letters].find((letter) => letter === 'R' || letter === 'L');
  const next = nextLead(letters);
  if (next === null || next === first) return slots;
  const cells = (slots.at(-1)?.cell ?? 0) + 1;
  const other = slots.map((one) => ({
    ...one,
    letter: mirrorLetters(one.letter),
    cell: one.cell + cells,
  }));
  return [...slots, ...other];
}

function strokesOf(
  slots: readonly StickingSlot[],
  sticking: Sticking,
  meter: Meter,
): readonly Stroke[] {
  const words = new Map<number, string>();
  for (const one of slots) words.set(one.cell, (words.get(one.cell) ?? '') + saySlot(one));
  const accented = accentPlaces(sticking.accents, meter);
  const started = new Set<number>();
  const strokes: Stroke[] = [];
  let at = 0;
  let cellStart = 0;
  const marked = slots.some((one) => one.accent);
  for (const { letter, ornament, accent: mark, ticks, cell: onset, index } of slots) {
    if (index === 0) cellStart = at;
    const cell = words.get(onset) ?? letter;
    const swings = swingOfSlot(ticks);
    for (const limb of limbsOfLetter(letter)) {
      const leads = !started.has(onset);
      const ruled = sticking.accents === 'cells' ? leads : accented(at);
      const accent = marked ? mark : ruled;
      const offset = tick(at - cellStart);
      const stroke: Stroke = {
        at: tick(at),
        limb,
        voice: /[rl]/.test(letter) ? 'bass' : sticking.voices[limb],
        dynamic: accent ? 'accent' : sticking.soft,
        ornament: ornament ?? undefined,
        slot: tick(ticks),
        swings,
        from:
          index === 0
            ? { source: 'line', onset, cell }
            : { source: 'fill', onset, cell, index, offset },
      };
      strokes.push(makeStroke(stroke));
    }
    if (limbsOfLetter(letter).length > 0) started.add(onset);
    at += ticks;
  }
  return strokes.sort(inTimeOrder);
}

/** A slot as it is typed. @example an accented flam of the left hand // => '>fL' */
export function saySlot({
  letter,
  ornament,
  accent,
}: Pick<StickingSlot, 'letter' | 'ornament' | 'accent'>): string {
  return `${accent ? '>' : ''}${ornament ? ornamentMark(ornament) : ''}${letter}`;
}

function accentPlaces(accents: Sticking['accents'], meter: Meter): (at: number) => boolean {
  const bar = barTicks(meter);
  if (accents === 'bars') return (at) => at % bar === 0;
  return accents === 'beats' ? (at) => onBeat(at, meter) : () => false;
}
