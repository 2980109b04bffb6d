import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  fitVoice,
  isPedal,
  levelDb,
  limbTaking,
  LIMBS,
  loudestFirst,
  mirrorHand,
  mirrorLimb,
  parseLimb,
  parseVoice,
  texture,
  TEXTURES,
  usualLimb,
  VOICE_IDS,
  VOICES,
  voicesOf,
  type VoiceId,
} from '.';

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

describe('fitVoice', () => {
  const kitOf = (...voices: VoiceId[]) => ({ voices });

  it.each([
    ['tom-high', ['tom-floor', 'snare'], 'tom-floor'],
    ['tom-high', ['snare', 'ride'], 'snare'],
    ['ride', ['hat', 'snare'], 'hat'],
    ['snare', ['pad', 'bass'], 'pad'],
    ['crash', ['pad'], 'pad'],
  ] as const)('%s on a kit of %j is %s (common practice, no source)', (id, voices, by) => {
    expect(fitVoice(id, 'RH', kitOf(...voices))).toBe(by);
  });

  it('never gives a hand a pedal, nor a voice that is not there, where there is another', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...VOICE_IDS),
        fc.subarray([...VOICE_IDS], { minLength: 1 }),
        (id, voices) => {
          const by = fitVoice(id, 'LH', { voices });
          const playable = voices.filter((one) => one !== 'bass' && one !== 'hat-foot');
          if (voices.includes(id)) expect(by).toBe(id);
          else if (playable.length > 0) expect(playable).toContain(by);
          else expect(by).toBe(id);
        },
      ),
    );
  });

  it('feet keep their part', () => {
    expect(fitVoice('bass', 'RF', kitOf('pad'))).toBe('bass');
  });
});

describe('levels by style', () => {
  it('jazz: ride over snare over a feathered bass drum; rock the reverse', () => {
    const voices = ['snare', 'bass', 'ride'] as const;
    const order = (style: 'jazz' | 'rock') =>
      loudestFirst(style, voices).map((group) => group.voices.join(' '));
    expect(order('jazz')).toEqual(['ride', 'snare', 'bass']);
    expect(order('rock')).toEqual(['snare bass', 'ride']);
  });

  it('no voice is over full, and all are full in stamina work', () => {
    for (const id of VOICE_IDS) {
      expect(levelDb('jazz', id)).toBeLessThanOrEqual(0);
      expect(levelDb('rock', id)).toBeLessThanOrEqual(0);
      expect(levelDb('full', id)).toBe(0);
    }
  });
});

describe('every voice', () => {
  it.each([
    ['aux-hat', 'hat'],
    ['cowbell', 'ride-bell'],
    ['aux-snare', 'snare'],
    ['pad', 'snare'],
  ] as const)('%s is as loud as the %s, in each style', (id, like) => {
    for (const style of ['jazz', 'rock', 'full'] as const) {
      expect(levelDb(style, id)).toBe(levelDb(style, like));
    }
  });

  it('names others that take its place, hands for hands', () => {
    for (const { id, nearest } of VOICES) {
      for (const one of nearest) {
        expect(VOICE_IDS).toContain(one);
        expect(one).not.toBe(id);
        expect(isPedal(one)).toBe(false);
      }
      expect(nearest.length > 0).toBe(!isPedal(id));
    }
  });

  it('goes on in the hand that had another, and takes a foot for a pedal', () => {
    expect(limbTaking('ride', 'LH')).toBe('LH');
    expect(limbTaking('ride', 'RF')).toBe('RH');
    expect(limbTaking('bass', 'LH')).toBe('RF');
    expect(limbTaking('hat-foot', 'RF')).toBe('LF');
  });
});

describe('textures', () => {
  it('have letters of their own', () => {
    expect(new Set(TEXTURES.map((one) => one.letter)).size).toBe(TEXTURES.length);
    expect(texture('tip').letter).toBe('t');
    expect(() => texture('nail' as 'tip')).toThrow(RangeError);
  });
});

describe('usualLimb', () => {
  it('gives pedals to feet and all else to hands', () => {
    for (const id of VOICE_IDS) {
      const pedal = id === 'bass' ? 'RF' : id === 'hat-foot' ? 'LF' : null;
      if (pedal) expect(usualLimb(id)).toBe(pedal);
      else expect(['RH', 'LH']).toContain(usualLimb(id));
    }
  });
});
