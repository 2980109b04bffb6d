/** The rooms of the house, each with the rooms it must not look into. Imports run one way:
 * app → ui, server; server → db → core; server → paper → words, core; ui → audio, workers, words, core; words,
 * audio, workers → core. */
const CLOSED_TO = {
  core: ['paper', 'db', 'server', 'words', 'audio', 'workers', 'ui', 'app'],
  db: ['paper', 'server', 'words', 'audio', 'workers', 'ui', 'app'],
  server: ['audio', 'workers', 'ui', 'app'],
  paper: ['db', 'server', 'audio', 'workers', 'ui', 'app'],
  words: ['paper', 'db', 'server', 'audio', 'workers', 'ui', 'app'],
  audio: ['paper', 'db', 'server', 'words', 'ui', 'app'],
  workers: ['paper', 'db', 'server', 'words', 'audio', 'ui', 'app'],
  ui: ['paper', 'db', 'server', 'app'],
  app: ['paper', 'db', 'audio', 'workers'],
};

/** A folder's index is its only door for other folders. */
const CORE_DOOR = {
  regex: '^(@/core|\\.\\.)/[a-z-]+/.+',
  message: 'Import from the folder, not from a file inside it.',
};

const PURE = {
  regex: '^(react|react-dom|next|drizzle-orm|better-sqlite3|node:.*)(/|$)',
  message: 'The core is pure: no interface, database or machine.',
};

/** Queries are written in db alone: whoever else wants something asks a store. */
const NO_QUERIES = {
  regex: '^(drizzle-orm|better-sqlite3)(/|$)|^@/db/.+',
  message: 'Queries are written in src/db; ask a store, which knows whose it is.',
};

/** Browsers load every schema with the builders it uses: those of the small half alone. */
const SMALL_ZOD = {
  regex: '^zod(/v\\d)?$',
  message: 'Import from zod/mini; core/shape has the shapes that are used most.',
};

/** What each room may import; apart from all other rules, so that it can be tried by itself. */
export const rooms = [
  ...Object.entries(CLOSED_TO).map(([room, closed]) => ({
    files: [`src/${room}/**/*.{ts,tsx}`],
    rules: {
      'no-restricted-imports': [
        'error',
        {
          patterns: [
            {
              regex: `^(@/|(\\.\\./)+)(${closed.join('|')})(/|$)`,
              message: `src/${room} does not import from there; see the rooms in CONTRIBUTING.md.`,
            },
            ...(room === 'core'
              ? [CORE_DOOR, PURE, SMALL_ZOD]
              : [{ ...CORE_DOOR, regex: '^@/core/[a-z-]+/.+' }, SMALL_ZOD]),
            ...(room === 'db' || room === 'core' ? [] : [NO_QUERIES]),
          ],
        },
      ],
    },
  })),
  {
    files: ['src/core/**/*.ts'],
    ignores: ['**/*.test.ts'],
    rules: {
      'no-restricted-globals': ['error', 'window', 'document', 'fetch', 'process', 'performance'],
      'no-restricted-syntax': [
        'error',
        {
          selector: "CallExpression[callee.object.name='Math'][callee.property.name='random']",
          message: 'Randomness is an argument in the core.',
        },
        {
          selector: "CallExpression[callee.object.name='Date'][callee.property.name='now']",
          message: 'The clock is an argument in the core.',
        },
        {
          selector: "NewExpression[callee.name='Date'][arguments.length=0]",
          message: 'Today is an argument in the core.',
        },
      ],
    },
  },
  { files: ['**/*.test.ts', '**/*.fixture.ts'], rules: { 'no-restricted-imports': 'off' } },
];
