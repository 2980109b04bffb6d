import { describe, expect, it } from 'vitest';
import { ENGLISH, sayCueLine } from '@/words';
import { must } from '../issue';
import { blankRecipe, expand, toggleOstinato } from '../recipe';
import { quarters } from '../time';
import { brokeCue } from '.';

const rock = must(expand(toggleOstinato(blankRecipe(), 'rock-8ths')));
const broke = (...beats: number[]) => beats.map((beat) => ({ broke: [beat] }));

describe('where it broke', () => {
  it('is the beat of most breaks, once there are two', () => {
    expect(brokeCue(broke(2, 0, 2), rock)).toEqual({ kind: 'broke', at: quarters(2), times: 2 });
    expect(brokeCue(broke(2, 0), rock)).toBeNull();
    expect(brokeCue([], rock)).toBeNull();
    expect(brokeCue(broke(2, 2), null)).toBeNull();
  });

  it('is nothing on a beat that is not there any more', () => {
    expect(brokeCue(broke(9, 9), rock)).toBeNull();
  });

  it('is said with what to do', () => {
    expect(sayCueLine(ENGLISH, { kind: 'broke', at: quarters(2), times: 3 }, '4/4')).toBe(
      'Loop the step into 3 by itself first: it broke there 3 times of late.',
    );
  });
});
