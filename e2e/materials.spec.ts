import { expect, holdClock, openStudio, phrase, test } from './app';

test.beforeEach(async ({ page }) => {
  await openStudio(page);
  await page.getByRole('link', { name: 'Materials' }).click();
  await expect(page).toHaveTitle('Materials · Mivvel');
});

test('materials are found by kind, use and word, and taken to the Bench', async ({ page }) => {
  const detail = page.getByRole('region', { name: 'Detail' });
  await page.getByRole('button', { name: 'Lines', exact: true }).click();
  await page.getByRole('button', { name: 'triplets', exact: true }).click();
  await expect(page.getByText('20 entries')).toBeVisible();
  await page.getByRole('button', { name: 'Stickings' }).click();
  await page.getByRole('searchbox', { name: 'Search' }).fill('ratamacue');
  await expect(page.getByText('3 entries')).toBeVisible();
  await page.getByRole('searchbox', { name: 'Search' }).fill('xyz');
  await expect(page.getByText('No match.')).toBeVisible();
  await page.getByRole('searchbox', { name: 'Search' }).fill('single paradiddle');
  await page.getByRole('button', { name: /^single paradiddle >RLRR/ }).click();
  await detail.getByRole('button', { name: 'Hear' }).click();
  await detail.getByRole('button', { name: 'Stop' }).click();
  await detail.getByRole('link', { name: 'To the Bench' }).click();
  await expect(page.getByTestId('line-reading')).toHaveText('>RLRR >LRLL');
});

test('an ostinato of one’s own: copied, written on, used; edited since, it is offered anew', async ({
  page,
}) => {
  await page.getByRole('button', { name: 'bass drum in quarters 4/4', exact: true }).click();
  await page.getByRole('button', { name: 'Copy' }).click();
  await page.getByLabel('Name').fill('my feet');
  await page.locator('[data-cell="bass 10080"]').click();
  await page.getByRole('button', { name: 'flam', exact: true }).click();
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByText('own, version 1')).toBeVisible();
  await page.getByRole('link', { name: 'To the Bench' }).click();
  await expect(page.getByTestId('count-RF')).toHaveText('1 & 2 3 4');
  await expect(page.locator('[data-ornament=flam]')).toHaveCount(1);
  const address = page.url();
  await page.goto('/materials');
  await page.getByRole('button', { name: /^my feet/ }).click();
  await page.getByRole('button', { name: 'Edit' }).click();
  await page.locator('[data-cell="bass 30240"]').click();
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByText('own, version 2')).toBeVisible();
  await page.goto(address);
  await expect(page.getByTestId('count-RF')).toHaveText('1 & 2 3 4');
  await page.getByRole('button', { name: 'edited since: update' }).click();
  await expect(page.getByTestId('count-RF')).toHaveText('1 & 2 & 3 4');
  await expect(page).not.toHaveURL(address);
  const updated = page.url();
  await page.goto('/materials');
  await page.getByRole('button', { name: 'Archive' }).click();
  await expect(page.getByText('Archived my feet.')).toBeVisible();
  await page.goto(updated);
  await expect(page.getByText('(archived)')).toBeVisible();
  await expect(page.getByTestId('count-RF')).toHaveText('1 & 2 & 3 4');
});

test('a line is typed wrong, kept, mended and saved', async ({ page }) => {
  await page.getByRole('button', { name: 'Lines', exact: true }).click();
  await page.getByRole('button', { name: 'New line' }).click();
  await page.getByLabel('Line', { exact: true }).fill('4 4 4 | 4');
  await expect(page.getByText('a quarter short of a bar of 4/4')).toBeVisible();
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByText('The material has no name.')).toBeVisible();
  await page.getByLabel('Line', { exact: true }).fill('8r 4 8 4 4');
  await page.getByLabel('Name').fill('mine');
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByText('own, version 1')).toBeVisible();
  await page.getByRole('link', { name: 'Bench', exact: true }).click();
  await page.getByLabel('Reading line').fill('8r 4 8 4');
  await page.getByRole('option', { name: /mine$/ }).click();
  await expect(page.getByTestId('line-reading')).toHaveText('S S S S');
  await expect(page).toHaveURL(/r=/);
  const address = page.url();
  await page.goto('/materials?k=line');
  await page.getByRole('button', { name: 'Edit' }).click();
  await page.getByLabel('Line', { exact: true }).fill('8r 4 8 2');
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByText('own, version 2')).toBeVisible();
  await page.goto(address);
  await page.getByRole('button', { name: 'edited since: update' }).click();
  await expect(page.getByTestId('line-reading')).toHaveText('S S S');
});

test('rules are kept under a name and read another line', async ({ page }) => {
  await page.getByRole('link', { name: 'Bench', exact: true }).click();
  await page.getByLabel('Reading line').fill('4. 4 8 4');
  await page.getByLabel('Reading line').press('Escape');
  await phrase(page, 'Interpretation', 'my own rules');
  await page.getByRole('button', { name: 'save these rules' }).click();
  await page.getByLabel('Name of these rules').fill('holds');
  await page.getByLabel('Name of these rules').press('Enter');
  await expect(page.getByText('Saved holds.')).toBeVisible();
  await phrase(page, 'Interpretation', 'as written');
  await phrase(page, 'Interpretation', 'holds');
  await expect(page.getByTestId('line-reading')).toHaveText('K K S K');
});

test('a line is tapped in over the click, and snaps to the grid', async ({ page }) => {
  await holdClock(page);
  await page.goto('/materials?k=line');
  await page.getByRole('button', { name: 'New line' }).click();
  await page.getByLabel('Tempo').selectOption('120');
  await page.clock.pauseAt(new Date(Date.now() + 60_000));
  await page.getByRole('button', { name: 'Tap it in' }).click();
  const pad = page.getByRole('group', { name: 'Tap it in' }).getByRole('button').first();
  await expect(pad).toHaveText('count-in…');
  await page.clock.runFor(2200);
  await expect(pad).toHaveText('tap: 0');
  for (const ms of [400, 250, 750]) {
    await page.clock.runFor(ms);
    await pad.press('j');
  }
  await page.clock.runFor(2000);
  await expect(page.getByLabel('Line', { exact: true })).toHaveValue('4r 8 4. 4');
});

test('a line is shown as a reader knows it, where it is found and where it is played', async ({
  page,
}) => {
  const notes = (name: string | RegExp) => page.getByRole('img', { name, exact: true });
  const third = notes('dotted quarter, 8th, quarter, quarter');
  const detail = page.getByRole('region', { name: 'Detail' });
  await page.getByRole('button', { name: 'Lines', exact: true }).click();
  await page.getByRole('searchbox', { name: 'Search' }).fill('4. 8 4 4');
  await page.getByRole('button', { name: /^line 3 / }).click();
  await expect(
    detail.getByRole('img', { name: 'dotted quarter, 8th, quarter, quarter' }),
  ).toBeVisible();
  await expect(third.first().locator('use[href$="#noteheadBlack"]')).toHaveCount(4);
  await detail.getByRole('link', { name: 'To the Bench' }).click();
  await expect(page.getByLabel('Reading line')).toHaveValue('4. 8 4 4');
  await expect(third).toBeVisible();
  await page.getByLabel('Reading line').fill('3(8 8 8) 2~ 4');
  await expect(notes(/^8th \(3 in the time of 2\), .*half tied, quarter$/)).toBeVisible();
  await page.getByLabel('Reading line').fill('3(8 8 8) 9');
  await expect(page.getByRole('img', { name: /in the time of/ })).toBeHidden();
});
