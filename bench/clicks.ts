import { fileURLToPath } from 'node:url';
import { chromium } from '@playwright/test';
import { build } from 'esbuild';
import { CHROMIUM } from '../scripts/lib/chromium.mjs';
import type { Row } from './report';

const TEMPI = [61, 97, 173] as const;

/** Clicks through an OfflineAudioContext in Chromium against the ideal sample positions. */
export async function clicks(): Promise<Row[]> {
  const here = (path: string) => fileURLToPath(new URL(path, import.meta.url));
  const bundle = await build({
    entryPoints: [here('./clicks-page.ts')],
    bundle: true,
    write: false,
    format: 'iife',
    alias: { '@': here('../src') },
  });
  const browser = await chromium.launch({ executablePath: CHROMIUM, chromiumSandbox: false });
  const page = await browser.newPage();
  await page.addScriptTag({ content: bundle.outputFiles[0]?.text ?? '' });
  const rows: Row[] = [];
  for (const tempo of TEMPI) {
    const off = await page.evaluate(
      (bpm) =>
        (window as unknown as { clickOffsets: (bpm: number) => Promise<number[]> }).clickOffsets(
          bpm,
        ),
      tempo,
    );
    const worst = Math.max(...off.map(Math.abs));
    rows.push({
      what: `${off.length} clicks at ${tempo}`,
      measured: `worst ${worst.toFixed(2)} samples off`,
      against: 'ideal positions at 48 kHz',
    });
  }
  await browser.close();
  return rows;
}
