import type { Ostinato } from '../materials';
import { typedSticking } from '../sticking';
import { blankRecipe, startOf, toggleOstinato } from './blank';
import { readAs, withPlay } from './free-limb';
import type { ClosedRecipe } from './schema';

type Lane = Ostinato['lanes'][number];

/** A groove of its own, one lane. @param name as it would be typed */
export function laneOver(name: string, lane: Lane): ClosedRecipe['over'][number] {
  return { content: { name, meter: '4/4', swung: false, lanes: [lane] } };
}

/** These shipped ostinatos under each other. */
export function overThese(...ids: readonly string[]): ClosedRecipe {
  return ids.reduce<ClosedRecipe>((recipe, id) => toggleOstinato(recipe, id), blankRecipe());
}

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

/** A line over a groove, by the limb that is free. */
export function lineOver(recipe: ClosedRecipe, text: string): ClosedRecipe {
  return withPlay(recipe, { content: { text } });
}

/** A line over a groove, read by the cells that fill its gaps. */
export function cellsOver(recipe: ClosedRecipe, text: string): ClosedRecipe {
  return { ...recipe, play: { content: { text } }, as: startOf('phrase-cells') };
}
