import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { SoundEvent } from '@/core/playing';
import { sounderOf } from './sounder';

/** A gain that tells what was planned for it, as far as it was not taken back. */
class FakeGain {
  planned: { readonly value: number; readonly at: number }[] = [];
  readonly gain = {
    setTargetAtTime: (value: number, at: number) => this.planned.push({ value, at }),
    cancelScheduledValues: (at: number) => {
      this.planned = this.planned.filter((one) => one.at < at);
    },
  };
  connect<T>(to: T): T {
    return to;
  }
}

/** Gains in the order in which they were made; a stroke makes one. */
let gains: FakeGain[] = [];

beforeEach(() => {
  gains = [];
  vi.stubGlobal(
    'GainNode',
    class extends FakeGain {
      constructor() {
        super();
        gains.push(this);
      }
    },
  );
  vi.stubGlobal('WaveShaperNode', FakeGain);
  vi.stubGlobal(
    'AudioBuffer',
    class {
      copyToChannel() {}
    },
  );
  vi.stubGlobal(
    'AudioBufferSourceNode',
    class extends FakeGain {
      start() {}
      stop() {}
    },
  );
});

afterEach(() => {
  vi.unstubAllGlobals();
});

function stroke(voice: 'hat-open' | 'hat-foot'): SoundEvent {
  return {
    kind: 'stroke',
    at: 0,
    limb: voice === 'hat-foot' ? 'LF' : 'RH',
    voice,
    dynamic: 'normal',
    db: 0,
    ornament: null,
    pitch: 1,
  };
}

/** An open hi-hat at 1 s that the foot closes at 2 s. */
function openAndClosed() {
  const context = { sampleRate: 8000, currentTime: 0.5, destination: {} };
  const sounder = sounderOf(context as unknown as BaseAudioContext);
  const before = gains.length;
  sounder.sound(stroke('hat-open'), 1);
  const [open] = gains.slice(before);
  if (!open) throw new Error('no gain');
  sounder.sound(stroke('hat-foot'), 2);
  return { sounder, open };
}

describe('an open hi-hat', () => {
  it('is choked by the foot', () => {
    expect(openAndClosed().open.planned).toEqual([{ value: 0, at: 2 }]);
  });

  it('rings on when what would have choked it is taken back, and is choked by what comes instead', () => {
    const { sounder, open } = openAndClosed();
    sounder.cancelAfter(1.5);
    expect(open.planned).toEqual([]);
    sounder.sound(stroke('hat-foot'), 3);
    expect(open.planned).toEqual([{ value: 0, at: 3 }]);
  });

  it('that is taken back itself is choked by nothing', () => {
    const { sounder, open } = openAndClosed();
    sounder.cancelAfter(0.8);
    sounder.sound(stroke('hat-foot'), 3);
    expect(open.planned).toEqual([]);
  });
});
