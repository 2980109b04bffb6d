import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { must } from '../issue';
import {
  barTicks,
  beats,
  bpm,
  countMark,
  countSigns,
  usualSwing,
  SYLLABLES,
  beatOf,
  formatMeter,
  parseBpm,
  parseMeter,
  quarters,
  secondsToTicks,
  SUBDIVISIONS,
  formatFeel,
  parseFeel,
  swungTicks,
  unwrittenSwing,
  writtenSwing,
  tempoFor,
  tempoOfTaps,
  tick,
  ticksToSeconds,
  TICKS_PER_QUARTER,
  wrap,
} from '.';
import { ENGLISH, sayTempoNote } from '@/words';

const fourFour = must(parseMeter('4/4'));

describe('tick', () => {
  it('holds every subdivision of a quarter and of a dotted quarter exactly', () => {
    for (const parts of [2, 3, 4, 5, 6, 7, 8, 9, 12]) {
      expect(TICKS_PER_QUARTER % parts).toBe(0);
      expect(((TICKS_PER_QUARTER * 3) / 2) % parts).toBe(0);
    }
    for (const { slotTicks } of SUBDIVISIONS) expect(Number.isInteger(slotTicks)).toBe(true);
  });

  it('refuses fractions', () => {
    expect(() => tick(0.5)).toThrow(RangeError);
  });

  it('wraps into the cycle from either side', () => {
    fc.assert(
      fc.property(fc.integer({ min: -999, max: 999 }), fc.integer({ min: 1, max: 99 }), (at, n) => {
        const wrapped = wrap(at, n);
        return wrapped >= 0 && wrapped < n && (at - wrapped) % n === 0;
      }),
    );
  });
});

describe('parseMeter', () => {
  it.each([
    ['4/4', [4]],
    ['5/4', [3, 2]],
    ['5/4 2+3', [2, 3]],
    ['7/8', [2, 2, 3]],
    ['7/8 3+2+2', [3, 2, 2]],
    ['12/8', [3, 3, 3, 3]],
  ])('%s groups as %j', (text, grouping) => {
    const meter = must(parseMeter(text));
    expect(meter.grouping).toEqual(grouping);
    expect(must(parseMeter(formatMeter(meter)))).toEqual(meter);
  });

  it.each([
    ['4/5', 'meter'],
    ['waltz', 'meter'],
    ['0/4', 'meter'],
    ['7/8 2+2+2', 'grouping'],
  ])('%s is refused as %s', (text, code) => {
    expect(parseMeter(text)).toMatchObject({ ok: false, issues: [{ code }] });
  });
});

describe('beats', () => {
  it('are quarters in 5/4 and groups in 7/8', () => {
    expect(beats(must(parseMeter('5/4'))).map((b) => [b.at / quarters(1), b.group])).toEqual([
      [0, true],
      [1, false],
      [2, false],
      [3, true],
      [4, false],
    ]);
    expect(beats(must(parseMeter('7/8'))).map((b) => b.at / quarters(1, 2))).toEqual([0, 2, 4]);
  });

  it('fill the bar', () => {
    for (const text of ['2/4', '3/4', '4/4', '5/4', '6/8', '7/8 3+2+2', '9/8', '12/8', '3/8']) {
      const meter = must(parseMeter(text));
      expect(beats(meter).reduce((sum, beat) => sum + beat.ticks, 0)).toBe(barTicks(meter));
    }
  });
});

describe('tempo', () => {
  it('two quarters at 70 last 1714 ms (worked by hand: 2 · 60000 / 70)', () => {
    const seconds = ticksToSeconds(quarters(2), tempoFor(fourFour, bpm(70)));
    expect(Math.round(seconds * 1000)).toBe(1714);
  });

  it('counts dotted quarters in 6/8 and 12/8', () => {
    for (const text of ['6/8', '12/8']) {
      expect(sayTempoNote(ENGLISH, tempoFor(must(parseMeter(text)), bpm(60)))).toBe(
        'dotted quarter',
      );
    }
    expect(sayTempoNote(ENGLISH, tempoFor(must(parseMeter('7/8')), bpm(60)))).toBe('quarter');
  });

  it.each(['19', '401', 'fast', '', '-60', 'Infinity'])('refuses “%s”', (text) => {
    expect(parseBpm(text)).toMatchObject({ ok: false, issues: [{ code: 'tempo', text }] });
  });

  it('seconds and ticks undo each other', () => {
    fc.assert(
      fc.property(fc.integer({ min: 20, max: 400 }), fc.nat(10 ** 7), (beatsPerMinute, ticks) => {
        const tempo = tempoFor(fourFour, bpm(beatsPerMinute));
        return Math.abs(secondsToTicks(ticksToSeconds(ticks, tempo), tempo) - ticks) < 1e-6;
      }),
    );
  });
});

describe('tempoOfTaps', () => {
  it('takes the median of the last taps', () => {
    expect(tempoOfTaps([0, 500, 1000, 1490, 2000])).toBe(120);
    expect(tempoOfTaps([0, 500, 1600, 2100, 2600])).toBe(120);
  });

  it('starts anew after a pause and needs two taps', () => {
    expect(tempoOfTaps([0, 500, 9000, 10000])).toBe(60);
    expect(tempoOfTaps([0])).toBeNull();
    expect(tempoOfTaps([0, 100])).toBeNull();
  });
});

describe('feels', () => {
  it.each([
    ['straight', 'straight'],
    ['2:1', 'swung 2:1'],
    ['triplets', 'swung in triplets'],
    ['swung in triplets', 'swung in triplets'],
    ['swung 3:2', 'swung 3:2'],
    ['swung 8ths 5:3', 'swung 5:3'],
  ])('%s is %s, and reads back', (text, expected) => {
    const feel = must(parseFeel(text));
    expect(formatFeel(feel)).toBe(expected);
    expect(must(parseFeel(expected))).toEqual(feel);
  });

  it.each(['', 'swung', '2', '0:1', '2:10', 'shuffle'])('refuses “%s”', (text) => {
    expect(parseFeel(text)).toMatchObject({ ok: false, issues: [{ code: 'feel', text }] });
  });
});

describe('writtenSwing', () => {
  const feel = { kind: 'triplets' } as const;

  it('puts the "&" of 8ths on the last triplet; in 16ths "e" and "a" on that of their half beat', () => {
    expect(writtenSwing(quarters(1, 2), feel, fourFour)).toBe(quarters(2, 3));
    expect(writtenSwing(quarters(7, 2), feel, fourFour)).toBe(quarters(11, 3));
    const sixteenths = [0, 1, 2, 3].map((n) => writtenSwing(quarters(n, 4), feel, fourFour, '16'));
    expect(sixteenths.map((at) => at / quarters(1, 6))).toEqual([0, 2, 3, 5]);
  });

  it('leaves beats, tuplets, finer grids, and all that is straight', () => {
    for (const at of [quarters(0), quarters(1, 3), quarters(1, 8), quarters(3)]) {
      expect(writtenSwing(at, feel, fourFour)).toBe(at);
    }
    expect(writtenSwing(quarters(1, 2), feel, fourFour, 'none')).toBe(quarters(1, 2));
    expect(writtenSwing(quarters(1, 2), { kind: 'straight' }, fourFour)).toBe(quarters(1, 2));
  });

  it('in meters of 8ths only 16ths swing', () => {
    const sixEight = must(parseMeter('6/8'));
    const at = [0, 1, 2, 3].map((n) => writtenSwing(quarters(n, 4), feel, sixEight, '16'));
    expect(at).toEqual([0, quarters(1, 3), quarters(1, 2), quarters(5, 6)]);
  });

  it('is undone by unwrittenSwing, and written where a swing of 2:1 sounds', () => {
    const heard = { kind: 'swung', long: 2, short: 1 } as const;
    for (const meter of [fourFour, must(parseMeter('6/8'))]) {
      for (const of of [undefined, '16', 'none'] as const) {
        for (let slot = 0; slot < 32; slot += 1) {
          const at = quarters(slot, 8);
          const written = writtenSwing(at, feel, meter, of);
          expect(unwrittenSwing(written, feel, meter, of)).toBe(at);
          expect(written).toBe(swungTicks(at, heard, meter, of));
        }
      }
    }
  });
});

describe('swungTicks', () => {
  it('keeps places distinct, in order and inside their beat, at every ratio', () => {
    const grids = [
      [2, undefined],
      [4, '16'],
      [8, 'none'],
      [3, 'none'],
      [5, 'none'],
      [6, 'none'],
    ] as const;
    for (let long = 1; long <= 9; long += 1) {
      for (let short = 1; short <= 9; short += 1) {
        for (const [parts, of] of grids) {
          const feel = { kind: 'swung', long, short } as const;
          const heard = Array.from({ length: parts }, (_, n) =>
            swungTicks(quarters(n, parts), feel, fourFour, of),
          );
          heard.forEach((at, n) => expect(at).toBeGreaterThan(heard[n - 1] ?? -1));
          expect(heard[0]).toBe(0);
          expect(heard.at(-1)).toBeLessThan(quarters(1));
        }
      }
    }
  });
});

describe('countMark (common practice, no source)', () => {
  const bar = (slots: number, meter = fourFour) =>
    Array.from({ length: slots }, (_, i) => countMark((barTicks(meter) / slots) * i, meter).text);

  it('counts 16ths, triplets and 8ths', () => {
    expect(bar(16).join(' ')).toBe('1 e & a 2 e & a 3 e & a 4 e & a');
    expect(bar(12).join(' ')).toBe('1 trip let 2 trip let 3 trip let 4 trip let');
    expect(bar(7, must(parseMeter('7/8'))).join(' ')).toBe('1 2 3 4 5 6 7');
  });

  it('counts 32nds, fives and sevens through their beat: no two of a beat are alike', () => {
    expect(bar(32).slice(0, 8).join(' ')).toBe('1 2/8 e 4/8 & 6/8 a 8/8');
    for (const parts of [5, 7, 8, 9]) {
      for (let beat = 0; beat < 4; beat += 1) {
        const marks = bar(4 * parts).slice(beat * parts, (beat + 1) * parts);
        expect(new Set(marks).size).toBe(parts);
      }
    }
  });

  it('no two of a counted note are said alike, in any grid, meter and system', () => {
    for (const [id, system] of Object.entries(SYLLABLES)) {
      for (const text of ['4/4', '2/2', '6/8', '7/8', '12/8']) {
        const meter = must(parseMeter(text));
        const unit = barTicks(meter) / meter.count;
        const counted = Array.from({ length: meter.count }, (_, nth) => ({
          at: nth * unit,
          ticks: unit,
        }));
        const felt = system.beat === null ? [] : beats(meter);
        // Triplets that are called as halves are told from them by their grid alone.
        const shares = system.triplets.some((one) =>
          system.sixteenths.some((other) => one === other),
        );
        for (const parts of shares ? [2, 3, 4, 5, 7, 8, 9] : [2, 3, 4, 5, 6, 7, 8, 9, 12]) {
          for (const note of [...counted, ...felt.filter(({ ticks }) => ticks / unit === parts)]) {
            const places = Array.from(
              { length: parts },
              (_, nth) => note.at + (nth * note.ticks) / parts,
            );
            const marks = places
              .filter(Number.isInteger)
              .map((at) => countMark(at, meter, system).text);
            const said = `${id} ${text} ${parts}: ${marks.join(' ')}`;
            expect(new Set(marks).size, said).toBe(marks.length);
          }
        }
      }
    }
  });

  it.each([
    ['english', '4/4', 24, '1 trip let & trip let'],
    ['english', '4/4', 20, '1 2 3 4 5'],
    ['english', '4/4', 28, '1 2 3 4 5 6 7'],
    ['english', '4/4', 32, '1 · e · & · a ·'],
    ['english-and', '4/4', 24, '1 2 3 4 5 6'],
    ['german', '4/4', 16, '1 e und de'],
    ['takadimi', '4/4', 20, 'ta ka di mi ti'],
    ['takadimi', '6/8', 6, 'ta ki da'],
    ['takadimi', '6/8', 12, 'ta va ki di da ma'],
    ['takadimi', '4/4', 12, 'ta ki da'],
  ] as const)('%s in %s, %i to the bar, stands as %s', (system, text, slots, signs) => {
    const meter = must(parseMeter(text));
    const columns = Array.from({ length: slots }, (_, nth) => (nth * barTicks(meter)) / slots);
    const marks = countSigns(columns, meter, SYLLABLES[system]).map(({ sign }) => sign);
    expect(marks.slice(0, signs.split(' ').length).join(' ')).toBe(signs);
  });

  it('names a place with its beat', () => {
    expect(beatOf(quarters(7, 4), fourFour)).toEqual({ beat: 2, mark: 'a' });
    expect(beatOf(quarters(2), fourFour)).toEqual({ beat: 3, mark: null });
  });
});

describe('the usual swing (Friberg & Sundström 2002, from memory)', () => {
  it.each([
    [60, '7:2'],
    [100, '7:2'],
    [140, '3:1'],
    [180, '5:2'],
    [220, '2:1'],
    [260, '3:2'],
    [300, null],
    [340, null],
  ])('at %i quarters a minute is %s', (quartersAMinute, ratio) => {
    const usual = usualSwing(quartersAMinute);
    expect(usual && `${usual.long}:${usual.short}`).toBe(ratio);
  });

  it('never gets more uneven as it gets faster', () => {
    const ratios = Array.from({ length: 40 }, (_, nth) => {
      const usual = usualSwing(40 + nth * 10);
      return usual ? usual.long / usual.short : 1;
    });
    expect(ratios).toEqual(ratios.toSorted((a, b) => b - a));
  });
});
