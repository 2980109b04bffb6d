import { fileURLToPath } from 'node:url';
import { defineConfig } from 'vitest/config';

/** Puts another version of the code in place of this one. */
const APART = ['src/server/roster.test.ts'];

/** Looks around the house: they put other things in place of what is there, or read it as text. */
const HOUSE = {
  extends: true as const,
  test: {
    name: 'house',
    include: ['src/*.test.ts', 'src/app/**/*.test.ts', 'scripts/**/*.test.ts', ...APART],
  },
};

/** The main roads in other engines than Chromium's, which take long and need to be installed. */
const ENGINES = {
  extends: true as const,
  test: { name: 'engines', include: ['e2e/engines/*.test.ts'], fileParallelism: false },
};

export default defineConfig({
  resolve: { alias: { '@': fileURLToPath(new URL('./src', import.meta.url)) } },
  test: {
    environment: 'node',
    setupFiles: ['./vitest.setup.ts'],
    testTimeout: 60_000,
    hookTimeout: 60_000,
    maxWorkers: '100%',
    projects: [
      {
        // The core is pure, and what the other rooms keep is kept by database file or by value: their tests need no
        // worlds of their own, and share what was loaded.
        extends: true,
        test: {
          name: 'rooms',
          include: ['src/{core,audio,db,paper,server,ui,words,workers}/**/*.test.ts'],
          exclude: APART,
          isolate: false,
        },
      },
      // A mutant is no text that anybody wrote.
      ...(process.env.MIVVEL_MUTANTS ? [] : [HOUSE]),
      ...(process.env.MIVVEL_ENGINES ? [ENGINES] : []),
    ],
  },
});
