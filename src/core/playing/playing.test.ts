import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { ENGLISH, sayCall, sayChanges } from '@/words';
import { must } from '../issue';
import { blankRecipe, editByHand, expand, startOf, toggleOstinato } from '../recipe';
import { quarters, bpm, tempoFor } from '../time';
import { seeded } from '../chance';
import {
  callBars,
  eventsBetween,
  partAt,
  positionAt,
  changesAt,
  readClickBars,
  scoreOf,
  type Score,
} from '.';

const exercise = must(
  expand({
    ...toggleOstinato(blankRecipe(), 'hats-2-4'),
    play: { content: { text: '8r 4 4 8 4' } },
    as: startOf('phrase-cells'),
  }),
);

function strokes(score: Score, from: number, to: number) {
  return eventsBetween(score, from, to).filter((event) => event.kind === 'stroke');
}

describe('eventsBetween', () => {
  it('counts in with clicks alone, also with the click off', () => {
    const quiet = scoreOf(exercise, { click: 'off' });
    const before = eventsBetween(quiet, -quarters(4), 0);
    expect(before.map((e) => [e.kind, e.at / quarters(1)])).toEqual([
      ['click', -4],
      ['click', -3],
      ['click', -2],
      ['click', -1],
    ]);
    expect(eventsBetween(quiet, 0, quarters(4)).some((e) => e.kind === 'click')).toBe(false);
  });

  it.each([
    ['beats', '0 1 2 3 | 0 1 2 3 | 0 1 2 3 | 0 1 2 3'],
    ['second beats', '1 3 | 1 3 | 1 3 | 1 3'],
    ['pulse', '0 1 2 3 | 0 1 2 3 | 0 1 2 3 | 0 1 2 3'],
    ['off', ' |  |  | '],
  ] as const)('clicks on %s, after a full count-in', (click, expected) => {
    const score = scoreOf(exercise, { click, bars: 4 });
    const at = (from: number, to: number) =>
      eventsBetween(score, from, to)
        .filter((event) => event.kind === 'click')
        .map((event) => (event.at - from) / quarters(1));
    expect(at(-quarters(4), 0)).toEqual([0, 1, 2, 3]);
    const bars = [0, 1, 2, 3].map((bar) => at(bar * quarters(4), (bar + 1) * quarters(4)));
    expect(bars.map((bar) => bar.join(' ')).join(' | ')).toBe(expected);
  });

  it('sounds in the bars that a pattern says, over and over, after a full count-in', () => {
    const score = scoreOf(exercise, { clickBars: 'x--', bars: 6 });
    const bars = Array.from({ length: 7 }, (_, index) => index - 1).map((bar) => {
      const found = eventsBetween(score, bar * quarters(4), (bar + 1) * quarters(4));
      return found.filter((event) => event.kind === 'click').length;
    });
    expect(bars).toEqual([4, 4, 0, 0, 4, 0, 0]);
  });

  it.each([
    ['x x - -', 'xx--'],
    ['X-', 'x-'],
    ['', ''],
    ['---', null],
    ['x2', null],
    ['x'.repeat(17), null],
  ])('a pattern of bars typed as “%s” is read as %s', (typed, bars) => {
    expect(readClickBars(typed)).toBe(bars);
  });

  it.each([
    ['4/4', 1, '0 2 4 6'],
    ['4/4', 2, '0 1 2 3 4 5 6 7'],
    ['4/4', 3, '0 0.67 1.33 2 2.67 3.33 4 4.67 5.33 6 6.67 7.33'],
    ['6/8', 3, '0 1 2 3 4 5'],
    ['7/8', 2, '0 1 2 3 4 5 6'],
  ] as const)(
    'in %s, %i to the shortest beat, falls on these 8ths: %s',
    (meter, parts, expected) => {
      const made = must(expand({ ...blankRecipe(), meter, play: { content: { text: '8' } } }));
      const score = scoreOf(made, { parts, bars: 1, accents: false });
      const found = eventsBetween(score, 0, made.barTicks).filter((one) => one.kind === 'click');
      const eighths = found.map((one) => Math.round((200 * one.at) / quarters(1)) / 100);
      expect(eighths.join(' ')).toBe(expected);
      expect(new Set(found.map((one) => one.kind === 'click' && one.level))).toEqual(
        new Set(parts === 1 ? ['beat'] : ['beat', 'part']),
      );
    },
  );

  it('leaves the tail out the first time round only', () => {
    const score = scoreOf(exercise);
    const bar = exercise.barTicks;
    expect(strokes(score, bar, 2 * bar).length - strokes(score, 0, bar).length).toBe(2);
  });

  it('stops at its length and mutes limbs', () => {
    const two = scoreOf(exercise, { bars: 2, muted: new Set(['LF']) });
    expect(Math.max(...eventsBetween(two, 0, Infinity).map((e) => e.at))).toBeLessThan(quarters(8));
    expect(strokes(two, 0, Infinity).some((e) => e.kind === 'stroke' && e.limb === 'LF')).toBe(
      false,
    );
  });

  it('cut anywhere, gives the same events', () => {
    const score = scoreOf(exercise, { bars: 3 });
    const whole = eventsBetween(score, -quarters(4), Infinity);
    fc.assert(
      fc.property(fc.array(fc.integer({ min: -80640, max: 300000 }), { maxLength: 6 }), (cuts) => {
        const edges = [-quarters(4), ...cuts.sort((a, b) => a - b), 400000];
        const parts = edges.slice(1).flatMap((to, i) => eventsBetween(score, edges[i] ?? 0, to));
        expect(parts).toEqual(whole);
      }),
    );
  });

  it('swings in sound', () => {
    const swung = must(expand(toggleOstinato(blankRecipe(), 'jazz-ride')));
    const ride = strokes(scoreOf(swung, { click: 'off' }), 0, quarters(2)).map(
      (e) => e.at / quarters(1),
    );
    expect(ride.map((n) => Math.round(n * 1000) / 1000)).toEqual([0, 1, 1, 1.667]);
  });
});

describe('how strokes sound', () => {
  const groove = toggleOstinato(blankRecipe(), 'rock-8ths');

  /** The first bass drum of the groove, with a change by hand. */
  function firstBass(change: object, more: object = {}) {
    const plain = must(expand(groove));
    const from = plain.strokes.find((one) => one.voice === 'bass');
    if (!from) throw new Error('no bass drum');
    const { at, limb, voice, dynamic } = from;
    const to = { at, limb, voice, dynamic, ornament: null, ...change };
    const edited = { ...editByHand(groove, plain, [{ from, to }]), ...more };
    return strokes(scoreOf(must(expand(edited))), 0, quarters(1, 2)).filter(
      (event) => event.kind === 'stroke' && event.voice === 'bass',
    );
  }

  it('a diddle is two in its slot, a roll 32nds through it', () => {
    expect(firstBass({ ornament: 'diddle' }).map((event) => event.at)).toEqual([0, quarters(1, 2)]);
    expect(firstBass({ ornament: 'roll' })).toHaveLength(8);
    expect(firstBass({ ornament: 'flam' })).toMatchObject([{ at: 0, ornament: 'flam' }]);
  });

  it('grace notes keep the distance that was set for them', () => {
    const width = { kind: 'grace-width', ms: 60 } as const;
    const plain = must(expand(groove));
    const from = plain.strokes.find((one) => one.voice === 'snare');
    if (!from) throw new Error('no snare');
    const { at, limb, voice, dynamic } = from;
    const flam = { at, limb, voice, dynamic, ornament: 'flam' as const };
    const edited = editByHand(groove, plain, [{ from, to: flam }]);
    const apart = (changes: (typeof edited)['changes']) =>
      strokes(scoreOf(must(expand({ ...edited, changes }))), 0, quarters(4)).flatMap((event) =>
        event.kind === 'stroke' && event.ornament === 'flam' ? [event.graceMs] : [],
      );
    expect(apart(edited.changes)).toEqual([undefined]);
    expect(apart([...edited.changes, width])).toEqual([60]);
  });

  it('a texture changes level and pitch, a style the level of each voice', () => {
    expect(firstBass({})).toMatchObject([{ db: 0, pitch: 1 }]);
    expect(firstBass({ texture: 'butt' })).toMatchObject([{ db: 3, pitch: 0.9 }]);
    expect(firstBass({ texture: 'butt' }, { levels: 'jazz' })).toMatchObject([{ db: -11 }]);
  });
});

describe('positionAt', () => {
  const score = scoreOf(exercise, { bars: 4 });

  it('tells phase, bar, beat and bars left', () => {
    expect(positionAt(score, -1)).toMatchObject({
      phase: 'count-in',
      bar: 0,
      beat: 3,
      barsLeft: 4,
    });
    expect(positionAt(score, 0)).toMatchObject({ phase: 'playing', bar: 0, beat: 0, barsLeft: 3 });
    expect(positionAt(score, quarters(14))).toMatchObject({ bar: 3, beat: 2, barsLeft: 0 });
    expect(positionAt(score, quarters(16))).toMatchObject({ phase: 'over' });
  });
});

describe('true pulse', () => {
  it('runs through the groups of 7/8 and over the bar line, all alike', () => {
    const odd = must(expand({ ...toggleOstinato(blankRecipe(), 'seven-eight') }));
    const score = scoreOf(odd, { bars: 2, click: 'pulse' });
    const clicks = eventsBetween(score, 0, Infinity).filter((event) => event.kind === 'click');
    const apart = clicks.slice(1).map((event, index) => event.at - (clicks[index]?.at ?? 0));
    expect(new Set(apart).size).toBe(1);
    expect(new Set(clicks.map((event) => event.kind === 'click' && event.level))).toEqual(
      new Set(['beat']),
    );
  });
});

describe('bars that are called', () => {
  const two = must(
    expand({
      ...toggleOstinato(blankRecipe(), 'hats-2-4'),
      play: { content: { text: '4 4 4 4 | 8 8 4 2' } },
    }),
  );

  it('are those of the exercise, none more than twice in a row, the first as it is written', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 8 }), fc.integer(), (bars, seed) => {
        const calls = callBars(bars, 60, seeded(seed));
        expect(calls).toHaveLength(60);
        expect(calls[0]).toBe(0);
        calls.forEach((call, index) => {
          if (call !== 'own') expect(call).toBeLessThan(bars);
          const thrice = index > 1 && call === calls[index - 1] && call === calls[index - 2];
          expect(thrice).toBe(false);
        });
      }),
    );
  });

  it('sound as called, and stay empty where the player makes one up', () => {
    const bar = two.barTicks;
    const at = (calls: Score['calls'], index: number) =>
      strokes(scoreOf(two, { bars: 3, calls }), index * bar, (index + 1) * bar).map(
        (event) => event.at - index * bar,
      );
    const plain = scoreOf(two, { bars: 2 });
    const second = strokes(plain, bar, 2 * bar).map((event) => event.at - bar);
    expect(at([1, 0, 'own'], 0)).toEqual(second);
    expect(at([1, 0, 'own'], 2)).toEqual([]);
    expect(positionAt(scoreOf(two, { bars: 3, calls: [1, 0, 'own'] }), 5)).toMatchObject({
      call: 1,
      inCycle: bar + 5,
    });
    expect([sayCall(ENGLISH, 1), sayCall(ENGLISH, 'own')]).toEqual(['bar 2', 'your own']);
  });
});

describe('changesAt', () => {
  const sayChangeAt = (...of: Parameters<typeof changesAt>) =>
    sayChanges(ENGLISH, changesAt(...of));

  const tempo = tempoFor(exercise.meter, bpm(60));
  const steady = [{ at: 0, tempo }] as const;

  it('names what begins in a bar: a call, a tempo, the click going and coming back', () => {
    const bar = exercise.barTicks;
    const ramp = [...steady, { at: 4 * bar, tempo: { ...tempo, bpm: bpm(65) } }] as const;
    const score = scoreOf(exercise, { bars: 8 });
    expect([3, 4, 5].map((at) => sayChangeAt(score, ramp, at))).toEqual(['', '65', '']);
    const drops = scoreOf(exercise, { bars: 6, clickBars: 'xx--' });
    expect([0, 1, 2, 3, 4, 6].map((at) => sayChangeAt(drops, steady, at))).toEqual([
      '',
      '',
      'click out',
      '',
      'click',
      '',
    ]);
    const called = scoreOf(exercise, { bars: 4, calls: [0, 0, 2, 'own'] });
    expect([1, 2, 3].map((at) => sayChangeAt(called, steady, at))).toEqual([
      '',
      'bar 3',
      'your own',
    ]);
  });

  it('names the parts of a sequence', () => {
    const base = toggleOstinato(blankRecipe(), 'hats-2-4');
    const then = { bars: 2, members: [{ name: 'Phrase', bars: 1, recipe: base }] };
    const run = scoreOf(must(expand({ ...base, then })), { bars: 6 });
    expect([1, 2, 3, 5].map((at) => sayChangeAt(run, steady, at))).toEqual([
      '',
      'Phrase',
      'from the top',
      'Phrase',
    ]);
    expect([0, 2, 3].map((at) => partAt(run, at))).toEqual(['', 'Phrase', '']);
  });
});

describe('a part that goes round', () => {
  const exercise = must(expand(toggleOstinato(blankRecipe(), 'rock-8ths')));
  const loop = { from: quarters(2), to: quarters(7, 2) };
  const length = loop.to - loop.from;
  const score = scoreOf(exercise, { loop, countInBars: 1 });

  it('sounds as it does in the whole, over and over, after the count-in of a bar', () => {
    const whole = eventsBetween(scoreOf(exercise), loop.from, loop.to);
    const inPart = whole.map(({ at, ...event }) => ({ ...event, at: at - loop.from }));
    for (const pass of [0, 1, 7]) {
      const from = pass * length;
      const here = eventsBetween(score, from, from + length);
      expect(here.map(({ at, ...event }) => ({ ...event, at: at - from }))).toEqual(inPart);
    }
    expect(eventsBetween(score, -exercise.barTicks, 0)).toEqual(
      eventsBetween(scoreOf(exercise), -exercise.barTicks, 0),
    );
  });

  it('is heard whole in windows of any size', () => {
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 1, max: 9 }), { maxLength: 9 }), (steps) => {
        let from = 0;
        const found = steps.flatMap((step) => {
          const to = from + step * 3000;
          const events = eventsBetween(score, from, to);
          from = to;
          return events;
        });
        expect(found).toEqual(eventsBetween(score, 0, from));
      }),
    );
  });

  it('stands where it sounds', () => {
    expect(positionAt(score, 0)).toMatchObject({ phase: 'playing', beat: 2, inCycle: loop.from });
    expect(positionAt(score, length + quarters(1))).toMatchObject({
      beat: 3,
      inCycle: quarters(3),
    });
    expect(positionAt(score, -1).phase).toBe('count-in');
  });

  it('a voice is as much louder as it is set', () => {
    const mixed = scoreOf(exercise, { mix: { snare: -6 } });
    const levels = (of: Score, id: string) =>
      eventsBetween(of, 0, exercise.cycleTicks).flatMap((event) =>
        event.kind === 'stroke' && event.voice === id ? [event.db] : [],
      );
    expect(levels(mixed, 'snare')).toEqual(levels(scoreOf(exercise), 'snare').map((db) => db - 6));
    expect(levels(mixed, 'hat')).toEqual(levels(scoreOf(exercise), 'hat'));
  });
});
