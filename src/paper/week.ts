import type { Block, Mark } from '@/core/print';
import { sayDay, sayWeekday } from '@/words';
import { rule, textBlock, type Setting } from './setting';

/** A week on paper: a row for each exercise, a column for each day, as the paper week on screen is typed in. */
export interface SheetWeek {
  /** As `2026-03-29`, in order. */
  readonly days: readonly { readonly day: string; readonly minutes: number }[];
  readonly rows: readonly {
    readonly name: string;
    /** Where its ladder stands, in words. */
    readonly now: string;
    /** By day, whether the plan has it. */
    readonly planned: readonly boolean[];
  }[];
}

/** Shares of the width. */
const NAMES = 0.3;
const REMARK = 0.16;

/** Rows that stand under one head at most; a page holds that many at any size. */
const ROWS = 15;

/** @returns the head of the table again where it goes on */
export function weekBlocks(setting: Setting, week: SheetWeek): readonly Block[] {
  const blocks: Block[] = [];
  week.rows.forEach((row, index) => {
    if (index % ROWS === 0) {
      blocks.push({ ...head(setting, week), withNext: true, newPage: index > 0 });
    }
    blocks.push(rowBlock(setting, week, row));
  });
  const ticks = setting.say.t('sheet.ticks');
  const { text, width } = setting;
  blocks.push(textBlock([{ text: ticks, soft: true }], text * 0.85, width, { gap: text * 0.5 }));
  return blocks;
}

function columnsOf({ width }: Setting, { days }: SheetWeek) {
  const first = width * NAMES;
  const each = (width * (1 - NAMES - REMARK)) / days.length;
  return { xs: days.map((_, index) => first + index * each), each, remark: width * (1 - REMARK) };
}

function head(setting: Setting, week: SheetWeek): Block {
  const { say, small, text } = setting;
  const { xs, each, remark } = columnsOf(setting, week);
  const y = text;
  const label = { size: small, face: 'text', soft: true, kind: 'text' } as const;
  const marks: Mark[] = [
    { ...label, x: 0, y, text: say.t('sheet.exercise') },
    {
      ...label,
      x: remark + small / 2,
      y,
      text: say.t('sheet.tempoAndRemark'),
    },
  ];
  week.days.forEach(({ day, minutes }, index) => {
    const x = (xs[index] ?? 0) + each / 2;
    const at = { x, align: 'middle' } as const;
    marks.push(
      { kind: 'text', ...at, y, text: sayWeekday(say, day), size: small, face: 'strong' },
      { ...label, ...at, y: y + small * 1.25, text: sayDay(say, day) },
      {
        ...label,
        ...at,
        y: y + small * 2.5,
        text: minutes > 0 ? say.t('sheet.minutes', { minutes }) : '',
      },
    );
  });
  return { height: y + small * 2.5 + small, marks };
}

function rowBlock(setting: Setting, week: SheetWeek, row: SheetWeek['rows'][number]): Block {
  const { text, small, width } = setting;
  const { xs, each, remark } = columnsOf(setting, week);
  const name = textBlock([{ text: row.name, face: 'strong' }], text, width * NAMES - text / 2);
  const now = textBlock([{ text: row.now, soft: true }], small, width * NAMES - text / 2);
  const pad = text * 0.3;
  const height = name.height + now.height + 2 * pad;
  const marks: Mark[] = [
    rule(0, 0, width),
    rule(0, height, width),
    { kind: 'group', x: 0, y: pad, scale: 1, marks: name.marks },
    { kind: 'group', x: 0, y: pad + name.height, scale: 1, marks: now.marks },
    {
      kind: 'path',
      path: [...xs, remark].map((x) => `M${x} 0V${height}`).join(''),
      pen: 0.5,
      soft: true,
    },
  ];
  row.planned.forEach((planned, index) => {
    const x = (xs[index] ?? 0) + each - small * 0.8;
    if (planned) marks.push({ kind: 'glyph', glyph: 'dot', x, y: small * 0.7, size: small * 0.7 });
  });
  return { height, marks };
}
