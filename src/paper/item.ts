import {
  columnsOfBar,
  spokenLimbs,
  motionsOf,
  spokenComposite,
  smallestPart,
} from '@/core/analysis';
import type { Course, Rung } from '@/core/ladder';
import { layOutLine, layOutStaff } from '@/core/notation';
import { lineBlocks, staffBlocks, type Block, type Mark } from '@/core/print';
import type { CueLine } from '@/core/progress';
import { asDrawn, type ClosedRecipe, type Exercise } from '@/core/recipe';
import { tempoBeatTicks } from '@/core/time';
import { sayCueLine, sayDosage, sayFeel, sayLimb, sayLimbs, sentenceParts } from '@/words';
import { codeMark } from './code';
import { measure } from './fonts';
import { ladderBlock } from './ladder';
import { rule, textBlock, type Setting, type Span } from './setting';
import { tempoMarks } from './tempo';

/** An exercise as it stands on a sheet. */
export interface SheetItem {
  /** Its number on the sheet; null where it stands alone. */
  readonly number: number | null;
  readonly name: string;
  readonly recipe: ClosedRecipe;
  readonly exercise: Exercise;
  readonly cues: readonly CueLine[];
  /** Where it is begun, or goes on. */
  readonly bpm: number;
  /** The address that a code opens; null prints none. */
  readonly opens: string | null;
  /** What it asks now, and why, in words; empty where it is nobody's yet. */
  readonly why: string;
  /** How it is practised; null leaves that to the player. */
  readonly practice: {
    readonly course: Course;
    readonly rungs: readonly Rung[];
    /** Rungs below are passed. */
    readonly rung: number;
  } | null;
}

/** An exercise: name and tempo, the sentence, the notes, what is said of them, its ladder. */
export function itemBlocks(setting: Setting, item: SheetItem, gap: number): readonly Block[] {
  const { say, look, text, width, space } = setting;
  const { recipe } = item;
  const exercise = asDrawn(item.exercise);
  const rows = { count: look.count, sticking: look.sticking };
  const staff = layOutStaff(exercise, rows, {
    width: width / space,
    columnsOf: (bar) => columnsOfBar(exercise, bar),
    syllables: say.syllables,
  });
  const { feel } = exercise;
  const notes = staffBlocks(staff, space, {
    numbered: exercise.bars > 1,
    swing: feel.kind === 'swung' ? sayFeel(say, feel) : null,
  });
  const after = [
    ...readingBlocks(setting, item),
    ...item.cues.map((cue) =>
      textBlock(
        [
          { text: say.t('sheet.watchFor'), face: 'strong' },
          { text: sayCueLine(say, cue, recipe.meter) },
        ],
        text,
        width,
        { gap: text * 0.3 },
      ),
    ),
    ...practiceBlocks(setting, item),
  ];
  return [
    { ...heading(setting, item), gap, withNext: true },
    ...sentence(setting, recipe).map((block): Block => ({ ...block, withNext: true })),
    ...notes.map((block, index): Block => {
      // What is said of the notes stands on the page of the last of them.
      return { ...block, withNext: index === notes.length - 1 && after.length > 0 };
    }),
    ...after.map((block, index): Block => ({ ...block, withNext: index < after.length - 1 })),
  ];
}

function heading({ title, width }: Setting, { number, name, bpm, exercise }: SheetItem): Block {
  const words = number === null ? name : `${number}  ${name}`;
  const tempo = tempoMarks(tempoBeatTicks(exercise.meter), bpm, title * 0.75);
  const block = textBlock([{ text: words, face: 'title' }], title, width - tempo.width - title);
  const right: Mark = {
    kind: 'group',
    x: width - tempo.width,
    y: title * 1.09,
    scale: 1,
    marks: tempo.marks,
  };
  return { ...block, marks: [...block.marks, right] };
}

/** The sentence, its reading line under the words that name it. */
function sentence({ say, text, width, space }: Setting, recipe: ClosedRecipe): readonly Block[] {
  const blocks: Block[] = [];
  let spans: Span[] = [];
  const close = () => {
    if (spans.length > 0) blocks.push(textBlock(spans, text, width));
    spans = [];
  };
  sentenceParts(say, recipe).forEach((part, index) => {
    spans.push({ text: `${index > 0 && spans.length > 0 ? '· ' : ''}${part.text}`, soft: true });
    if (!part.notation) return;
    if (part.notation.after) spans.push({ text: part.notation.after, soft: true });
    close();
    blocks.push(...lineBlocks(layOutLine(part.notation.line), width, space * 0.8));
  });
  close();
  return blocks;
}

/** What is read back in words: limbs said as one, motions of the hands. */
function readingBlocks({ say, look, text, width }: Setting, { exercise }: SheetItem): Block[] {
  const blocks: Block[] = [];
  const limbs = spokenLimbs(exercise);
  const times = smallestPart(exercise)?.times ?? 1;
  if (limbs) {
    blocks.push(
      textBlock(
        [
          { text: say.t('sheet.together', { limbs: sayLimbs(say, limbs) }), face: 'strong' },
          { text: spokenComposite(exercise, limbs) },
        ],
        text,
        width,
        { gap: text * 0.5 },
      ),
    );
  }
  if (!look.motions) return blocks;
  const hands = (['RH', 'LH'] as const).map((limb) => ({ limb, all: motionsOf(exercise, limb) }));
  const moving = hands.filter(({ all }) => all.length > 0);
  for (const { limb, all } of moving) {
    const letters = all.slice(0, all.length / times).map((one) => {
      return say.t(`sheet.motion.${one.motion}`);
    });
    const spans: Span[] = [
      { text: sayLimb(say, limb), face: 'strong' },
      { text: letters.join(' ') },
    ];
    blocks.push(textBlock(spans, text, width, { gap: text * 0.3 }));
  }
  if (moving.length > 0) {
    blocks.push(textBlock([{ text: say.t('sheet.motionsAre'), soft: true }], text * 0.85, width));
  }
  return blocks;
}

/** Width of a code, its margin included: 22 mm. */
const CODE = 62;

/** Ladder, dosage and rule; and, in any case, room for a tempo and a remark. */
function practiceBlocks(
  setting: Setting,
  { practice, exercise, why, opens }: SheetItem,
): readonly Block[] {
  const { say, look, text } = setting;
  const code = opens === null ? null : codeMark(opens, setting.width - CODE, 0, CODE);
  const width = setting.width - (code ? CODE + text : 0);
  const room = text * 2.2;
  const tempo = say.t('sheet.tempo');
  const remark = say.t('sheet.remark');
  const tempoWide = measure('text', text, tempo) + text * 0.6;
  const remarkAt = tempoWide + text * 7;
  const remarkWide = measure('text', text, remark) + text * 0.6;
  const lines: Block = {
    height: code ? Math.max(room, CODE) : room,
    gap: text * 0.4,
    marks: [
      ...(code ? [code] : []),
      { kind: 'text', x: 0, y: room * 0.8, text: tempo, size: text, face: 'text', soft: true },
      rule(tempoWide, room * 0.82, text * 6),
      {
        kind: 'text',
        x: remarkAt,
        y: room * 0.8,
        text: remark,
        size: text,
        face: 'text',
        soft: true,
      },
      rule(remarkAt + remarkWide, room * 0.82, width - remarkAt - remarkWide),
    ],
  };
  if (!practice || !look.ladder) return [lines];
  const { course, rungs, rung } = practice;
  const { clean, lost } = course.rule;
  const how = [
    say.t('sheet.dosage', { dosage: sayDosage(say, course.dosage) }),
    say.t('sheet.rule', { clean, lost }),
  ].join(' · ');
  return [
    textBlock([{ text: how }], text, setting.width, { gap: text * 0.5 }),
    ...(why === '' ? [] : [textBlock([{ text: why, soft: true }], text, setting.width)]),
    ladderBlock(setting, rungs, rung, tempoBeatTicks(exercise.meter)),
    lines,
  ];
}
