import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { ENGLISH, sayDose } from '@/words';
import { allowedMinutes, dayDose, noiseDose, overDose, reductionDb, USUAL_NOISE } from '.';

describe('allowedMinutes', () => {
  /** NIOSH 98-126, table 1-1: combinations of exposure level and duration that no worker exposure
   * shall equal or exceed (from memory; 100 dBA is 15 minutes by the house's own check values). */
  it.each([
    [80, 25 * 60 + 24],
    [82, 16 * 60],
    [85, 8 * 60],
    [88, 4 * 60],
    [91, 2 * 60],
    [94, 60],
    [97, 30],
    [100, 15],
    [103, 7.5],
  ])('%d dBA is allowed for %d minutes', (dba, minutes) => {
    expect(allowedMinutes(dba)).toBeCloseTo(minutes, 0);
  });

  it('halves with every 3 dB', () => {
    fc.assert(
      fc.property(fc.double({ min: 60, max: 120, noNaN: true }), (dba) => {
        expect(allowedMinutes(dba + 3)).toBeCloseTo(allowedMinutes(dba) / 2, 6);
      }),
    );
  });
});

describe('dose', () => {
  it('adds up over levels: half a day at each of two is a whole', () => {
    const parts = [
      { dba: 100, minutes: 7.5 },
      { dba: 94, minutes: 30 },
    ];
    expect(noiseDose(parts)).toBeCloseTo(100);
  });

  it('counts nothing below 80 dBA', () => {
    expect(noiseDose([{ dba: 79, minutes: 600 }])).toBe(0);
  });

  it('15 minutes at a kit of 100 dBA are all that is allowed; twice that is said', () => {
    expect(dayDose({ kit: 15, pad: 60 }, USUAL_NOISE)).toBeCloseTo(100);
    expect(overDose({ kit: 15, pad: 60 }, USUAL_NOISE)).toBeNull();
    const twice = overDose({ kit: 30, pad: 0 }, USUAL_NOISE);
    expect(twice && sayDose(ENGLISH, twice)).toBe(
      '30 min at 100 dBA is 2.0 times the noise allowed in a day; 15 min is allowed at the kit. Wear hearing protection, or play part of it on the pad.',
    );
  });

  it('a loud pad counts and is said; over 115 dBA no time is allowed', () => {
    const loud = { ...USUAL_NOISE, pad: 94 };
    // 10 of 15 minutes at 100 dBA, 60 of 60 at 94.
    const both = overDose({ kit: 10, pad: 60 }, loud);
    expect(both && sayDose(ENGLISH, both)).toBe(
      '10 min at 100 dBA and 60 min on the pad at 94 dBA are 1.7 times the noise allowed in a day; 15 min is allowed at the kit. Wear hearing protection, or play part of it on the pad.',
    );
    const far = overDose({ kit: 0.1, pad: 0 }, { ...USUAL_NOISE, kit: 116 });
    expect(far?.ceiling).toBe(115);
    expect(far && sayDose(ENGLISH, far)).toContain('More than 115 dBA is too loud for any time.');
    expect(overDose({ kit: 0.1, pad: 0 }, { ...USUAL_NOISE, kit: 115 })).toBeNull();
  });

  it('protection takes off less than its label says', () => {
    expect(reductionDb({ protection: 'muffs', label: 28 })).toBe(14);
    expect(reductionDb({ protection: 'foam', label: 30 })).toBe(8);
    expect(reductionDb({ protection: 'plugs', label: 20 })).toBe(0);
    expect(reductionDb({ protection: 'none', label: 30 })).toBe(0);
    const muffs = { ...USUAL_NOISE, protection: 'muffs', label: 28 } as const;
    expect(overDose({ kit: 60, pad: 0 }, muffs)).toBeNull();
  });
});
