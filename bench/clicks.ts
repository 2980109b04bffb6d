import { fileURLToPath } from 'node:url';
import { chromium } from '@playwright/test';
import { build } from 'esbuild';
import { browserPath } from '../scripts/lib/debian.mjs';
import type { Row } from './report';

const TEMPI = [61, 97, 173] as const;

/** So long does the page nothing else. */
const BLOCK_MS = 150;

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
  const browser = await chromium.launch({
    executablePath: browserPath(),
    chromiumSandbox: false,
    args: ['--autoplay-policy=no-user-gesture-required'],
  });
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
  for (const blockMs of [0, BLOCK_MS]) {
    const ahead = await page.evaluate(
      ([tempo, block, bars]) => {
        type Ahead = (tempo: number, block: number, bars: number) => Promise<number[]>;
        return (window as unknown as { clicksAhead: Ahead }).clicksAhead(tempo, block, bars);
      },
      [240, blockMs, 24] as const,
    );
    const least = Math.round(1000 * Math.min(...ahead));
    const late = ahead.filter((seconds) => seconds < 0).length;
    rows.push({
      what: `${ahead.length} live clicks at 240, the page ${blockMs ? `blocked for ${blockMs} ms at a time` : 'at rest'}`,
      measured: `${late} late, the tightest planned ${least} ms ahead`,
      against: blockMs ? 'the same at rest, above' : 'its own place in time',
    });
  }
  await browser.close();
  return rows;
}
