import { unreachable } from '../issue';
import { cellsOf, interpretationName, type Assignment, type Rule } from '../interpret';
import { limbName, voice, type Limb, type VoiceId } from '../kit';
import { parseLine } from '../reading';
import { formatFeel, formatMeter, parseMeter, subdivision, type SubdivisionId } from '../time';
import { interpretationOptions } from './expand';
import type { Change, ClosedRecipe } from './schema';

export type SentenceKey = 'over' | 'play' | 'as' | 'clash' | 'changes' | 'at' | 'kit';

/** One short line of the sentence; `text` is empty where the recipe has nothing to say. */
export interface SentenceLine {
  readonly key: SentenceKey;
  readonly label: string;
  readonly text: string;
}

const LABELS: Readonly<Record<SentenceKey, string>> = {
  over: 'Over',
  play: 'Play',
  as: 'As',
  clash: 'Where limbs meet',
  changes: 'Changed by',
  at: 'At',
  kit: 'For',
};

/** The recipe as a sentence in fixed short lines, in fixed order.
 * @example sentence(recipe).map((line) => line.text).filter(Boolean).join(' · ') */
export function sentence(recipe: ClosedRecipe): readonly SentenceLine[] {
  const texts: Readonly<Record<SentenceKey, string>> = {
    over: recipe.over.map((one) => one.content.name).join(' + '),
    play: sayLine(recipe),
    as: recipe.play ? sayInterpretation(recipe) : '',
    clash: recipe.play && recipe.over.length > 0 ? sayPolicy(recipe.clash) : '',
    changes: recipe.changes.map(sayChange).join(', then '),
    at: sayFeel(recipe),
    kit: recipe.kit.content.name,
  };
  return (Object.keys(LABELS) as SentenceKey[]).map((key) => ({
    key,
    label: LABELS[key],
    text: texts[key],
  }));
}

/** The sentence in one line, for lists, titles and sheets; the full kit goes without saying. */
export function sentenceText(recipe: ClosedRecipe): string {
  const quiet: readonly SentenceKey[] = recipe.kit.id === 'full-kit' ? ['clash', 'kit'] : ['clash'];
  return sentence(recipe)
    .filter((line) => line.text !== '' && !quiet.includes(line.key))
    .map((line) => `${line.label} ${line.text}`)
    .join(' · ');
}

function sayLine(recipe: ClosedRecipe): string {
  const content = recipe.play?.content;
  if (!content) return '';
  return content.name ? `${content.name}: ${content.text}` : content.text;
}

function sayInterpretation(recipe: ClosedRecipe): string {
  const { as } = recipe;
  switch (as.kind) {
    case 'verbatim':
      return `written, ${sayPart(as.on)}`;
    case 'short-long':
      return `short = ${sayPart(as.short)}, long = ${sayPart(as.long)}`;
    case 'phrase-cells': {
      const cells = sayCells(recipe);
      return `${interpretationName(as.kind)}${cells ? `: ${cells}` : ''}`;
    }
    case 'accent-grid':
      return `accents in ${subdivision(as.grid).name} on the ${voice(as.voice).name}, ${as.sticking}${as.doubled ? ', the rest doubled' : ''}`;
    case 'rules':
      return `my own rules: ${as.rules.map(sayRule).join('; ')}`;
    case 'line-fill': {
      const same = JSON.stringify(as.short) === JSON.stringify(as.long);
      const line = same
        ? `line = ${sayParts(as.short)}`
        : `short = ${sayParts(as.short)}, long = ${sayParts(as.long)}`;
      return `${line}, ${sayPart(as.fill)} fills the ${subdivision(as.grid).name}`;
    }
  }
}

function sayCells(recipe: ClosedRecipe): string {
  const options = interpretationOptions(recipe.as);
  const meter = parseMeter(recipe.meter);
  if (options.kind !== 'phrase-cells' || !meter.ok || !recipe.play) return '';
  const line = parseLine(recipe.play.content.text, meter.value);
  if (!line.ok) return '';
  return cellsOf(line.value, options)
    .map(({ cell }) => cell ?? '?')
    .join(' ');
}

/** `snare`, or `left foot on the hi-hat foot` where the limb is not the usual one. */
function sayPart({ limb, voice: id }: Assignment): string {
  const usual: Partial<Record<VoiceId, Limb>> = { bass: 'RF', snare: 'LH', 'hat-foot': 'LF' };
  return usual[id] === limb ? voice(id).name : `${voice(id).name} with the ${limbName(limb)}`;
}

/** @example '3 16ths and longer on the beat = bass drum' */
function sayRule(rule: Rule): string {
  const measure = rule.by === 'length' ? 'long' : 'to the next';
  const range =
    rule.from === null
      ? rule.to === null
        ? 'every note'
        : `up to ${rule.to} 16ths ${measure}`
      : rule.to === null
        ? `${rule.from} 16ths and more ${measure}`
        : `${rule.from} to ${rule.to} 16ths ${measure}`;
  const place = { any: '', on: ' on the beat', off: ' off the beat' }[rule.place];
  const order = { any: '', first: ', first of the bar', last: ', last of the bar' }[rule.order];
  const fill = rule.fill ? `, ${sayPart(rule.fill)} fills` : '';
  return `${range}${place}${order} = ${sayParts(rule.plays)}${fill}`;
}

function sayParts(parts: readonly Assignment[]): string {
  return parts.map(sayPart).join(' and ');
}

export function sayPolicy(policy: ClosedRecipe['clash']): string {
  switch (policy) {
    case 'rest':
      return 'the ostinato’s part rests';
    case 'merge':
      return 'both play, the louder wins';
    case 'refuse':
      return 'refuse';
  }
}

const SINGULAR: Partial<Record<SubdivisionId, string>> = {
  '4': 'quarter',
  '8': '8th',
  '8t': '8th triplet',
  '16': '16th',
  '16t': 'sextuplet',
};

/** @example sayChange({ kind: 'displace', what: 'pattern', part: 'line', by: 1, slot: '16' }) // => 'line one 16th later' */
export function sayChange(change: Change): string {
  const part = change.part === 'all' ? 'everything' : change.part === 'line' ? 'line' : 'ostinato';
  switch (change.kind) {
    case 'mirror':
      return change.what === 'hands'
        ? `${part} mirrored, feet stay`
        : `${part} mirrored, all limbs`;
    case 'reverse':
      return `${part} backwards in ${subdivision(change.slot).name}`;
    case 'push':
      return `${part}, note ${change.note} pushed ${saySlots(change.by, change.slot)}`;
    case 'swap-feet':
      return `${part}, feet swapped`;
    case 'footing':
      return change.school === 'grid'
        ? `${part}, double pedal by the grid`
        : `${part}, double pedal, right leads each group`;
    case 'give':
      return `${part}, ${limbName(change.from)} given to ${sayPart(change.to)}`;
    case 'revoice':
      return `${part}, ${voice(change.from).name} to ${voice(change.to).name}`;
    case 'displace':
      return sayDisplacement(change, part);
    default:
      return unreachable(change);
  }
}

function saySlots(count: number, slot: SubdivisionId): string {
  if (count !== 1) return `${count} ${subdivision(slot).name}`;
  return `one ${SINGULAR[slot] ?? `slot of ${subdivision(slot).name}`}`;
}

function sayDisplacement(change: Extract<Change, { kind: 'displace' }>, part: string): string {
  const count = Math.abs(change.by);
  const by =
    change.what === 'sticking'
      ? `${count === 1 ? 'one stroke' : `${count} strokes`}`
      : saySlots(count, change.slot);
  const what = change.what === 'pattern' ? part : `${part} ${change.what}`;
  return `${what} ${by} ${change.by < 0 ? 'earlier' : 'later'}`;
}

function sayFeel(recipe: ClosedRecipe): string {
  const meter = parseMeter(recipe.meter);
  return `${meter.ok ? formatMeter(meter.value) : recipe.meter}, ${formatFeel(recipe.feel)}`;
}
