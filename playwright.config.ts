import { defineConfig } from '@playwright/test';
import { browserPath } from './scripts/lib/debian.mjs';

const CI = Boolean(process.env.CI);

// One page for all tests of a worker, emptied between them (cookies, storage, clock, scripts): what the
// browser compiled for one test serves the next. Playwright has it for its own editor; it halves the time.
process.env.PW_TEST_REUSE_CONTEXT = '1';

/** What the browser does beside the page costs time that the tests have not: pages of its own that it loads
 * ahead, and what Playwright turns off by itself, which one flag replaces by another. */
const FEATURES_OFF = [
  'AvoidCorsURLLoaderRestartOnRedirect',
  'AvoidUnnecessaryBeforeUnloadCheckSync',
  'DestroyProfileOnBrowserClose',
  'HttpsFirstBalancedModeAutoEnable',
  'HttpsUpgrades',
  'LensOverlay',
  'MediaRouter',
  'NetworkTimeServiceQuerying',
  'OptimizationHints',
  'PaintHolding',
  'PreconnectToSearch',
  'PreloadTopChromeWebUI',
  'SpareRendererForSitePerProcess',
  'ThirdPartyStoragePartitioning',
  'TopChromeWebUIUsesSpareRenderer',
  'WebUIReloadButton',
  'InitialWebUI',
];

export default defineConfig({
  testDir: './e2e',
  testMatch: '*.spec.ts',
  globalSetup: './e2e/make-files.ts',
  workers: 2,
  fullyParallel: true,
  forbidOnly: CI,
  // Nothing is tried twice. A machine that is three times slower gets there too.
  retries: 0,
  timeout: 180_000,
  expect: { timeout: 20_000 },
  reporter: process.env.PLAYWRIGHT_JSON_OUTPUT_NAME ? [['list'], ['json']] : [['list']],
  use: {
    actionTimeout: 60_000,
    viewport: { width: 1280, height: 800 },
    browserName: 'chromium',
    launchOptions: {
      executablePath: browserPath(),
      chromiumSandbox: false,
      args: [
        '--disable-gpu',
        `--disable-features=${FEATURES_OFF.join(',')}`,
        '--disable-quic',
        '--no-first-run',
        '--disable-background-networking',
        '--disable-component-update',
        '--disable-sync',
        '--autoplay-policy=no-user-gesture-required',
        '--host-resolver-rules=MAP * ~NOTFOUND, EXCLUDE 127.0.0.1, EXCLUDE localhost',
      ],
    },
  },
});
