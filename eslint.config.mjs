import next from 'eslint-config-next/core-web-vitals';
import nextTypes from 'eslint-config-next/typescript';

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

/** A schema stands beside its algorithm, which knows no more of it than its type: so whoever plays an exercise
 * loads no validator. */
const SCHEMA_APART = {
  regex: '(-|/)schema$',
  allowTypeImports: true,
  message: 'Import the type alone; what validates stands in a file of its own.',
};

/** What reads what came from outside. */
const READERS = [
  'src/core/{family,log,program,shape}/*.ts',
  'src/core/format/bundle/*.ts',
  'src/core/materials/contents.ts',
  'src/core/recipe/read-link.ts',
];

/** Rules for components and hooks read every file anew; those stand in `ui` and `app` alone. */
const NO_REACT = Object.fromEntries(
  Object.keys(next[0].rules)
    .filter((rule) => /^(react|react-hooks|jsx-a11y)\//.test(rule))
    .map((rule) => [rule, 'off']),
);

const rooms = Object.entries(CLOSED_TO).map(([room, closed]) => ({
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
}));

const config = [
  ...next,
  ...nextTypes,
  {
    ignores: [
      '.next/**',
      '.data/**',
      'next-env.d.ts',
      'public/**',
      'test-results/**',
      'playwright-report/**',
    ],
  },
  {
    rules: {
      '@typescript-eslint/no-unused-vars': [
        'error',
        { argsIgnorePattern: '^_', varsIgnorePattern: '^_' },
      ],
    },
  },
  { files: ['**/*'], ignores: ['src/{ui,app}/**', '**/*.tsx'], rules: NO_REACT },
  ...rooms,
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
  {
    files: ['src/core/**/*.ts'],
    ignores: ['**/*schema.ts', '**/index.ts', '**/*.test.ts', ...READERS],
    rules: { '@typescript-eslint/no-restricted-imports': ['error', { patterns: [SCHEMA_APART] }] },
  },
  { files: ['**/*.test.ts', '**/*.fixture.ts'], rules: { 'no-restricted-imports': 'off' } },
];

export default config;
