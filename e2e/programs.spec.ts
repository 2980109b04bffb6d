import { expect, lookAs, phrase, test } from './app';

test.use({ ground: 'demo' });

test.beforeEach(async ({ page }) => {
  await lookAs(page, 'Maren');
  await page.getByRole('link', { name: 'Programs' }).click();
});

test('a ladder that leads nowhere is refused at its fields, and what was typed stays', async ({
  page,
}) => {
  await page.getByRole('link', { name: 'Pit grooves' }).click();
  const first = page.getByRole('listitem').filter({ hasText: 'Clave against hats' });
  const step = first.getByLabel('Step');
  for (const [typed, says] of [
    ['0', 'A step of 0 never leaves the start.'],
    ['-5', 'A step of −5 leads away from 100 when starting at 60. Set it to +5'],
  ] as const) {
    await step.fill(typed);
    await step.press('Enter');
    await expect(first.getByRole('alert')).toContainText(says);
    await expect(step).toHaveValue(typed);
    await expect(step).toHaveAttribute('aria-invalid', 'true');
  }
  await step.fill('4');
  await first.getByLabel('Target').fill('500');
  await first.getByLabel('Target').press('Enter');
  await expect(first.getByRole('alert')).toContainText('A tempo of “500” cannot be played here.');
  await first.getByLabel('Amount').fill('0');
  await first.getByLabel('Amount').press('Enter');
  await expect(first.getByRole('alert')).toContainText('A dosage of “0” cannot be played.');
  await first.getByLabel('Amount').fill('2');
  await first.getByLabel('Target').fill('72');
  await first.getByLabel('Target').press('Enter');
  await expect(first).toContainText('4 rungs: 60 64 68 72 · at least 24 min');
  await expect(first.getByRole('alert')).toBeHidden();
  await page.reload();
  await expect(first.getByLabel('Target')).toHaveValue('72');
});

test('a ladder may lead down', async ({ page }) => {
  await page.getByRole('link', { name: 'Pit grooves' }).click();
  const first = page.getByRole('listitem').filter({ hasText: 'Clave against hats' });
  await first.getByLabel('Start').fill('80');
  await first.getByLabel('Target').fill('50');
  await first.getByLabel('Step').fill('-12');
  await first.getByLabel('Step').press('Enter');
  await expect(first).toContainText('4 rungs: 80 68 56 50');
});

test('exercises are added, moved and taken out, with a way back', async ({ page }) => {
  await page.getByRole('link', { name: 'Pit grooves' }).click();
  const names = page.locator('main ol li a');
  await expect(names).toHaveText([
    'Clave against hats on the upbeats',
    'One-handed 16ths, bass drum line',
  ]);
  await page.getByRole('button', { name: 'Move One-handed 16ths, bass drum line up' }).click();
  await expect(names.first()).toHaveText('One-handed 16ths, bass drum line');
  await phrase(page, 'Exercise to add', 'samba');
  await expect(names).toHaveCount(3);
  await page.getByRole('button', { name: 'Take out Snare line over samba feet' }).click();
  await expect(names).toHaveCount(2);
  await page.getByRole('button', { name: 'Undo', exact: true }).click();
  await expect(names).toHaveCount(3);
});

test('is given, taken back, renamed and archived, with a way back', async ({ page }) => {
  await page.getByRole('link', { name: 'Pit grooves' }).click();
  await phrase(page, 'Student to give it to', 'Bruno');
  const given = page.getByRole('complementary');
  await expect(given.getByRole('link')).toHaveText(['Lotte', 'Bruno']);
  await page.getByRole('button', { name: 'Take it back from Bruno' }).click();
  await expect(given.getByRole('link')).toHaveText(['Lotte']);
  await page.getByRole('button', { name: 'Undo', exact: true }).click();
  await expect(given.getByRole('link')).toHaveText(['Lotte', 'Bruno']);
  const name = page.getByLabel('Program name');
  await name.fill(' ');
  await name.press('Enter');
  await expect(page.getByText('The program has no name.')).toBeVisible();
  await name.fill('Pit grooves, act two');
  await name.press('Enter');
  await page.getByRole('link', { name: 'Programs' }).click();
  const link = page.getByRole('link', { name: 'Pit grooves, act two' });
  await link.click();
  await page.getByRole('button', { name: 'archive' }).click();
  await expect(page.getByRole('heading', { name: 'Programs' })).toBeVisible();
  await expect(link).toBeHidden();
  await page.getByRole('button', { name: 'Undo', exact: true }).click();
  await expect(link).toBeVisible();
});

test('the Bench puts an exercise straight into a new program', async ({ page }) => {
  await page.getByRole('link', { name: 'Bench' }).click();
  await phrase(page, 'What keeps going', 'bossa');
  await phrase(page, /^Program to add it to/, 'Feet for the foyer');
  await expect(page.getByText('Added to Feet for the foyer.')).toBeVisible();
  await page.getByRole('button', { name: 'Open it' }).click();
  await expect(page.getByLabel('Program name')).toHaveValue('Feet for the foyer');
  await expect(page.locator('main ol li a').first()).toHaveText('bossa feet');
});
