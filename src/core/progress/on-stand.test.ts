import { describe, expect, it } from 'vitest';
import { ENGLISH, sayCueLine } from '@/words';
import { must } from '../issue';
import { startLadder, USUAL_COURSE } from '../ladder';
import type { JudgedTry } from '../log';
import { blankRecipe, expand, toggleOstinato } from '../recipe';
import { quarters } from '../time';
import { brokeCue } from './on-stand';

const rock = must(expand(toggleOstinato(blankRecipe(), 'rock-8ths')));
const state = startLadder({ course: USUAL_COURSE, startBpm: undefined });

function broke(bpm: number, ...beats: number[]): JudgedTry[] {
  return beats.map((beat, nth) => ({
    ...{ kind: 'try', id: String(nth), day: '2026-03-02', rung: null, stopped: false },
    ...{ bpm, verdict: 'shaky', suffered: [], broke: [beat] },
  }));
}

describe('where it broke', () => {
  it('is the beat of most breaks on this rung, once there are two', () => {
    const cue = { kind: 'broke', at: quarters(2), times: 2 };
    expect(brokeCue(broke(60, 2, 0, 2), state, rock)).toEqual(cue);
    expect(brokeCue(broke(60, 2, 0), state, rock)).toBeNull();
    expect(brokeCue([], state, rock)).toBeNull();
    expect(brokeCue(broke(60, 2, 2), state, null)).toBeNull();
  });

  it('is forgotten on another rung, while it is varied, and on a beat that is not there', () => {
    expect(brokeCue(broke(65, 2, 2), state, rock)).toBeNull();
    expect(brokeCue(broke(60, 2, 2), { ...state, variation: { kind: 'plain' } }, rock)).toBeNull();
    expect(brokeCue(broke(60, 9, 9), state, rock)).toBeNull();
  });

  it('is said with what to do', () => {
    expect(sayCueLine(ENGLISH, { kind: 'broke', at: quarters(2), times: 3 }, '4/4')).toBe(
      'Loop the step into 3 by itself first: it broke there 3 times of late.',
    );
  });
});
