import { describe, expect, it } from 'vitest';
import { VOICE_IDS } from '@/core/kit';
import { layersOf, VOICE_DB } from './drums';
import { faded, fromOnset, levelled, loudnessDb, peakOf, pitched } from './shape';

const RATE = 44_100;

function tone(hz: number, seconds: number, before = 0): Float32Array<ArrayBuffer> {
  return Float32Array.from({ length: (before + seconds) * RATE }, (_, n) =>
    n < before * RATE ? 0 : 0.5 * Math.cos((2 * Math.PI * hz * (n - before * RATE)) / RATE),
  );
}

describe('shapes', () => {
  it('what lies before the onset is cut', () => {
    expect(fromOnset(tone(440, 0.1, 0.01)).length).toBe(Math.round(0.1 * RATE));
  });

  it('loudness of a tone at half of full scale is 9 dB under it (half the square of the peak)', () => {
    expect(loudnessDb(tone(1000, 1), RATE)).toBeCloseTo(10 * Math.log10(0.5 ** 2 / 2), 1);
    expect(loudnessDb(levelled(tone(1000, 1), -20, RATE), RATE)).toBeCloseTo(-20, 1);
    expect(peakOf(levelled(tone(1000, 1), 20, RATE))).toBeCloseTo(1, 5);
  });

  it('an octave higher is half as long; a fade is down by 60 dB at its end', () => {
    expect(pitched(tone(440, 1), 2).length).toBe(RATE / 2);
    const down = faded(tone(1000, 1), 0.2, RATE);
    expect(down.length).toBe(0.2 * RATE);
    expect(peakOf(down.slice(-200))).toBeLessThan(0.5 * 0.0012);
  });
});

describe('layersOf', () => {
  it.each(VOICE_IDS)(
    '%s, made: equally loud in both layers within 4 dB, and of another colour',
    (id) => {
      const { soft, hard } = layersOf(id, null, RATE);
      for (const layer of [soft, hard]) {
        expect(Math.abs(loudnessDb(layer, RATE) - VOICE_DB)).toBeLessThan(4);
        expect(peakOf(layer)).toBeLessThanOrEqual(1.000001);
      }
      // Crossings of zero: the softer the stroke, the fewer.
      const bright = (samples: Float32Array) =>
        samples
          .slice(0, 0.03 * RATE)
          .filter((value, n, all) => n > 0 && value * (all[n - 1] ?? 0) < 0).length;
      expect(bright(soft)).toBeLessThanOrEqual(bright(hard));
    },
  );
});
