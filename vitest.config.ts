import { fileURLToPath } from 'node:url';
import { defineConfig } from 'vitest/config';

export default defineConfig({
  resolve: { alias: { '@': fileURLToPath(new URL('./src', import.meta.url)) } },
  test: {
    environment: 'node',
    setupFiles: ['./vitest.setup.ts'],
    testTimeout: 60_000,
    maxWorkers: '100%',
    projects: [
      {
        // The core is pure: its tests need no worlds of their own, and share what was loaded.
        extends: true,
        test: { name: 'core', include: ['src/core/**/*.test.ts'], isolate: false },
      },
      {
        extends: true,
        test: {
          name: 'rooms',
          include: ['src/**/*.test.ts', 'scripts/**/*.test.ts'],
          exclude: ['src/core/**'],
        },
      },
    ],
  },
});
