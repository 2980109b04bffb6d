import { fileURLToPath } from 'node:url';
import type { NextConfig } from 'next';

const root = fileURLToPath(new URL('.', import.meta.url));

const config: NextConfig = {
  serverExternalPackages: ['better-sqlite3', 'fontkit', 'pdfkit'],
  outputFileTracingRoot: root,
  turbopack: {
    root,
    // Messages are compiled here, so that no screen loads what reads them.
    rules: { '**/src/words/en/**/*.ts': { loaders: ['./scripts/lib/compiled-messages.mjs'] } },
    resolveAlias: { 'use-intl/format-message': 'use-intl/format-message/format-only' },
  },
  typescript: { ignoreBuildErrors: process.env.MIVVEL_TYPES === 'elsewhere' },
  // What a build would keep for the next one takes it longer to write than it saves.
  experimental: { turbopackFileSystemCacheForBuild: false },
  devIndicators: false,
  poweredByHeader: false,
};

export default config;
