import { unreachable, type Result } from '../issue';
import type { Limb } from '../kit';
import type { Stroke } from '../pattern';
import type { ReadingLine } from '../reading';
import { accentGrid, type AccentGridOptions } from './accent-grid';
import { lineFill, type LineFillOptions } from './line-fill';
import { phraseCells, type PhraseCellsOptions } from './phrase-cells';
import { byRules, type RulesOptions } from './rules';
import { shortLong, type ShortLongOptions } from './short-long';
import type { Reading } from './types';
import { verbatim, type VerbatimOptions } from './verbatim';

/** An interpretation with its options, as a recipe holds it. Add a kind here and below. */
export type InterpretationOptions =
  | VerbatimOptions
  | ShortLongOptions
  | PhraseCellsOptions
  | AccentGridOptions
  | LineFillOptions
  | RulesOptions;

export type InterpretationKind = InterpretationOptions['kind'];

/** Every interpretation, in the order in which a chooser offers them. */
const INTERPRETATIONS = [verbatim, shortLong, phraseCells, accentGrid, lineFill, byRules] as const;

/** How the strokes of this kind are read back. */
export function readsAs(kind: InterpretationKind): Reading {
  return INTERPRETATIONS.find((one) => one.kind === kind)?.reads ?? 'voices';
}

export function claimsOf(options: InterpretationOptions): readonly Limb[] {
  switch (options.kind) {
    case 'verbatim':
      return verbatim.claims(options);
    case 'short-long':
      return shortLong.claims(options);
    case 'phrase-cells':
      return phraseCells.claims(options);
    case 'accent-grid':
      return accentGrid.claims(options);
    case 'line-fill':
      return lineFill.claims(options);
    case 'rules':
      return byRules.claims(options);
    default:
      return unreachable(options);
  }
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

function play(line: ReadingLine, options: InterpretationOptions): Result<readonly Stroke[]> {
  switch (options.kind) {
    case 'verbatim':
      return verbatim.play(line, options);
    case 'short-long':
      return shortLong.play(line, options);
    case 'phrase-cells':
      return phraseCells.play(line, options);
    case 'accent-grid':
      return accentGrid.play(line, options);
    case 'line-fill':
      return lineFill.play(line, options);
    case 'rules':
      return byRules.play(line, options);
    default:
      return unreachable(options);
  }
}
