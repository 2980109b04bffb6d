import { euclid as evenly } from '@tonaljs/rhythm-pattern';
import { describe, expect, it } from 'vitest';
import { must } from '../issue';
import { generateLine, gradeLine, makesSense, onsets, parseLine, soundingTicks } from '../reading';
import { evenPlacement, placementGrid } from '../placement';
import { blankRecipe, expand } from '../recipe';
import { parsePhrase, type Sticking } from '../sticking';
import { barTicks, beats, parseMeter, quarters, slotTicks } from '../time';
import { LINE_SETS, ofKind, SHIPPED, SHIPPED_LINES, SHIPPED_OSTINATOS, SHIPPED_STICKINGS } from '.';
import { LINE_TEXTS } from './data-lines';

const fourFour = must(parseMeter('4/4'));

/** Chance that repeats itself. */
function chance(seed: number): () => number {
  let state = seed;
  return () => {
    state = (state * 16807) % 2147483647;
    return (state - 1) / 2147483646;
  };
}

describe('the shipped library', () => {
  it('has at least 60 ostinatos, 250 lines and the 40 rudiments', () => {
    expect(Object.keys(SHIPPED_OSTINATOS).length).toBeGreaterThanOrEqual(60);
    expect(Object.values(LINE_TEXTS).flat().length).toBeGreaterThanOrEqual(230);
    expect(Object.keys(SHIPPED_STICKINGS).filter((id) => id.startsWith('rudiment-'))).toHaveLength(
      40,
    );
  });

  it('gives every material of a kind a name of its own', () => {
    for (const kind of ['ostinato', 'line', 'sticking'] as const) {
      const names = ofKind(SHIPPED, kind).map((one) => one.name);
      expect(new Set(names).size).toBe(names.length);
    }
  });

  it('no two lines of a meter say the same', () => {
    const said = Object.values(SHIPPED_LINES).map(({ meter, text }) => {
      const line = must(parseLine(text, must(parseMeter(meter))));
      return `${meter} ${line.bars.length} ${onsets(line).map(({ at, sounds }) => `${at}+${sounds}`)}`;
    });
    expect(new Set(said).size).toBe(said.length);
  });

  it.each(LINE_SETS.map((set) => [set.name, set] as const))(
    '%s: from easy to hard, each worth reading, none with two rests in a row',
    (_, { id, meter, count }) => {
      const lines = (LINE_TEXTS[id] ?? []).map((text) =>
        must(parseLine(text, must(parseMeter(meter)))),
      );
      expect(lines).toHaveLength(count);
      // Long notes alone are no rhythm yet; phrases answer each other in time.
      if (id !== 'long') expect(lines.filter((one) => !makesSense(one))).toEqual([]);
      const grades = lines.map(gradeLine);
      expect(grades).toEqual([...grades].sort((a, b) => a - b));
      expect((LINE_TEXTS[id] ?? []).filter((text) => /r \d+r/.test(text))).toEqual([]);
    },
  );

  // What a beginner meets first has nothing off the beat; then each grade brings one new thing.
  it.each([
    ['long', [1]],
    ['eighths', [2]],
    ['quarter-rests', [2]],
    ['rests', [2, 3]],
    ['dotted', [3]],
    ['ties', [3]],
    ['sixteenths', [4]],
    ['sixteenth-ties', [5]],
    ['triplets', [5]],
    ['over-bar', [5]],
    ['quarter-triplets', [6]],
    ['sextuplets', [6]],
    ['fives', [6]],
  ])('%s are of grade %j', (id, grades) => {
    const lines = (LINE_TEXTS[id] ?? []).map((text) => must(parseLine(text, fourFour)));
    for (const line of lines) expect(grades).toContain(gradeLine(line));
  });

  it('shows the beats: groups begin with a sign, and no two signs in a row hide a beat', () => {
    for (const { id, meter: text } of LINE_SETS) {
      const meter = must(parseMeter(text));
      const felt = beats(meter);
      const starts = text === '5/4' ? [quarters(3)] : felt.map(({ at }) => at);
      for (const one of LINE_TEXTS[id] ?? []) {
        const line = must(parseLine(one, meter));
        line.bars.forEach((bar, nth) => {
          const from = nth * barTicks(meter);
          if (meter.unit === 8 || text === '5/4') {
            const signs = bar.map(({ at }) => at - from);
            for (const start of starts) expect(signs, `${id}: ${one}`).toContain(start);
          }
          const hides = bar.map(({ at, value }) => {
            const beat = felt.findLast((each) => each.at <= at - from);
            const ends = at - from + soundingTicks(value);
            return beat !== undefined && beat.at < at - from && ends > beat.at + beat.ticks;
          });
          const twice = hides.findIndex((hidden, index) => hidden && hides[index + 1]);
          // A phrase may start off the beat, and go on so to its end.
          if (id !== 'rests' && id !== 'over-bar') expect(twice, `${id}: ${one}`).toBe(-1);
        });
      }
    }
  });

  it('below grade 3 whatever is off a beat follows a note or a rest on it, in 4/4', () => {
    const easy = Object.values(SHIPPED_LINES).filter((one) => one.grade < 3 && one.meter === '4/4');
    expect(easy.length).toBeGreaterThan(30);
    expect(Object.values(SHIPPED_LINES)[1]?.grade).toBeLessThan(3);
    for (const { text } of easy) {
      const places = new Set<number>(onsets(must(parseLine(text, fourFour))).map(({ at }) => at));
      const off = [...places].filter((at) => at % quarters(1) !== 0);
      for (const at of off) expect(places, text).toContain(at - (at % quarters(1)));
    }
  });

  it('stickings can be read and fill whole beats, or make a cycle that is shown whole', () => {
    for (const { content } of ofKind(SHIPPED, 'sticking')) {
      expect(expand({ ...blankRecipe(), play: { content: content as Sticking } })).toMatchObject({
        ok: true,
      });
    }
  });
});

describe('the rudiments (Percussive Arts Society, from memory)', () => {
  const letters = (id: string) => SHIPPED_STICKINGS[id]?.sticking.replace(/[^RL]/g, '') ?? '';

  it.each([
    ['rudiment-7', 5],
    ['rudiment-8', 6],
    ['rudiment-9', 7],
    ['rudiment-10', 9],
    ['rudiment-11', 10],
    ['rudiment-12', 11],
    ['rudiment-13', 13],
    ['rudiment-14', 15],
    ['rudiment-15', 17],
  ])('%s has %i strokes to a side', (id, strokes) => {
    const sides = id === 'rudiment-7' || id === 'rudiment-10' ? 2 : 1;
    expect(letters(id)).toHaveLength(strokes * sides);
  });

  it('rolls are doubles up to their accents', () => {
    for (const id of ['rudiment-12', 'rudiment-13', 'rudiment-14', 'rudiment-15']) {
      const doubles = letters(id).slice(0, -1);
      expect(doubles).toMatch(/^(RRLL)+(RR)?$/);
    }
  });

  it.each([
    ['rudiment-16', 'RLRRLRLL'],
    ['rudiment-17', 'RLRLRRLRLRLL'],
    ['rudiment-18', 'RLRLRLRRLRLRLRLL'],
    ['rudiment-19', 'RLRRLLRLRRLL'],
  ])('%s is %s', (id, sticking) => expect(letters(id)).toBe(sticking));

  it('flams, drags and ruffs are written before their stroke', () => {
    const flam = must(parsePhrase(SHIPPED_STICKINGS['rudiment-24']?.sticking ?? '', '16'));
    expect(flam.slots[0]).toMatchObject({ letter: 'R', ornament: 'flam', accent: true });
  });
});

describe('generateLine', () => {
  const meter = must(parseMeter('4/4'));

  it('makes whole bars that make sense, the same for the same chance', () => {
    for (const set of LINE_SETS) {
      const wish = { ...set, meter: must(parseMeter(set.meter)) };
      const made = generateLine(wish, chance(set.seed));
      expect(made).toBe(generateLine(wish, chance(set.seed)));
      expect(makesSense(must(parseLine(made ?? '', wish.meter)))).toBe(true);
    }
  });

  it('says when nothing fits', () => {
    expect(generateLine({ meter, bars: 1, figures: ['4.'], overBar: 0 }, chance(1))).toBeNull();
  });
});

describe('gradeLine (common practice, no source)', () => {
  it('quarters < 8ths < dotted against the beat < 16ths with rests', () => {
    const grade = (text: string) => gradeLine(must(parseLine(text, must(parseMeter('4/4')))));
    const grades = ['4 4 4 4', '4 8 8 4 4', '4. 4 8 4', '16r 8. 16r 8. 4 4'].map(grade);
    expect(grades).toEqual([...grades].sort((a, b) => a - b));
    expect(new Set(grades).size).toBe(4);
  });
});

describe('Euclidean rhythms (Toussaint 2005), against the rhythm-pattern library', () => {
  const euclid = (steps: number, beats: number) =>
    evenly(steps, beats)
      .map((one) => (one ? 'x' : '-'))
      .join('');
  const turns = (grid: string) => [...grid].map((_, by) => grid.slice(by) + grid.slice(0, by));

  it('E(3,8) and E(5,8) are x--x--x- and x-xx-xx-', () => {
    expect(placementGrid(evenPlacement(3, 8), 8, 'normal')).toBe('x--x--x-');
    expect(placementGrid(evenPlacement(5, 8), 8, 'normal')).toBe('x-xx-xx-');
  });

  it('every other one up to 16 slots is theirs, up to a rotation', () => {
    for (let slots = 1; slots <= 16; slots += 1) {
      for (let notes = 1; notes <= slots; notes += 1) {
        const ours = placementGrid(evenPlacement(notes, slots), slots, 'normal');
        expect(turns(euclid(slots, notes))).toContain(ours);
      }
    }
  });

  it('the baião foot is E(3,8); clave feet are as even as any five of sixteen', () => {
    const bass = SHIPPED_OSTINATOS['baiao-feet']?.lanes[0]?.grid ?? '';
    expect(turns(euclid(8, 3))).toContain(bass);
    const bossa = SHIPPED_OSTINATOS['bossa-clave']?.lanes[0]?.grid ?? '';
    expect(turns(euclid(16, 5))).toContain(bossa);
  });

  it('their places are those of a lane', () => {
    const grid = euclid(8, 3);
    const over = [
      {
        content: {
          name: 'E(3,8)',
          meter: '4/4',
          swung: false,
          lanes: [{ limb: 'RF' as const, voice: 'bass' as const, slot: '16' as const, grid }],
        },
      },
    ];
    const exercise = must(expand({ ...blankRecipe(), over }));
    const places = exercise.strokes.map((one) => one.at / slotTicks('16')).slice(0, 3);
    expect(places).toEqual([0, 3, 6]);
  });
});
