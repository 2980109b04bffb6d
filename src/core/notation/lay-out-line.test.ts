import { describe, expect, it } from 'vitest';
import { seeded } from '../chance';
import { must } from '../issue';
import { SHIPPED } from '../materials';
import { parseLine, type ReadingLine } from '../reading';
import { parseMeter } from '../time';
import { GLYPHS, type Box } from './glyphs';
import { layOutLine, type BarLayout } from './lay-out-line';

function lineOf(text: string, meter = '4/4'): ReadingLine {
  return must(parseLine(text, must(parseMeter(meter))));
}

function barOf(text: string, meter?: string): BarLayout {
  const [bar] = layOutLine(lineOf(text, meter), { opens: false });
  if (!bar) throw new Error('no bar');
  return bar;
}

/** What a reader takes from the drawn bar alone, in 32nds: each head or rest with its flags or the beams over its
 * stem, its dots, and the number over it. Shares no code with the layout. */
function readBack({ glyphs, strokes, tuplets, ties, places }: BarLayout): readonly string[] {
  const plain: Record<string, number> = {
    noteheadWhole: 32,
    noteheadHalf: 16,
    noteheadBlack: 8,
    restWhole: 32,
    restHalf: 16,
    rest4: 8,
    rest8: 4,
    rest16: 2,
    rest32: 1,
  };
  const heads = glyphs.filter(({ glyph }) => glyph in plain).sort((a, b) => a.x - b.x);
  expect(heads.map(({ x }) => x)).toEqual(places);
  return heads.map(({ glyph, x }, index) => {
    const to = heads[index + 1]?.x ?? Infinity;
    const stem = strokes.find(([left, , right, bottom]) => {
      return left >= x && right < x + 1.3 && right - left < 0.2 && bottom < 0;
    });
    const flag = glyphs.find((one) => one.glyph.startsWith('flag') && one.x > x && one.x < x + 1.3);
    const beams = strokes.filter(([left, , right, bottom]) => {
      return stem && right - left > 0.9 && bottom < -1 && left <= stem[0] && right >= stem[2];
    });
    const shorter = flag ? Math.log2(Number(flag.glyph.slice(4)) / 4) : beams.length;
    const dots = glyphs.filter((one) => one.glyph === 'dot' && one.x > x && one.x < to).length;
    const dotted = dots === 0 ? 1 : dots === 1 ? 1.5 : 1.75;
    const over = tuplets.find(({ from, to: end }) => x >= from && x < end);
    const tied = ties.some(({ from }) => from > x && from < x + 1.3);
    const length = ((plain[glyph] ?? NaN) / 2 ** shorter) * dotted;
    return `${glyph.startsWith('rest') ? 'r' : ''}${length}${over ? ` in ${over.number}` : ''}${tied ? '~' : ''}`;
  });
}

/** What was written, in the same words. */
function written(line: ReadingLine, bar: number): readonly string[] {
  return (line.bars[bar] ?? []).map(({ kind, value: { base, dots, tuplet }, tied }) => {
    const dotted = dots === 0 ? 1 : dots === 1 ? 1.5 : 1.75;
    const length = (32 / base) * dotted;
    return `${kind === 'rest' ? 'r' : ''}${length}${tuplet ? ` in ${tuplet.played}` : ''}${tied ? '~' : ''}`;
  });
}

function boxesOf({ glyphs, strokes }: BarLayout) {
  const signs = glyphs.map(({ glyph, x, y }) => {
    const [left, top, right, bottom] = GLYPHS[glyph];
    return { name: glyph as string, box: [x + left, y + top, x + right, y + bottom] as Box };
  });
  const lines = strokes.filter(([left, top, right]) => top === -1 && right - left < 0.6);
  return [...signs, ...lines.map((box) => ({ name: 'bar line', box }))];
}

/** Pairs of signs whose boxes meet. A flag hangs from its own stem, over its own head. */
function overlaps(bar: BarLayout): readonly string[] {
  const all = boxesOf(bar);
  return all.flatMap((one, index) =>
    all.slice(index + 1).flatMap((other) => {
      const [left, top, right, bottom] = one.box;
      const [left2, top2, right2, bottom2] = other.box;
      const meet = left < right2 && left2 < right && top < bottom2 && top2 < bottom;
      const own = other.name.startsWith('flag') && Math.abs(left2 - right) < 0.2;
      return meet && !own ? [`${one.name} ${other.name}`] : [];
    }),
  );
}

const LINES: readonly (readonly [string, ReadingLine])[] = [
  ...SHIPPED.flatMap((one) =>
    one.kind === 'line' ? [[one.id, lineOf(one.content.text, one.meter ?? '4/4')] as const] : [],
  ),
];

const RANDOM = Array.from({ length: 500 }, (_, seed) => {
  const random = seeded(seed);
  const meters = ['2/4', '3/4', '4/4', '5/4', '6/8', '7/8', '12/8'];
  const meter = meters[seed % meters.length] ?? '4/4';
  return [`seed ${seed}, ${meter}`, randomLine(meter, random)] as const;
});

/** Values at random that fill two bars, tuplets, ties and rests among them. */
function randomLine(meter: string, random: () => number): ReadingLine {
  const [count = 4, unit = 4] = meter.split('/').map(Number);
  const bar = () => {
    let left = (count * 32) / unit;
    const texts: string[] = [];
    while (left > 0) {
      const known = [
        ['1', 32],
        ['2.', 24],
        ['2', 16],
        ['4..', 14],
        ['4.', 12],
        ['4', 8],
        ['8.', 6],
        ['8', 4],
        ['16', 2],
        ['32', 1],
        ['3(8 8 8)', 8],
        ['3(4 8r)', 8],
        ['5(16 16 16 16 16)', 8],
      ] as const;
      const fit = known.filter(
        ([text, length]) => length <= left && (unit === 4 || !text.includes('(')),
      );
      const [text, length] = fit[Math.floor(random() * fit.length)] ?? ['32', 1];
      const mark = text.includes('(') ? '' : random() < 0.2 ? 'r' : '';
      texts.push(`${text}${mark}`);
      left -= length;
    }
    return texts.join(' ');
  };
  return lineOf(`${bar()} | ${bar()}`, meter);
}

describe('layOutLine', () => {
  it.each([
    ['4. 4 8 4', '4/4', ['12', '8', '4', '8']],
    ['8. 16 4~ 4 8r 8', '4/4', ['6', '2', '8~', '8', 'r4', '4']],
    ['3(8 8 8) 4 3(4 8) 4', '4/4', ['4 in 3', '4 in 3', '4 in 3', '8', '8 in 3', '4 in 3', '8']],
    ['16 16 8 4. 8 8', '6/8', ['2', '2', '4', '12', '4', '4']],
  ])('%s in %s reads as it is written', (text, meter, values) => {
    expect(readBack(barOf(text, meter))).toEqual(values.filter((_, at) => at < 99));
  });

  it.each([...LINES, ...RANDOM])(
    '%s: values are read back from the drawing, nothing overlaps',
    (_, line) => {
      layOutLine(line).forEach((bar, index) => {
        expect(readBack(bar)).toEqual(written(line, index));
        expect(overlaps(bar)).toEqual([]);
        for (const { box } of boxesOf(bar)) {
          expect(box[0]).toBeGreaterThanOrEqual(0);
          expect(box[2]).toBeLessThanOrEqual(bar.width + 0.001);
        }
      });
    },
  );

  it('a longer note takes more room, whatever stands around it', () => {
    const { places, width } = barOf('2 4 8 16 16');
    const spaces = places.map((place, index) => (places[index + 1] ?? width) - place);
    expect(spaces.slice(0, 4)).toEqual([...spaces.slice(0, 4)].sort((a, b) => b - a));
    expect(new Set(spaces.slice(0, 4)).size).toBe(4);
  });

  it('beams go no further than the beat, and not over a rest', () => {
    const beams = (text: string, meter?: string) =>
      barOf(text, meter).strokes.filter(([left, top, right]) => top === -3.5 && right - left > 0.9);
    expect(beams('8 8 8 8 8 8 8 8')).toHaveLength(4);
    expect(beams('8 8 8 8 8 8', '6/8')).toHaveLength(2);
    expect(beams('8 8 8 8 8 8 8', '7/8 2+2+3')).toHaveLength(3);
    expect(beams('8 8 8 8 8 8 8', '7/8 3+2+2')).toHaveLength(3);
    expect(beams('8 8r 8 8 2')).toHaveLength(1);
  });

  it('a tie goes over the bar line, and comes in again after it', () => {
    const [one, two] = layOutLine(lineOf('2 2~ | 2 2'));
    expect(one?.ties).toEqual([{ from: expect.any(Number) as number, to: one?.width }]);
    expect(two?.ties).toEqual([{ from: 0, to: expect.any(Number) as number }]);
  });

  it('bars of a page are of one width, the meter aside', () => {
    const bars = layOutLine(lineOf('1 | 16 16 16 16 4 4 4 | 4 4 4 4 | 2 2'), {
      opens: false,
      even: true,
    });
    const widths = bars.slice(0, 3).map(({ width }) => Math.round(width * 1000));
    expect(new Set(widths).size).toBe(1);
  });
});
