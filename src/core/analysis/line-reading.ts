import { letterOf, voice } from '../kit';
import { moveStrokes, periodOf, type Layer, type Stroke } from '../pattern';
import type { Exercise } from '../recipe';
import { ornamentMark } from '../sticking';
import { SUBDIVISIONS, tick, unwrittenSwing, type Tick } from '../time';
import { once } from './keep';

/** A slot of what the line became, and what plays there; a rest where nothing does. */
export interface LineSlot {
  readonly at: Tick;
  /** As it is read and typed: `R`, `>fL`, `-`, or letters of voices. */
  readonly says: string;
  readonly strokes: readonly Stroke[];
}

/** A note of the line and what fills the gap after it, or a word of a sticking. */
export interface LineWord {
  readonly slots: readonly LineSlot[];
  /** A subdivision that begins with this word; empty where it goes on. */
  readonly subdivision: string;
}

/** What the line became, in order of time, through all repeats that differ: limbs where it is a sticking,
 * T for both hands, r and l where both feet play the bass drum, - for a slot that rests; else the letters
 * of the voices. Empty without a line.
 * @example the line `4. 4 8 4` in phrase cells // => 'RLLKKL RLLK RL RLLK'
 * @example the line `8r 4 4 8 4`: the end of its last cell comes first // => 'KL RLLK RLLK RL RLLK'
 * @example the same line short / long // => 'K K S K' */
export function lineReading(exercise: Exercise): string {
  return lineWords(exercise).map(sayWord).join(' ');
}

export function sayWord({ slots, subdivision }: LineWord): string {
  let word = '';
  for (const { says } of slots) word += says;
  return subdivision === '' ? word : `${subdivision} ${word}`;
}

/** The words of the line, each with its slots. */
export const lineWords = once((exercise): readonly LineWord[] =>
  exercise.layers.flatMap((layer) => (layer.role === 'line' ? wordsOf(layer, exercise) : [])),
);

function wordsOf(layer: Layer, exercise: Exercise): readonly LineWord[] {
  const { feel, meter } = exercise;
  const meant = ({ at, swings }: Stroke) => unwrittenSwing(at, feel, meter, swings);
  const period = periodOf(feel.kind === 'triplets' ? moveStrokes(layer, meant) : layer);
  const chords: Chord[] = [];
  for (const stroke of layer.strokes) {
    const at = meant(stroke);
    if (at >= period || stroke.from.source === 'added') continue;
    const last = chords.at(-1);
    if (last?.at === at) last.strokes.push(stroke);
    else chords.push({ at, strokes: [stroke] });
  }
  const say = speaker(layer, exercise);
  return typedWords(layer, period, chords, say) ?? wordsOfNotes(chords, say);
}

/** What plays at one place, a swing that is written in triplets taken back. */
interface Chord {
  readonly at: Tick;
  readonly strokes: Stroke[];
}

type Say = (strokes: readonly Stroke[]) => string;

/** A sticking in its typed slots; null where something was moved off them. */
function typedWords(layer: Layer, period: number, chords: readonly Chord[], say: Say) {
  const { words, ownTicks, lengthTicks } = layer;
  if (!words) return null;
  const own = ownTicks ?? lengthTicks;
  const found: { slots: LineSlot[]; subdivision: string }[] = [];
  let held = 0;
  let ticks = words[0]?.ticks;
  for (let from = 0; from < period; from += own) {
    let word: number | null = null;
    for (const slot of words) {
      const at = tick(from + slot.at);
      if (at >= period) break;
      const chord = chords[held]?.at === at ? chords[held] : undefined;
      if (chord) held += 1;
      const strokes = chord?.strokes ?? [];
      if (slot.word !== word || slot.ticks !== ticks) {
        const changes = slot.ticks === ticks ? undefined : slotName(slot.ticks);
        found.push({ slots: [], subdivision: changes ? `${changes}:` : '' });
      }
      word = slot.word;
      ticks = slot.ticks;
      found.at(-1)?.slots.push({ at, says: say(strokes), strokes });
    }
  }
  return held === chords.length ? found : null;
}

function slotName(ticks: number): string | undefined {
  return SUBDIVISIONS.find((one) => one.slotTicks === ticks)?.id;
}

/** A word for each note of the line, what fills the gap after it included. */
function wordsOfNotes(chords: readonly Chord[], say: Say): readonly LineWord[] {
  const found: { slots: LineSlot[]; subdivision: string }[] = [];
  let before: number | null = null;
  for (const { at, strokes } of chords) {
    const from = strokes[0]?.from;
    const onset = from && 'onset' in from ? from.onset : null;
    const slot = { at, says: say(strokes), strokes };
    if (onset !== before || found.length === 0) found.push({ slots: [slot], subdivision: '' });
    else found.at(-1)?.slots.push(slot);
    before = onset;
  }
  return found;
}

/** How strokes at one instant are read in this layer. */
function speaker(layer: Layer, { reads }: Exercise): Say {
  if (reads === 'voices')
    return (strokes) => strokes.map((one) => voice(one.voice).letter).join('');
  let [marked, twoFeet] = [false, false];
  for (const { from, limb, voice: id } of layer.strokes) {
    const cell = layer.words && 'cell' in from ? (from.cell ?? '') : '';
    marked ||= cell.includes('>');
    twoFeet ||= (limb === 'LF' && id === 'bass') || cell.includes('r') || cell.includes('l');
  }
  return (strokes) => {
    const [first] = strokes;
    if (!first) return '-';
    const accent = marked && first.dynamic === 'accent' ? '>' : '';
    const ornament = first.ornament ? ornamentMark(first.ornament) : '';
    return accent + ornament + sayLimbs(strokes, twoFeet);
  };
}

/** A letter a limb, T for both hands. */
function sayLimbs(strokes: readonly Stroke[], twoFeet: boolean): string {
  const letter = (one: Stroke) => limbLetter(one, twoFeet);
  const [only] = strokes;
  if (strokes.length === 1 && only) return letter(only);
  const letters = [...new Set(strokes.map(letter))].join('');
  return letters.includes('R') && letters.includes('L')
    ? `T${letters.replace(/[RL]/g, '')}`
    : letters;
}

/** Both feet of a double pedal have one alphabet. */
function limbLetter({ limb, voice: id }: Stroke, twoFeet: boolean): string {
  if (!twoFeet || id !== 'bass') return letterOf(limb);
  return limb === 'RF' ? 'r' : limb === 'LF' ? 'l' : letterOf(limb);
}
