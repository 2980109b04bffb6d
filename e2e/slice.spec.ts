import { expect, holdClock, lookAs, openStudio, phrase, test } from './app';

test.use({ ground: 'empty' });

test('from a typed line to the next rung, on a fresh database', async ({ page }) => {
  await holdClock(page);
  await openStudio(page);
  await page.getByLabel('New student').fill('Ines');
  await page.getByRole('button', { name: 'Add' }).click();
  await expect(page.getByRole('link', { name: 'Ines' })).toBeVisible();

  await page.getByRole('link', { name: 'Bench' }).click();
  await phrase(page, 'What keeps going', 'foot hi-hat on 2 and 4');
  await page.getByLabel('Reading line').fill('4. 4 8 4');
  await page.getByLabel('Reading line').press('Escape');
  await phrase(page, 'Interpretation', 'phrase cells by gap');
  await expect(page.getByTestId('line-reading')).toHaveText('RLLKKL RLLK RL RLLK');
  await expect(page.getByTestId('count-LF')).toHaveText('2 4');

  await page.getByLabel('Exercise name').fill('Cells over 2 and 4');
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByText('Saved', { exact: true })).toBeVisible();

  await page.getByRole('link', { name: 'Programs' }).click();
  await page.getByLabel('New program').fill('Autumn');
  await page.getByRole('button', { name: 'Make' }).click();
  await page.getByRole('button', { name: /^Exercise to add/ }).click();
  await page.getByRole('option', { name: 'Cells over 2 and 4' }).click();
  await page.getByRole('button', { name: /^Ladder of/ }).click();
  await expect(page.getByLabel('Start', { exact: true })).toHaveValue('60');
  await expect(page.getByLabel('Target')).toHaveValue('100');
  await expect(page.getByLabel('Step')).toHaveValue('5');
  // By hand: 3 × 32 beats at 60, 65 … 100 are 666 s.
  await expect(page.getByText('at least 12 min to all targets')).toBeVisible();
  await expect(page.getByText('Saved', { exact: true })).toBeVisible();
  await phrase(page, 'Student to give it to', 'Ines');
  await expect(page.getByText('Ines has Autumn now.')).toBeVisible();

  await lookAs(page, 'Ines', '/today');
  await expect(page.getByText('Start of the ladder: 3 clean to go on.')).toBeVisible();
  await page.getByRole('link', { name: 'Start', exact: true }).click();
  await expect(page.getByTestId('rung')).toContainText('60');
  for (const reason of ['1 of 3 clean at 60.', '2 of 3 clean at 60.', '3 clean at 60: now 65.']) {
    await page.keyboard.press('Space');
    await expect(page.locator('[data-stage=playing]')).toBeVisible();
    await page.clock.runFor(1000);
    await expect(page.getByText('count-in')).toBeVisible();
    await page.clock.fastForward(5 * 60_000 + 6000);
    await page.clock.runFor(100);
    await page.getByRole('button', { name: 'clean' }).click();
    await expect(page.getByText(reason)).toBeVisible();
  }
  await expect(page.getByTestId('rung')).toContainText('65');

  await lookAs(page, 'Ada', '/students');
  await page.getByRole('link', { name: 'Students' }).click();
  await page.getByRole('link', { name: 'Ines' }).click();
  await expect(page.getByText('3 clean at 60: now 65.').first()).toBeVisible();
  await expect(page.getByRole('table', { name: 'Log' }).getByRole('row')).toHaveCount(4);
  await expect(page.getByRole('img', { name: /^Tempo over time/ }).locator('svg')).toBeVisible();
});
