import { fileURLToPath } from 'node:url';
import type { NextConfig } from 'next';
import { MOST_FILE_BODY } from './src/core/format/file-size';

const root = fileURLToPath(new URL('.', import.meta.url));

const config: NextConfig = {
  serverExternalPackages: ['better-sqlite3', 'fontkit', 'pdfkit', 'pino'],
  outputFileTracingRoot: root,
  turbopack: {
    root,
    // Messages are compiled here, so that no screen loads what reads them.
    rules: { '**/src/words/en/**/*.ts': { loaders: ['./scripts/lib/compiled-messages.mjs'] } },
    resolveAlias: { 'use-intl/format-message': 'use-intl/format-message/format-only' },
  },
  typescript: { ignoreBuildErrors: process.env.MIVVEL_TYPES === 'elsewhere' },
  // What a build would keep for the next one takes it longer to write than it saves.
  experimental: {
    // The compiler is asked as a command; it has no other way in.
    useTypeScriptCli: true,
    turbopackFileSystemCacheForBuild: false,
    // As much as the widest door takes; each has a limit of its own.
    proxyClientMaxBodySize: MOST_FILE_BODY,
  },
  devIndicators: false,
  poweredByHeader: false,
};

export default config;
