import { fail, ok, type Issue } from '../issue';
import type { Limb } from '../kit';
import { asTail, fillsFromBefore, makeStroke, type Stroke } from '../pattern';
import { gapsAround, lineTicks, onsets, type Onset, type ReadingLine } from '../reading';
import { barTicks, formatMeter, onBeat, slotTicks, tick, wrap } from '../time';
import { placeInSlots, strokeOn } from './grid-place';
import type { Rule, RulesOptions } from './rules-schema';
import type { Interpretation } from './types';

const SLOT = slotTicks('16');

/** A teacher's own interpretation: the first rule that fits a note says what it becomes. A note
 * that no rule fits is an issue with its place, never a default; so are two rules about the same
 * notes that say different things. */
export const byRules: Interpretation<RulesOptions> = {
  kind: 'rules',
  reads: 'voices',
  claims: ({ rules }) => {
    const parts = rules.flatMap(({ plays, fill }) => [...plays, ...(fill ? [fill] : [])]);
    return [...new Set<Limb>(parts.map((part) => part.limb))];
  },
  reassign: (options, to) => ({
    ...options,
    rules: options.rules.map((rule) => ({
      ...rule,
      plays: rule.plays.map(to),
      fill: rule.fill && to(rule.fill),
    })),
  }),
  play: (line, { rules }) => {
    const issues: Issue[] = [...emptyRanges(rules), ...contradictions(rules)];
    if (issues.length > 0) return fail(...issues);
    const found = onsets(line);
    const gaps = gapsAround(found, lineTicks(line));
    const strokes = found.flatMap((onset, index): readonly Stroke[] => {
      const note = describe(onset, gaps[index] ?? 0, found, line);
      const rule = rules.find((one) => fits(one, note));
      if (rule) return playRule(rule, onset, note.gap, line);
      issues.push({
        code: 'rule-none',
        path: ['as', 'rules'],
        ...placeInBar(onset, line),
        ...note,
      });
      return [];
    });
    return issues.length > 0 ? fail(...issues) : ok(strokes);
  },
};

/** What rules ask about a note; length and gap in 16ths, perhaps fractional. */
interface Note {
  readonly length: number;
  readonly gap: number;
  readonly onBeat: boolean;
  readonly first: boolean;
  readonly last: boolean;
}

function describe(onset: Onset, gap: number, all: readonly Onset[], line: ReadingLine): Note {
  const bar = barTicks(line.meter);
  const barOf = (one: Onset | undefined) => (one ? Math.floor(one.at / bar) : -1);
  return {
    length: onset.reads / SLOT,
    gap: gap / SLOT,
    onBeat: onBeat(onset.at, line.meter),
    first: barOf(all[onset.index - 1]) !== barOf(onset),
    last: barOf(all[onset.index + 1]) !== barOf(onset),
  };
}

function fits(rule: Rule, note: Note): boolean {
  const measure = rule.by === 'length' ? note.length : note.gap;
  return (
    measure >= (rule.from ?? 0) &&
    measure <= (rule.to ?? Infinity) &&
    (rule.place === 'any' || (rule.place === 'on') === note.onBeat) &&
    (rule.order === 'any' || (rule.order === 'first' ? note.first : note.last))
  );
}

function playRule(rule: Rule, onset: Onset, gap: number, line: ReadingLine): Stroke[] {
  const strokes = rule.plays.map((part) => strokeOn(onset, part, rule.dynamic));
  if (!rule.fill) return strokes;
  for (let index = 1; index < gap; index += 1) {
    const offset = tick(index * SLOT);
    const at = tick(wrap(onset.at + offset, lineTicks(line)));
    const fill = { source: 'fill', onset: onset.index, cell: '', index, offset } as const;
    const from = { ...fill, gap: true } as const;
    const { limb, voice } = rule.fill;
    const stroke = makeStroke({ at, limb, voice, dynamic: 'ghost', ...placeInSlots(SLOT), from });
    strokes.push(asTail(stroke, fillsFromBefore(stroke, at)));
  }
  return strokes;
}

/** Rules whose range holds nothing; rows count from 1. */
function emptyRanges(rules: readonly Rule[]): Issue[] {
  return rules.flatMap(({ from, to }, index): Issue[] =>
    from !== null && to !== null && from > to
      ? [{ code: 'rule-range', path: ['as', 'rules', index], row: index + 1, from, to }]
      : [],
  );
}

/** Pairs of rules about the same notes that say different things; rows count from 1. */
function contradictions(rules: readonly Rule[]): Issue[] {
  const about = ({ by, from, to, place, order }: Rule) =>
    JSON.stringify([by, from, to, place, order]);
  return rules.flatMap((rule, index): Issue[] => {
    const earlier = rules.findIndex((one) => about(one) === about(rule));
    if (earlier === index || JSON.stringify(rules[earlier]) === JSON.stringify(rule)) return [];
    return [
      {
        code: 'rules-contradict',
        path: ['as', 'rules', index],
        first: earlier + 1,
        second: index + 1,
      },
    ];
  });
}

function placeInBar(onset: Onset, line: ReadingLine) {
  const bar = barTicks(line.meter);
  return {
    bar: Math.floor(onset.at / bar) + 1,
    at: onset.at % bar,
    meter: formatMeter(line.meter),
  };
}
