import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { samples } from '@/samples.fixture';
import { LIMBS } from '@/core/kit';
import { must } from '@/core/issue';
import { scoreOf, type SoundEvent } from '@/core/playing';
import { blankRecipe, expand, toggleOstinato } from '@/core/recipe';
import { bpm, steadyTempo, tempoFor, tick } from '@/core/time';
import { LOOKAHEAD, Player, type Part } from './player';
import type { Sounder } from './sounder';

const exercise = must(expand(toggleOstinato(blankRecipe(), 'rock-8ths')));

/** Bars of four clicks, nothing else. */
function part(tempo: number, bars: number, countInBars: number): Part {
  const score = scoreOf(exercise, { bars, countInBars, muted: new Set(LIMBS) });
  return { score, tempi: steadyTempo(tempoFor(exercise.meter, bpm(tempo))) };
}

/** A player whose clocks are turned by hand. */
function bench() {
  let heard: { event: SoundEvent; at: number; plannedAt: number }[] = [];
  const clock = { now: 0, wall: 0 };
  let tick = () => {};
  const sounder: Sounder = {
    audible: true,
    recorded: false,
    now: () => clock.now,
    latency: () => 0,
    sound: (event, at) => heard.push({ event, at, plannedAt: clock.now }),
    cancelAfter: (at) => {
      heard = heard.filter((one) => one.at <= at);
    },
  };
  const ticker = (call: () => void) => {
    tick = call;
    return () => (tick = () => {});
  };
  const player = new Player(sounder, ticker, () => clock.wall * 1000);
  /** @param step seconds between two looks */
  function run(seconds: number, step = 0.025) {
    for (let left = seconds; left > 1e-9; left -= step) {
      clock.now += Math.min(step, left);
      clock.wall += Math.min(step, left);
      tick();
    }
  }
  return {
    get heard() {
      return heard;
    },
    clock,
    player,
    run,
    tick: () => tick(),
  };
}

const LEAD_IN = 0.1;

describe('Player', () => {
  it('plays scores one after the other, each at its tempo, without a gap', () => {
    const all = bench();
    const { player, run } = all;
    let over = 0;
    player.start([part(60, 1, 1), part(120, 1, 2)], { onOver: () => (over += 1) });
    run(30);
    const times = all.heard.map((one) => Math.round(1000 * (one.at - LEAD_IN)));
    const slow = Array.from({ length: 8 }, (_, index) => 1000 * index);
    const fast = Array.from({ length: 12 }, (_, index) => 8000 + 500 * index);
    expect(times).toEqual([...slow, ...fast]);
    expect(over).toBe(1);
    expect(player.playing).toBe(false);
  });

  it('says which one is heard, and each that was played out', () => {
    const { player, run } = bench();
    const ended: number[] = [];
    player.start([part(60, 1, 1), part(120, 1, 2)], { onPart: (index) => ended.push(index) });
    run(4 + LEAD_IN);
    expect(player.position()?.part).toBe(0);
    expect(player.position()?.ticks).toBeCloseTo(0);
    run(6);
    expect(player.position()?.part).toBe(1);
    expect(ended).toEqual([0]);
    player.stop();
    run(30);
    expect(ended).toEqual([0]);
    expect(player.position()).toBeNull();
  });

  it('no click is late when nothing can be planned for 150 ms', () => {
    const all = bench();
    const { player, run } = all;
    player.start([part(173, 8, 1)]);
    run(20, 0.15);
    expect(all.heard).toHaveLength(36);
    for (const { at, plannedAt } of all.heard) expect(at - plannedAt).toBeGreaterThan(0);
    expect(LOOKAHEAD).toBeGreaterThan(0.15);
  });

  it('a device that slept stops, and says so once; nothing is over', () => {
    const { clock, player, run, tick } = bench();
    const told: string[] = [];
    player.start([part(60, 8, 1)], {
      onOver: () => told.push('over'),
      onSlept: () => told.push('slept'),
    });
    run(3);
    clock.wall += 600;
    tick();
    tick();
    expect(told).toEqual(['slept']);
    expect(player.playing).toBe(false);
  });

  it('goes on from where it is at another tempo', () => {
    const all = bench();
    const { player, run } = all;
    player.start([part(60, 4, 0)]);
    run(2 + LEAD_IN);
    player.change({ tempo: tempoFor(exercise.meter, bpm(120)) });
    expect(player.position()?.ticks).toBeCloseTo(2 * 20160, 0);
    run(1);
    expect(all.heard.at(-1)?.at).toBeCloseTo(2 + LEAD_IN + 1, 5);
  });

  it('changes of tempo at any time leave no stroke out and double none, and each gap is as long as its tempo says', () => {
    const changes = fc.array(
      fc.record({ wait: fc.integer({ min: 1, max: 3000 }), to: fc.integer({ min: 40, max: 240 }) }),
      { minLength: 1, maxLength: 12 },
    );
    fc.assert(
      fc.property(changes, (all) => {
        const made = bench();
        made.player.start([part(60, 64, 0)]);
        let tempo = 60;
        const tempi = [{ from: 0, tempo }];
        for (const { wait, to } of all) {
          made.run(wait / 1000);
          made.player.change({ tempo: tempoFor(exercise.meter, bpm(to)) });
          tempo = to;
          tempi.push({ from: made.clock.now, tempo });
        }
        made.run(4);
        const places = made.heard.map((one) => one.event.at);
        expect(places).toEqual(places.map((_, index) => index * 20160));
        made.heard.slice(1).forEach((one, index) => {
          const before = made.heard[index]?.at ?? 0;
          const slowest = Math.min(...between(tempi, before, one.at));
          const fastest = Math.max(...between(tempi, before, one.at));
          expect(one.at - before).toBeLessThanOrEqual(60 / slowest + 1e-6);
          expect(one.at - before).toBeGreaterThanOrEqual(60 / fastest - 1e-6);
        });
      }),
      { numRuns: samples(100) },
    );
  });

  it('a ramp gets faster at each of its steps, without a gap', () => {
    const made = bench();
    const { score } = part(60, 4, 0);
    const { meter, barTicks } = exercise;
    const tempi = [
      { at: tick(0), tempo: tempoFor(meter, bpm(60)) },
      { at: tick(2 * barTicks), tempo: tempoFor(meter, bpm(120)) },
    ] as const;
    made.player.start([{ score, tempi }]);
    made.run(20);
    const times = made.heard.map((one) => Math.round(1000 * (one.at - LEAD_IN)));
    const slow = Array.from({ length: 8 }, (_, index) => 1000 * index);
    expect(times).toEqual([...slow, ...slow.map((ms) => 8000 + ms / 2)]);
  });
});

/** The tempi that held at some time from one instant to another. */
function between(
  tempi: readonly { readonly from: number; readonly tempo: number }[],
  from: number,
  to: number,
): readonly number[] {
  return tempi
    .filter((one, index) => one.from <= to && (tempi[index + 1]?.from ?? Infinity) >= from)
    .map((one) => one.tempo);
}
