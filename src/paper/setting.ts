import { roomAcross, type Block, type FaceId, type Look, type Mark } from '@/core/print';
import type { Say } from '@/words';
import { measure } from './fonts';

/** What blocks are set with; sizes in points. */
export interface Setting {
  readonly say: Say;
  readonly look: Look;
  /** Width for blocks. */
  readonly width: number;
  readonly text: number;
  readonly small: number;
  readonly title: number;
  /** A staff space. */
  readonly space: number;
}

const LARGER = 1.4;

/** Sizes as handouts have them; common practice, no source. */
export function settingOf(say: Say, look: Look): Setting {
  const by = look.large ? LARGER : 1;
  const width = roomAcross(look.paper);
  return { say, look, width, text: 9.5 * by, small: 7.8 * by, title: 15 * by, space: 5.1 * by };
}

/** From a base line to the next, in parts of the size of type. */
const LEADING = 1.36;

/** Text with its face. */
export interface Span {
  readonly text: string;
  readonly face?: FaceId;
  readonly soft?: boolean;
}

/** Text in lines no wider than there is room; a word that is wider stands in pieces.
 * @param size in points */
export function textBlock(
  spans: readonly Span[],
  size: number,
  width: number,
  more: Partial<Block> = {},
): Block {
  const marks: Mark[] = [];
  const space = measure('text', size, ' ');
  let x = 0;
  let line = 0;
  for (const { text, face = 'text', soft = false } of spans) {
    for (const word of text.split(' ').flatMap((one) => piecesOf(one, face, size, width))) {
      if (word === '') continue;
      const wide = measure(face, size, word);
      if (x > 0 && x + wide > width) {
        x = 0;
        line += 1;
      }
      const y = (line + 0.8) * size * LEADING;
      const last = marks.at(-1);
      const goesOn =
        x > 0 && last?.kind === 'text' && last.face === face && last.soft === soft && last.y === y;
      if (goesOn) marks[marks.length - 1] = { ...last, text: `${last.text} ${word}` };
      else marks.push({ kind: 'text', x, y, text: word, size, face, soft });
      x += wide + space;
    }
  }
  return { height: (line + 1) * size * LEADING, marks, ...more };
}

/** A word, cut where it is wider than a line. */
function piecesOf(word: string, face: FaceId, size: number, width: number): readonly string[] {
  if (measure(face, size, word) <= width) return [word];
  const pieces = [''];
  for (const letter of word) {
    const longer = `${pieces.at(-1) ?? ''}${letter}`;
    if (measure(face, size, longer) > width) pieces.push(letter);
    else pieces[pieces.length - 1] = longer;
  }
  return pieces;
}

/** Text cut to a width, with an ellipsis where it was. */
export function shortened(text: string, face: FaceId, size: number, width: number): string {
  if (measure(face, size, text) <= width) return text;
  let short = text;
  while (short !== '' && measure(face, size, `${short}…`) > width) short = short.slice(0, -1);
  return `${short.trimEnd()}…`;
}

/** A line to write on. */
export function rule(x: number, y: number, width: number): Mark {
  return { kind: 'path', path: `M${x} ${y}H${x + width}`, pen: 0.5, soft: true };
}
