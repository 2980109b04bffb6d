import { describe, expect, it } from 'vitest';
import { playOrder } from './play-order';

type Bars = Parameters<typeof playOrder>[0];

/** Bars with nothing but their signs. */
function bars(...repeats: readonly Partial<Bars[number]['repeats']>[]): Bars {
  const none = { from: false, times: null, passes: null };
  return repeats.map((one) => ({ repeats: { ...none, ...one } })) as unknown as Bars;
}

describe('playOrder', () => {
  it.each<[string, Bars, readonly number[]]>([
    ['without signs each bar once', bars({}, {}), [0, 1]],
    ['twice from a sign on', bars({}, { from: true }, { times: 2 }, {}), [0, 1, 2, 1, 2, 3]],
    ['two endings', bars({ from: true }, { passes: [1], times: 2 }, { passes: [2] }), [0, 1, 0, 2]],
    [
      'three times where a third ending asks for it, whatever the sign says',
      bars({ from: true }, { passes: [1, 2], times: 2 }, { passes: [3] }),
      [0, 1, 0, 1, 0, 2],
    ],
  ])('%s', (_, of, order) => expect(playOrder(of, false)).toEqual(order));
});
