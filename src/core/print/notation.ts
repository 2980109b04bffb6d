import {
  bowPath,
  bracketPath,
  bracketText,
  lineBracketPath,
  LINE_TUPLET_Y,
  tiePath,
  type BarLayout,
  type StaffLayout,
} from '../notation';
import type { Block } from './flow';
import type { Mark } from './page';

/** How thick lines are, in staff spaces. */
const STAFF_LINE = 0.1;
const THIN = 0.12;

/** Systems of a staff, each in one piece.
 * @param space a staff space, in points  @param numbered with the number over each bar
 * @param swing the mark over the first bar, where a swing is heard that is not written */
export function staffBlocks(
  { systems, extent }: StaffLayout,
  space: number,
  { numbered, swing }: { readonly numbered: boolean; readonly swing: string | null },
): readonly Block[] {
  return systems.map(({ head, bars, right }, index): Block => {
    const lines: Mark = {
      kind: 'path',
      path: [0, 1, 2, 3, 4].map((y) => `M0 ${y}H${right}`).join(''),
      pen: STAFF_LINE,
    };
    const marks: Mark[] = [
      ...(index === 0 && swing !== null
        ? [
            {
              kind: 'text',
              face: 'italic',
              text: swing,
              x: 0,
              y: extent.numberY,
              size: 1.4,
            } as const,
          ]
        : []),
      lines,
      ...head.map((sign): Mark => ({ kind: 'glyph', ...sign })),
    ];
    for (const { number, left, drawn, texts } of bars) {
      marks.push(
        { kind: 'boxes', boxes: drawn.strokes },
        ...drawn.glyphs.map((sign): Mark => ({ kind: 'glyph', ...sign })),
        ...drawn.slants.map(({ from, to }): Mark => {
          return { kind: 'path', path: `M${from.join(' ')}L${to.join(' ')}`, pen: THIN };
        }),
        ...drawn.bows.map((bow): Mark => ({ kind: 'path', path: bowPath(bow) })),
        ...drawn.brackets.flatMap((one): readonly Mark[] => {
          const path = bracketPath(one);
          const { middle, ...text } = bracketText(one);
          const number: Mark = { kind: 'text', face: 'italic', ...text };
          return [
            ...(path === null ? [] : [{ kind: 'path', path, pen: THIN } as const]),
            middle ? { ...number, align: 'middle' } : number,
          ];
        }),
        ...texts.map(({ strong, ...text }): Mark => {
          return { kind: 'text', face: strong ? 'strong' : 'text', align: 'middle', ...text };
        }),
      );
      if (numbered) {
        const at = { x: left, y: extent.numberY, size: 1.15 };
        marks.push({ kind: 'text', face: 'text', text: String(number), soft: true, ...at });
      }
    }
    const height = extent.height * space;
    const group = { kind: 'group', x: 0, y: extent.topLine * space, scale: space } as const;
    return { height, gap: space, marks: [{ ...group, marks }] };
  });
}

/** Over and under the one line of a reading line, in staff spaces. */
const LINE_OVER = 5.6;
const LINE_UNDER = 2.6;

/** A reading line, as many bars in each system as there is room for.
 * @param width in points  @param space a staff space, in points */
export function lineBlocks(
  bars: readonly BarLayout[],
  width: number,
  space: number,
): readonly Block[] {
  const rows: Mark[][] = [];
  let right = Infinity;
  bars.forEach((bar, index) => {
    if (right + bar.width > width / space) {
      rows.push([]);
      right = 0;
    }
    rows.at(-1)?.push({
      kind: 'group',
      x: right,
      y: 0,
      scale: 1,
      marks: lineMarks(bar, bars.length > 1 ? index + 1 : null),
    });
    right += bar.width;
  });
  return rows.map((marks): Block => {
    const group = { kind: 'group', x: 0, y: LINE_OVER * space, scale: space } as const;
    return { height: (LINE_OVER + LINE_UNDER) * space, marks: [{ ...group, marks }] };
  });
}

function lineMarks(bar: BarLayout, number: number | null): readonly Mark[] {
  const { width, glyphs, strokes, ties, tuplets } = bar;
  const marks: Mark[] = [
    { kind: 'path', path: `M0 0H${width}`, pen: THIN },
    { kind: 'boxes', boxes: strokes },
    ...glyphs.map((sign): Mark => ({ kind: 'glyph', ...sign })),
    ...ties.map((tie): Mark => ({ kind: 'path', path: tiePath(tie) })),
  ];
  for (const { number: played, from, to, bracket } of tuplets) {
    if (bracket) marks.push({ kind: 'path', path: lineBracketPath(from, to), pen: THIN });
    const at = { x: (from + to) / 2, y: LINE_TUPLET_Y, size: 1.7 };
    marks.push({ kind: 'text', face: 'italic', text: String(played), align: 'middle', ...at });
  }
  if (number !== null) {
    const at = { x: 0.2, y: -LINE_OVER + 1.3, size: 1.3 };
    marks.push({ kind: 'text', face: 'text', text: String(number), soft: true, ...at });
  }
  return marks;
}
