import { describe, expect, it } from 'vitest';
import { LIMBS } from '@/core/kit';
import { must } from '@/core/issue';
import { scoreOf, type SoundEvent } from '@/core/playing';
import { blankRecipe, expand, toggleOstinato } from '@/core/recipe';
import { bpm, steadyTempo, tempoFor } from '@/core/time';
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
  const heard: { event: SoundEvent; at: number; plannedAt: number }[] = [];
  const clock = { now: 0, wall: 0 };
  let tick = () => {};
  const sounder: Sounder = {
    audible: true,
    recorded: false,
    now: () => clock.now,
    latency: () => 0,
    sound: (event, at) => heard.push({ event, at, plannedAt: clock.now }),
    cancelAfter: () => {},
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
  return { heard, clock, player, run, tick: () => tick() };
}

const LEAD_IN = 0.1;

describe('Player', () => {
  it('plays scores one after the other, each at its tempo, without a gap', () => {
    const { heard, player, run } = bench();
    let over = 0;
    player.start([part(60, 1, 1), part(120, 1, 2)], { onOver: () => (over += 1) });
    run(30);
    const times = heard.map((one) => Math.round(1000 * (one.at - LEAD_IN)));
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
    const { heard, player, run } = bench();
    player.start([part(173, 8, 1)]);
    run(20, 0.15);
    expect(heard).toHaveLength(36);
    for (const { at, plannedAt } of heard) expect(at - plannedAt).toBeGreaterThan(0);
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
    const { heard, player, run } = bench();
    player.start([part(60, 4, 0)]);
    run(2 + LEAD_IN);
    player.change({ tempo: tempoFor(exercise.meter, bpm(120)) });
    expect(player.position()?.ticks).toBeCloseTo(2 * 20160, 0);
    run(1);
    expect(heard.at(-1)?.at).toBeCloseTo(2 + LEAD_IN + 1, 5);
  });
});
