import { cellsOf, interpretationName, type Assignment, type Rule } from '../interpret';
import { letterOf, voice } from '../kit';
import { lineTicks, parseLine } from '../reading';
import { sayCount } from '../issue';
import type { Sticking } from '../sticking';
import { barTicks, formatFeel, formatMeter, lcm, parseMeter, subdivision } from '../time';
import { interpretationOptions } from './expand';
import { sayChange, sayPart } from './say-change';
import type { ClosedRecipe } from './schema';

export type SentenceKey = 'over' | 'play' | 'as' | 'clash' | 'changes' | 'at' | 'kit' | 'then';

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
  then: 'Then',
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
    then: sayThen(recipe.then),
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
  if ('sticking' in content) {
    const name = content.name ? `${content.name}: ` : '';
    return `${name}${content.sticking} in ${subdivision(content.slot).name}`;
  }
  const round = roundOf(recipe);
  const text = round === null ? content.text : `${content.text}, round after ${round} bars`;
  return content.name ? `${content.name}: ${text}` : text;
}

/** Bars after which a line that does not fill its bars begins on beat 1 again; null where it fills them,
 * and for a sticking.
 * @example `4. 4 8` in 4/4 // => 3 */
export function roundOf({
  play,
  meter: text,
}: Pick<ClosedRecipe, 'play' | 'meter'>): number | null {
  const meter = parseMeter(text);
  if (!play || 'sticking' in play.content || !meter.ok) return null;
  const line = parseLine(play.content.text, meter.value);
  if (!line.ok) return null;
  const [length, bar] = [lineTicks(line.value), barTicks(meter.value)];
  return length === 0 || length % bar === 0 ? null : lcm(length, bar) / bar;
}

function sayInterpretation(recipe: ClosedRecipe): string {
  const { as } = recipe;
  const content = recipe.play?.content;
  if (content && 'sticking' in content) return saySticking(content);
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

const ACCENTS = {
  cells: 'each cell accented',
  bars: 'each bar accented',
  beats: 'each beat accented',
  none: 'no accents',
} as const;

/** How a sticking is played: what each limb sounds, the accents, and how it meets the bar. */
function saySticking(content: Sticking): string {
  const letters = { R: 'RH', L: 'LH', K: 'RF', F: 'LF', r: 'RF', l: 'LF', T: 'RH' } as const;
  const used = new Set([...content.sticking].flatMap((one) => letters[one as 'R'] ?? []));
  const voices = [...used].map((limb) => `${letterOf(limb)} = ${voice(content.voices[limb]).name}`);
  const fit =
    content.bars === null
      ? ''
      : `, fitted to ${content.bars === 1 ? 'a bar' : `${content.bars} bars`}${content.ending ? ` with ${content.ending}` : ''}`;
  const sides = content.sides === 'written' ? '' : ', changing sides';
  return `${voices.join(', ')}; ${ACCENTS[content.accents]}${fit}${sides}`;
}

function sayThen(then: ClosedRecipe['then']): string {
  if (!then) return '';
  const members = then.members.map(({ name, bars }) => `${name}${sayBars(bars)}`);
  return `${then.bars === null ? '' : `after ${sayCount(then.bars, 'bar')}: `}${members.join(', then ')}`;
}

function sayBars(bars: number | null): string {
  return bars === null ? '' : `, ${sayCount(bars, 'bar')}`;
}

function sayCells(recipe: ClosedRecipe): string {
  const options = interpretationOptions(recipe.as);
  const meter = parseMeter(recipe.meter);
  if (options.kind !== 'phrase-cells' || !meter.ok || !recipe.play) return '';
  if ('sticking' in recipe.play.content) return '';
  const line = parseLine(recipe.play.content.text, meter.value);
  if (!line.ok) return '';
  return cellsOf(line.value, options)
    .map(({ cell }) => cell ?? '?')
    .join(' ');
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

function sayFeel(recipe: ClosedRecipe): string {
  const meter = parseMeter(recipe.meter);
  const said = `${meter.ok ? formatMeter(meter.value) : recipe.meter}, ${formatFeel(recipe.feel)}`;
  const cut = recipe.cut === undefined ? '' : `, cut to ${sayCount(recipe.cut, 'bar')}`;
  return `${said}${cut}${recipe.levels ? `, ${recipe.levels} levels` : ''}`;
}
