import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { samples } from '../../samples.fixture';
import { flow, MARGIN, roomAcross } from './flow';
import { PAPERS, type Mark, type Page } from './page';

const mark = (text: string): Mark => ({ kind: 'text', x: 0, y: 0, text, size: 9, face: 'text' });
const block = (height: number, more = {}) => ({ height, marks: [mark(`${height}`)], ...more });
const none = () => [];

/** Where blocks stand: page by page, from the top of the page to the bottom of each. */
function placed(pages: readonly Page[], heights: readonly number[]) {
  let at = 0;
  return pages.map(({ marks }) =>
    marks.flatMap((one) => {
      if (one.kind !== 'group') return [];
      const height = (heights[at] ?? 0) * one.scale;
      at += 1;
      return [{ top: one.y, bottom: one.y + height }];
    }),
  );
}

describe('flow', () => {
  it('has a page where there is nothing, with head and foot', () => {
    const pages = flow([], 'a4', (page, of) => [mark(`${page} of ${of}`)]);
    expect(pages).toMatchObject([{ paper: 'a4', marks: [{ text: '1 of 1' }] }]);
  });

  it('keeps a heading with what it heads, and free space off the top of a page', () => {
    const blocks = [block(600), block(40, { withNext: true, gap: 20 }), block(90, { gap: 20 })];
    const pages = flow(blocks, 'a4', none);
    expect(placed(pages, [600, 40, 90]).map((page) => page.map(({ top }) => top))).toEqual([
      [MARGIN.top],
      [MARGIN.top, MARGIN.top + 60],
    ]);
  });

  it('begins a page where that is asked for, but not with an empty one before it', () => {
    const fresh = { newPage: true };
    expect(flow([block(10, fresh), block(10), block(10, fresh)], 'a4', none)).toHaveLength(2);
  });

  it('makes what is higher than a page smaller, on a page of its own', () => {
    const pages = flow([block(10), block(3000), block(10)], 'letter', none);
    const [, tall] = placed(pages, [10, 3000, 10]);
    expect(tall?.[0]?.bottom).toBeCloseTo(PAPERS.letter[1] - MARGIN.bottom);
    expect(pages).toHaveLength(3);
  });

  it('cuts no block, leaves none out, and keeps their order', () => {
    fc.assert(
      fc.property(
        fc.array(
          fc.record({
            height: fc.integer({ min: 1, max: 900 }),
            gap: fc.integer({ min: 0, max: 40 }),
            withNext: fc.boolean(),
            newPage: fc.boolean(),
          }),
          { maxLength: 40 },
        ),
        fc.constantFrom('a4' as const, 'letter' as const),
        (shapes, paper) => {
          const blocks = shapes.map((shape, index) => ({ ...shape, marks: [mark(`${index}`)] }));
          const pages = flow(blocks, paper, none);
          const names = pages.flatMap(({ marks }) =>
            marks.flatMap((one) => (one.kind === 'group' ? one.marks : [])),
          );
          expect(names).toEqual(blocks.flatMap(({ marks }) => marks));
          const [, high] = PAPERS[paper];
          const heights = shapes.map(({ height }) => height);
          for (const page of placed(pages, heights)) {
            page.forEach(({ top, bottom }, index) => {
              expect(top).toBeGreaterThanOrEqual(page[index - 1]?.bottom ?? MARGIN.top);
              expect(bottom).toBeLessThanOrEqual(high - MARGIN.bottom + 0.001);
            });
          }
        },
      ),
      { numRuns: samples(200) },
    );
  });

  it('has room across that head and foot have too', () => {
    expect(roomAcross('a4')).toBeCloseTo(PAPERS.a4[0] - 2 * MARGIN.side);
  });
});
