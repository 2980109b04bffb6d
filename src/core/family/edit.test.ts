import { describe, expect, it } from 'vitest';
import { must } from '../issue';
import { blankRecipe, expand, startOf } from '../recipe';
import { bpm, tempoFor } from '../time';
import { family, lines, opened, over, shipped, typed } from './family.fixture';
import {
  familyOf,
  familySize,
  memberAt,
  memberRecipe,
  openFamily,
  rangeOffers,
  readFamily,
  runOf,
  runSeams,
  setValues,
  toggleValue,
  valuesAt,
  valuesOf,
  type Axis,
} from '.';
import { ENGLISH, sayChangeRange } from '@/words';

const hats = typed('H: xxxxxxxx');
const ride = typed('C: xxxxxxxx');
const place = { at: 'over', index: 0 } as const;

describe('toggleValue', () => {
  it('nothing at all is a value like others, also when it is chosen first', () => {
    const place = { at: 'change', index: 0 } as const;
    const none = toggleValue(familyOf(blankRecipe()), place, { kind: 'one', change: null });
    const two = toggleValue(none, place, { kind: 'one', change: { kind: 'plain' } });
    expect(valuesAt(two, place)).toHaveLength(2);
    expect(toggleValue(none, place, { kind: 'one', change: null }).axes).toEqual([]);
  });

  it('as written gives way to an interpretation, and can be chosen beside it', () => {
    const place = { at: 'as' } as const;
    const written = blankRecipe().as;
    const other = startOf('short-long');
    const chosen = toggleValue(familyOf(blankRecipe()), place, other);
    expect(valuesAt(chosen, place)).toEqual([other]);
    expect(valuesAt(toggleValue(chosen, place, written), place)).toEqual([other, written]);
  });

  it('a first value is the exercise’s own, a second makes a family, taken out it is none again', () => {
    const none = familyOf(blankRecipe());
    const one = toggleValue(none, place, hats);
    expect(one.axes).toEqual([]);
    expect(one.base.over).toEqual([hats]);
    const two = toggleValue(one, place, ride);
    expect(two.axes).toEqual([{ ...place, values: [hats, ride] }]);
    expect(familySize(two)).toBe(2);
    const again = toggleValue(two, place, hats);
    expect(again.axes).toEqual([]);
    expect(again.base.over).toEqual([ride]);
    expect(toggleValue(again, place, ride).base.over).toEqual([]);
  });

  it('axes stand in the order of the sentence, whichever came first', () => {
    const later = setValues(family(lines('4 4 4 4', '2 2')), place, [hats, ride]);
    const kinds = setValues(later, { at: 'as' }, [startOf('verbatim'), startOf('short-long')]);
    expect(kinds.axes.map((axis) => axis.at)).toEqual(['over', 'play', 'as']);
    expect(valuesAt(kinds, { at: 'play' })).toHaveLength(2);
    expect(valuesAt(kinds, { at: 'feel' })).toEqual([{ kind: 'straight' }]);
  });

  it('meters, levels and what happens where limbs meet vary, too', () => {
    const meters = toggleValue(familyOf(blankRecipe()), { at: 'meter' }, '3/4');
    expect(valuesAt(meters, { at: 'meter' })).toEqual(['4/4', '3/4']);
    const clashes = toggleValue(meters, { at: 'clash' }, 'merge');
    const loud = toggleValue(
      toggleValue(clashes, { at: 'levels' }, 'jazz'),
      { at: 'levels' },
      'rock',
    );
    expect(familySize(loud)).toBe(8);
    const all = must(openFamily(loud));
    const last = memberRecipe(all, memberAt(all, 7));
    expect(last).toMatchObject({ meter: '3/4', clash: 'merge', levels: 'rock' });
    expect(must(readFamily(JSON.parse(JSON.stringify(loud))))).toEqual(loud);
    expect(toggleValue(meters, { at: 'meter' }, '4/4').base.meter).toBe('3/4');
  });

  it('a range is an axis by itself', () => {
    const [offer] = rangeOffers({ ...blankRecipe(), play: { content: { text: '4 4 4 4' } } });
    if (!offer) throw new Error('no range');
    const one = toggleValue(family(), { at: 'change', index: 0 }, offer.value);
    expect(familySize(one)).toBe(8);
    expect(
      sayChangeRange(ENGLISH, offer.value, {
        ...blankRecipe(),
        play: { content: { text: '2 2' } },
      }),
    ).toBe('every displacement of the line in 8ths');
  });
});

describe('rangeOffers', () => {
  it('every range that is offered gives members, each of which can be made', () => {
    for (const meter of ['4/4', '3/4', '7/8', '12/8']) {
      const base = { ...blankRecipe(), meter, over: [shipped('rock-8ths')] };
      for (const { id, value } of rangeOffers(base)) {
        const axis: Axis = { at: 'change', index: 0, values: [value] };
        expect(valuesOf(axis).length, `${meter}: ${id}`).toBeGreaterThan(1);
      }
    }
  });

  it('says what a range of one’s own is', () => {
    const change = {
      kind: 'place',
      to: { limb: 'RF', voice: 'bass' },
      slot: '8',
      grid: 'x',
    } as const;
    const value = {
      kind: 'placements',
      change,
      slots: 6,
      least: 1,
      most: 2,
      spacing: 'apart',
    } as const;
    expect(sayChangeRange(ENGLISH, value, blankRecipe())).toBe(
      'bass drum: every 1 to 2 of 6 8ths, apart',
    );
    expect(sayChangeRange(ENGLISH, { ...value, most: 1, spacing: 'any' }, blankRecipe())).toBe(
      'bass drum: every 1 of 6 8ths',
    );
  });
});

describe('a run', () => {
  const all = opened(over(0, 'H: xxxxxxxx', 'H: xxxxxxx-; F: ----x---', 'F: x---x---'));
  const recipes = [0, 1, 2].map((index) => memberRecipe(all, memberAt(all, index)));
  const named = (order: readonly number[]) =>
    order.map((nth) => ({ name: `part ${nth}`, recipe: recipes[nth] ?? blankRecipe() }));

  it('is its members back to back, each for so many bars', () => {
    const run = runOf(named([0, 1, 2]), 2);
    const exercise = must(expand(run ?? blankRecipe()));
    expect(exercise.bars).toBe(6);
    expect(exercise.members.map((one) => one.fromBar)).toEqual([0, 2, 4]);
  });

  it('of one is that one, of none is none', () => {
    expect(runOf(named([0]), 4)).toEqual(recipes[0]);
    expect(runOf([], 1)).toBeNull();
  });

  it('tells what hinders only because one follows the other', () => {
    const order = [0, 2] as const;
    const run = must(expand(runOf(named(order), 1) ?? blankRecipe()));
    const tempo = tempoFor(run.meter, bpm(120));
    const parts = order.map((nth) => recipes[nth] ?? blankRecipe());
    const seams = runSeams(run, parts, tempo);
    expect(seams).toHaveLength(1);
    expect(seams[0]).toMatchObject({
      from: 1,
      to: 2,
      hindrance: { rule: 'hat-before-foot', gapMs: 250 },
    });
    expect(runSeams(run, parts, tempo, 9)[0]).toMatchObject({ from: 9, to: 10 });
    const same = must(expand(runOf(named([0, 0]), 1) ?? blankRecipe()));
    expect(runSeams(same, [parts[0] ?? blankRecipe()], tempo)).toEqual([]);
  });
});
