import fc from 'fast-check';
import { afterAll, describe, expect, it } from 'vitest';
import { samples } from '../../samples.fixture';
import { hatBeforeFoot, limbLoads, lineReading, strokesMade } from '../analysis';
import { must } from '../issue';
import type { Limb, VoiceId } from '../kit';
import { blankRecipe, expand, soundsAt, startOf, type Change, type ClosedRecipe } from '../recipe';
import { stickingStart } from '../sticking';
import { bpm, quarters, tempoFor, type Feel, type SubdivisionId } from '../time';
import {
  bruteEveryNth,
  bruteGhosts,
  bruteGroove,
  bruteGroups,
  bruteLater,
  bruteNearest,
  bruteOpens,
  brutePhrase,
  brutePlaced,
  bruteRead,
  bruteTogether,
  type BruteFeel,
} from './brute';

let compared = 0;

/** Compares, and counts how much. */
function same<T>(mine: T, other: T): void {
  compared += Array.isArray(other) ? Math.max(1, other.length) : 1;
  expect(mine).toEqual(other);
}

afterAll(() => {
  expect(compared).toBeGreaterThan(samples(100_000));
});

const METERS = [
  ['4/4', 4, false, 1],
  ['3/4', 3, false, 1],
  ['2/4', 2, false, 1],
  ['5/4', 5, false, 1],
  ['6/8', 3, true, 1.5],
  ['12/8', 6, true, 1.5],
  ['7/8', 3.5, true, 1],
] as const;

const PLAYERS = [
  ['RH', 'hat'],
  ['LH', 'snare'],
  ['RF', 'bass'],
  ['LF', 'hat-foot'],
] as const satisfies readonly (readonly [Limb, VoiceId])[];

const grid = fc.stringMatching(/^[xX-]{1,8}$/).filter((text) => /[xX]/.test(text));
const slot = fc.constantFrom<SubdivisionId>('4', '8', '8t', '16', '16t', '5', '7', '32');
const ratio = fc.tuple(fc.integer({ min: 1, max: 5 }), fc.integer({ min: 1, max: 5 }));
const feel = fc.oneof(
  fc.constant<BruteFeel>('straight'),
  fc.constant<BruteFeel>('triplets'),
  ratio as fc.Arbitrary<BruteFeel>,
);

function feelOf(feel: BruteFeel): Feel {
  if (feel === 'straight' || feel === 'triplets') return { kind: feel };
  return { kind: 'swung', long: feel[0], short: feel[1] };
}

const round = (value: number) => Math.round(value * 1e6) / 1e6;

describe('grooves of any meter, grids and feel', () => {
  const lanes = fc.array(fc.tuple(slot, grid), { minLength: 1, maxLength: 4 });

  it('play, sound and load as worked out slot by slot', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...METERS),
        lanes,
        feel,
        fc.integer({ min: 40, max: 200 }),
        ([meter, inQuarters, eighths, beat], all, swing, tempo) => {
          const parts = all.map(([one, text], index) => {
            const [limb, voice] = PLAYERS[index] ?? PLAYERS[0];
            return { limb, voice, slot: one, grid: text };
          });
          const content = { name: 'groove', meter, swung: false, lanes: parts };
          const recipe = { ...blankRecipe(), meter, feel: feelOf(swing), over: [{ content }] };
          const made = expand(recipe);
          const brute = bruteGroove(parts, inQuarters, swing, eighths);
          const tooLong = brute.length / (inQuarters * quarters(1)) > 64;
          same(made.ok, !tooLong);
          if (!made.ok) return;
          const exercise = made.value;
          same<number>(exercise.cycleTicks, brute.length);
          const say = (at: number, limb: string, voice: string, loud: boolean, sounds: number) =>
            `${at} ${limb} ${voice} ${loud} ${round(sounds)}`;
          same(
            exercise.strokes
              .map((one) =>
                say(one.at, one.limb, one.voice, one.dynamic === 'accent', soundsAt(one, exercise)),
              )
              .sort(),
            brute.strokes
              .map((one) => say(one.at, one.limb, one.voice, one.loud, one.sounds))
              .sort(),
          );
          const at = tempoFor(exercise.meter, bpm(tempo));
          for (const { limb, shortestGapMs } of limbLoads(exercise, at)) {
            const nearest = bruteNearest(brute.strokes, limb, brute.length, tempo, beat);
            same(round(shortestGapMs), round(nearest));
          }
          const opens = bruteOpens(brute.strokes, brute.length, 60_000 / tempo / beat, 300);
          const found = hatBeforeFoot(exercise, at, 300).map((one) => one.at as number);
          same(
            found.sort((a, b) => a - b),
            opens,
          );
        },
      ),
      { numRuns: samples(200) },
    );
  });
});

describe('swing', () => {
  const sign = fc.constantFrom(
    '4',
    '8',
    '8 8',
    '16 16',
    '8. 16',
    '3(8 8 8)',
    '6(16 16 16 16 16 16)',
    '8r',
  );
  const lines = fc.array(sign, { minLength: 2, maxLength: 10 }).map((all) => all.join(' '));
  const sticking = fc.stringMatching(/^[RLK]{2,12}$/);
  const play = (content: { text: string } | string, slots: SubdivisionId, heard: Feel) => {
    const recipe: ClosedRecipe =
      typeof content === 'string'
        ? { ...blankRecipe(), play: { content: { ...stickingStart(content), slot: slots } } }
        : { ...blankRecipe(), play: { content } };
    return expand({ ...recipe, feel: heard });
  };

  it('at 2:1 sounds where a swing in triplets is written; onsets stay in order, in their beat', () => {
    const content = fc.oneof(
      lines.map((text) => ({ text })),
      sticking,
    );
    fc.assert(
      fc.property(content, slot, (what, slots) => {
        const written = play(what, slots, { kind: 'triplets' });
        const heard = play(what, slots, { kind: 'swung', long: 2, short: 1 });
        const straight = play(what, slots, { kind: 'straight' });
        same(written.ok, heard.ok);
        if (!written.ok || !heard.ok || !straight.ok) return;
        same(
          heard.value.strokes.map((one) => round(soundsAt(one, heard.value))),
          written.value.strokes.map((one) => one.at as number),
        );
        const beats = (all: readonly { at: number }[]) =>
          all.map(({ at }) => Math.floor(at / quarters(1)));
        same(beats(written.value.strokes), beats(straight.value.strokes));
        written.value.strokes.forEach((one, index) => {
          const before = written.value.strokes[index - 1]?.at ?? -1;
          expect(one.at).toBeGreaterThan(before);
        });
      }),
      { numRuns: samples(200) },
    );
  });
});

describe('stickings', () => {
  const letters = fc.stringMatching(/^[RLK]{1,9}$/);
  const read = (text: string, changes: Change[] = []) => {
    const content = stickingStart(text);
    return must(expand({ ...blankRecipe(), play: { content }, changes }));
  };

  it('move, turn round and mirror as their letters do', () => {
    fc.assert(
      fc.property(letters, fc.integer({ min: -12, max: 12 }), (text, by) => {
        const turn = ((by % text.length) + text.length) % text.length;
        const moved: Change = { kind: 'displace', what: 'pattern', part: 'line', by, slot: '16' };
        same(
          lineReading(read(text, [moved])),
          text.slice(text.length - turn) + text.slice(0, text.length - turn),
        );
        const back: Change = { kind: 'reverse', part: 'line', slot: '16' };
        same(lineReading(read(text, [back])), [...text].reverse().join(''));
        const mirror: Change = { kind: 'mirror', what: 'hands', part: 'line' };
        const swapped = [...text].map((one) => (one === 'R' ? 'L' : one === 'L' ? 'R' : one));
        same(lineReading(read(text, [mirror])), swapped.join(''));
      }),
      { numRuns: samples(200) },
    );
  });

  it('come round after the least common multiple with the bar, and count every stroke that is made', () => {
    const marks = { '': 1, f: 2, d: 3, u: 3, i: 2, o: 2, z: 1 } as const;
    const marked = fc.array(
      fc.tuple(
        fc.constantFrom(...(Object.keys(marks) as (keyof typeof marks)[])),
        fc.constantFrom('R', 'L'),
      ),
      { minLength: 1, maxLength: 9 },
    );
    fc.assert(
      fc.property(marked, (slots) => {
        const exercise = read(slots.map(([mark, letter]) => mark + letter).join(''));
        let bars = 1;
        while ((bars * 16) % slots.length !== 0) bars += 1;
        same(exercise.bars, bars);
        const each = slots.reduce((sum, [mark]) => sum + marks[mark], 0);
        same(strokesMade(exercise), (each * bars * 16) / slots.length);
      }),
      { numRuns: samples(200) },
    );
  });
});

describe('a line over a groove in 16ths', () => {
  const LENGTHS = [
    ['16', 1],
    ['8', 2],
    ['8.', 3],
    ['4', 4],
    ['4.', 6],
    ['2', 8],
  ] as const;
  const sign = fc.tuple(fc.constantFrom(...LENGTHS), fc.boolean());
  const signs = fc
    .array(sign, { minLength: 1, maxLength: 8 })
    .filter((all) => all.some(([, rest]) => !rest))
    .filter((all) => all.reduce((sum, [[, length]]) => sum + length, 0) <= 32);
  const laneGrid = fc.stringMatching(/^[xXg-]{16}$/).filter((text) => /[xXg]/.test(text));
  const ways = fc.constantFrom(
    'verbatim' as const,
    'short-long' as const,
    'accents-16ths' as const,
    'line-doubled' as const,
  );
  const marks = { x: 'normal', X: 'accent', g: 'ghost' } as const;
  const extras = fc.constantFrom('none' as const, 'ghosts' as const, 'placed' as const);

  it('plays as read slot by slot, moved, thickened and added to', () => {
    fc.assert(
      fc.property(
        fc.tuple(
          signs,
          ways,
          fc.constantFrom('limbs' as const, 'groove' as const, 'merge' as const),
        ),
        fc.tuple(laneGrid, laneGrid),
        fc.integer({ min: -20, max: 20 }),
        extras,
        fc.stringMatching(/^[x-]{1,6}$/),
        ([all, way, clash], grids, by, extra, grid) => {
          const players = [
            { limb: 'RH', voice: 'hat' },
            { limb: 'RF', voice: 'bass' },
          ] as const;
          const lanes = players.map(
            (one, nth) => ({ ...one, slot: '16', grid: grids[nth] ?? '' }) as const,
          );
          const text = all.map(([[value], rest]) => `${value}${rest ? 'r' : ''}`).join(' ');
          const moved: Change = { kind: 'displace', what: 'pattern', part: 'line', by, slot: '16' };
          const to = { limb: 'LH', voice: 'snare' } as const;
          const more: Record<typeof extra, Change[]> = {
            none: [],
            ghosts: [
              {
                ...{ kind: 'thicken', around: 'accents', side: 'before', count: 1 },
                ...{ slot: '16', to, dynamic: 'ghost' },
              } as Change,
            ],
            placed: [{ kind: 'place', to: { limb: 'RF', voice: 'bass' }, slot: '16', grid }],
          };
          const made = expand({
            ...blankRecipe(),
            over: [{ content: { name: 'groove', meter: '4/4', swung: false, lanes: [...lanes] } }],
            play: { content: { text } },
            as: startOf(way),
            clash,
            changes: [moved, ...more[extra]],
          });
          const read = bruteRead(
            all.map(([[, sixteenths], rest]) => ({ sixteenths, rest })),
            way,
          );
          if (read === null) {
            same(made.ok, false);
            return;
          }
          const groove = Array.from({ length: 16 }, (_, slot) =>
            players.flatMap((one, nth) => {
              const mark = grids[nth]?.[slot] as keyof typeof marks | '-' | undefined;
              return mark === undefined || mark === '-' ? [] : [{ ...one, dynamic: marks[mark] }];
            }),
          );
          let brute = bruteTogether(groove, bruteLater(read, by), clash, 16);
          if (extra === 'ghosts') brute = bruteGhosts(brute);
          if (extra === 'placed' && grid.includes('x')) brute = brutePlaced(brute, grid);
          if (brute.length / 16 > 64) return;
          if (!made.ok) throw new Error(JSON.stringify(made.issues));
          const bars = Math.ceil(brute.length / 16);
          same(made.value.bars % bars, 0);
          const mine = made.value.strokes.map(
            (one) => `${one.at / quarters(1, 4)} ${one.limb} ${one.voice} ${one.dynamic}`,
          );
          const theirs = Array.from({ length: made.value.bars * 16 }, (_, slot) =>
            (brute[slot % brute.length] ?? []).map(
              (one) => `${slot} ${one.limb} ${one.voice} ${one.dynamic}`,
            ),
          ).flat();
          same(mine.sort(), theirs.sort());
        },
      ),
      { numRuns: samples(250) },
    );
  });
});

describe('phrase cells', () => {
  const cells = Object.fromEntries(
    Array.from({ length: 32 }, (_, index) => [
      String(index + 1),
      Array.from({ length: index + 1 }, (_step, step) => 'RLLKKL'[step % 6]).join(''),
    ]),
  );

  it('fill the gaps round the loop; what comes round is silent the first time', () => {
    fc.assert(
      fc.property(
        fc.subarray(
          Array.from({ length: 16 }, (_, at) => at),
          { minLength: 1 },
        ),
        (onsets) => {
          const line = Array.from({ length: 16 }, (_, at) => (onsets.includes(at) ? '16' : '16r'));
          const as = startOf('phrase-cells');
          if (as.kind !== 'phrase-cells') throw new Error('no cells');
          const recipe = { ...blankRecipe(), play: { content: { text: line.join(' ') } } };
          const exercise = must(expand({ ...recipe, as: { ...as, chosen: cells } }));
          const bar: (string | null)[] = Array.from({ length: 16 }, () => null);
          for (const { at, limb } of exercise.strokes) {
            bar[at / quarters(1, 4)] = limb === 'RH' ? 'R' : limb === 'LH' ? 'L' : 'K';
          }
          same(bar, [...(brutePhrase(onsets, 16, cells) ?? [])]);
          same(
            exercise.strokes.filter((one) => one.tail).map((one) => one.at / quarters(1, 4)),
            Array.from({ length: onsets[0] ?? 0 }, (_, at) => at),
          );
        },
      ),
      { numRuns: samples(300) },
    );
  });
});

describe('counting and feet', () => {
  const sixteen = fc.stringMatching(/^[x-]{16}$/).filter((text) => text.includes('x'));
  const over = (text: string, changes: Change[]) => {
    const lane = { limb: 'RH', voice: 'hat', slot: '16', grid: text } as const;
    const bass = { limb: 'RF', voice: 'bass', slot: '16', grid: text } as const;
    const lanes = changes[0]?.kind === 'footing' ? [bass] : [lane];
    const content = { name: 'lane', meter: '4/4', swung: false, lanes };
    return expand({ ...blankRecipe(), over: [{ content }], changes });
  };

  const from1 = fc.integer({ min: 1, max: 7 });

  it('every nth counts on through the cycle', () => {
    fc.assert(
      fc.property(sixteen, from1, fc.integer({ min: 1, max: 9 }), (text, nth, first) => {
        const to = { limb: 'RF', voice: 'bass' } as const;
        const of = { limb: 'RH', voice: null } as const;
        const made = must(
          over(text, [{ kind: 'every-nth', of, nth, first, to, dynamic: 'normal' }]),
        );
        const places = [...text].flatMap((mark, at) => (mark === 'x' ? [at] : []));
        const brute = bruteEveryNth(places, 16, nth, first);
        same(made.bars, brute.length / 16);
        same(
          made.strokes.filter((one) => one.limb === 'RF').map((one) => one.at / quarters(1, 4)),
          [...brute.at],
        );
      }),
      { numRuns: samples(300) },
    );
  });

  it('the right foot leads each group', () => {
    fc.assert(
      fc.property(sixteen, (text) => {
        const made = must(over(text, [{ kind: 'footing', part: 'all', school: 'groups' }]));
        const feet = [...text].map(() => '-');
        for (const { at, limb } of made.strokes)
          feet[at / quarters(1, 4)] = limb === 'RF' ? 'r' : 'l';
        const brute = bruteGroups(text);
        if (brute !== null) same(feet.slice(0, 16).join(''), brute);
      }),
      { numRuns: samples(300) },
    );
  });
});
