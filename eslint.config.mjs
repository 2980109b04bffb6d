import next from 'eslint-config-next/core-web-vitals';
import nextTypes from 'eslint-config-next/typescript';
import { rooms } from './scripts/lib/rooms.mjs';

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
      '.mutants/**',
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
    ignores: ['**/*schema.ts', '**/index.ts', '**/*.test.ts', ...READERS],
    rules: { '@typescript-eslint/no-restricted-imports': ['error', { patterns: [SCHEMA_APART] }] },
  },
];

export default config;
