import { layOutLine } from '@/core/notation';
import {
  flow,
  lineBlocks,
  MARGIN,
  PAPERS,
  type Block,
  type Look,
  type Mark,
  type Page,
} from '@/core/print';
import type { ReadingLine } from '@/core/reading';
import { sayCaution, sayDate, sayFullDate, type Say } from '@/words';
import { codeMark } from './code';
import { measure } from './fonts';
import { itemBlocks, type SheetItem } from './item';
import { settingOf, shortened, textBlock, type Setting } from './setting';
import { weekBlocks, type SheetWeek } from './week';

/** What one person is handed. */
export interface Sheet {
  /** What it is: an exercise, a program. */
  readonly title: string;
  /** For whom; empty for anybody. */
  readonly student: string;
  /** The address that lets the student in; null prints none. */
  readonly wayIn: string | null;
  /** As `2026-03-29`. */
  readonly day: string;
  readonly week: SheetWeek | null;
  /** A page of written rhythm. */
  readonly line: { readonly name: string; readonly line: ReadingLine } | null;
  readonly items: readonly SheetItem[];
}

/** The pages of a sheet, at least one. */
export function sheetPages(say: Say, look: Look, sheet: Sheet): readonly Page[] {
  const setting = settingOf(say, look);
  const { text, title, width } = setting;
  const heading = (words: string): Block => {
    return { ...textBlock([{ text: words, face: 'title' }], title * 1.15, width), withNext: true };
  };
  const blocks: Block[] = [];
  if (sheet.week) {
    const { days } = sheet.week;
    const [from = '', to = ''] = [days[0], days.at(-1)].map((one) => one && sayDate(say, one.day));
    blocks.push(heading(say.t('sheet.week', { from, to })), ...weekBlocks(setting, sheet.week));
  }
  if (sheet.wayIn !== null) blocks.push(wayInBlock(setting, sheet.wayIn));
  if (sheet.line) blocks.push(heading(sheet.line.name), ...readingPage(setting, sheet.line.line));
  for (const item of sheet.items) blocks.push(...itemBlocks(setting, item, text * 2.6));
  return flow(blocks, look.paper, (page, of) => headAndFoot(setting, sheet, page, of));
}

/** Width of a code, its margin included: 28 mm. */
const CODE = 80;

/** The code that lets the student in, with what it is for beside it. */
function wayInBlock({ say, text, width }: Setting, address: string): Block {
  const words = [{ text: say.t('sheet.wayIn'), soft: true }];
  const block = textBlock(words, text * 0.85, width - CODE - text);
  return {
    height: CODE,
    gap: text,
    marks: [
      codeMark(address, 0, 0, CODE),
      { kind: 'group', x: CODE + text, y: (CODE - block.height) / 2, scale: 1, marks: block.marks },
    ],
  };
}

/** Written rhythm as a page: bars of one width under each other. */
function readingPage({ width, space, text }: Setting, line: ReadingLine): readonly Block[] {
  const bars = layOutLine(line, { even: line.bars.length > 4 });
  return lineBlocks(bars, width, space * 1.25).map((block) => ({ ...block, gap: text }));
}

/** What it is, for whom, when; how many pages; and the caution. */
function headAndFoot(
  { say, look }: Setting,
  { title, student, day }: Sheet,
  page: number,
  of: number,
): readonly Mark[] {
  const [wide, high] = PAPERS[look.paper];
  const { side, top, bottom } = MARGIN;
  const size = 8.5;
  const date = sayFullDate(say, day);
  const pages = say.t('sheet.page', { page, of });
  const room = wide - 2 * side;
  const across = room / 2 - measure('strong', size, student) / 2 - size;
  const y = top - 26;
  const foot = high - bottom + 26;
  const caution = textBlock(
    [{ text: sayCaution(say), soft: true }],
    7,
    room - measure('text', size, pages) - 3 * size,
  );
  return [
    { kind: 'text', x: side, y, text: shortened(title, 'text', size, across), size, face: 'text' },
    { kind: 'text', x: wide / 2, y, text: student, size, face: 'strong', align: 'middle' },
    { kind: 'text', x: wide - side, y, text: date, size, face: 'text', align: 'right' },
    { kind: 'path', path: `M${side} ${y + 6}H${wide - side}`, pen: 0.5, soft: true },
    { kind: 'group', x: side, y: foot - 7, scale: 1, marks: caution.marks },
    { kind: 'text', x: wide - side, y: foot, text: pages, size, face: 'text', align: 'right' },
  ];
}
