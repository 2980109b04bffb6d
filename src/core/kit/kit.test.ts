import { describe, expect, it } from 'vitest';
import { LIMBS, mirrorHand, mirrorLimb, parseLimb, parseVoice, VOICES, voicesOf } from '.';

/** General MIDI Level 1 percussion key map, 1991, MIDI Manufacturers Association; keys from
 * memory. */
const GENERAL_MIDI: Readonly<Record<string, number>> = {
  crash: 49, // Crash Cymbal 1
  ride: 51, // Ride Cymbal 1
  'ride-bell': 53, // Ride Bell
  hat: 42, // Closed Hi-Hat
  'hat-open': 46, // Open Hi-Hat
  'hat-foot': 44, // Pedal Hi-Hat
  snare: 38, // Acoustic Snare
  'cross-stick': 37, // Side Stick
  'tom-high': 50, // High Tom
  'tom-mid': 47, // Low-Mid Tom
  'tom-floor': 43, // High Floor Tom
  bass: 36, // Bass Drum 1
  cowbell: 56, // Cowbell
};

describe('VOICES', () => {
  it.each(Object.entries(GENERAL_MIDI))('%s is key %i of the General MIDI map', (id, key) => {
    expect(VOICES.find((voice) => voice.id === id)?.midi).toBe(key);
  });

  it('all lie in the map, have names of their own, and hang in staff order', () => {
    for (const { midi } of VOICES) expect(midi >= 35 && midi <= 81).toBe(true);
    expect(new Set(VOICES.map((voice) => voice.name)).size).toBe(VOICES.length);
    const lines = VOICES.map((voice) => voice.line);
    expect(lines).toEqual([...lines].sort((a, b) => b - a));
  });
});

describe('limbs', () => {
  it('mirror to the other side and back', () => {
    for (const limb of LIMBS) expect(mirrorLimb(mirrorLimb(limb))).toBe(limb);
    expect(LIMBS.map(mirrorHand)).toEqual(['LH', 'RH', 'RF', 'LF']);
  });

  it('hands play all but the pedals, feet the pedals', () => {
    expect(voicesOf('LF').map((voice) => voice.id)).toEqual(['bass', 'hat-foot']);
    expect(voicesOf('RH').length + voicesOf('RF').length).toBe(VOICES.length);
  });
});

describe('parseVoice', () => {
  it('takes names and ids, and proposes a near one', () => {
    expect(parseVoice('Bass drum', [])).toEqual({ ok: true, value: 'bass' });
    expect(parseVoice('tom', ['as'])).toMatchObject({
      issues: [{ code: 'voice', near: 'high tom' }],
    });
    expect(parseVoice('gong', ['as'])).toMatchObject({ issues: [{ near: null }] });
    expect(parseLimb('third hand', ['as'])).toMatchObject({ issues: [{ code: 'limb' }] });
  });
});
