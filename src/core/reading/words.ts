/** American and British names of note values, singular; plurals are read too. */
const NAMES: Readonly<Record<string, string>> = {
  whole: '1',
  semibreve: '1',
  half: '2',
  minim: '2',
  quarter: '4',
  crotchet: '4',
  eighth: '8',
  '8th': '8',
  quaver: '8',
  sixteenth: '16',
  '16th': '16',
  semiquaver: '16',
  'thirty-second': '32',
  '32nd': '32',
  demisemiquaver: '32',
};

const NAME = Object.keys(NAMES)
  .sort((a, b) => b.length - a.length)
  .join('|');

const PHRASE = new RegExp(
  `\\b(double[- ]dotted\\s+|dotted\\s+)?(${NAME})s?(?:\\s+notes?)?(\\s+rests?)?(\\s+tied\\s+to)?\\b`,
  'gi',
);

/** Turns words into shorthand and leaves all else as it was.
 * @example spellWords('dotted quarter, quarter, quaver rest') // => '4. 4 8r' */
export function spellWords(text: string): string {
  const spelled = text.replace(
    PHRASE,
    (_, dotted?: string, name?: string, rest?: string, tied?: string) => {
      const dots = dotted ? (/double/i.test(dotted) ? '..' : '.') : '';
      const base = NAMES[(name ?? '').toLowerCase()] ?? '';
      return `${base}${dots}${rest ? 'r' : ''}${tied ? '~' : ''}`;
    },
  );
  return spelled.replace(/,/g, ' ');
}
