import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { samples } from '../../samples.fixture';
import { must } from '../issue';
import { isHand, voice, voicesOf, type VoiceId } from '../kit';
import { SHIPPED, SHIPPED_LINES, SHIPPED_OSTINATOS, SHIPPED_STICKINGS } from '../materials';
import { ORNAMENTS, type Stroke } from '../pattern';
import { blankRecipe, expand, startOf, toggleOstinato, type Exercise } from '../recipe';
import { RECIPES } from '../recipe/recipes.fixture';
import { beats, quarters, type SubdivisionId } from '../time';
import { GLYPHS, type Box } from './glyphs';
import { shapeGraces } from './grace-notes';
import { notate, type WrittenSign } from './notate';
import { placeBar, type StaffBar } from './place-bar';
import { repeatsOf } from './repeats';
import { shapeBar } from './shape-bar';
import { leadOf, spaceBar } from './space-bar';
import { stickingRow } from './sticking-row';

/** Every bar with its own spacing, as it stands in a system without neighbours. */
function drawn(exercise: Exercise): readonly StaffBar[] {
  return Array.from({ length: exercise.bars }, (_, bar) => {
    const shape = shapeBar(exercise, bar);
    const { places, width } = spaceBar(shape, exercise.barTicks);
    return placeBar(shape, {
      left: 0,
      right: width,
      xOf: (at) => places.find((one) => one.at === at)?.x ?? NaN,
      begins: false,
      ends: false,
      closes: true,
    });
  });
}

const isHead = (glyph: string) => glyph.startsWith('notehead');
const near = (a: number, b: number) => Math.abs(a - b) < 0.03;

interface ReadSign {
  readonly x: number;
  readonly ticks: number;
  /** Half spaces up from the bottom line; empty for a rest. */
  readonly lines: readonly number[];
  /** The number over or under it; 1 without one. */
  readonly played: number;
}

/** What a reader takes from the drawn bar alone: stems with their heads, beams, flags, dots, rests and numbers of
 * tuplets. Shares no code with the layout. */
function readVoice({ glyphs, strokes, brackets }: StaffBar, up: boolean): readonly ReadSign[] {
  const heads = glyphs.filter((one) => isHead(one.glyph) && one.size === undefined);
  const dots = glyphs.filter((one) => one.glyph === 'dot');
  const stems = strokes.filter(([left, top, right, bottom]) => {
    return near(right - left, 0.13) && bottom - top > 1;
  });
  const rightOf = (head: (typeof heads)[number]) => head.x + GLYPHS[head.glyph][2];
  const chords = stems.flatMap((stem) => {
    const [left, top, right, bottom] = stem;
    const begin = up ? bottom : top;
    const end = up ? top : bottom;
    const own = heads.filter((head) => {
      const onNear = up
        ? near(rightOf(head), right) || near(head.x + 1.18, right)
        : near(head.x, left);
      const away = up
        ? near(head.x + Math.min(0, GLYPHS[head.glyph][0]), left)
        : near(rightOf(head), right);
      return (onNear || away) && head.y > top - 0.6 && head.y < bottom + 0.6;
    });
    const first = own.find((head) => Math.abs(head.y - begin) < 0.6);
    const wrongWay = own.some((head) => (up ? head.y < end + 1 : head.y > end - 1));
    if (!first || wrongWay) return [];
    const isStartOnSide = up ? rightOf(first) <= right + 0.03 : first.x >= left - 0.03;
    if (!isStartOnSide && !first.glyph.includes('Slashed')) return [];
    const x = up ? right - 0.59 : left + 0.59;
    const beams = strokes.filter(([from, high, to, low]) => {
      const covers = from <= left + 0.02 && to >= right - 0.02 && to - from > 0.9;
      const atEnd = up ? high > end - 0.1 && high < end + 2.6 : low < end + 0.1 && low > end - 2.6;
      return covers && near(low - high, 0.5) && atEnd;
    }).length;
    const flag = glyphs.find(
      (one) =>
        one.glyph.startsWith('flag') &&
        one.size === undefined &&
        near(one.x, left) &&
        near(one.y, end),
    );
    const shorter = flag ? Math.log2(Number(/\d+/.exec(flag.glyph)?.[0]) / 4) : beams;
    const base = own.some((head) => head.glyph.includes('Half')) ? 2 : 4;
    return [{ x, own, base: base * 2 ** shorter, lines: own.map((head) => 8 - head.y * 2) }];
  });
  const rests = glyphs.filter((one) => {
    if (!one.glyph.startsWith('rest')) return false;
    const middle = one.glyph === 'restWhole' ? one.y + 1 : one.y;
    return up ? middle <= 2 : middle >= 2;
  });
  const signs = [
    ...chords.map(({ x, base, own, lines }) => ({ x, base, lines, ys: own.map((head) => head.y) })),
    ...rests.map((rest) => {
      const base =
        { restWhole: 1, restHalf: 2 }[rest.glyph as string] ?? Number(rest.glyph.slice(4));
      return { x: rest.x + GLYPHS[rest.glyph][2] / 2, base, lines: [], ys: [rest.y] };
    }),
  ].sort((a, b) => a.x - b.x);
  return signs.map((sign, index): ReadSign => {
    const to = signs[index + 1]?.x ?? Infinity;
    const isDotted = dots.some(
      (dot) =>
        dot.x > sign.x &&
        dot.x < Math.min(to, sign.x + 3) &&
        sign.ys.some((y) => Math.abs(dot.y - y) < 0.6),
    );
    const bracket = brackets.find(
      (one) =>
        one.kind !== 'second-time' && one.up === up && one.from <= sign.x && one.to >= sign.x,
    );
    const played = Number(bracket?.text ?? 1);
    const plain = (quarters(4) / sign.base) * (isDotted ? 1.5 : 1);
    return { x: sign.x, ticks: plain, lines: [...sign.lines].sort((a, b) => a - b), played };
  });
}

/** Onsets from the values alone. A tuplet's values are shortened: so many are played in the time of the next lower
 * count that halving gives, in its beat. */
function readBar(bar: StaffBar, up: boolean, { meter }: Exercise) {
  let at = 0;
  return readVoice(bar, up).map(({ ticks, lines, played }) => {
    const from = at;
    const beat = beats(meter).findLast((one) => one.at <= from + 1);
    let inTimeOf = beat?.ticks === quarters(3, 2) ? 3 : 1;
    while (inTimeOf * 2 <= played) inTimeOf *= 2;
    at += played === 1 ? ticks : ticks * (inTimeOf / played);
    return { at: Math.round(from), end: Math.round(at), lines };
  });
}

function expectRead(exercise: Exercise): void {
  const voices = drawn(exercise).flatMap((bar, index) =>
    [true, false].flatMap((up) => {
      const from = index * exercise.barTicks;
      const inBar = exercise.strokes.filter(
        (one) => one.at >= from && one.at < from + exercise.barTicks && isHand(one.limb) === up,
      );
      if (inBar.length === 0) return [];
      const read = readBar(bar, up, exercise);
      const sounding = read.filter(({ lines }) => lines.length > 0);
      const places = [...new Set(inBar.map((one) => one.at - from))];
      const found = { end: read.at(-1)?.end, notes: sounding.map(({ at, lines }) => [at, lines]) };
      const notes = places.map((at) => [at, linesOf(inBar.filter((one) => one.at - from === at))]);
      return [{ found, meant: { end: exercise.barTicks as number, notes } }];
    }),
  );
  expect(voices.map(({ found }) => found)).toEqual(voices.map(({ meant }) => meant));
}

/** Whether values say when all strokes come; quintuplets and triplets across each other are too fine for them. */
function isWritable(exercise: Exercise): boolean {
  return notate(exercise).every(({ hands, feet }, bar) =>
    [...hands, ...feet].every(({ at, strokes }) =>
      strokes.every((stroke) => stroke.at === bar * exercise.barTicks + at),
    ),
  );
}

function linesOf(strokes: readonly Stroke[]): readonly number[] {
  return [...new Set(strokes.map((one) => one.voice))]
    .map((id) => voice(id).line as number)
    .sort((a, b) => a - b);
}

interface Named {
  readonly name: string;
  readonly box: Box;
}

/** All that must keep its distance: glyphs, beams, stems and numbers. */
function boxesOf({ glyphs, strokes, brackets }: StaffBar): readonly Named[] {
  return [
    ...glyphs.map(({ glyph, x, y, size = 1 }): Named => {
      const [left, top, right, bottom] = GLYPHS[glyph];
      return {
        name: size === 1 ? glyph : `small ${glyph}`,
        box: [x + left * size, y + top * size, x + right * size, y + bottom * size],
      };
    }),
    ...strokes
      .filter(([left, top, right, bottom]) => near(bottom - top, 0.5) && right - left > 0.9)
      .map((box): Named => ({ name: 'beam', box })),
    ...strokes
      .filter(([, top, , bottom]) => top === 0 && bottom === 4)
      .map((box): Named => ({ name: 'bar line', box })),
    ...brackets.map(({ from, to, y, text }): Named => {
      const middle = (from + to) / 2;
      const half = text.length * 0.45;
      return { name: `number ${text}`, box: [middle - half, y - 0.55, middle + half, y + 0.55] };
    }),
  ];
}

/** What belongs together and meets by nature: a flag or a beam at its stem, a head beside its neighbour in a chord. */
const TOGETHER = [/beam beam/, /small flag8 small notehead/, /small notehead\w+ small flag8/];

function overlaps(bar: StaffBar): readonly string[] {
  const all = boxesOf(bar);
  return all.flatMap((one, index) =>
    all.slice(index + 1).flatMap((other) => {
      const [left, top, right, bottom] = one.box;
      const [left2, top2, right2, bottom2] = other.box;
      const meet =
        left < right2 - 0.02 &&
        left2 < right - 0.02 &&
        top < bottom2 - 0.02 &&
        top2 < bottom - 0.02;
      if (!meet) return [];
      const pair = `${one.name} ${other.name}`;
      // Heads of a chord stand on both sides of one stem.
      const across = Math.min(right, right2) - Math.max(left, left2);
      const heads = [one, other].every(({ name }) => name.includes('notehead'));
      const chord = heads && across < (pair.includes('Slashed') ? 0.5 : 0.2);
      // A flag hangs from the stem of its own head.
      const stem = other.name.endsWith('Down') ? left : Math.min(right, left + 1.18) - 0.13;
      const own = other.name.startsWith('flag') && isHead(one.name) && near(left2, stem);
      return !chord && !own && !TOGETHER.some((known) => known.test(pair)) ? [pair] : [];
    }),
  );
}

function lanes(
  ...all: readonly (readonly [
    limb: Stroke['limb'],
    of: VoiceId,
    slot: SubdivisionId,
    grid: string,
  ])[]
): Exercise {
  const made = all.map(([limb, of, slot, grid]) => ({ limb, voice: of, slot, grid }));
  const content = { name: 'one', meter: '4/4', swung: false, lanes: made };
  return must(expand({ ...blankRecipe(), over: [{ content }], meter: '4/4' }));
}

/** An exercise with ornaments put on some of its strokes, dynamics and voices at random. */
function adorned(exercise: Exercise, random: readonly number[]): Exercise {
  const pick = (index: number) => random[index % random.length] ?? 0;
  const strokes = exercise.strokes.map((stroke, index): Stroke => {
    const n = pick(index);
    const voices = voicesOf(stroke.limb).map(({ id }) => id);
    return {
      ...stroke,
      ornament: n % 5 === 0 ? ORNAMENTS[n % ORNAMENTS.length] : stroke.ornament,
      dynamic: n % 4 === 1 ? 'ghost' : n % 4 === 2 ? 'accent' : stroke.dynamic,
      voice: n % 3 === 0 ? (voices[n % voices.length] ?? stroke.voice) : stroke.voice,
    };
  });
  return { ...exercise, strokes };
}

const SHIPPED_EXERCISES: readonly (readonly [string, Exercise])[] = [
  ...Object.keys(SHIPPED_OSTINATOS).map(
    (id) => [id, must(expand(toggleOstinato(blankRecipe(), id)))] as const,
  ),
  ...Object.entries(SHIPPED_LINES).map(
    ([id, { text, meter }]) =>
      [id, must(expand({ ...blankRecipe(), meter, play: { content: { text } } }))] as const,
  ),
  ...SHIPPED.flatMap((one) =>
    one.kind === 'sticking' && one.id in SHIPPED_STICKINGS
      ? [[one.id, must(expand({ ...blankRecipe(), play: { content: one.content } }))] as const]
      : [],
  ),
];

describe('a bar of the staff', () => {
  it.each(SHIPPED_EXERCISES)(
    '%s: is read back as it is played; no two signs meet',
    (_, exercise) => {
      expectRead(exercise);
      for (const bar of drawn(exercise)) expect(overlaps(bar)).toEqual([]);
    },
  );

  it('500 random recipes are read back: values fill the bar, onsets and places are the strokes’', () => {
    let rounded = 0;
    fc.assert(
      fc.property(RECIPES, (recipe) => {
        const made = expand(recipe);
        if (!made.ok) return;
        if (isWritable(made.value)) expectRead(made.value);
        else rounded += 1;
      }),
      { numRuns: samples(500) },
    );
    expect(rounded).toBeLessThan(10);
  });

  it('500 random recipes with ornaments, ghosts, accents and any voice: no two signs meet', () => {
    fc.assert(
      fc.property(
        RECIPES,
        fc.array(fc.nat(999), { minLength: 3, maxLength: 20 }),
        (recipe, random) => {
          const made = expand(recipe);
          if (!made.ok) return;
          for (const bar of drawn(adorned(made.value, random))) expect(overlaps(bar)).toEqual([]);
        },
      ),
      { numRuns: samples(500) },
    );
  });

  it('a sextuplet half and a plain half of one beat are written as such', () => {
    const made = lanes(
      ['LH', 'snare', '16t', 'xxx---xxxxxx------xxxxxx'],
      ['RH', 'hat', '8', 'xxxxxxxx'],
    );
    const [bar] = drawn(made);
    const numbers = bar?.brackets.map(({ text, kind }) => `${text} ${kind}`);
    expect(numbers).toEqual(['3 number', '6 number', '6 number']);
    expectRead(made);
  });

  it('a tuplet of which only a part lies under a beam has a bracket', () => {
    const [bar] = drawn(lanes(['LH', 'snare', '8t', 'xx-xxxxxxxxx']));
    expect(bar?.brackets.map(({ text, kind }) => `${text} ${kind}`)).toEqual([
      '3 bracket',
      '3 number',
      '3 number',
      '3 number',
    ]);
  });

  it('a bar is never narrower than what stands in it', () => {
    // A ghost flam a 32nd before the bar line reaches further than the value has room for.
    const last = lanes(['LH', 'snare', '32', `${'-'.repeat(31)}g`]);
    const strokes = last.strokes.map((one): Stroke => ({ ...one, ornament: 'buzz' }));
    for (const exercise of [{ ...last, strokes }, ...SHIPPED_EXERCISES.map(([, one]) => one)]) {
      const shape = shapeBar(exercise, 0);
      const { places, width } = spaceBar(shape, exercise.barTicks);
      const boxes = shape.columns.at(-1)?.boxes ?? [];
      const right = (places.at(-1)?.x ?? 0) + Math.max(0, ...boxes.map((box) => box[2]));
      expect(width).toBeGreaterThanOrEqual(right + 0.9);
    }
  });

  it('both voices rest once: half a bar, a beat, a whole bar', () => {
    const half = lanes(['RH', 'snare', '4', 'xx--'], ['RF', 'bass', '4', 'x---']);
    const restsOf = (one: Exercise) =>
      drawn(one)[0]
        ?.glyphs.filter(({ glyph }) => glyph.startsWith('rest'))
        .map(({ glyph }) => glyph);
    expect(restsOf(half)).toEqual(['restHalf', 'rest4']);
    expect(restsOf({ ...half, strokes: [] })).toEqual(['restWhole']);
  });

  it('neighbours of a chord stand on both sides of the stem, and ghosts among them share parentheses', () => {
    const made = lanes(['RH', 'ride', '4', 'gggg'], ['LH', 'hat', '4', 'gggg']);
    const [bar] = drawn(made);
    const at = (glyph: string) => bar?.glyphs.filter((one) => one.glyph === glyph) ?? [];
    expect(at('noteheadX')).toHaveLength(8);
    expect(at('parenthesisLeft')).toHaveLength(4);
    expect(at('parenthesisLeft')[0]?.size).toBeGreaterThan(1);
  });

  it('an open hi-hat, a half-open one, a rim shot, a ghost, an accent, a flam, a ruff, a roll and a buzz each have a sign', () => {
    const base = lanes(
      ['RH', 'hat-open', '4', 'x---'],
      ['RH', 'hat-half', '4', '-x--'],
      ['LH', 'rim-shot', '4', '--X-'],
    );
    const strokes = base.strokes.map((stroke, index): Stroke => ({
      ...stroke,
      ornament: (['flam', 'ruff', 'roll'] as const)[index],
    }));
    const glyphs = drawn({ ...base, strokes })[0]?.glyphs ?? [];
    const names = glyphs.map(({ glyph, size }) => (size === undefined ? glyph : `small ${glyph}`));
    for (const wanted of [
      'open',
      'halfOpen',
      'noteheadSlashed',
      'accentAbove',
      'small flag8',
      'tremolo3',
    ]) {
      expect(names).toContain(wanted);
    }
    expect(names.filter((name) => name === 'small noteheadX')).toHaveLength(3);
  });

  it('what is silent the first time round has a bracket for the second', () => {
    const cells = must(
      expand({
        ...blankRecipe(),
        play: { content: { text: '8r 4 4 8 4' } },
        as: startOf('phrase-cells'),
      }),
    );
    const [bar] = drawn(cells);
    const over = bar?.brackets.filter(({ kind }) => kind === 'second-time');
    expect(over?.map(({ text }) => text)).toEqual(['2.']);
  });
});

describe('repeatsOf', () => {
  const bars = (...texts: readonly string[]): Exercise =>
    lanes(['LH', 'snare', '16', texts.join('')]);
  const A = 'x---x---x---x---';
  const B = 'x-x-x-x-x-x-x-x-';
  const C = 'xx--xx--xx--xx--';
  it.each([
    [
      [A, B],
      [null, null],
    ],
    [
      [A, A, A, B],
      [null, 1, 1, null],
    ],
    [
      [A, B, A, B],
      [null, null, 'empty', 2],
    ],
    [
      [A, B, A, B, A, C],
      [null, null, 'empty', 2, null, null],
    ],
  ])('%s', (texts, expected) => {
    const exercise = bars(...texts);
    const whole = { ...exercise, bars: texts.length };
    expect(repeatsOf(whole)).toEqual(expected);
  });
});

describe('stickingRow', () => {
  it('has a letter for each hand, two for both, and feet where they share a drum', () => {
    const hands = lanes(
      ['RH', 'snare', '8', 'x-x-x-x-'],
      ['LH', 'snare', '8', '-xx-----'],
      ['RF', 'bass', '4', 'x---'],
      ['LF', 'hat-foot', '4', '-x--'],
    );
    const row = (of: Exercise) => stickingRow(of, 0).map(({ letters }) => letters.join(''));
    expect(row(hands)).toEqual(['R', 'L', 'LR', 'R', 'R']);
    expect(row(lanes(['RF', 'bass', '8', 'x-x-x-x-'], ['LF', 'bass', '8', '-x-x-x-x']))).toEqual([
      ...'rlrlrlrl',
    ]);
  });
});

describe('shapeGraces', () => {
  it('joins several by two beams at the top of their stems, one clear of the other', () => {
    const plain = lanes(['LH', 'snare', '4', 'x---']);
    const strokes = plain.strokes.map((stroke): Stroke => ({ ...stroke, ornament: 'ruff' }));
    const shaped = shapeGraces({ strokes } as unknown as WrittenSign, 0).strokes;
    const beams = shaped.filter(([left, top, right, low]) => right - left > low - top);
    const stems = shaped.filter((one) => !beams.includes(one));
    const [upper, lower] = beams;
    if (!upper || !lower) throw new Error('no beams');
    expect(stems.length).toBeGreaterThan(1);
    for (const [, top, , low] of stems) {
      expect(upper[1]).toBe(top);
      expect(lower[1]).toBeGreaterThan(upper[3] + 0.1);
      expect(lower[3]).toBeLessThan(low - 0.5);
    }
  });
});

describe('leadOf', () => {
  it('grace notes before beat one have room, and more after a repeat sign', () => {
    const plain = lanes(['LH', 'snare', '4', 'x---']);
    const strokes = plain.strokes.map((stroke): Stroke => ({ ...stroke, ornament: 'ruff' }));
    const ruff = shapeBar({ ...plain, strokes }, 0);
    expect(leadOf(ruff)).toBeGreaterThan(leadOf(shapeBar(plain, 0)) + 1);
    expect(leadOf(ruff, true)).toBeGreaterThan(leadOf(ruff));
  });
});
