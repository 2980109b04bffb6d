import { PAPERS, type Mark, type Page, type PaperId } from './page';

/** A part of a sheet that no page break may cut: a heading, a system, a row of a table. Its marks stand from its own
 * top left corner, in points. */
export interface Block {
  readonly height: number;
  readonly marks: readonly Mark[];
  /** Free above it, but at the top of a page. */
  readonly gap?: number;
  /** Stands on the page of what comes next. */
  readonly withNext?: boolean;
  /** Begins a page. */
  readonly newPage?: boolean;
}

/** What is free around the blocks, in points; head and foot stand in it. */
export const MARGIN = { side: 45, top: 62, bottom: 58 } as const;

/** What each page says besides. @param page from 1 */
export type HeadAndFoot = (page: number, of: number) => readonly Mark[];

/** Width for blocks, in points. */
export function roomAcross(paper: PaperId): number {
  return PAPERS[paper][0] - 2 * MARGIN.side;
}

/** Height for blocks, in points. */
function roomDown(paper: PaperId): number {
  return PAPERS[paper][1] - MARGIN.top - MARGIN.bottom;
}

/** Puts blocks under each other, page by page. What has to stay together does, unless it is higher than a page; a
 * block that is higher than a page has one of its own and is made smaller to fit.
 * @returns at least one page */
export function flow(
  blocks: readonly Block[],
  paper: PaperId,
  headAndFoot: HeadAndFoot,
): readonly Page[] {
  const room = roomDown(paper);
  const pages: Mark[][] = [[]];
  let down = 0;
  for (const chunk of chunksOf(blocks, room)) {
    const height = heightOf(chunk, down === 0);
    const begins = chunk[0]?.newPage === true && down > 0;
    if (begins || (down > 0 && down + height > room)) {
      pages.push([]);
      down = 0;
    }
    for (const block of chunk) {
      const y = down + (down === 0 ? 0 : (block.gap ?? 0));
      const scale = Math.min(1, room / block.height);
      pages.at(-1)?.push({
        kind: 'group',
        x: MARGIN.side,
        y: MARGIN.top + y,
        scale,
        marks: block.marks,
      });
      down = y + block.height * scale;
    }
  }
  return pages.map((marks, index) => ({
    paper,
    marks: [...marks, ...headAndFoot(index + 1, pages.length)],
  }));
}

/** Blocks that stay together; where they are higher than a page, each by itself. */
function chunksOf(blocks: readonly Block[], room: number): readonly (readonly Block[])[] {
  const chunks: Block[][] = [];
  let open = false;
  for (const block of blocks) {
    if (open && !block.newPage) chunks.at(-1)?.push(block);
    else chunks.push([block]);
    open = block.withNext === true;
  }
  return chunks.flatMap((chunk) =>
    heightOf(chunk, true) <= room ? [chunk] : chunk.map((one) => [one]),
  );
}

function heightOf(chunk: readonly Block[], atTop: boolean): number {
  return chunk.reduce(
    (sum, block, index) => sum + block.height + (index === 0 && atTop ? 0 : (block.gap ?? 0)),
    0,
  );
}
