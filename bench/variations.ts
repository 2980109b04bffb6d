import type { Page } from '@playwright/test';
import { withTeacher } from './served';
import type { Row } from './report';

const FRAME_MS = 1000 / 60;

/** Variations in Chromium: how soon the first rows of a large family are on screen, and how many frames
 * the page keeps while the worker is at it. The baseline is the same page at rest. */
export async function variationScreen(): Promise<Row[]> {
  return withTeacher(async (page, url) => {
    await openFamily(page, url);
    const rest = await frames(page, 60);
    const before = await page.getByLabel('Variations', { exact: true }).innerText();
    const firstMs = await askForMore(page);
    const busy = await frames(page, 60);
    const size = await page.getByLabel('Variations', { exact: true }).innerText();
    return [
      {
        what: `first rows of ${size}, from ${before}`,
        measured: `${Math.round(firstMs)} ms`,
        against: '200 ms are asked for',
      },
      {
        what: 'frames kept while they are made',
        measured: percent(busy),
        against: `${percent(rest)} at rest in the same page`,
      },
    ];
  });
}

async function openFamily(page: Page, url: string): Promise<void> {
  await page.goto(`${url}/variations`);
  await give(page, 'Over 1', ['rock in 8ths', 'rock in quarters', 'rock in 16ths']);
  await give(page, 'Lines', ['4. 4 8 4', '4 4 4 4', '8 4 8 4 4', '2 4 4', '8 8 4 4 4', '4 2 4']);
  await give(page, 'Interpretations', ['short / long', 'accents in 16ths', 'line on cymbal']);
  await give(page, 'Changes 1', ['every displacement of the line in 16ths']);
  await page.getByRole('progressbar').waitFor({ state: 'hidden' });
}

async function give(page: Page, label: string, typed: readonly string[]): Promise<void> {
  await page.getByRole('button', { name: label, exact: true }).press('Enter');
  for (const text of typed) {
    await page.getByPlaceholder(/./).last().fill(text);
    await page.keyboard.press('Enter');
  }
  await page.keyboard.press('Escape');
}

/** Adds an axis of fifteen values. @returns ms until the first rows of the new family are drawn */
async function askForMore(page: Page): Promise<number> {
  await page.getByRole('button', { name: 'Changes 2', exact: true }).press('Enter');
  await page.getByPlaceholder(/./).last().fill('bass drum on any of four');
  return page.evaluate(async () => {
    const item = document.querySelector('[cmdk-item][aria-selected=true]');
    const start = performance.now();
    item?.dispatchEvent(new MouseEvent('click', { bubbles: true }));
    let gone = false;
    for (let step = 0; step < 600; step += 1) {
      await new Promise((done) => requestAnimationFrame(done));
      const drawn = document.querySelectorAll('[data-member]').length;
      if (drawn === 0) gone = true;
      else if (gone) break;
    }
    return performance.now() - start;
  });
}

/** Share of frames that came in time. */
async function frames(page: Page, count: number): Promise<number> {
  return page.evaluate(
    async ({ wanted, frameMs }) => {
      let last = await new Promise<number>((done) => requestAnimationFrame(done));
      let inTime = 0;
      for (let index = 0; index < wanted; index += 1) {
        const now = await new Promise<number>((done) => requestAnimationFrame(done));
        if (now - last < frameMs * 1.5) inTime += 1;
        last = now;
      }
      return inTime / wanted;
    },
    { wanted: count, frameMs: FRAME_MS },
  );
}

function percent(share: number): string {
  return `${Math.round(share * 100)} %`;
}
