/** How places between the beats are spoken: 16ths and triplets of the counted note, and the beat
 * itself where it is not its number. Common practice, no source, but for the rhythm syllables
 * `ta ka di mi` (Hoffman, Pelto & White 1996). Written from memory. */
export interface Syllables {
  readonly name: string;
  /** Null counts the beat with its number. */
  readonly beat: string | null;
  /** The second, third and fourth 16th. */
  readonly sixteenths: readonly [string, string, string];
  /** The second and third triplet. */
  readonly triplets: readonly [string, string];
  /** Fives and sevens after the beat; left out, they are counted with numbers. */
  readonly fives?: readonly [string, string, string, string];
  readonly sevens?: readonly [string, string, string, string, string, string];
  /** Felt beats of two and of three 8ths in meters of 8ths, where they are not counted by their numbers: their
   * 16ths after the beat. */
  readonly ofTwo?: readonly [string, string, string];
  readonly ofThree?: readonly [string, string, string, string, string];
}

export const SYLLABLES = {
  english: {
    name: '1 e & a, 1 trip let',
    beat: null,
    sixteenths: ['e', '&', 'a'],
    triplets: ['trip', 'let'],
  },
  'english-and': {
    name: '1 e & a, triplets 1 & a',
    beat: null,
    sixteenths: ['e', '&', 'a'],
    triplets: ['&', 'a'],
  },
  german: {
    name: '1 e und de, 1 tri ole',
    beat: null,
    sixteenths: ['e', 'und', 'de'],
    triplets: ['tri', 'ole'],
  },
  spanish: {
    name: '1 e y a, 1 si llo',
    beat: null,
    sixteenths: ['e', 'y', 'a'],
    triplets: ['si', 'llo'],
  },
  french: {
    name: '1 e et a, 1 o let',
    beat: null,
    sixteenths: ['e', 'et', 'a'],
    triplets: ['o', 'let'],
  },
  dutch: {
    name: '1 e en a, 1 o len',
    beat: null,
    sixteenths: ['e', 'en', 'a'],
    triplets: ['o', 'len'],
  },
  takadimi: {
    name: 'ta ka di mi, ta ki da',
    beat: 'ta',
    sixteenths: ['ka', 'di', 'mi'],
    triplets: ['ki', 'da'],
    fives: ['ka', 'di', 'mi', 'ti'],
    sevens: ['va', 'ka', 'di', 'mi', 'da', 'ma'],
    ofTwo: ['ka', 'di', 'mi'],
    ofThree: ['va', 'ki', 'di', 'da', 'ma'],
  },
} as const satisfies Readonly<Record<string, Syllables>>;

export type SyllablesId = keyof typeof SYLLABLES;

export const SYLLABLES_IDS = Object.keys(SYLLABLES) as [SyllablesId, ...SyllablesId[]];

/** A teacher's own syllables: `e & a`, `trip let`.
 * @returns null where there are not three and two of them */
export function ownSyllables(sixteenths: string, triplets: string): Syllables | null {
  const [s1, s2, s3, ...moreS] = sixteenths.trim().split(/\s+/);
  const [t1, t2, ...moreT] = triplets.trim().split(/\s+/);
  if (!s1 || !s2 || !s3 || !t1 || !t2 || moreS.length + moreT.length > 0) return null;
  return { name: 'own', beat: null, sixteenths: [s1, s2, s3], triplets: [t1, t2] };
}
