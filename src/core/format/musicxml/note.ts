import { isPedal, parseVoice, VOICES, type Limb, type VoiceId } from '../../kit';
import type { Dynamic, Ornament } from '../../pattern';
import { quarters } from '../../time';
import { voiceOfKey } from '../score';
import { dynamicOf } from '../velocity';
import { childOf, childrenOf, numberAt, textAt, type XmlNode } from './xml-tree';

/** An instrument of a part: what it is called, and its key of the percussion map. */
export interface Instrument {
  readonly name: string;
  readonly key: number | null;
}

export function instrumentsOf(scorePart: XmlNode): ReadonlyMap<string, Instrument> {
  const keys = new Map(
    childrenOf(scorePart, 'midi-instrument').map((one) => {
      const key = numberAt(one, 'midi-unpitched');
      // Keys of the format count from 1.
      return [one.attributes['id'] ?? '', key === null ? null : key - 1];
    }),
  );
  return new Map(
    childrenOf(scorePart, 'score-instrument').map((one) => {
      const id = one.attributes['id'] ?? '';
      return [id, { name: textAt(one, 'instrument-name'), key: keys.get(id) ?? null }];
    }),
  );
}

const STEPS = 'EFGABCD';

/** Noteheads as ours are called. */
const HEADS: Readonly<Record<string, readonly string[]>> = {
  x: ['x', 'cross', 'circle-x'],
  diamond: ['diamond'],
  triangle: ['triangle', 'inverted triangle'],
  slash: ['slashed'],
};

/** What a drum note strikes: by its instrument's name or key, else by where it stands and its head.
 * @returns `voice` null for what is no voice of ours; `nearest` where it is not quite the one */
export function voiceOf(
  note: XmlNode,
  instruments: ReadonlyMap<string, Instrument>,
): { readonly voice: VoiceId | null; readonly key: number | null; readonly nearest: boolean } {
  const id = childOf(note, 'instrument')?.attributes['id'];
  const only = instruments.size === 1 ? [...instruments.values()][0] : undefined;
  const instrument = id === undefined ? only : instruments.get(id);
  const named = instrument && parseVoice(instrument.name, []);
  const key = instrument?.key ?? null;
  const keyed = key === null ? null : voiceOfKey(key);
  const exact = named?.ok ? named.value : null;
  const voice = exact ?? (key === null ? voiceAt(note) : (keyed?.voice ?? null));
  return { voice: opened(voice, note), key, nearest: !exact && keyed !== null && !keyed.exact };
}

/** By its place on the staff, which counts half spaces up from the bottom line. */
function voiceAt(note: XmlNode): VoiceId | null {
  const unpitched = childOf(note, 'unpitched');
  const octave = unpitched ? numberAt(unpitched, 'display-octave') : null;
  if (!unpitched || octave === null) return null;
  const step = STEPS.indexOf(textAt(unpitched, 'display-step'));
  // Octaves begin with C, which is five steps over E.
  const line = (octave - 4) * 7 + step - (step >= 5 ? 7 : 0);
  const text = textAt(note, 'notehead');
  const head = Object.keys(HEADS).find((one) => HEADS[one]?.includes(text)) ?? 'oval';
  const here = VOICES.filter((one) => one.line === line);
  return (here.find((one) => one.head === head) ?? here[0])?.id ?? null;
}

function opened(voice: VoiceId | null, note: XmlNode): VoiceId | null {
  if (voice !== 'hat') return voice;
  const technical = technicalOf(note);
  if (technical.some(({ name }) => name === 'open-string')) return 'hat-open';
  const half = technical.some(
    ({ name, text }) => name === 'other-technical' && text === 'half-open',
  );
  return half ? 'hat-half' : voice;
}

function technicalOf(note: XmlNode): readonly XmlNode[] {
  return notationsOf(note, 'technical');
}

function notationsOf(note: XmlNode, kind: string): readonly XmlNode[] {
  return childrenOf(note, 'notations').flatMap((one) =>
    childrenOf(one, kind).flatMap(({ children }) => children),
  );
}

/** Limbs that the sticking over or under a note says; R and L are feet where a pedal is played. */
export function limbsOf(note: XmlNode, voice: VoiceId | null): readonly Limb[] {
  const fingers = technicalOf(note).flatMap(({ name, text }) =>
    name === 'fingering' ? [text] : [],
  );
  const sung = childrenOf(note, 'lyric').map((one) => textAt(one, 'text'));
  const letters = [...fingers, ...sung].map((one) => one.trim().toUpperCase());
  const byFoot = voice !== null && isPedal(voice);
  const found = letters.flatMap((one): readonly Limb[] => {
    if (one === 'R' || one === 'RH') return [byFoot ? 'RF' : 'RH'];
    if (one === 'L' || one === 'LH') return [byFoot ? 'LF' : 'LH'];
    return [];
  });
  return [...new Set(found)];
}

/** Parentheses are a ghost note, an accent's sign an accent; else how loud it is said to be, in per cent of
 * a forte, which is velocity 90. */
export function dynamicOfNote(note: XmlNode): Dynamic {
  if (childOf(note, 'notehead')?.attributes['parentheses'] === 'yes') return 'ghost';
  const articulations = notationsOf(note, 'articulations').map(({ name }) => name);
  if (articulations.some((one) => one === 'accent' || one === 'strong-accent')) return 'accent';
  const percent = Number(note.attributes['dynamics'] ?? NaN);
  if (!Number.isFinite(percent)) return 'normal';
  return dynamicOf(percent * 0.9) === 'tap' ? 'tap' : 'normal';
}

/** A diddle is one slash, a roll more; without a measure it is a buzz. */
export function tremoloOf(note: XmlNode): Ornament | null {
  const tremolo = notationsOf(note, 'ornaments').find(({ name }) => name === 'tremolo');
  if (!tremolo || tremolo.attributes['type'] === 'start') return null;
  if (tremolo.attributes['type'] === 'unmeasured') return 'buzz';
  return Number(tremolo.text) === 1 ? 'diddle' : 'roll';
}

/** Grace notes before a note by their number: two of one hand are a drag, of both a ruff. */
export function ornamentOf(graces: readonly (Limb | null)[]): Ornament | null {
  const [first, second] = graces;
  if (graces.length === 0) return null;
  if (graces.length === 1) return 'flam';
  if (graces.length > 2) return 'ruff4';
  return first && second && first !== second ? 'ruff' : 'drag';
}

const BASES: Readonly<Record<string, number>> = {
  whole: 1,
  half: 2,
  quarter: 4,
  eighth: 8,
  '16th': 16,
  '32nd': 32,
  '64th': 64,
};

/** Most notes of a tuplet that is believed. */
const MOST_OF_A_TUPLET = 64;

/** The value that a note is written with. @returns null without one, or one longer or shorter than ours */
export function writtenValue(note: XmlNode): {
  readonly base: number;
  readonly dots: number;
  readonly tuplet: { readonly played: number; readonly inTimeOf: number } | null;
  readonly ticks: number;
} | null {
  const base = BASES[textAt(note, 'type')];
  if (base === undefined) return null;
  const dots = childrenOf(note, 'dot').length;
  const played = numberAt(note, 'time-modification', 'actual-notes') ?? 1;
  const inTimeOf = numberAt(note, 'time-modification', 'normal-notes') ?? 1;
  const fits = (one: number) => Number.isInteger(one) && one >= 1 && one <= MOST_OF_A_TUPLET;
  if (!fits(played) || !fits(inTimeOf)) return null;
  const plain = quarters(4, base) * (2 - 0.5 ** dots);
  const tuplet = played === inTimeOf ? null : { played, inTimeOf };
  return { base, dots, tuplet, ticks: (plain * inTimeOf) / played };
}
