import { execFileSync } from 'node:child_process';
import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import jsqr from 'jsqr';
import { describe, expect, it } from 'vitest';
import { must } from '@/core/issue';
import { rungsOf, USUAL_COURSE } from '@/core/ladder';
import { flow, PAPERS, USUAL_LOOK, type Look, type Page } from '@/core/print';
import { parseLine } from '@/core/reading';
import { blankRecipe, expand, toggleOstinato } from '@/core/recipe';
import { parseMeter } from '@/core/time';
import { sayOnPaperIn } from '@/words';
import { PdfWriter, sheetPages, type Sheet, type SheetItem } from '.';
import { measure } from './fonts';
import { shortened, textBlock } from './setting';

const SAY = sayOnPaperIn('en-GB');
/** Its types have the function itself, its file has it as its default. */
const decode = (jsqr as unknown as { default: typeof jsqr }).default;

const LOOK: Look = { ...USUAL_LOOK, motions: true };

const recipe = {
  ...toggleOstinato(blankRecipe(), 'rock-8ths'),
  play: { content: { text: '4. 4 8 4' } },
};

function item(number: number): SheetItem {
  return {
    ...{ number, name: `Exercise ${number}`, recipe, exercise: must(expand(recipe)), bpm: 72 },
    ...{ cues: [{ kind: 'own', text: 'Breathe.' }], why: '1 of 3 clean at 72.', opens: null },
    practice: { course: USUAL_COURSE, rungs: rungsOf(USUAL_COURSE.ladder), rung: 2 },
  };
}

function sheetOf(items: number, more: Partial<Sheet> = {}): Sheet {
  const numbers = Array.from({ length: items }, (_, index) => index + 1);
  const base = { title: 'Pit grooves', student: 'Žofie Łęcka', wayIn: null, day: '2026-01-05' };
  return { ...base, week: null, line: null, items: numbers.map(item), ...more };
}

/** The file as another program reads it (poppler). */
async function readPdf(pages: readonly Page[]) {
  const file = new PdfWriter('Sheet', 'en');
  file.add(pages);
  const path = join(mkdtempSync(join(tmpdir(), 'mivvel-pdf-')), 'sheet.pdf');
  writeFileSync(path, await file.end());
  const run = (command: string, ...args: string[]) =>
    execFileSync(command, [...args, path, ...(command === 'pdftotext' ? ['-'] : [])], {
      encoding: 'utf8',
    });
  return {
    pages: run('pdftotext', '-layout').split('\f').slice(0, -1),
    info: run('pdfinfo'),
    fonts: run('pdffonts').trim().split('\n').slice(2),
    images: run('pdfimages', '-list').trim().split('\n').slice(2),
  };
}

/** The first page as a printer has it (poppler), at 150 dots an inch, in grey. */
async function pictureOf(pages: readonly Page[]) {
  const file = new PdfWriter('Sheet', 'en');
  file.add(pages);
  const folder = mkdtempSync(join(tmpdir(), 'mivvel-pdf-'));
  const path = join(folder, 'sheet.pdf');
  writeFileSync(path, await file.end());
  execFileSync('pdftoppm', ['-gray', '-r', '150', '-singlefile', path, join(folder, 'page')]);
  const bytes = readFileSync(join(folder, 'page.pgm'));
  const [, wide = '0', high = '0'] =
    /^P5\s+(\d+)\s+(\d+)\s+255\s/.exec(bytes.toString('latin1', 0, 40)) ?? [];
  const [width, height] = [Number(wide), Number(high)];
  const grey = bytes.subarray(bytes.length - width * height);
  const rgba = new Uint8ClampedArray(width * height * 4);
  grey.forEach((one, at) => rgba.set([one, one, one, 255], at * 4));
  return { rgba, width, height };
}

describe('sheetPages, read back by poppler', () => {
  it('has every exercise with its words once, and a head and foot on every page', async () => {
    const sheet = sheetOf(5);
    const made = sheetPages(SAY, LOOK, sheet);
    const { pages, info, fonts, images } = await readPdf(made);
    expect(pages).toHaveLength(made.length);
    expect(info).toMatch(/Title:\s+Sheet/);
    expect(info).toMatch(/Page size:\s+595\.28 x 841\.89 pts \(A4\)/);
    const text = pages.join('\n');
    for (const { name } of sheet.items) expect(text.split(name)).toHaveLength(2);
    pages.forEach((page, index) => {
      expect(page).toContain('Žofie Łęcka');
      expect(page).toContain('5 Jan 2026');
      expect(page).toContain(`${index + 1} of ${pages.length}`);
      expect(page).toContain('hearing protection');
    });
    expect(text).toContain('= 72');
    expect(text).toContain('Watch for Breathe.');
    expect(text).toContain('1 of 3 clean at 72.');
    expect(text).toMatch(/60 +65 +70/);
    // All type is in the file, and the notes are outlines, not pictures.
    expect(fonts.every((font) => /yes yes yes/.test(font))).toBe(true);
    expect(images).toEqual([]);
  });

  it('keeps each exercise on one page, whatever the paper and the size', () => {
    for (const paper of ['a4', 'letter'] as const) {
      for (const large of [false, true]) {
        const pages = sheetPages(SAY, { ...LOOK, paper, large }, sheetOf(9));
        const [, high] = PAPERS[paper];
        const lowest = pages.flatMap(({ marks }) => marks.map((one) => ('y' in one ? one.y : 0)));
        expect(Math.max(...lowest)).toBeLessThan(high);
        expect(pages.length).toBeGreaterThan(large ? 3 : 2);
      }
    }
  });

  it('has a code for each exercise where it has an address, which a decoder (jsqr) reads off the page', async () => {
    const opens =
      'http://192.168.1.20:3000/stand?item=abcdefghijklmnopqrstuvwxyz%20abcdefghijklmnopq';
    const items = [{ ...item(1), opens }];
    const { rgba, width, height } = await pictureOf(sheetPages(SAY, LOOK, sheetOf(0, { items })));
    const found = decode(rgba, width, height, { inversionAttempts: 'dontInvert' });
    expect(found?.data).toBe(opens);
    const without = sheetPages(SAY, LOOK, sheetOf(1)).flatMap(({ marks }) => marks);
    const withCode = sheetPages(SAY, LOOK, sheetOf(0, { items })).flatMap(({ marks }) => marks);
    const boxesIn = (all: typeof without) => JSON.stringify(all).split('"boxes"').length;
    expect(boxesIn(withCode)).toBeGreaterThan(boxesIn(without));
  });

  it('has the code that lets a student in, which a decoder (jsqr) reads off the page, and what it is for', async () => {
    const wayIn = `http://192.168.1.20:3000/s/${'0123456789abcdefghjkmnpqrstvwxyz'.repeat(2).slice(0, 48)}`;
    const pages = sheetPages(SAY, LOOK, sheetOf(0, { wayIn }));
    const { rgba, width, height } = await pictureOf(pages);
    expect(decode(rgba, width, height, { inversionAttempts: 'dontInvert' })?.data).toBe(wayIn);
    expect((await readPdf(pages)).pages[0]).toContain('Scan this to come in.');
  });

  it('has a week as a table in the order of days and rows', async () => {
    const days = ['2026-01-05', '2026-01-06'].map((day) => ({ day, minutes: 20 }));
    const rows = ['Cells', 'Clave'].map((name) => ({
      name,
      now: 'now 60',
      planned: [true, false],
    }));
    const { pages } = await readPdf(sheetPages(SAY, LOOK, sheetOf(0, { week: { days, rows } })));
    expect(pages[0]).toMatch(/Mon 5 Jan to Tue 6 Jan/);
    expect(pages[0]).toMatch(/Mon +Tue/);
    expect(pages[0]).toMatch(/20 min +20 min/);
    expect(pages[0]?.indexOf('Cells')).toBeLessThan(pages[0]?.indexOf('Clave') ?? -1);
    expect(pages[0]).toContain('Tempo, remark');
  });

  it('has a long week on several pages, each with its head', async () => {
    const days = [{ day: '2026-01-05', minutes: 0 }];
    const rows = Array.from({ length: 40 }, (_, row) => {
      return { name: `Row ${row + 1}`, now: 'now 60', planned: [false] };
    });
    const { pages } = await readPdf(sheetPages(SAY, LOOK, sheetOf(0, { week: { days, rows } })));
    expect(pages).toHaveLength(3);
    for (const page of pages) expect(page).toContain('Exercise');
    expect(pages.join('').match(/Row \d+/g)).toHaveLength(40);
  });

  it('has a page of written rhythm with all of its bars', () => {
    const text = Array.from({ length: 16 }, () => '4. 4 8 4').join(' | ');
    const line = must(parseLine(text, must(parseMeter('4/4'))));
    const [page, ...more] = sheetPages(SAY, LOOK, sheetOf(0, { line: { name: 'Line 4', line } }));
    const heads = JSON.stringify(page).match(/"noteheadBlack"/g);
    expect(heads).toHaveLength(64);
    expect(more).toEqual([]);
  });

  it('sets names in letters that the typeface has not', async () => {
    const { pages, fonts } = await readPdf(
      sheetPages(SAY, LOOK, sheetOf(1, { student: 'Ξένια Жанна Nguyễn' })),
    );
    expect(pages[0]).toContain('Ξένια Жанна Nguyễn');
    expect(fonts.join()).toContain('NotoSans');
  });
});

describe('textBlock', () => {
  it('breaks between words, and within one that is wider than the line', () => {
    const words = 'one two three Donaudampfschifffahrtsgesellschaft four';
    const { marks, height } = textBlock([{ text: words }], 10, 80);
    const lines = marks.flatMap((mark) => (mark.kind === 'text' ? mark.text : []));
    expect(lines.join('').replaceAll(' ', '')).toBe(words.replaceAll(' ', ''));
    for (const line of lines) expect(measure('text', 10, line)).toBeLessThanOrEqual(80);
    expect(height).toBeCloseTo(lines.length * 13.6);
  });
});

describe('shortened', () => {
  it('leaves what fits, and cuts the rest with an ellipsis', () => {
    expect(shortened('Line 4', 'text', 10, 200)).toBe('Line 4');
    const short = shortened('Cells across the bar line', 'text', 10, 60);
    expect(short).toMatch(/^Cells.*…$/);
    expect(measure('text', 10, short)).toBeLessThanOrEqual(60);
  });
});

it('an empty sheet is a page with head and foot', () => {
  expect(sheetPages(SAY, LOOK, sheetOf(0))).toHaveLength(flow([], 'a4', () => []).length);
});
