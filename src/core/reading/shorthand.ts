import { readRepeat } from './bars';
import { fail, ok, type Issue, type Path, type Result } from '../issue';
import { barTicks, formatMeter, quarters, tick, type Meter } from '../time';
import { spellWords } from './words';
import type { LineSign, ReadingLine } from './line';
import { soundingTicks, tupletTime, type NoteValue, type Tuplet } from './value';

interface Sign {
  kind: 'note' | 'rest';
  value: NoteValue;
  tied: boolean;
}

/** Note, dots, rest, tie. */
const SIGN = /^(32|16|8|4|2|1)(\.{0,2})(r?)(~?)$/;

/** Reads the typed shorthand of a reading line: `4. 4 8 4`, rests `8r`, ties `4~8`, tuplets
 * `3(8 8 8)`, bars `|`, a bar played four times `x4`, notes played four times `(8 8) x4`. English words are accepted too: `dotted quarter, quarter, 8th`. A line goes round
 * at its own length: without bar lines it may be any, and after the last one a bar may be short.
 * @returns issues `line-empty`, `line-token`, `line-tie`, `line-tuplet`, and `bar-length` for
 * every other bar that is too long or too short; `at` counts letters from 0
 * @example parseLine('4. 4 8 4', meter).value.bars[0].length // => 4 */
export function parseLine(text: string, meter: Meter, path: Path = ['play']): Result<ReadingLine> {
  const known = READ.get(meter)?.get(text);
  if (known) return ok(known);
  const read = readLine(text, meter, path);
  if (read.ok) {
    const lines = READ.get(meter) ?? new Map<string, ReadingLine>();
    if (lines.size >= MOST_READ) lines.clear();
    READ.set(meter, lines.set(text, read.value));
  }
  return read;
}

/** Lines by the text they were read from, kept with their meter: a family reads one line for
 * thousands of exercises. */
const READ = new WeakMap<Meter, Map<string, ReadingLine>>();
const MOST_READ = 500;

function readLine(text: string, meter: Meter, path: Path): Result<ReadingLine> {
  const spelled = spellWords(text);
  if (spelled.trim() === '') return fail({ code: 'line-empty', path });
  const asBars = readBars(spellGroups(spelled, ' | '), meter, path);
  // What is repeated may be less than a bar.
  return asBars.ok || !GROUP.test(spelled)
    ? asBars
    : readBars(spellGroups(spelled, ' '), meter, path);
}

/** Notes in parentheses, tuplets among them, and how often they are played. */
const GROUP = /(?<!\d\s*)\(((?:[^()]|\d\s*\([^()]*\))*)\)\s*x\s*(\d{1,2})\b/;

const GROUPS = new RegExp(GROUP, 'g');

/** Groups with their repeats written out. @param between what parts one from the next */
function spellGroups(text: string, between: string): string {
  return text.replace(GROUPS, (_, inner: string, times: string) =>
    Array.from({ length: Number(times) }, () => inner.trim()).join(between),
  );
}

function readBars(spelled: string, meter: Meter, path: Path): Result<ReadingLine> {
  const issues: Issue[] = [];
  const texts = spellRepeats(spelled.replace(/\|\s*$/, '').split('|'));
  let tuplets = 0;
  let at = 0;
  const bars: LineSign[][] = [];
  texts.forEach((barText, index) => {
    const bar = index + 1;
    const signs: Sign[] = [];
    for (const found of barText.matchAll(/(\d+)\s*\(([^()]*)\)?|[^\s,()]+|[()]/g)) {
      const token = found[0];
      const place = { path, bar, token, at: found.index };
      if (found[2] === undefined) {
        const read = readSigns(token, null);
        if (read) signs.push(...read);
        else issues.push({ code: 'line-token', ...place });
        continue;
      }
      const played = Number(found[1]);
      const inTimeOf = tupletTime(played);
      const tuplet = { played, inTimeOf: inTimeOf ?? 1, id: (tuplets += 1) };
      const inner = found[2].split(/[\s,]+/).filter(Boolean);
      const read = inner.map((part) => readSigns(part, tuplet));
      const whole = token.endsWith(')') && inTimeOf !== null && inner.length > 0;
      if (whole && read.every((part) => part !== null) && isWhole(read.flat(), tuplet)) {
        signs.push(...read.flat());
      } else issues.push({ code: 'line-tuplet', ...place });
    }
    bars.push(
      signs.map((sign) => {
        const placed = { ...sign, at: tick(at) };
        at += soundingTicks(sign.value);
        return placed;
      }),
    );
    const length = signs.reduce((sum, sign) => sum + soundingTicks(sign.value), 0);
    const isLast = index === texts.length - 1;
    const fits =
      length === barTicks(meter) || (isLast && (index === 0 || length < barTicks(meter)));
    if (issues.length === 0 && !fits) {
      issues.push(barLengthIssue(length, meter, bar, path));
    }
  });
  if (issues.length > 0) return fail(...issues);
  const line: ReadingLine = { meter, bars };
  const ties = tieIssues(line, path);
  return ties.length > 0 ? fail(...ties) : ok(line);
}

/** Bars with their repeats written out: `x4` after a bar plays it four times in all, and so does `x4` after
 * its bar line.
 * @example spellRepeats(['4 4 4 4 x2']) // => ['4 4 4 4 ', '4 4 4 4 '] */
function spellRepeats(bars: readonly string[]): readonly string[] {
  const spelled: string[] = [];
  for (const bar of bars) {
    const { text, count, again } = readRepeat(bar, spelled.length > 0);
    const one = again ? (spelled.at(-1) ?? '') : text;
    for (let time = 0; time < count; time += 1) spelled.push(one);
  }
  return spelled;
}

/** `4.`, `8r`, `4~8` or `4~`; null when it is none of these. */
function readSigns(token: string, tuplet: Tuplet | null): Sign[] | null {
  const parts = token.split(/(?<=~)/);
  const signs: Sign[] = [];
  for (const part of parts) {
    const match = SIGN.exec(part);
    if (!match) return null;
    const rest = match[3] === 'r';
    if (rest && match[4] === '~') return null;
    signs.push({
      kind: rest ? 'rest' : 'note',
      value: {
        base: Number(match[1]) as NoteValue['base'],
        dots: (match[2] ?? '').length as NoteValue['dots'],
        tuplet,
      },
      tied: match[4] === '~',
    });
  }
  return signs;
}

/** A tuplet is whole when its written lengths add up to `played` notes of one value. */
function isWhole(signs: readonly Sign[], tuplet: Tuplet): boolean {
  const written = signs.reduce((sum, s) => sum + soundingTicks({ ...s.value, tuplet: null }), 0);
  const unit = written / tuplet.played;
  return [1, 2, 4, 8, 16, 32].some((base) => quarters(4, base) === unit);
}

function barLengthIssue(length: number, meter: Meter, bar: number, path: Path): Issue {
  const wanted = barTicks(meter);
  return {
    code: 'bar-length',
    path,
    bar,
    meter: formatMeter(meter),
    gotTicks: length,
    wantedTicks: wanted,
    rest: wanted - length === quarters(1, 2) ? '8r' : '4r',
  };
}

/** A tie needs a note right after it, the next bar's first note included. */
function tieIssues(line: ReadingLine, path: Path): Issue[] {
  const signs = line.bars.flatMap((bar, index) => bar.map((sign) => ({ sign, bar: index + 1 })));
  return signs.flatMap(({ sign, bar }, index): Issue[] => {
    if (!sign.tied || signs[index + 1]?.sign.kind === 'note') return [];
    return [{ code: 'line-tie', path, bar, token: formatSign(sign), at: index }];
  });
}

function formatSign(sign: Sign): string {
  const rest = sign.kind === 'rest' ? 'r' : '';
  return `${sign.value.base}${'.'.repeat(sign.value.dots)}${rest}${sign.tied ? '~' : ''}`;
}

/** Writes a line in the shorthand; `parseLine(formatLine(line))` gives the line back.
 * @example formatLine(parseLine('dotted quarter, quarter, 8th, quarter', meter).value) // => '4. 4 8 4' */
export function formatLine(line: ReadingLine): string {
  return line.bars.map(formatBar).join(' | ');
}

function formatBar(bar: readonly LineSign[]): string {
  let text = '';
  let open: number | null = null;
  for (const sign of bar) {
    const id = sign.value.tuplet?.id ?? null;
    if (id !== open && open !== null) text += ')';
    const opens = id !== open && sign.value.tuplet !== null;
    if (text !== '' && (opens || !text.endsWith('~'))) text += ' ';
    if (opens && sign.value.tuplet) text += `${sign.value.tuplet.played}(`;
    text += formatSign(sign);
    open = id;
  }
  return (open === null ? text : `${text})`).replaceAll('( ', '(');
}
