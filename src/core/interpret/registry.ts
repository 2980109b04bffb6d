import type { Result } from '../issue';
import type { Assignment, Limb } from '../kit';
import type { Stroke } from '../pattern';
import type { ReadingLine } from '../reading';
import { accentGrid } from './accent-grid';
import { lineFill } from './line-fill';
import { phraseCells } from './phrase-cells';
import type { InterpretationOptions } from './interpretation-schema';
import { byRules } from './rules';
import { shortLong } from './short-long';
import type { Interpretation, Reading } from './types';
import { verbatim } from './verbatim';

export type InterpretationKind = InterpretationOptions['kind'];

type AllOptions = {
  readonly [Kind in InterpretationKind]: Extract<InterpretationOptions, { kind: Kind }>;
};

/** The options of one kind. */
export type OptionsOf<Kind extends InterpretationKind> = AllOptions[Kind];

const INTERPRETATIONS: {
  readonly [Kind in InterpretationKind]: Interpretation<OptionsOf<Kind>>;
} = {
  verbatim,
  'short-long': shortLong,
  'phrase-cells': phraseCells,
  'accent-grid': accentGrid,
  'line-fill': lineFill,
  rules: byRules,
};

/** How the strokes of this kind are read back. */
export function readsAs(kind: InterpretationKind): Reading {
  return INTERPRETATIONS[kind].reads;
}

/** The limbs that an interpretation takes, whatever the line. */
export function claimsOf<Kind extends InterpretationKind>(
  options: OptionsOf<Kind>,
): readonly Limb[] {
  const kind: Kind = options.kind;
  return INTERPRETATIONS[kind].claims(options);
}

/** The interpretation with other limbs on other voices; itself where its limbs are what it is about. */
export function reassigned<Kind extends InterpretationKind>(
  options: OptionsOf<Kind>,
  to: (part: Assignment) => Assignment,
): OptionsOf<Kind> {
  const kind: Kind = options.kind;
  return INTERPRETATIONS[kind].reassign?.(options, to) ?? options;
}

/** Strokes by the options and the line that they were made from: a family reads the same lines the same
 * way over and over. */
const MADE = new WeakMap<InterpretationOptions, WeakMap<ReadingLine, Result<readonly Stroke[]>>>();

/** Turns a line into strokes; see each interpretation for its issues. */
export function interpret(
  line: ReadingLine,
  options: InterpretationOptions,
): Result<readonly Stroke[]> {
  let ofLines = MADE.get(options);
  if (!ofLines) MADE.set(options, (ofLines = new WeakMap()));
  let made = ofLines.get(line);
  if (!made) ofLines.set(line, (made = play(line, options)));
  return made;
}

function play<Kind extends InterpretationKind>(
  line: ReadingLine,
  options: OptionsOf<Kind>,
): Result<readonly Stroke[]> {
  const kind: Kind = options.kind;
  return INTERPRETATIONS[kind].play(line, options);
}
