import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { samples } from '../../samples.fixture';
import {
  ENGLISH,
  nameMember,
  sayChangeRange,
  sayIssue,
  sayMember,
  sayMemberStep,
  sayPart,
} from '@/words';
import { disguiseOf, shapeKey, soundKey } from '../analysis';
import { must } from '../issue';
import { blankRecipe, expand, startOf } from '../recipe';
import { typedSticking } from '../sticking';
import { bpm } from '../time';
import {
  displacements,
  family,
  FLOWS,
  lines,
  opened,
  over,
  shipped,
  TEXTURES,
} from './family.fixture';
import {
  countValues,
  deadValues,
  eachOnce,
  FamilyJudge,
  familyOf,
  familySize,
  foldMembers,
  indexOfChoice,
  judgeFamily,
  memberAt,
  memberKey,
  memberRecipe,
  openFamily,
  readFamily,
  valuesOf,
  type Axis,
} from '.';

const AT = bpm(80);

describe('the product of the axes', () => {
  it('3 rides × 3 snares over running feet = 9; 5 × 3 × 3 = 45', () => {
    expect(opened(...FLOWS).size).toBe(9);
    expect(opened(...TEXTURES).size).toBe(45);
  });

  it('gives each member once, and finds it again by its choice', () => {
    const all = opened(...TEXTURES);
    const keys = new Set<string>();
    for (let index = 0; index < all.size; index += 1) {
      const member = memberAt(all, index);
      keys.add(memberKey(all, member));
      expect(indexOfChoice(all, member.choice)).toBe(index);
    }
    expect(keys.size).toBe(45);
  });

  it('a family without axes is the exercise itself', () => {
    const all = opened();
    expect(all.size).toBe(1);
    expect(memberRecipe(all, memberAt(all, 0))).toEqual(familyOf(blankRecipe()).base);
  });

  it('over 100,000 says how many, and which axis to narrow, without writing them out', () => {
    const place: Axis = {
      at: 'change',
      index: 1,
      values: [
        {
          kind: 'placements',
          change: { kind: 'place', to: { limb: 'RF', voice: 'bass' }, slot: '16', grid: 'x' },
          slots: 32,
          least: 0,
          most: 32,
          spacing: 'any',
        },
      ],
    };
    const huge = family(...TEXTURES, place);
    expect(familySize(huge)).toBe(45 * 2 ** 32);
    const answer = openFamily(huge);
    expect(answer.ok ? '' : answer.issues.map((one) => sayIssue(ENGLISH, one)).join()).toBe(
      'That makes 193,273,528,320 variations; 100,000 is the most. Narrow “changed by”: it has 4,294,967,296 values.',
    );
  });
});

describe('values of an axis', () => {
  it('every displacement from 0 to 7 is eight, the first as it is', () => {
    const values = valuesOf(displacements(0, 7));
    expect(values).toHaveLength(8);
    expect(values.slice(0, 3).map((one) => sayPart(ENGLISH, one.part))).toEqual([
      'as it is',
      'line one 8th later',
      'line 2 8ths later',
    ]);
  });

  it.each([
    [1, 1, 'any', 4],
    [2, 2, 'adjacent', 4],
    [2, 2, 'any', 6],
    [1, 4, 'any', 15],
  ] as const)(
    'bass drums %i to %i of four, %s: %i (a teacher’s count)',
    (least, most, spacing, n) => {
      const change = {
        kind: 'place',
        to: { limb: 'RF', voice: 'bass' },
        slot: '16',
        grid: 'x',
      } as const;
      const axis: Axis = {
        at: 'change',
        index: 0,
        values: [{ kind: 'placements', change, slots: 4, least, most, spacing }],
      };
      const values = valuesOf(axis);
      expect(values).toHaveLength(n);
      const all = opened(axis);
      const grids = values.map((_, index) => memberRecipe(all, memberAt(all, index)).changes[0]);
      expect(new Set(grids.map((one) => JSON.stringify(one))).size).toBe(n);
    },
  );

  it('anchors stay and stay loudest, only free slots are added, and the count is right', () => {
    const change = {
      kind: 'place',
      to: { limb: 'LH', voice: 'snare' },
      slot: '16',
      grid: 'g',
    } as const;
    const range = {
      ...({ kind: 'placements', change, slots: 16, least: 2, most: 4, spacing: 'any' } as const),
      anchors: [4, 12],
      free: [1, 3, 5, 7],
    };
    const axis: Axis = {
      at: 'change',
      index: 0,
      values: [range],
    };
    const grids = valuesOf(axis).map(({ part }) =>
      part.at === 'change' && part.value?.kind === 'place' ? part.value.grid : '',
    );
    // The backbeat alone, with one of four, with two of four: 1 + 4 + 6.
    expect(grids).toHaveLength(11);
    expect(countValues(axis)).toBe(11);
    expect(grids[0]).toBe('----X-------X---');
    for (const grid of grids) expect(grid).toMatch(/^-[g-]-[g-]X[g-]-[g-]----X---$/);
    expect(readFamily(JSON.parse(JSON.stringify(family(axis)))).ok).toBe(true);
    expect(sayChangeRange(ENGLISH, { ...range, free: [1, 3] }, blankRecipe())).toBe(
      'ghosted snare: every 2 to 4 of 16 16ths, always 5 13, besides only 2 4',
    );
  });

  it('the same value twice counts once, under the same key wherever it stands', () => {
    const one = valuesOf(lines('4 4 4 4', '4. 4 8 4', '4 4 4 4'));
    const other = valuesOf(lines('4. 4 8 4', '4 4 4 4'));
    expect(one.map((value) => value.key)).toEqual(other.map((value) => value.key).reverse());
  });
});

describe('a member', () => {
  it('is said, named and told from the one before', () => {
    const all = opened(lines('4 4 4 4', '4. 4 8 4'), displacements(0, 2));
    const [from, to] = [memberAt(all, 1), memberAt(all, 4)];
    expect(sayMember(ENGLISH, all, to)).toBe('4. 4 8 4 · line one 8th later');
    expect(sayMemberStep(ENGLISH, all, from, to)).toEqual(['4. 4 8 4']);
    expect(sayMemberStep(ENGLISH, all, to, memberAt(all, 3))).toEqual(['changed by: as it is']);
    expect(nameMember(ENGLISH, all, to, 3, 'Line {n}: {1}')).toBe('Line 3: 4. 4 8 4');
    expect(nameMember(ENGLISH, all, to, 3, '')).toBe('3 4. 4 8 4 · line one 8th later');
  });

  it('a swing that fills triplets is written in triplets', () => {
    const base = { ...blankRecipe(), feel: { kind: 'swung', long: 2, short: 1 } as const };
    const axes: Axis[] = [
      lines('4. 4 8 4'),
      { at: 'as', values: [startOf('short-long'), startOf('left-triplets')] },
    ];
    const all = must(openFamily({ base, axes }));
    expect(memberRecipe(all, memberAt(all, 0)).feel.kind).toBe('swung');
    expect(memberRecipe(all, memberAt(all, 1)).feel.kind).toBe('triplets');
  });
});

describe('judgeFamily', () => {
  it('in any stretches gives the same members', () => {
    const all = opened(...TEXTURES, displacements(0, 3));
    const whole = judgeFamily(all, AT);
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 1, max: 60 }), { maxLength: 8 }), (stretches) => {
        const judge = new FamilyJudge(all, AT);
        const parts = [...stretches, all.size].map((most) => judge.take(most));
        expect(judge.over).toBe(true);
        expect(parts.flatMap((part) => part.played)).toEqual(whole.played);
        expect(parts.flatMap((part) => part.impossible)).toEqual(whole.impossible);
      }),
      { numRuns: samples(12) },
    );
  });

  it('sets the impossible apart, each with its reason', () => {
    const all = opened(lines('4 4 4 4', '4 4 4 | 4'));
    const { played, impossible } = judgeFamily(all, AT);
    expect(played.map((one) => one.index)).toEqual([0]);
    expect(deadValues(all, { played, impossible })).toMatchObject([
      {
        axis: { at: 'play', nth: null },
        value: { part: { value: { content: { text: '4 4 4 | 4' } } } },
      },
    ]);
    expect(impossible.map((one) => one.issues.map((issue) => issue.code))).toEqual([
      ['bar-length'],
    ]);
  });

  it('folding keeps one of each kind and never two', () => {
    const all = opened(
      over(0, 'S: x---x---', 'S: --x---x-', 'LH S: x-------', 'S: x-x-x-x-', 'RH S: x---x---'),
    );
    const { played } = judgeFamily(all, AT);
    const kept = foldMembers(played);
    const exercise = (index: number) => must(expand(memberRecipe(all, memberAt(all, index))));
    for (const one of kept) {
      for (const other of kept) {
        if (one === other) continue;
        const [a, b] = [exercise(one.index), exercise(other.index)];
        expect(shapeKey(a, 'limbs')).not.toBe(shapeKey(b, 'limbs'));
        expect(soundKey(a)).not.toBe(soundKey(b));
      }
    }
    for (const one of played) {
      expect(kept.some((first) => first.index === one.sameAs)).toBe(true);
      expect(disguiseOf(exercise(one.index), exercise(one.sameAs))).not.toBeNull();
    }
    expect(played.map((one) => one.sameAs)).toEqual([0, 0, 2, 3, 0]);
    expect(played.map((one) => one.sameLimbs)).toEqual([true, true, true, true, false]);
  });

  it('nothing is folded unless it is the same stroke by stroke', () => {
    const all = opened(
      over(0, 'S: x---x---', 'S: --x---x-', 'LH S: x---x---', 'S: x---', 'RH S: x---x---'),
    );
    const { played } = judgeFamily(all, AT);
    const strokes = (index: number) =>
      must(expand(memberRecipe(all, memberAt(all, index)))).strokes.map(
        ({ at, limb, voice, dynamic }) => `${at} ${limb} ${voice} ${dynamic}`,
      );
    // A brute force over all pairs; these cycles are all one bar long.
    for (const one of played) {
      const first = played.find(
        (other) => strokes(other.index).join() === strokes(one.index).join(),
      );
      expect(one.identicalTo).toBe(first?.index);
    }
    expect(eachOnce(played).length).toBeGreaterThan(foldMembers(played).length);
  });

  it('three inversions of a cell are three, in the order in which they are written', () => {
    const inversions = ['RLL', 'LLR', 'LRL'].map((sticking) => ({
      content: { ...typedSticking(sticking), slot: '8t' as const },
    }));
    const { played } = judgeFamily(opened({ at: 'play', values: inversions }), AT);
    expect(eachOnce(played).map((one) => one.index)).toEqual([0, 1, 2]);
    expect(foldMembers(played)).toHaveLength(1);
  });

  it('three rides by three snares over running feet stay nine: another foot leads', () => {
    expect(foldMembers(judgeFamily(opened(...FLOWS), AT).played)).toHaveLength(9);
  });

  it('displacing the line under nothing else gives one exercise, over an ostinato four', () => {
    const alone = judgeFamily(opened(lines('4 4 4 4'), displacements(0, 7)), AT);
    expect(foldMembers(alone.played)).toHaveLength(1);
    const base = { ...blankRecipe(), over: [shipped('hats-2-4')] };
    const axes = [lines('2 2'), displacements(0, 3)];
    const under = judgeFamily(must(openFamily({ base, axes })), AT);
    expect(foldMembers(under.played)).toHaveLength(4);
  });
});

describe('readFamily', () => {
  it('gives back what was written, contents and all', () => {
    const one = family(...TEXTURES, lines('4. 4 8 4'), displacements(0, 3), {
      at: 'as',
      values: [startOf('phrase-cells'), startOf('short-long')],
    });
    expect(must(readFamily(JSON.parse(JSON.stringify(one))))).toEqual(one);
  });

  it('embeds ingredients that are only named, and says which are missing', () => {
    const one = family();
    const named = { at: 'over', index: 0, values: [{ id: 'hats-2-4', version: 1 }, null] };
    const read = must(readFamily({ ...one, axes: [named] }));
    const [axis] = read.axes;
    expect(axis?.at === 'over' && axis.values[0]?.content.lanes.length).toBe(1);
    const gone = { ...named, values: [{ id: 'nowhere', version: 1 }] };
    expect(readFamily({ ...one, axes: [gone] })).toMatchObject({
      ok: false,
      issues: [{ code: 'ingredient-missing', id: 'nowhere' }],
    });
  });

  it('refuses what is no family, saying where', () => {
    expect(readFamily({ version: 1 })).toMatchObject({ ok: false });
  });
});
