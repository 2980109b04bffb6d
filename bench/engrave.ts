import { fileURLToPath } from 'node:url';
import { chromium } from '@playwright/test';
import { build } from 'esbuild';
import { browserPath } from '../scripts/lib/debian.mjs';
import { median, type Row } from './report';

const ROUNDS = 9;

interface Page {
  readonly ours: (bars: number) => { first: number; again: number };
  readonly plain: (bars: number) => number;
}

/** Bars of a staff drawn in Chromium, beside the same bars drawn by the plain notation library, turn by turn in one
 * page after as many to warm up. */
export async function engraving(): Promise<Row[]> {
  const here = (path: string) => fileURLToPath(new URL(path, import.meta.url));
  const bundle = await build({
    entryPoints: [here('./engrave-page.tsx')],
    bundle: true,
    write: false,
    format: 'iife',
    jsx: 'automatic',
    alias: { '@': here('../src') },
    define: { 'process.env.NODE_ENV': '"production"' },
  });
  const browser = await chromium.launch({ executablePath: browserPath(), chromiumSandbox: false });
  const page = await browser.newPage();
  await page.addScriptTag({ content: bundle.outputFiles[0]?.text ?? '' });
  const rows: Row[] = [];
  for (const bars of [4, 40]) {
    const times = await page.evaluate(
      ([bars, rounds]) => {
        const { ours, plain } = window as unknown as Page;
        return Array.from({ length: rounds * 2 }, () => ({ ...ours(bars), plain: plain(bars) }));
      },
      [bars, ROUNDS] as const,
    );
    const late = times.slice(ROUNDS);
    const of = (key: 'first' | 'again' | 'plain') => median(late.map((one) => one[key]));
    rows.push({
      what: `a staff of ${bars} bars drawn, and drawn anew after an edit of one`,
      measured: `${of('first').toFixed(1)} ms, ${of('again').toFixed(1)} ms`,
      against: `${of('plain').toFixed(1)} ms for the plain library: ${(of('first') / of('plain')).toFixed(2)} of it`,
    });
  }
  await browser.close();
  return rows;
}
