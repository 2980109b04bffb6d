import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  bpm,
  quarters,
  secondsAt,
  steadyTempo,
  TICKS_PER_QUARTER,
  ticksAt,
  type TempoMap,
} from '.';

const tempo = (value: number) => ({ bpm: bpm(value), beatTicks: TICKS_PER_QUARTER });

describe('secondsAt', () => {
  it('adds up what each tempo takes: a beat at 60, a beat at 120', () => {
    const map: TempoMap = [
      { at: 0, tempo: tempo(60) },
      { at: quarters(1), tempo: tempo(120) },
    ];
    expect(secondsAt(map, quarters(2))).toBeCloseTo(1.5);
    expect(secondsAt(map, -quarters(2))).toBeCloseTo(-2);
  });

  it('and back again, whatever the tempi', () => {
    const steps = fc.array(
      fc.tuple(fc.integer({ min: 1, max: 8 }), fc.integer({ min: 20, max: 400 })),
    );
    fc.assert(
      fc.property(steps, fc.integer({ min: -16, max: 64 }), (changes, beat) => {
        let at = 0;
        const map: TempoMap = [
          ...steadyTempo(tempo(90)),
          ...changes.map(([beats, value]) => {
            at += quarters(beats);
            return { at, tempo: tempo(value) };
          }),
        ];
        const ticks = quarters(1) * beat;
        expect(ticksAt(map, secondsAt(map, ticks))).toBeCloseTo(ticks, 3);
        expect(secondsAt(map, ticks + 1)).toBeGreaterThan(secondsAt(map, ticks));
      }),
    );
  });
});
