import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { ENGLISH, sayIssue } from '@/words';
import { must } from '../issue';
import { formatGrid, type GridSlot, type Stroke } from '../pattern';
import { onsets, parseLine } from '../reading';
import { parseMeter, quarters, slotTicks } from '../time';
import { interpret, type OptionsOf, type Rule } from '.';

const fourFour = must(parseMeter('4/4'));
const snare = { limb: 'LH', voice: 'snare' } as const;
const bass = { limb: 'RF', voice: 'bass' } as const;

function rule(more: Partial<Rule>): Rule {
  return {
    by: 'length',
    from: null,
    to: null,
    place: 'any',
    order: 'any',
    plays: [snare],
    dynamic: 'normal',
    fill: null,
    ...more,
  };
}

function answer(text: string, ...rules: readonly Rule[]) {
  const options: OptionsOf<'rules'> = { kind: 'rules', rules };
  return interpret(must(parseLine(text, fourFour)), options);
}

/** One letter a 16th; the bass drum is K. */
function grid(strokes: readonly Stroke[]): string {
  const slots: (GridSlot | 'K')[] = Array.from({ length: 16 }, () => null);
  for (const stroke of strokes) {
    slots[stroke.at / slotTicks('16')] = stroke.voice === 'bass' ? 'K' : stroke.dynamic;
  }
  return slots.map((one) => (one === 'K' ? 'K' : formatGrid([one]))).join('');
}

describe('a teacher’s own rules (worked by hand)', () => {
  it.each([
    [
      'short and long',
      '4. 4 8 4',
      [rule({ to: 2 }), rule({ from: 3, plays: [bass] })],
      'K-----K---x-K---',
    ],
    [
      'by the gap, over rests and the repeat',
      '8 8r 4 8r 8 4',
      [rule({ by: 'gap', from: 5, plays: [bass] }), rule({})],
      'x---K-----x-x---',
    ],
    [
      'by place in the beat',
      '8 4. 8 4.',
      [rule({ place: 'on', plays: [bass] }), rule({ place: 'off', dynamic: 'accent' })],
      'K-X-----K-X-----',
    ],
    [
      'first and last of the bar',
      '4 4 4 4',
      [
        rule({ order: 'first', plays: [bass] }),
        rule({ order: 'last', dynamic: 'accent' }),
        rule({ dynamic: 'ghost' }),
      ],
      'K---g---g---X---',
    ],
    [
      'filled low up to the next note',
      '4. 4 8 4',
      [rule({ dynamic: 'accent', fill: snare })],
      'XgggggXgggXgXggg',
    ],
  ])('%s', (_, text, rules, expected) => {
    expect(grid(must(answer(text, ...rules)))).toBe(expected);
  });

  it('two together double the line', () => {
    const strokes = must(answer('2 2', rule({ plays: [{ limb: 'RH', voice: 'crash' }, bass] })));
    expect(strokes.map((one) => one.voice)).toEqual(['crash', 'bass', 'crash', 'bass']);
  });

  it('the first rule that fits counts', () => {
    expect(grid(must(answer('1', rule({ plays: [bass] }), rule({ from: 1 }))))).toBe(
      'K---------------',
    );
  });
});

describe('rules with gaps or contradictions', () => {
  const words = (result: ReturnType<typeof answer>) =>
    result.ok ? '' : result.issues.map((one) => sayIssue(ENGLISH, one)).join(' ');

  it('a note without a rule is named with its place, length and gap', () => {
    expect(words(answer('4. 4 8 4', rule({ from: 4 })))).toBe(
      'Bar 1, & of 3: no rule fits this note (2 16ths long, 2 16ths to the next, off the beat). Add a rule for it, or widen one.',
    );
  });

  it('two rules about the same notes may not differ; the same twice may stand', () => {
    expect(words(answer('4 4 4 4', rule({}), rule({ plays: [bass] })))).toContain(
      'Rules 1 and 2 are about the same notes and say different things.',
    );
    expect(answer('4 4 4 4', rule({}), rule({})).ok).toBe(true);
  });

  it('a range that holds nothing is named', () => {
    expect(words(answer('4 4 4 4', rule({ from: 4, to: 2 })))).toContain(
      'Rule 1: nothing is from 4 to 2 16ths long.',
    );
  });

  it('a rule for every note plays every note once, and nothing else without a fill', () => {
    fc.assert(
      fc.property(fc.array(fc.boolean(), { minLength: 8, maxLength: 8 }), (hits) => {
        const text = hits.map((hit) => (hit ? '8' : '8r')).join(' ');
        const line = must(parseLine(text, fourFour));
        const places = must(answer(text, rule({}))).map((one) => one.at);
        expect(places).toEqual(onsets(line).map((one) => one.at));
        expect(places.every((at) => at < quarters(4))).toBe(true);
      }),
    );
  });
});
