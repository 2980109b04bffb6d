import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { samples, some } from '../../samples.fixture';
import { ENGLISH, sayDifficulty } from '@/words';
import type { VoiceId } from '../kit';
import { must } from '../issue';
import { SHIPPED_OSTINATOS, SHIPPED_STICKINGS } from '../materials';
import {
  blankRecipe,
  expand,
  toggleOstinato,
  withPlay,
  type ClosedRecipe,
  type Exercise,
} from '../recipe';
import { stickingStart } from '../sticking';
import { quarters } from '../time';
import { difficultyParts, difficultyPoints, motionsOf, smallestPart, transitionsOf } from '.';
import { at, exerciseOf, type Part } from './analysis.fixture';

const hats: Part = ['RH', 'hat', '8', 'xxxxxxxx'];
const backbeat: Part = ['LH', 'snare', '4', '-x-x'];
const bass = (grid: string): Part => ['RF', 'bass', '16', grid];

function points(...parts: readonly Part[]): number {
  const exercise = exerciseOf(parts);
  return difficultyPoints(difficultyParts(exercise, at(80, exercise)));
}

describe('difficultyParts (orderings of common practice, no source)', () => {
  it('hats alone, hats with one more limb, all', () => {
    const one = points(hats);
    const two = points(hats, backbeat);
    const three = points(hats, backbeat, bass('x-------x-------'));
    expect(one).toBeLessThan(two);
    expect(two).toBeLessThan(three);
  });

  it('an extra bass drum under a hat is easier than one between hats', () => {
    const under = points(hats, backbeat, bass('x-----x-x-------'));
    const between = points(hats, backbeat, bass('x------xx-------'));
    expect(under).toBeLessThan(between);
  });

  it('a straight ride is easier than one with a skip note', () => {
    const straight = points(['RH', 'ride', '4', 'xxxx'], ['LF', 'hat-foot', '4', '-x-x']);
    const skip = points(['RH', 'ride', '8t', 'x--x-xx--x-x'], ['LF', 'hat-foot', '4', '-x-x']);
    expect(straight).toBeLessThan(skip);
  });

  it('plain 8ths are easier than the same with diddles', () => {
    const plain = points(['RH', 'snare', '8', 'x-x-x-x-'], ['LH', 'snare', '8', '-x-x-x-x']);
    const diddles = points(
      ['RH', 'snare', '16', 'xx--x---xx--x---'],
      ['LH', 'snare', '16', '--x---x---x---x-'],
    );
    expect(plain).toBeLessThan(diddles);
  });

  it('two grids are harder than one', () => {
    const one = points(['RH', 'ride', '8', 'xxxxxxxx'], ['LH', 'snare', '4', '-x-x']);
    const two = points(['RH', 'ride', '8', 'xxxxxxxx'], ['LH', 'snare', '8t', '---x-x---x-x']);
    expect(one).toBeLessThan(two);
  });

  const grid = fc.stringMatching(/^[xXg-]{16}$/).filter((text) => /[xXg]/.test(text));
  const ornamented = (ornament: 'flam' | 'ruff' | 'diddle' | 'roll') => {
    const note = { at: 0, limb: 'LH', voice: 'snare' } as const;
    const edits = [{ from: note, to: { ...note, dynamic: 'normal' as const, ornament } }];
    return exerciseOf([hats, ['LH', 'snare', '8', 'x-x-']], {
      changes: [{ kind: 'hand', length: quarters(4), edits }],
    });
  };

  it('rises with the tempo, grace notes and all', () => {
    const all = [
      ...(['flam', 'ruff', 'diddle', 'roll'] as const).map(ornamented),
      exerciseOf([['RH', 'ride', '4', 'x---']]),
      exerciseOf([hats, backbeat, bass('x--x--x---x-x---')]),
    ];
    for (const exercise of all) {
      const of = (tempo: number) =>
        difficultyPoints(difficultyParts(exercise, at(tempo, exercise)));
      expect(of(60)).toBeLessThan(of(100));
      for (let tempo = 40; tempo < 240; tempo += 1) {
        expect(of(tempo)).toBeLessThanOrEqual(of(tempo + 1));
      }
    }
  });

  it('is a sum that comes out by hand: count × weight, all added up', () => {
    fc.assert(
      fc.property(grid, grid, fc.integer({ min: 30, max: 240 }), (left, foot, tempo) => {
        const exercise = exerciseOf([
          hats,
          ['LH', 'snare', '16', left],
          ['RF', 'bass', '16', foot],
        ]);
        const parts = difficultyParts(exercise, at(tempo, exercise));
        let hundredths = 0;
        for (const { count, weight, points, facts } of parts) {
          expect(Math.abs(points - count * weight)).toBeLessThan(0.0051);
          expect(Math.round(points * 100) / 100).toBe(points);
          expect(sayDifficulty(ENGLISH, facts)).not.toBe('');
          hundredths += Math.round(points * 100);
        }
        expect(difficultyPoints(parts)).toBe(hundredths / 100);
      }),
    );
  });

  it('is the same for what plays the same: repeated, beats later, or with the sides swapped', () => {
    fc.assert(
      fc.property(grid, grid, fc.integer({ min: 1, max: 3 }), (left, foot, by) => {
        const parts: Part[] = [
          ['LH', 'snare', '16', left],
          ['RF', 'bass', '16', foot],
        ];
        const once = points(hats, ...parts);
        expect(
          points(hats, ...parts.map(([l, v, slot, text]): Part => [l, v, slot, text + text])),
        ).toBe(once);
        const later = exerciseOf([hats, ...parts], {
          changes: [{ kind: 'displace', what: 'pattern', part: 'all', by, slot: '4' }],
        });
        expect(difficultyPoints(difficultyParts(later, at(80, later)))).toBe(once);
        const { kit } = blankRecipe();
        const mirrored = exerciseOf([hats, ...parts], {
          kit: { ...kit, content: { ...kit.content, handedness: 'mirrored' } },
        });
        expect(difficultyPoints(difficultyParts(mirrored, at(80, mirrored)))).toBe(once);
      }),
    );
  });

  it('layers one by one rise, whichever comes first', () => {
    fc.assert(
      fc.property(grid, grid, fc.integer({ min: 0, max: 2 }), (left, foot, turn) => {
        const all: Part[] = [hats, ['LH', 'snare', '16', left], ['RF', 'bass', '16', foot]];
        const layers = [...all.slice(turn), ...all.slice(0, turn)];
        const sums = [1, 2, 3].map((count) => points(...layers.slice(0, count)));
        expect(sums[0]).toBeLessThan(sums[1] ?? 0);
        expect(sums[1]).toBeLessThan(sums[2] ?? 0);
      }),
    );
  });

  it('any part of a shipped ostinato alone is easier than with the others', () => {
    for (const [id, { lanes, meter }] of Object.entries(SHIPPED_OSTINATOS)) {
      // Every second note of what goes hand to hand is harder than all of it.
      if (/^hand-to-hand|^train-beat$|^second-line$/.test(id)) continue;
      const parts = lanes.map(({ limb, voice, slot, grid: text }): Part => [
        limb,
        voice,
        slot,
        text,
      ]);
      const of = (some: readonly Part[]) => {
        const exercise = exerciseOf(some, { meter });
        return difficultyPoints(difficultyParts(exercise, at(80, exercise)));
      };
      for (const limb of new Set(parts.map(([one]) => one))) {
        const rest = parts.filter(([one]) => one !== limb);
        if (rest.length > 0) expect(of(rest), id).toBeLessThan(of(parts));
      }
    }
  });

  it('a part on another surface, all of it or every second note, is not easier', () => {
    fc.assert(
      fc.property(grid, grid, (left, foot) => {
        const others: Part[] = [hats, ['RF', 'bass', '16', foot]];
        const on = (voice: VoiceId, text: string): Part => ['LH', voice, '16', text];
        const every = (rest: number) => {
          let nth = 0;
          return left.replace(/[^-]/g, (mark) => ((nth += 1) % 2 === rest ? mark : '-'));
        };
        const plain = points(...others, on('snare', left));
        const second = every(0);
        const toms = second.includes('x') || /[Xg]/.test(second) ? [on('tom-high', second)] : [];
        expect(points(...others, on('tom-floor', left))).toBeGreaterThanOrEqual(plain);
        expect(points(...others, on('snare', every(1)), ...toms)).toBeGreaterThanOrEqual(plain);
      }),
    );
  });

  it('a phrase off the beat is not easier than the same on it', () => {
    const onBeats = fc
      .subarray([0, 1, 2, 3], { minLength: 1 })
      .map((taken) => [0, 1, 2, 3].map((b) => (taken.includes(b) ? 'x---' : '----')).join(''));
    const ride: Part = ['RH', 'ride', '8', 'x-xxx-xx'];
    const hatFoot: Part = ['LF', 'hat-foot', '4', '-x-x'];
    const under = fc.constantFrom<readonly Part[]>(
      [hats],
      [hats, bass('x-------x-------')],
      [hats, bass('x-----x-x-------'), hatFoot],
      [['RH', 'ride', '4', 'xxxx'], hatFoot],
      [ride, hatFoot],
      [ride, hatFoot, ['RF', 'bass', '4', 'gggg']],
      [['RH', 'hat', '16', 'xxxxxxxxxxxxxxxx'], bass('x-------x-------')],
    );
    fc.assert(
      fc.property(onBeats, under, fc.integer({ min: 1, max: 3 }), (text, parts, by) => {
        const later = text.slice(-by) + text.slice(0, -by);
        const of = (phrase: string) => points(...parts, ['LH', 'snare', '16', phrase]);
        expect(of(later)).toBeGreaterThanOrEqual(of(text));
      }),
      { numRuns: samples(400) },
    );
  });

  it('foot straight into foot is harder than a hand between, a takeover than staying', () => {
    const hand = (text: string): Part => ['RH', 'snare', '16', text];
    const right = (text: string): Part => ['RF', 'bass', '16', text];
    const left = (text: string): Part => ['LF', 'hat-foot', '16', text];
    const straight = points(hand('x--x'), right('-x--'), left('--x-'));
    const between = points(hand('x-x-'), right('-x--'), left('---x'));
    expect(straight).toBeGreaterThan(between);
  });
});

describe('what teachers agree on (common practice, no source)', () => {
  const sticking = (text: string, more: Partial<ReturnType<typeof stickingStart>> = {}) => {
    const content = { ...stickingStart(text), accents: 'none' as const, ...more };
    const exercise = must(expand({ ...blankRecipe(), play: { content } }));
    return difficultyPoints(difficultyParts(exercise, at(80, exercise)));
  };
  const ostinato = (id: string) => {
    const exercise = must(expand(toggleOstinato(blankRecipe(), id)));
    return difficultyPoints(difficultyParts(exercise, at(80, exercise)));
  };
  const line = (text: string) => {
    const recipe = { ...blankRecipe(), play: { content: { text } } };
    const exercise = must(expand(recipe));
    return difficultyPoints(difficultyParts(exercise, at(80, exercise)));
  };
  const shipped = (id: keyof typeof SHIPPED_STICKINGS) => {
    const one = SHIPPED_STICKINGS[id];
    if (!one) throw new Error(id);
    return sticking(one.sticking, { slot: one.slot });
  };
  const hand = (grid: string, slot: Part[2] = '16') => points(['RH', 'ride', slot, grid]);

  it.each<[string, () => readonly number[]]>([
    ['hand-to-hand singles, rock in 8ths', () => [sticking('RL'), ostinato('rock-8ths')]],
    [
      'singles, doubles, paradiddle, its inversions',
      () => [sticking('RL'), sticking('RRLL'), sticking('RLRRLRLL'), sticking('RLLRLRRL')],
    ],
    ['paradiddle, doubles first', () => [sticking('RLRRLRLL'), sticking('RRLRLLRL')]],
    ['paradiddle, double across', () => [sticking('RLRRLRLL'), sticking('RLRLLRLR')]],
    ['RLL, RLLRR', () => [sticking('RLL'), sticking('RLLRR')]],
    ['8ths, clave', () => [ostinato('ride-8ths'), ostinato('clave-3-2')]],
    ['quarters, rumba clave', () => [ostinato('ride-quarters'), ostinato('clave-rumba')]],
    [
      'no accents, on the beats, on the upbeats, moved about',
      () => [
        hand('xxxxxxxxxxxxxxxx'),
        hand('XxxxXxxxXxxxXxxx'),
        hand('xxXxxxXxxxXxxxXx'),
        hand('XxxxxxXxxxXxXxxx'),
      ],
    ],
    [
      'no accents, all accented, on the beats',
      () => [hand('xxxxxxxxxxxxxxxx'), hand('XXXXXXXXXXXXXXXX'), hand('XxxxXxxxXxxxXxxx')],
    ],
    ['a single ratamacue, a triple one', () => [shipped('rudiment-38'), shipped('rudiment-40')]],
    [
      'a line on the beats, off them, from the & of 1 on, from the e of 1 on',
      () => [line('4 4 4 4'), line('4. 8 4. 8'), line('8r 4. 8 4.'), line('16r 4.. 8 4.')],
    ],
    ['equal notes, ghosts beside accents', () => [hand('xxxx', '8'), hand('gXgX', '8')]],
    ['an accent on the beat, displaced', () => [hand('Xxxx'), hand('xXxx')]],
    ['singles, flams', () => [shipped('singles'), shipped('rudiment-20')]],
    ['a plain drag, a flam paradiddle', () => [shipped('rudiment-31'), shipped('rudiment-24')]],
    [
      'rock in 8ths, a feathered ride',
      () => [ostinato('rock-8ths'), ostinato('jazz-ride-feathered')],
    ],
    [
      'feet alternating in 8ths, rock in 16ths',
      () => [ostinato('feet-alternating'), ostinato('rock-16ths')],
    ],
    [
      'singles with the foot in 16ths, samba feet',
      () => [sticking('RLRLKK'), ostinato('samba-feet')],
    ],
    [
      '8ths, a bar of 8ths and one of triplets',
      () => [ostinato('ride-8ths'), ostinato('ride-8ths-triplets')],
    ],
    [
      'triplets, a bar of 8ths and one of triplets',
      () => [ostinato('ride-triplets'), ostinato('ride-8ths-triplets')],
    ],
    ['3 over 16ths, 5, 7', () => [sticking('RLL'), sticking('RLRLL'), sticking('RLRLRLL')]],
    [
      'one bar four times, four bars',
      () => [line('4. 4 8 4 x4'), line('4. 4 8 4 | 4 8 4 8 4 | 8 4 4 4. | 4 4. 8 4')],
    ],
    ['a right hand, a left hand', () => [hand('xxxx', '8'), points(['LH', 'ride', '8', 'xxxx'])]],
    [
      'a right foot, a left foot',
      () => [points(['RF', 'bass', '8', 'xxxx']), points(['LF', 'bass', '8', 'xxxx'])],
    ],
  ])('%s: each is harder than the one before', (_, all) => {
    const sums = all();
    sums.slice(1).forEach((sum, nth) => expect(sum).toBeGreaterThan(sums[nth] ?? Infinity));
  });

  it('a line that lies on the beats is never easier displaced, over whatever ships', () => {
    const lines = [
      '4 4 4 4',
      '4 4r 4 4r',
      '4r 4 4r 4',
      '2 2',
      '1',
      '3(4 4 4) 3(4 4 4)',
      '3(4 4 4) 2',
    ];
    const of = (recipe: ClosedRecipe) => {
      const exercise = must(expand(recipe));
      return { exercise, points: difficultyPoints(difficultyParts(exercise, at(80, exercise))) };
    };
    let compared = 0;
    for (const id of some(Object.keys(SHIPPED_OSTINATOS))) {
      const groove = toggleOstinato(blankRecipe(), id as keyof typeof SHIPPED_OSTINATOS);
      if (groove.meter !== '4/4') continue;
      for (const text of lines) {
        const on = withPlay(groove, { content: { text } });
        const { exercise, points: base } = of(on);
        if (exercise.shared.length > 0) continue;
        for (const slot of ['8', '16', '8t'] as const) {
          for (const by of [1, -1]) {
            const change = { kind: 'displace', what: 'pattern', part: 'line', by, slot } as const;
            compared += 1;
            expect(
              of({ ...on, changes: [change] }).points,
              `${id} ${text} ${by} ${slot}`,
            ).toBeGreaterThanOrEqual(base);
          }
        }
      }
    }
    expect(compared).toBeGreaterThan(100);
  });

  it('is turned by the side of who plays', () => {
    const { kit } = blankRecipe();
    const left: Part[] = [['LH', 'ride', '8', 'xxxx']];
    const played = exerciseOf(left, {
      kit: { ...kit, content: { ...kit.content, handedness: 'mirrored' } },
    });
    const [right] = [points(['RH', 'ride', '8', 'xxxx'])];
    // Written for the left, a mirrored kit has it in the right.
    expect(difficultyPoints(difficultyParts(played, at(80, played)))).toBeGreaterThan(right);
  });
});

describe('each part of difficulty', () => {
  const partsOf = (parts: readonly Part[], more = {}) => {
    const exercise = exerciseOf(parts, more);
    const found = difficultyParts(exercise, at(80, exercise));
    return Object.fromEntries(found.map(({ facts, count }) => [facts.part, count]));
  };

  it.each<[string, readonly Part[], readonly Part[], (string | undefined)?]>([
    [
      'notes-a-beat',
      [
        ['RF', 'bass', '4', 'xx-x'],
        ['LF', 'hat-foot', '4', 'x---'],
      ],
      [
        ['RF', 'bass', '4', '-xxx'],
        ['LF', 'hat-foot', '4', 'x---'],
      ],
    ],
    [
      'takeovers',
      [
        ['LH', 'snare', '4', 'x--x'],
        ['RF', 'bass', '4', 'xx--'],
        ['LF', 'hat-foot', '8', 'xx--xx--'],
      ],
      [
        ['LH', 'snare', '4', '-x-x'],
        ['RF', 'bass', '4', 'xx--'],
        ['LF', 'hat-foot', '8', 'xx--xx--'],
      ],
      // The hand is spaced evenly instead.
      'spacing',
    ],
    ['off-the-beat', [['RF', 'bass', '16', '--x-']], [['RF', 'bass', '16', '-x--']]],
    ['over-the-beat', [['RH', 'snare', '8', 'x----x-x']], [['RH', 'snare', '8', '---x--xx']]],
    [
      'grids',
      [hats, ['LH', 'snare', '16', '---x------------']],
      [hats, ['LH', 'snare', '8t', '--x---------']],
    ],
    ['feet-in-a-row', [['RF', 'bass', '8', '-x----x-']], [['RF', 'bass', '8', '----xx--']]],
    ['speed', [['RH', 'snare', '8', '--x-----']], [['RF', 'bass', '4', 'x---']]],
    ['spacing', [['LF', 'hat-foot', '4', '-----xxx']], [['LF', 'hat-foot', '4', '-xx----x']]],
    [
      'doubles',
      [
        ['RH', 'snare', '16', '--xx'],
        ['LH', 'snare', '16', 'xx--'],
      ],
      [
        ['RH', 'snare', '16', '-xx-'],
        ['LH', 'snare', '16', 'x--x'],
      ],
    ],
    ['dynamics', [['LH', 'snare', '4', '--X-XXX-']], [['LH', 'snare', '4', '-xX--x-X']]],
    ['weaker-side', [['RF', 'bass', '4', 'x---']], [['LF', 'hat-foot', '8', '------x-']]],
    [
      'travel',
      [['LH', 'snare', '4', 'xxxx']],
      [
        ['LH', 'snare', '4', 'x-x-'],
        ['LH', 'tom-floor', '4', '-x-x'],
      ],
    ],
  ])('%s: two exercises that differ in nothing else', (part, easier, harder, also) => {
    const [one, other] = [partsOf(easier), partsOf(harder)];
    const same = { [part]: one[part], ...(also && { [also]: one[also] }) };
    expect({ ...other, ...same }).toEqual({ ...one, ...same });
    expect(other[part]).toBeGreaterThan(one[part] ?? 0);
  });

  it('counts what a count by hand gives: six sets of limbs, seven steps between them, and so on', () => {
    const note = { at: 0, limb: 'LH', voice: 'tom-floor' } as const;
    const flam = { from: note, to: { ...note, dynamic: 'normal', ornament: 'flam' } } as const;
    const counted = partsOf(
      [
        hats,
        ['LH', 'snare', '16', '----x-----x-x---'],
        ['LH', 'tom-floor', '4', 'x---'],
        ['RF', 'bass', '8t', 'xx----------'],
        ['LF', 'hat-foot', '16', '--------------xx'],
      ],
      { changes: [{ kind: 'hand', length: quarters(4), edits: [flam] }] },
    );
    expect(counted).toEqual({
      limbs: 4,
      // R+L+K, K, R, R+L, R+F and F.
      combinations: 6,
      changes: 7,
      // K straight after R.
      takeovers: 1,
      // Eight hats, the triplet of K, the last 16th.
      'notes-a-beat': 2.5,
      // L 1 of 4 halves, K 1 of 2 between, F one of each: 0.125 + 0.5 + 0.75; R goes through.
      'off-the-beat': 1.38,
      // K from the triplet on, F from the last 16th on.
      'over-the-beat': 2,
      grids: 1,
      'feet-in-a-row': 1,
      ornaments: 1.2,
      ornamented: 1,
      // L 4, 6 and 2 slots, K and F two each; R one.
      spacing: 4,
      round: 4,
      // L 4 in 3 s of 4, F 2 in 3 s of 3.
      'weaker-side': 0.56,
      // A second: R 8 in 3 s of 4, L 4 in 3 s of 4, each foot 2 in 3 s of 3.
      speed: 1.53,
      // The right hand's grace note lies 30 ms before its hat: 250 ÷ 30 − 1, at most 3.
      nearest: 3,
      // Four ways, and 400 ÷ 30 for the shortest.
      travel: 17.33,
    });
  });

  it('counts no doubles for a hand that goes through by itself', () => {
    const sixteenths: Part = ['RH', 'hat', '16', 'xxxx'];
    expect(partsOf([sixteenths, ['LH', 'snare', '4', '-x-x']])).not.toHaveProperty('doubles');
  });

  it('counts each foot that the other comes straight after', () => {
    const [right, left] = [
      ['RF', 'bass', '16', 'x---'],
      ['LF', 'hat-foot', '16', '-x--'],
    ] as const satisfies readonly Part[];
    expect(partsOf([right, left])).toMatchObject({ 'foot-to-foot': 1 });
    expect(partsOf([right, ['LF', 'hat-foot', '16', '--x-']])).toMatchObject({ 'foot-to-foot': 2 });
    expect(partsOf([right])).not.toHaveProperty('foot-to-foot');
  });
});

describe('motionsOf (common practice, no source)', () => {
  const letters = (exercise: Exercise) => {
    const both = (['RH', 'LH'] as const).flatMap((limb) => motionsOf(exercise, limb));
    return [...both].sort((a, b) => a.at - b.at).map((one) => one.motion[0]?.toUpperCase());
  };

  it.each([
    ['LRLR at p p p f', '-g-X', 'g-g-', ['T', 'U', 'T', 'D']],
    ['all loud', 'X-X-', '-X-X', ['F', 'F', 'F', 'F']],
    ['all soft', 'g-g-', '-g-g', ['T', 'T', 'T', 'T']],
    ['loud and soft in turn', 'X-g-', '-X-X', ['D', 'F', 'U', 'F']],
  ])('%s', (_, right, left, expected) => {
    const exercise = exerciseOf([
      ['RH', 'snare', '16', right],
      ['LH', 'snare', '16', left],
    ]);
    expect(letters(exercise).slice(0, 4)).toEqual(expected);
  });

  it('has as many ups as downs, round the seam', () => {
    fc.assert(
      fc.property(fc.stringMatching(/^[Xg-]{2,16}$/), (grid) => {
        const exercise = exerciseOf([['RH', 'snare', '16', `x${grid}`]]);
        const motions = motionsOf(exercise, 'RH').map((one) => one.motion);
        const count = (motion: string) => motions.filter((one) => one === motion).length;
        expect(count('up')).toBe(count('down'));
      }),
    );
  });
});

describe('smallestPart', () => {
  it('a quarter-note rock beat is two beats of two events (common practice, no source)', () => {
    const exercise = exerciseOf([
      ['RH', 'hat', '4', 'xxxx'],
      ['LH', 'snare', '4', '-x-x'],
      ['RF', 'bass', '4', 'x-x-'],
    ]);
    expect(smallestPart(exercise)).toEqual({ ticks: quarters(2), times: 2, events: 2 });
  });

  it.each([
    ['8', 'xxxxxxxx', quarters(1, 2), 1],
    ['8', 'X-x-X-x-', quarters(2), 2],
    ['8', 'x-xxx-xx', quarters(2), 1],
    ['8', 'x-xxx-x-', quarters(4), 1],
  ] as const)('%s %s', (slot, grid, ticks, events) => {
    expect(smallestPart(exerciseOf([['RH', 'ride', slot, grid]]))).toMatchObject({ ticks, events });
  });

  it('makes the cycle again when it is repeated', () => {
    fc.assert(
      fc.property(fc.stringMatching(/^[xX-]{1,8}$/), (grid) => {
        const exercise = exerciseOf([['RH', 'ride', '16', `x${grid}`]]);
        const part = smallestPart(exercise);
        expect(part && part.ticks * part.times).toBe(exercise.cycleTicks);
        expect(part?.ticks).toBeLessThanOrEqual(quarters(grid.length + 1, 4));
      }),
    );
  });
});

describe('transitionsOf', () => {
  it('chains limb sets with their gaps, the seam last', () => {
    const exercise = exerciseOf([
      ['RH', 'ride', '4', 'xxxx'],
      ['LF', 'hat-foot', '4', '-x-x'],
    ]);
    const chain = transitionsOf(exercise, at(60, exercise));
    expect(chain.map((one) => `${one.from.join('+')} ${one.to.join('+')}`)).toEqual([
      'RH RH+LF',
      'RH+LF RH',
      'RH RH+LF',
      'RH+LF RH',
    ]);
    expect(chain.map((one) => one.gapMs)).toEqual([1000, 1000, 1000, 1000]);
    expect(chain.map((one) => one.acrossSeam)).toEqual([false, false, false, true]);
  });

  it('the gaps make one cycle', () => {
    fc.assert(
      fc.property(fc.stringMatching(/^[x-]{1,12}$/), (grid) => {
        const exercise = exerciseOf([['RF', 'bass', '8t', `x${grid}`]]);
        const tempo = at(60, exercise);
        const sum = transitionsOf(exercise, tempo).reduce((all, one) => all + one.gapMs, 0);
        expect(sum).toBeCloseTo((exercise.cycleTicks / quarters(1)) * 1000, 6);
      }),
    );
  });
});
