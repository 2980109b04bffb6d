import { createRequire } from 'node:module';
import { join } from 'node:path';
import * as fontkit from 'fontkit';
import type { FaceId } from '@/core/print';

/** A font file, opened for measuring. */
interface FontFile {
  readonly path: string;
  readonly font: fontkit.Font;
}

/** Text in one font file. */
export interface Run {
  readonly text: string;
  readonly path: string;
  /** In parts of the size. */
  readonly width: number;
}

/** Each face with its files, the one that is taken first at the front. Names can be in any of their letters. */
const FILES: Readonly<Record<FaceId, readonly string[]>> = {
  text: [
    ...['latin', 'latin-ext'].map((part) => `archivo/files/archivo-${part}-400-normal.woff`),
    ...others('400'),
  ],
  strong: [
    ...['latin', 'latin-ext'].map((part) => `archivo/files/archivo-${part}-600-normal.woff`),
    ...others('600'),
  ],
  title: [
    ...['latin', 'latin-ext'].map((part) => `besley/files/besley-${part}-400-normal.woff`),
    ...others('400'),
  ],
  italic: [
    ...['latin', 'latin-ext'].map((part) => `besley/files/besley-${part}-400-italic.woff`),
    ...others('400'),
  ],
};

function others(weight: '400' | '600'): readonly string[] {
  return ['cyrillic', 'cyrillic-ext', 'greek', 'greek-ext', 'vietnamese'].map(
    (part) => `noto-sans/files/noto-sans-${part}-${weight}-normal.woff`,
  );
}

const OPEN = new Map<string, FontFile>();

function open(name: string): FontFile {
  let file = OPEN.get(name);
  if (!file) {
    const path = createRequire(join(process.cwd(), 'package.json')).resolve(`@fontsource/${name}`);
    OPEN.set(name, (file = { path, font: fontkit.openSync(path) as fontkit.Font }));
  }
  return file;
}

/** The font file that has a letter; the first one, with its sign for what is missing, where none does. */
function fileFor(face: FaceId, letter: string): FontFile {
  const point = letter.codePointAt(0) ?? 0;
  const [first = ''] = FILES[face];
  const found = FILES[face].find((name) => open(name).font.hasGlyphForCodePoint(point));
  return open(found ?? first);
}

const WIDTHS = new Map<string, number>();

function widthOf({ path, font }: FontFile, text: string): number {
  const key = `${path} ${text}`;
  let width = WIDTHS.get(key);
  if (width === undefined) {
    width = font.layout(text).advanceWidth / font.unitsPerEm;
    if (WIDTHS.size > 20_000) WIDTHS.clear();
    WIDTHS.set(key, width);
  }
  return width;
}

/** Text cut where the font changes. */
export function runsOf(face: FaceId, text: string): readonly Run[] {
  const parts: { file: FontFile; text: string }[] = [];
  for (const letter of text) {
    const last = parts.at(-1);
    const fits = last && (letter === ' ' || last.file === fileFor(face, letter));
    if (fits) last.text += letter;
    else parts.push({ file: fileFor(face, letter), text: letter });
  }
  return parts.map(({ file, text: part }) => {
    return { text: part, path: file.path, width: widthOf(file, part) };
  });
}

/** @returns points, at a size in points */
export function measure(face: FaceId, size: number, text: string): number {
  return runsOf(face, text).reduce((sum, run) => sum + run.width, 0) * size;
}
