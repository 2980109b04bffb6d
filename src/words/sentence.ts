import { cellsOf, type Rule } from '@/core/interpret';
import { letterOf, LIMBS, type Assignment } from '@/core/kit';
import { parseLine, type ReadingLine } from '@/core/reading';
import {
  interpretationOptions,
  roundOf,
  type ClosedRecipe,
  type Exercise,
  type GaveWay,
  type StartId,
} from '@/core/recipe';
import { gridsIn, isMarked, isPlain, limbsOfLetter, type Sticking } from '@/core/sticking';
import { formatMeter, parseMeter } from '@/core/time';
import { sayAssignment, sayChange, sayDynamic } from './change';
import { sayVoice } from './kit';
import { sayMaterial } from './material';
import { sayPlaceIn } from './place';
import { sayList, type Say } from './say';
import { sayReadAs } from './terms';
import { sayFeel, sayNote, saySixteenths, saySubdivision } from './time';

const KEYS = ['over', 'play', 'as', 'clash', 'changes', 'at', 'kit', 'then'] as const;

type SentenceKey = (typeof KEYS)[number];

/** The recipe in fixed short lines, in fixed order; a text is empty where it has nothing to say. */
function linesOf(say: Say, recipe: ClosedRecipe): Readonly<Record<SentenceKey, string>> {
  return {
    over: recipe.over.map((one) => sayMaterial(say, one)).join(' + '),
    play: sayLine(say, recipe),
    as: recipe.play ? sayInterpretation(say, recipe) : '',
    clash: recipe.play && recipe.over.length > 0 ? sayPolicy(say, recipe.clash) : '',
    changes: sayThens(
      say,
      recipe.changes.map((one) => sayChange(say, one)),
    ),
    at: sayAt(say, recipe),
    kit: sayMaterial(say, recipe.kit),
    then: sayThen(say, recipe.then),
  };
}

/** What the sentence says of a recipe; the full kit goes without saying. */
function saidOf(
  say: Say,
  recipe: ClosedRecipe,
): readonly { readonly key: SentenceKey; readonly label: string; readonly text: string }[] {
  const quiet: readonly SentenceKey[] = recipe.kit.id === 'full-kit' ? ['clash', 'kit'] : ['clash'];
  const texts = linesOf(say, recipe);
  return KEYS.filter((key) => texts[key] !== '' && !quiet.includes(key)).map((key) => {
    const label = say.t(`sentence.label.${key}`);
    return { key, label, text: say.t('sentence.line', { label, text: texts[key] }) };
  });
}

/** The sentence in one line, for lists, titles and sheets. */
export function saySentence(say: Say, recipe: ClosedRecipe): string {
  return saidOf(say, recipe)
    .map(({ text }) => text)
    .join(' · ');
}

/** A line of the sentence; where it plays a reading line, that stands apart, to be shown as notation. */
interface SentencePart {
  readonly text: string;
  readonly notation: { readonly line: ReadingLine; readonly after: string } | null;
}

/** Bars that a line may have to be shown in the sentence. */
const BARS_IN_SENTENCE = 4;

/** The sentence as `saySentence` says it, its reading line as what a reader knows it by. */
export function sentenceParts(say: Say, recipe: ClosedRecipe): readonly SentencePart[] {
  return saidOf(say, recipe).map(({ key, label, text }) => {
    const notation = key === 'play' ? notationOf(say, recipe, label) : null;
    return notation ?? { text, notation: null };
  });
}

function notationOf(say: Say, recipe: ClosedRecipe, label: string): SentencePart | null {
  const { play } = recipe;
  if (!play || 'sticking' in play.content) return null;
  const meter = parseMeter(recipe.meter);
  const line = meter.ok ? parseLine(play.content.text, meter.value) : meter;
  if (!line.ok) return null;
  const name = play.content.name ? sayMaterial(say, play) : '';
  const bars = line.value.bars.length;
  const round = roundOf(recipe);
  const after = round === null ? '' : say.t('sentence.roundAfter', { round });
  if (bars > BARS_IN_SENTENCE) {
    const long = [name, say.t('sentence.bars', { bars }), after].filter(Boolean).join(', ');
    return { text: say.t('sentence.line', { label, text: long }), notation: null };
  }
  const text = name ? say.t('sentence.line', { label, text: name }) : label;
  return { text, notation: { line: line.value, after } };
}

/** What is played and how, without the rest of the sentence. */
export function sayHow(say: Say, recipe: ClosedRecipe): string {
  const { play, as } = linesOf(say, recipe);
  return [play, as].filter(Boolean).join(' · ');
}

/** A way to begin to read a line, and what it does. */
export function sayStart(say: Say, id: StartId): { readonly name: string; readonly says: string } {
  const notes = { sixteenth: sayNote(say, '16'), sixteenths: saySixteenths(say) };
  return {
    name: say.t(`sentence.start.${id}.name`, notes),
    says: say.t(`sentence.start.${id}.says`, notes),
  };
}

const LONGEST = 80;

/** A name for a list, when the teacher gives none: what goes on, the line, how it is read.
 * @example suggestName(ENGLISH, recipe) // => 'jazz ride, hats on 2 and 4 · 4. 4 8 4 · short / long' */
export function suggestName(say: Say, recipe: ClosedRecipe): string {
  const over = recipe.over.map((one) => sayMaterial(say, one)).join(' + ');
  const { play } = recipe;
  const sticks = play !== null && 'sticking' in play.content;
  const line = play ? sayPlayed(say, play) : '';
  const as = line && !sticks ? sayReadAs(say, recipe.as.kind) : '';
  const [change] = over || line ? [] : recipe.changes;
  const changed = change ? sayChange(say, change) : '';
  const name = [over, line, as, changed].filter(Boolean).join(' · ');
  return name.length > LONGEST ? `${name.slice(0, LONGEST - 1).trimEnd()}…` : name;
}

/** Strokes that others took the place of. @example '2 closed hi-hat strokes give way' */
export function sayGaveWay(say: Say, all: readonly GaveWay[]): string {
  return all
    .map(({ voice, count }) => say.t('sentence.gaveWay', { count, voice: sayVoice(say, voice) }))
    .join(', ');
}

/** Grace notes that lie closer than asked, by where their notes are. */
export function sayCrowdedGraces(say: Say, exercise: Exercise): string {
  const places = exercise.crowdedGraces.slice(0, MOST_PLACES);
  return say.t('sentence.crowdedGraces', {
    at: sayList(
      say,
      places.map((at) => sayPlaceIn(say, at, exercise)),
    ),
    more: exercise.crowdedGraces.length - places.length,
  });
}

/** Places that are listed one by one. */
const MOST_PLACES = 4;

/** A line or sticking by its name, or as it is written. */
export function sayPlayed(say: Say, play: NonNullable<ClosedRecipe['play']>): string {
  const { content } = play;
  const written = 'sticking' in content ? content.sticking : content.text;
  return content.name === undefined ? written.trim() : sayMaterial(say, play);
}

function sayLine(say: Say, recipe: ClosedRecipe): string {
  const { play } = recipe;
  if (!play) return '';
  const { content } = play;
  const round = roundOf(recipe);
  const what =
    'sticking' in content
      ? say.t('sentence.stickingIn', {
          sticking: content.sticking,
          grid: sayStickingGrids(say, content),
        })
      : round === null
        ? content.text
        : say.t('sentence.round', { line: content.text, round });
  return content.name ? say.t('sentence.named', { name: sayMaterial(say, play), what }) : what;
}

function sayInterpretation(say: Say, recipe: ClosedRecipe): string {
  const { as } = recipe;
  const content = recipe.play?.content;
  if (content && 'sticking' in content) return saySticking(say, content);
  const both = (short: string, long: string) => say.t('sentence.shortLong', { short, long });
  switch (as.kind) {
    case 'verbatim':
      return say.t('sentence.written', { on: sayAssignment(say, as.on) });
    case 'short-long':
      return both(sayAssignment(say, as.short), sayAssignment(say, as.long));
    case 'phrase-cells': {
      const cells = cellsText(recipe);
      const name = sayReadAs(say, as.kind);
      return cells ? say.t('sentence.named', { name, what: cells }) : name;
    }
    case 'accent-grid':
      return say.t('sentence.accents', {
        grid: saySubdivision(say, as.grid),
        voice: sayVoice(say, as.voice),
        sticking: as.sticking,
        rest: as.doubled ? 'doubled' : 'single',
      });
    case 'rules':
      return say.t('sentence.rules', {
        rules: as.rules.map((rule) => sayRule(say, rule)).join('; '),
      });
    case 'line-fill': {
      const same = JSON.stringify(as.short) === JSON.stringify(as.long);
      return say.t('sentence.fills', {
        line: same
          ? say.t('sentence.bothAs', { parts: sayParts(say, as.short) })
          : both(sayParts(say, as.short), sayParts(say, as.long)),
        fill: sayAssignment(say, as.fill),
        grid: saySubdivision(say, as.grid),
      });
    }
  }
}

/** How a sticking is played: what each limb sounds, the accents, and how it meets the bar. */
function saySticking(say: Say, content: Sticking): string {
  const used = new Set([...content.sticking].flatMap((letter) => limbsOfLetter(letter)));
  const voices = LIMBS.filter((limb) => used.has(limb)).map((limb) =>
    say.t('sentence.letterIs', {
      letter: letterOf(limb),
      voice: sayVoice(say, content.voices[limb]),
    }),
  );
  return say.t('sentence.sticking', {
    voices: voices.join(', '),
    accents: sayStickingAccents(say, content),
    rest: content.soft === 'normal' ? 'none' : sayDynamic(say, content.soft),
    plain: isPlain(content) ? 'yes' : 'no',
    fitted: content.bars === null ? 'no' : 'yes',
    bars: content.bars ?? 0,
    ending: content.ending || 'none',
    sides: content.sides === 'written' ? 'written' : 'other',
  });
}

/** The grids in which a sticking goes, each once. @example 'sextuplets' */
export function sayStickingGrids(say: Say, { sticking, slot }: Sticking): string {
  return sayList(
    say,
    gridsIn(sticking, slot).map((grid) => saySubdivision(say, grid)),
  );
}

/** What is accented: what the sticking itself marks, else what it was told. */
export function sayStickingAccents(say: Say, { sticking, accents }: Sticking): string {
  return sayAccented(say, isMarked(sticking) ? 'marked' : accents);
}

/** What a sticking that marks nothing may be told to accent. @example sayAccented(ENGLISH, 'none') // => 'no accents' */
export function sayAccented({ t }: Say, accents: Sticking['accents'] | 'marked'): string {
  return t(`sentence.accented.${accents}`);
}

function sayThens(say: Say, parts: readonly string[]): string {
  return parts.length === 0
    ? ''
    : parts.reduce((before, after) => say.t('sentence.thenJoin', { before, after }));
}

function sayThen(say: Say, then: ClosedRecipe['then']): string {
  if (!then) return '';
  const members = sayThens(
    say,
    then.members.map((one) => sayMember(say, one)),
  );
  if (then.name !== undefined || then.untimed) {
    const first = sayMember(say, { ...then, name: then.name ?? say.t('sentence.firstPart') });
    return say.t('sentence.thenJoin', { before: first, after: members });
  }
  return then.bars === null ? members : say.t('sentence.afterBars', { bars: then.bars, members });
}

function sayMember(
  say: Say,
  { name, bars, untimed }: { name: string; bars: number | null; untimed?: boolean | undefined },
): string {
  const timed = untimed ? 'no' : 'yes';
  return bars === null
    ? say.t('sentence.member', { name, timed })
    : say.t('sentence.memberBars', { name, bars, timed });
}

function cellsText(recipe: ClosedRecipe): string {
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

/** @example '3 16ths and more long on the beat = bass drum' */
function sayRule(say: Say, rule: Rule): string {
  return say.t('sentence.rule', {
    range: sayLengths(say, rule),
    place: rule.place,
    order: rule.order,
    plays: sayParts(say, rule.plays),
    fill: rule.fill ? sayAssignment(say, rule.fill) : 'none',
  });
}

function sayLengths(say: Say, { from, to, by }: Rule): string {
  const named = { by, sixteenths: saySixteenths(say) };
  if (from !== null && to !== null) return say.t('sentence.range.between', { from, to, ...named });
  if (from !== null) return say.t('sentence.range.from', { from, ...named });
  return to === null ? say.t('sentence.range.any') : say.t('sentence.range.upTo', { to, ...named });
}

function sayParts(say: Say, parts: readonly Assignment[]): string {
  return sayList(
    say,
    parts.map((part) => sayAssignment(say, part)),
  );
}

/** What a choice changed besides, as it is now; empty where nothing.
 * @example sayBesides(ENGLISH, { meter: '3/4' }) // => 'The meter is 3/4 now.' */
export function sayBesides(say: Say, now: Partial<ClosedRecipe>): string {
  const { meter, feel, as } = now;
  const parts = [
    meter && say.t('sentence.besides.meter', { meter }),
    feel && say.t('sentence.besides.feel', { feel: sayFeel(say, feel) }),
    as?.kind === 'verbatim' &&
      say.t('sentence.besides.line', { player: sayAssignment(say, as.on) }),
  ];
  return parts.filter(Boolean).join(' ');
}

/** What happens where two parts want the same limb. */
export function sayPolicy({ t }: Say, policy: ClosedRecipe['clash']): string {
  return t(`sentence.policy.${policy}`);
}

function sayAt(say: Say, recipe: ClosedRecipe): string {
  const meter = parseMeter(recipe.meter);
  return say.t('sentence.at', {
    meter: meter.ok ? formatMeter(meter.value) : recipe.meter,
    feel: sayFeel(say, recipe.feel),
    cut: recipe.cut ?? 0,
    levels: recipe.levels ?? 'none',
  });
}
