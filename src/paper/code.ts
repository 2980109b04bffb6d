import { create } from 'qrcode';
import type { Mark } from '@/core/print';

type Box = Extract<Mark, { kind: 'boxes' }>['boxes'][number];

/** Modules that have to stay white around a code (ISO/IEC 18004, from memory). */
const QUIET = 4;

/** A QR code in black boxes, its white margin included, that a phone reads an address from.
 * @param size width and height, in points */
export function codeMark(text: string, x: number, y: number, size: number): Mark {
  const { modules } = create(text, { errorCorrectionLevel: 'L' });
  const boxes: Box[] = [];
  for (let row = 0; row < modules.size; row += 1) {
    for (let from = 0; from < modules.size; from += 1) {
      if (!modules.get(row, from)) continue;
      let to = from;
      while (to < modules.size && modules.get(row, to)) to += 1;
      boxes.push([QUIET + from, QUIET + row, QUIET + to, QUIET + row + 1]);
      from = to;
    }
  }
  const scale = size / (modules.size + 2 * QUIET);
  return { kind: 'group', x, y, scale, marks: [{ kind: 'boxes', boxes }] };
}
