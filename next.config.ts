import { fileURLToPath } from 'node:url';
import type { NextConfig } from 'next';

const root = fileURLToPath(new URL('.', import.meta.url));

const config: NextConfig = {
  serverExternalPackages: ['better-sqlite3'],
  outputFileTracingRoot: root,
  turbopack: { root },
  devIndicators: false,
  poweredByHeader: false,
};

export default config;
