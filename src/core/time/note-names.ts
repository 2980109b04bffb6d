export const NOTE_NAMES = ['american', 'british'] as const;
export type NoteNames = (typeof NOTE_NAMES)[number];

/** American names of note values and their British ones; the longer ones first. */
const BRITISH: readonly (readonly [RegExp, string])[] = [
  [/\bwhole note/gi, 'semibreve'],
  [/\bhalf note/gi, 'minim'],
  [/\bquarters\b/gi, 'crotchets'],
  [/\bquarter( note)?\b/gi, 'crotchet'],
  [/\b(8th|eighth)s\b/gi, 'quavers'],
  [/\b(8th|eighth)( note)?\b/gi, 'quaver'],
  [/\b(16th|sixteenth)s\b/gi, 'semiquavers'],
  [/\b(16th|sixteenth)( note)?\b/gi, 'semiquaver'],
  [/\b(32nd|thirty-second)s\b/gi, 'demisemiquavers'],
  [/\b(32nd|thirty-second)( note)?\b/gi, 'demisemiquaver'],
];

/** Words with the note names that a studio uses. All our words are written in American ones.
 * @example noteWords('swung 8ths', 'british') // => 'swung quavers' */
export function noteWords(text: string, names: NoteNames): string {
  if (names === 'american') return text;
  const said = BRITISH.reduce(
    (words, [american, british]) => words.replace(american, british),
    text,
  );
  return said.replaceAll(/\ban (quaver|crotchet)/g, 'a $1');
}
