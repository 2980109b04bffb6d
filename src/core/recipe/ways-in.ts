import { typedSticking } from '../sticking';
import { blankRecipe } from './blank';
import { readAs } from './free-limb';
import { laneOver, lineOver, overThese } from './made-of';
import type { ClosedRecipe } from './schema';

const BASS = { limb: 'RF', voice: 'bass' } as const;
const SNARE = { limb: 'LH', voice: 'snare' } as const;
const PAGE = ['4 4 4 4', '4 8 8 4 4', '8 8 4 8 8 4', '4. 8 4 4', '4. 4. 4', '8 4 4 8 4'];

/** What an empty Bench offers to begin with, each showing another thing that can be said. */
export const WAYS_IN = {
  layers: () => ({
    ...blankRecipe(),
    over: [
      laneOver('H: xxxxxxxx', { limb: 'RH', voice: 'hat', slot: '8', grid: 'xxxxxxxx' }),
      laneOver('K: 1 3', { ...BASS, slot: '4', grid: 'x-x-' }),
      laneOver('S: 2 4', { ...SNARE, slot: '4', grid: '-X-X' }),
    ],
  }),
  line: () => readAs(lineOver(overThese('jazz-ride'), '4. 4 8 4'), 'short-long'),
  toms: () => {
    const content = typedSticking('RLRRLRLL');
    const voices = { ...content.voices, RH: 'tom-floor', LH: 'tom-high' } as const;
    return { ...overThese('hats-quarters'), play: { content: { ...content, voices } } };
  },
  nth: () => ({
    ...overThese('ride-8ths-triplets', 'hats-quarters'),
    changes: [
      nth({ limb: 'RH', voice: null }, 1, BASS),
      nth({ limb: 'RF', voice: null }, 2, SNARE),
    ],
  }),
  rudiment: () => {
    const content = typedSticking('RLRR >LRLL');
    const voices = { ...content.voices, RH: 'hat' } as const;
    return { ...overThese('bass-quarters'), play: { content: { ...content, voices } } };
  },
  page: () => lineOver(overThese('hats-2-4', 'ride-quarters'), PAGE.join(' | ')),
} as const satisfies Record<string, () => ClosedRecipe>;

export type WayIn = keyof typeof WAYS_IN;

export const WAY_IN_IDS = Object.keys(WAYS_IN) as readonly WayIn[];

function nth(
  of: { readonly limb: 'RH' | 'RF'; readonly voice: null },
  first: number,
  to: typeof BASS | typeof SNARE,
) {
  return { kind: 'every-nth', of: { ...of }, nth: 2, first, to, dynamic: 'normal' } as const;
}
