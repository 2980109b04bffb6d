import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { dayAt } from '../calendar';
import { must } from '../issue';
import type { LadderEvent, Verdict } from '../log';
import { blankRecipe, expand, startOf, toggleOstinato, type ClosedRecipe } from '../recipe';
import {
  advance,
  factsOf,
  NEVER,
  NO_FACTS,
  replay,
  rungAt,
  rungsOf,
  startCounter,
  startLadder,
  USUAL_COURSE,
  type Counter,
  type Counting,
  type Ladder,
} from '.';
import { isRung, rungNames } from './rung-key';
import { MANNERS } from './data';

const RULE: Counting = { clean: 3, lost: 2, plateau: 4, top: 8, varies: true, waits: false };
const NAMES: Readonly<Record<string, Verdict>> = { C: 'clean', S: 'shaky', L: 'lost' };

/** A counter after tries that are written as letters; `|` is the next day. */
function after(letters: string, rule: Counting = RULE, from: Counter = startCounter(0)): Counter {
  const counter = { ...from };
  let day = 100;
  for (const letter of letters.replaceAll(' ', '')) {
    const verdict = NAMES[letter];
    if (verdict) advance(counter, verdict, rule, day);
    else day += 1;
  }
  return counter;
}

describe('advance', () => {
  it.each([
    ['CCC', { rung: 1, clean: 0, best: 1, easy: 1 }],
    ['CCS CC', { rung: 0, clean: 2, spotless: false }],
    ['CCC LL', { rung: 0, best: 1, form: 'whole' }],
    ['LL', { rung: 0, form: 'simpler' }],
    ['LL CCC', { rung: 0, form: 'whole', clean: 0 }],
    ['LL CCC CCC', { rung: 1 }],
    ['S | S | S', { rung: 0, form: 'whole', stuckDays: 3 }],
    ['S | S | S | S', { rung: 0, form: 'simpler', stuckDays: 4, askedDays: 4 }],
    ['CCC S | S | S | S', { rung: 1, form: 'simpler', stuckDays: 4 }],
    ['CCC | S | S | S', { rung: 1, form: 'whole', stuckDays: 3 }],
    ['C'.repeat(27), { rung: 8, passed: true, keepTimes: 0, keepDue: 102 }],
    [`${'C'.repeat(27)} || C`, { passed: true, keepTimes: 1, keepDue: 106 }],
    [`${'C'.repeat(27)} || S`, { passed: true, keepTimes: 0, keepDue: 103 }],
    [`${'C'.repeat(27)} || LL`, { passed: false, rung: 7, keepDue: NEVER }],
  ])('%s', (letters, expected) => {
    expect(after(letters)).toMatchObject(expected);
  });

  it.each([
    ['CCS C', { rung: 1, clean: 0, lately: 0 }],
    ['CCSS', { rung: 0, clean: 2 }],
    ['CCSS C', { rung: 0, clean: 2 }],
    ['CCSS CC', { rung: 0, clean: 2 }],
    ['CCSS CCC', { rung: 1 }],
    ['CCLL', { rung: 0, form: 'simpler', clean: 0, lately: 0 }],
    ['CCC CC', { rung: 1, clean: 2 }],
  ])('of the last four tries three: %s', (letters, expected) => {
    expect(after(letters, { ...RULE, of: 4 })).toMatchObject(expected);
  });

  it('of the last tries counts as one who reads the list does', () => {
    const letters = fc.array(fc.constantFrom('C', 'S'), { maxLength: 40 });
    fc.assert(
      fc.property(
        letters,
        fc.integer({ min: 1, max: 4 }),
        fc.nat({ max: 4 }),
        (all, clean, more) => {
          const of = clean + 1 + more;
          const rule = { ...RULE, clean, of, top: 100, plateau: 1000 };
          let rung = 0;
          let since: string[] = [];
          for (const letter of all) {
            since = [...since, letter];
            const won = since.slice(-of).filter((one) => one === 'C').length >= clean;
            if (!won || letter !== 'C') continue;
            rung += 1;
            since = [];
          }
          expect(after(all.join(''), rule).rung).toBe(rung);
        },
      ),
    );
  });

  it('where nothing can be taken away, lost at the lowest rung begins to count again', () => {
    const rule = { ...RULE, varies: false };
    expect(after('LL', rule)).toMatchObject({ form: 'whole', lostInARow: 0 });
  });

  it('looks for the start first, and counts from there', () => {
    const climbing = startCounter(0, true);
    expect(after('CCC', RULE, climbing)).toMatchObject({ rung: 3, climbing: true });
    expect(after('CCCS', RULE, climbing)).toMatchObject({ rung: 2, climbing: false, best: 2 });
    expect(after('CCCS C', RULE, climbing)).toMatchObject({ rung: 2, clean: 1 });
  });

  const cells = {
    ...toggleOstinato(blankRecipe(), 'hats-2-4'),
    play: { content: { text: '4. 4 8 4' } },
    as: startOf('phrase-cells'),
  };
  const facts = factsOf(must(expand(cells)), cells);

  it('comes to where replaying the same verdicts comes to', () => {
    fc.assert(
      fc.property(
        fc.array(fc.constantFrom('C', 'C', 'C', 'S', 'L', '|'), { maxLength: 120 }),
        fc.record({
          clean: fc.integer({ min: 1, max: 4 }),
          lost: fc.integer({ min: 1, max: 3 }),
          plateau: fc.integer({ min: 1, max: 5 }),
        }),
        fc.integer({ min: 1, max: 7 }),
        fc.boolean(),
        fc.constantFrom(facts, NO_FACTS),
        (letters, rule, rungs, climb, known) => {
          const ladder: Ladder = {
            kind: 'list',
            tempi: [60, 64, 68, 72, 76, 80, 84].slice(0, rungs),
          };
          const following = { course: { ...USUAL_COURSE, ladder, rule, climb }, facts: known };
          const counting = { ...rule, top: rungs - 1, varies: known !== NO_FACTS, waits: false };
          const counter = startCounter(0, climb);
          const log: LadderEvent[] = [];
          let day = 100;
          for (const letter of letters) {
            const verdict = NAMES[letter];
            if (!verdict) {
              day += 1;
              continue;
            }
            const { key, bpm } = rungAt(startLadder(following).rungs, counter.rung);
            const said = { rung: key, suffered: [], broke: [] };
            const id = String(log.length);
            log.push({ kind: 'try', id, day: dayAt(day), bpm, verdict, ...said });
            advance(counter, verdict, counting, day);
          }
          expect(replay(following, log)).toMatchObject({ ...counter });
        },
      ),
    );
  });
});

describe('how logs name rungs', () => {
  it.each([
    [{ kind: 'fixed', start: 60, target: 70, step: 5 }, 'tempo:60 tempo:65 tempo:70', '60 65 70'],
    [{ kind: 'list', tempi: [66.5] }, 'tempo:66.5', '66.5'],
    [
      { kind: 'hold', bpm: 70, from: 2, to: 4, by: 2 },
      'hold:70:2 hold:70:4',
      '70 for 2 min 70 for 4 min',
    ],
    [
      { kind: 'ramp', start: 60, target: 90, step: 5, every: 2 },
      'ramp:60:90:5:2',
      '60 to 90 by 5 every 2',
    ],
    [
      { kind: 'stages', bpm: 72, stages: [{ kind: 'manner', manner: 'pad' }] },
      'manner:pad:72',
      'on the pad, 72',
    ],
  ] as const)('%j', (ladder, keys, was) => {
    const rungs = rungsOf(ladder as Ladder);
    expect(rungs.map((one) => one.key).join(' ')).toBe(keys);
    expect(rungs.map((one) => one.was).join(' ')).toBe(was);
  });

  it('a step by what it plays, whatever it is called', () => {
    const recipe = blankRecipe();
    const keyOf = (says: string, of: ClosedRecipe = recipe) =>
      rungNames({ kind: 'stage', stage: { kind: 'step', says, recipe: of }, bpm: 60 });
    expect(keyOf('hats alone').key).toBe(keyOf('just the hats').key);
    expect(keyOf('hats alone').key).not.toBe(keyOf('hats alone', { ...recipe, meter: '3/4' }).key);
    expect(keyOf('hats alone').was).toBe('hats alone, 60');
  });

  it('knows both names of a rung, and none of another', () => {
    for (const manner of MANNERS) {
      const names = rungNames({ kind: 'stage', stage: { kind: 'manner', manner }, bpm: 72 });
      expect([isRung(names, names.key), isRung(names, names.was)]).toEqual([true, true]);
      expect(names.was).toMatch(/^[a-z][a-z0-9 ]+, 72$/);
      expect(isRung(names, 'tempo:72')).toBe(false);
    }
  });
});
