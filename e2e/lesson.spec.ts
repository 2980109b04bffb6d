import type { Page } from '@playwright/test';
import { expect, holdClock, lookAs, test } from './app';

test.use({ ground: 'demo', viewport: { width: 390, height: 844 }, hasTouch: true });

/** Nothing lies beyond the right edge. */
async function fits(page: Page): Promise<void> {
  const { inner, whole } = await page.evaluate(() => ({
    inner: window.innerWidth,
    whole: Math.max(
      document.documentElement.scrollWidth,
      ...[...document.querySelectorAll('main')].map((one) => one.scrollWidth),
    ),
  }));
  expect(whole).toBeLessThanOrEqual(inner);
}

test('in the lesson the teacher has the student’s Stand, judges, and writes what to watch for', async ({
  page,
}) => {
  await holdClock(page);
  await lookAs(page, 'Maren', '/students');
  await fits(page);
  await page.getByRole('link', { name: 'Deniz' }).click();
  await expect(page.getByRole('heading', { level: 1, name: 'Deniz' })).toBeVisible();
  await fits(page);
  await page.getByRole('button', { name: /^Snare line over double-bass 16ths/ }).click();
  await page.getByRole('link', { name: 'Play in the lesson' }).click();
  await page.waitForURL('**/lesson/**');
  await expect(page.getByText(/^Deniz · exercise 1 of/)).toBeVisible();
  await expect(async () => {
    await page.getByRole('button', { name: 'Start' }).tap();
    await expect(page.locator('[data-stage=playing]')).toBeVisible({ timeout: 500 });
  }).toPass();
  await fits(page);
  await page.clock.fastForward(10 * 60_000);
  await page.clock.runFor(100);
  await page.getByRole('button', { name: 'lost' }).tap();
  await page.getByRole('button', { name: 'Beat 2' }).tap();
  await page.getByRole('button', { name: 'tense' }).tap();
  while ((await page.locator('[data-stage=done]').count()) === 0) {
    await page.keyboard.press('ArrowLeft');
    await page.clock.runFor(100);
  }
  await page.getByRole('button', { name: /^Watch for in Snare line over double-bass/ }).tap();
  await page.getByRole('textbox', { name: /^Watch for in/ }).fill('Heels down.');
  await page.keyboard.press('Enter');
  await page.clock.runFor(2000);
  await page.getByRole('button', { name: 'finish' }).tap();
  await page.waitForURL('**/students/**');
  await page.getByRole('button', { name: /^Snare line over double-bass 16ths/ }).click();
  const row = page.getByRole('table', { name: 'Log' }).getByRole('row').nth(1);
  // What was still on its way goes on by the held clock.
  await expect(async () => {
    await page.clock.runFor(500);
    await expect(row).toContainText('lost by the teacher', { timeout: 1000 });
  }).toPass();
  await expect(row).toContainText('tense, broke at beat 2');
  await expect(page.getByRole('textbox', { name: 'Watch for' })).toHaveValue('Heels down.');
  await lookAs(page, 'Deniz', '/stand?minutes=20&on=kit');
  const name = page.getByRole('heading', { level: 1 });
  await expect(async () => {
    await page.keyboard.press('ArrowLeft');
    await expect(name).toHaveText('Snare line over double-bass 16ths', { timeout: 500 });
  }).toPass();
  await expect(page.getByText('Heels down.')).toBeVisible();
  await expect(async () => {
    await page.getByRole('button', { name: 'Start' }).tap();
    await expect(page.locator('[data-stage=playing]')).toBeVisible({ timeout: 500 });
  }).toPass();
  await expect(page.getByTestId('cue')).toHaveText('Heels down.');
});

test('what the student is to watch for is written in the record, and taken back', async ({
  page,
}) => {
  await lookAs(page, 'Maren', '/students');
  await page.getByRole('link', { name: 'Deniz' }).click();
  const field = page.getByRole('textbox', { name: 'Watch for' });
  await field.fill('Count aloud.');
  await field.press('Enter');
  await expect(page.getByText('What to watch for is kept')).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByRole('textbox', { name: 'Watch for' })).toHaveValue('');
});

test('the Bench shows and plays in the hand', async ({ page }) => {
  await lookAs(page, 'Maren', '/bench');
  await page.getByRole('button', { name: /^a line over an ostinato/ }).click();
  await expect(page.getByRole('img', { name: /^Lanes/ }).first()).toBeVisible();
  await fits(page);
  await page.getByRole('button', { name: 'Play', exact: true }).tap();
  await expect(page.getByRole('button', { name: 'Stop', exact: true })).toBeVisible();
});
