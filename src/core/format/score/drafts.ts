import { isHand, mirrorLimb, usualLimb, type Limb } from '../../kit';
import { ostinatoOf, type Ostinato } from '../../materials';
import { inTimeOrder, louderOf, makeStroke, type Stroke } from '../../pattern';
import { MOST_LETTERS, parseLine, restsOf, writeLine, writeMixedLine } from '../../reading';
import { expand, MOST_BARS, overOne, type ClosedRecipe } from '../../recipe';
import { barTicks, formatMeter, tick } from '../../time';
import type { PlayedGrid } from './played-grid';
import { LeftOut, type Left, type Score, type ScoreBar, type ScorePart } from './score';
import type { Choice, FileChoices } from './choice-schema';
import { lineOfSigns } from './line-of-signs';
import { playOrder } from './play-order';

/** What would come in. */
export type Draft = { readonly name: string; readonly meter: string; readonly bars: number } & (
  | { readonly kind: 'line'; readonly text: string }
  | { readonly kind: 'ostinato'; readonly ostinato: Ostinato }
  | { readonly kind: 'exercise'; readonly recipe: ClosedRecipe }
);

interface Drafts {
  readonly drafts: readonly Draft[];
  readonly left: readonly Left[];
}

/** Makes lines, ostinatos or exercises of a part. Where the meter changes, it is always cut. What is cut at repeats
 * is taken once, for an exercise goes round by itself; else repeats are written out, and so are endings.
 * @param grid that played notes were put on; null where the file says written values */
export function draftsOf(score: Score, choice: Choice, grid: PlayedGrid | null): Drafts {
  const part = score.parts[choice.part];
  if (!part || choice.as === 'leave') return { drafts: [], left: [] };
  const left = new LeftOut();
  const sections = sectionsOf(part, choice.cut);
  const called = (score.parts.length === 1 && score.title) || part.name || score.title;
  const drafts = sections.flatMap((bars, index): readonly Draft[] => {
    const [first] = bars;
    if (!first) return [];
    const numbers = bars.map(({ number }) => number);
    const leave = (why: 'empty' | 'bars' | 'value' | 'grid') => {
      for (const number of numbers) left.add({ why }, number);
      return [];
    };
    if (bars.every(({ strokes }) => strokes.length === 0)) return leave('empty');
    const several = sections.length > 1;
    const said = several && first.begins ? first.says : '';
    const name = said || `${called}${several ? ` ${index + 1}` : ''}`.trim() || String(index + 1);
    const head = { name: name.slice(0, 80), meter: formatMeter(first.meter), bars: bars.length };
    if (choice.as === 'line') {
      const whole = lineOf(bars, choice.voice, grid);
      // What a cut parts is struck anew after it, as on a page that is cut.
      const text = whole?.replace(/~$/, '') ?? null;
      if (text !== whole) left.add({ why: 'tie' }, numbers.at(-1));
      if (text === null || !parseLine(text, first.meter).ok) return leave('value');
      if (text.length > MOST_LETTERS) return leave('bars');
      return [{ ...head, kind: 'line', text }];
    }
    if (bars.length > MOST_BARS) return leave('bars');
    const strokes = struckIn(bars, left);
    const cycleTicks = barTicks(first.meter) * bars.length;
    const played = { strokes, cycleTicks, meter: first.meter, feel: { kind: 'straight' } as const };
    const ostinato = ostinatoOf(played, head.name);
    if (!ostinato) return leave('grid');
    if (choice.as === 'ostinato') return [{ ...head, kind: 'ostinato', ostinato }];
    const recipe = overOne(ostinato);
    return expand(recipe).ok ? [{ ...head, kind: 'exercise', recipe }] : leave('grid');
  });
  if (choice.as === 'line') countOrnaments(sections.flat(), left);
  const ofPart = part.left.filter(({ why }) => choice.as !== 'line' || !NOT_FOR_LINES.has(why));
  return { drafts, left: [...ofPart, ...left.all()] };
}

/** A line has no voices: what they are does not matter to it. */
const NOT_FOR_LINES: ReadonlySet<Left['why']> = new Set(['key', 'nearest', 'limb']);

function countOrnaments(bars: readonly ScoreBar[], left: LeftOut): void {
  for (const { number, strokes } of bars) {
    const count = strokes.filter(({ ornament }) => ornament !== null).length;
    if (count > 0) left.add({ why: 'grace' }, number, count);
  }
}

function sectionsOf(part: ScorePart, cut: Choice['cut']): readonly (readonly ScoreBar[])[] {
  const sections: ScoreBar[][] = [];
  let before = -1;
  for (const index of playOrder(part.bars, cut === 'signs')) {
    const bar = part.bars[index];
    if (!bar) continue;
    const own = sections.at(-1);
    const last = own?.at(-1);
    const isFull = typeof cut === 'number' && (own?.length ?? 0) >= cut;
    const begins = cut === 'signs' && bar.begins && index > before;
    const sameMeter = last && formatMeter(last.meter) === formatMeter(bar.meter);
    if (own && sameMeter && !isFull && !begins) own.push(bar);
    else sections.push([bar]);
    before = index;
  }
  return sections;
}

/** A line as it is written; of what was played, each note until the next one. */
function lineOf(
  bars: readonly ScoreBar[],
  voice: string | null,
  grid: PlayedGrid | null,
): string | null {
  const [first] = bars;
  if (!first) return null;
  const whole = barTicks(first.meter);
  if (grid === null && voice !== null) {
    const texts = bars.map((bar) => {
      const signs = bar.voices.get(voice) ?? [];
      return signs.length === 0 ? restsOf(whole) : lineOfSigns(signs, whole);
    });
    return texts.includes(null) ? null : texts.join(' | ');
  }
  const places = bars.flatMap(({ strokes }, index) => strokes.map(({ at }) => at + index * whole));
  const once = [...new Set(places)].sort((a, b) => a - b);
  if (grid === 'beats' || grid === '5' || grid === '7') {
    return writeMixedLine(once, first.meter, bars.length);
  }
  return writeLine(once, first.meter, bars.length, grid ?? '32');
}

/** The strokes of bars, each with its limb: as the file says, else the one that usually plays it; where both hands are
 * asked of one, the other takes what stands later. */
function struckIn(bars: readonly ScoreBar[], left: LeftOut): readonly Stroke[] {
  const found = new Map<string, Stroke>();
  bars.forEach(({ strokes, number, meter }, index) => {
    const from = index * barTicks(meter);
    const taken = new Set(strokes.flatMap(({ at, limb }) => (limb ? [`${at} ${limb}`] : [])));
    for (const { at, voice, limb: said, dynamic, ornament } of strokes) {
      if (voice === null) continue;
      const usual = usualLimb(voice);
      const free = (limb: Limb) => !taken.has(`${at} ${limb}`);
      const other = isHand(usual) ? mirrorLimb(usual) : usual;
      const again = said === null && found.has(`${from + at} ${usual} ${voice}`);
      const limb = said ?? (free(usual) || again || !free(other) ? usual : other);
      if (said === null && isHand(limb)) left.add({ why: 'limb' }, number);
      taken.add(`${at} ${limb}`);
      const stroke = makeStroke({
        ...{ at: tick(from + at), limb, voice, dynamic, ornament: ornament ?? undefined },
        from: { source: 'added', by: 'hand' },
      });
      const key = `${from + at} ${limb} ${voice}`;
      const known = found.get(key);
      if (known) left.add({ why: 'met' }, number);
      found.set(key, known ? louderOf(known, stroke) : stroke);
    }
  });
  return [...found.values()].sort(inTimeOrder);
}

/** All of it left to what is likely. */
export const LIKELY_CHOICES: FileChoices = { grid: null, parts: null, student: null };

/** What a part is offered as first: drums as an exercise, anything else as a line; cut where something begins, or, where
 * that is too long, every so many bars. */
export function likelyChoice(score: Score, part: number, grid: PlayedGrid | null): Choice {
  const own = score.parts[part];
  const as = own?.isKit && hasSeveralVoices(own) ? 'exercise' : 'line';
  const voice = own ? (voicesOfPart(own)[0] ?? null) : null;
  const choices = (['signs', 16, 8, 4] as const).map((cut): Choice => ({ part, as, voice, cut }));
  const whole = choices.find((choice) =>
    draftsOf(score, choice, grid).left.every(({ why }) => why !== 'bars'),
  );
  return whole ?? { part, as, voice, cut: 4 };
}

function hasSeveralVoices(part: ScorePart): boolean {
  return new Set(part.bars.flatMap(({ strokes }) => strokes.map(({ voice }) => voice))).size > 1;
}

/** The voices that a part is written in, in the order in which they come. */
export function voicesOfPart(part: ScorePart): readonly string[] {
  return [...new Set(part.bars.flatMap(({ voices }) => [...voices.keys()]))];
}
