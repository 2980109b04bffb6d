import type { LineSign, ReadingLine } from '@/core/reading';
import type { Say } from './say';
import { sayNote } from './time';

/** A reading line read out, value by value.
 * @example sayRhythm(ENGLISH, line of '4. 4 8r 4') // => 'dotted quarter, quarter, 8th rest, quarter' */
export function sayRhythm(say: Say, line: ReadingLine): string {
  const bars = line.bars.map((signs) =>
    inOrder(
      say,
      signs.map((sign) => saySign(say, sign)),
    ),
  );
  if (bars.length === 1) return bars[0] ?? '';
  return inOrder(
    say,
    bars.map((signs, index) => say.t('notes.rhythmBar', { bar: index + 1, signs })),
  );
}

function saySign(say: Say, { kind, tied, value: { base, dots, tuplet } }: LineSign): string {
  const { t } = say;
  const note = t('notes.sign', { dots, name: nameOf(say, base) });
  const sign =
    kind === 'rest' ? t('notes.rest', { note }) : tied ? t('notes.tied', { note }) : note;
  if (!tuplet) return sign;
  const { played, inTimeOf } = tuplet;
  return t('notes.tuplet', { note: sign, played, inTimeOf });
}

function nameOf(say: Say, base: LineSign['value']['base']): string {
  const { t, notes } = say;
  if (base === 1) return t(`notes.${notes}.whole`);
  if (base === 2) return t(`notes.${notes}.half`);
  return sayNote(say, `${base}`);
}

function inOrder({ locale }: Say, parts: readonly string[]): string {
  return new Intl.ListFormat(locale, { type: 'unit' }).format(parts);
}
