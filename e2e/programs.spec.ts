import type { Locator, Page } from '@playwright/test';
import { expect, lookAs, phrase, test, dragOnto } from './app';

test.use({ ground: 'demo' });

test.beforeEach(async ({ page }) => {
  await lookAs(page, 'Maren', '/programs');
});

/** The row of an item, its ladder opened. */
async function ladderOf(page: Page, name: string): Promise<Locator> {
  const row = page.locator('[data-item]').filter({ hasText: name });
  await row.getByRole('button', { name: /^Ladder of/ }).click();
  return row;
}

test('a ladder that leads nowhere is refused at its fields, and what was typed stays', async ({
  page,
}) => {
  await page.getByRole('link', { name: 'Pit grooves' }).click();
  const first = await ladderOf(page, 'Clave against hats');
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
  await expect(first).toContainText('4 rungs: 60 64 68 72');
  await expect(first.getByRole('alert')).toBeHidden();
  await expect(page.getByText('Saved', { exact: true })).toBeVisible();
  await page.reload();
  await ladderOf(page, 'Clave against hats');
  await expect(first.getByLabel('Target')).toHaveValue('72');
});

test('exercises are added, moved by keys and taken out, with a way back', async ({ page }) => {
  await page.getByRole('link', { name: 'Pit grooves' }).click();
  const names = page.locator('[data-item] a');
  await expect(names).toHaveText([
    'Clave against hats on the upbeats',
    'One-handed 16ths, bass drum line',
  ]);
  await page.locator('[data-item]').nth(1).focus();
  await page.keyboard.press('Alt+ArrowUp');
  await expect(names.first()).toHaveText('One-handed 16ths, bass drum line');
  await phrase(page, 'Exercise to add', 'samba');
  await expect(names).toHaveCount(3);
  const samba = page.locator('[data-item]').filter({ hasText: 'samba' });
  await samba.focus();
  await page.keyboard.press('Delete');
  await expect(names).toHaveCount(2);
  await page.getByRole('button', { name: 'Undo', exact: true }).click();
  await expect(names).toHaveCount(3);
  await page.keyboard.press('Control+z');
  await expect(names).toHaveCount(2);
  await page.keyboard.press('Control+y');
  await expect(names).toHaveCount(3);
  await expect(page.getByText('Saved', { exact: true })).toBeVisible();
  await page.reload();
  await expect(names).toHaveCount(3);
});

test('an item is dragged into a section of its own', async ({ page }) => {
  await page.getByRole('link', { name: 'Cells for the revue' }).click();
  await page.getByRole('button', { name: '+ section' }).click();
  const name = page.getByLabel('Section name').last();
  await name.fill('Second act');
  await name.press('Enter');
  await phrase(page, 'Exercise to add to Second act', 'samba');
  const second = page.getByRole('region', { name: 'Second act' });
  await expect(second.locator('[data-item]')).toHaveCount(1);
  const grip = page
    .locator('[data-item]')
    .filter({ hasText: 'across the bar' })
    .locator('[data-grip]');
  await dragOnto(page, grip, second.locator('[data-item]').first());
  await expect(second.locator('[data-item]')).toHaveCount(2);
  await expect(second).toContainText('Cells across the bar line');
});

test('one ladder is set for several items at once', async ({ page }) => {
  await page.getByRole('link', { name: 'Cells for the revue' }).click();
  for (const row of [0, 1]) {
    await page.locator('[data-item]').nth(row).focus();
    await page.keyboard.press('x');
  }
  await expect(page.getByText('2 items chosen')).toBeVisible();
  await phrase(page, 'Ladder for all chosen', 'wave');
  const ladders = page.getByRole('button', { name: /^Ladder of/ });
  await expect(ladders.nth(0)).toContainText('100 80 110 120');
  await expect(ladders.nth(1)).toContainText('100 80 110 120');
  await expect(ladders.nth(2)).toContainText('50 53 56 59');
});

test('the ladder of one item is set for all from its own fields', async ({ page }) => {
  await page.getByRole('link', { name: 'Pit grooves' }).click();
  const first = await ladderOf(page, 'Clave against hats');
  await first.getByLabel('Kind of ladder').selectOption('fixed');
  await first.getByLabel('Start', { exact: true }).fill('52');
  await first.getByLabel('Start', { exact: true }).press('Enter');
  await first.getByLabel('Clean tries that count').selectOption('of the last 4');
  const all = page.getByRole('button', { name: /^Ladder of/ });
  await first.getByRole('button', { name: /^the same for all/ }).click();
  for (const ladder of await all.all()) {
    await expect(ladder).toContainText('52');
    await expect(ladder).toContainText('up after 3 clean of the last 4');
  }
  await page
    .getByRole('listitem')
    .filter({ hasText: 'The same ladder' })
    .getByRole('button', { name: 'Undo' })
    .click();
  await expect(all.filter({ hasText: '52' })).toHaveCount(1);
});

test('a step of a ladder of steps has tempi of its own', async ({ page }) => {
  await page.getByRole('link', { name: 'Pit grooves' }).click();
  const first = await ladderOf(page, 'Clave against hats');
  await first.getByLabel('Kind of ladder').selectOption('stages');
  const rungs = first.getByRole('list', { name: 'Rungs' });
  const own = rungs.getByRole('textbox').first();
  await own.fill('soon');
  await own.press('Enter');
  await expect(first.getByRole('alert')).toHaveText('Type a tempo, or two: 60 80.');
  await own.fill('50 60');
  await own.press('Enter');
  await expect(own).toHaveValue('50 → 60');
  await expect(page.getByText('Saved', { exact: true })).toBeVisible();
  await page.reload();
  await expect(page.getByRole('button', { name: 'Ladder of Clave against hats' })).toContainText(
    'at 50',
  );
});

test('items cannot wait for each other in a circle; nothing is lost', async ({ page }) => {
  await page.getByRole('link', { name: 'Pit grooves' }).click();
  const [clave, hands] = [
    await ladderOf(page, 'Clave against hats'),
    await ladderOf(page, 'One-handed'),
  ];
  await clave.getByRole('button', { name: /^What comes first/ }).click();
  await page.getByRole('option', { name: 'One-handed' }).click();
  await expect(clave).toContainText('after One-handed 16ths');
  await hands.getByRole('button', { name: /^What comes first/ }).click();
  await page.getByRole('option', { name: 'Clave' }).click();
  const alert = page.getByRole('region', { name: 'Exercises' }).getByRole('alert');
  await expect(alert).toContainText('none could ever begin');
  await hands.getByRole('button', { name: /^No longer after Clave/ }).click();
  await expect(alert).toBeHidden();
  await expect(page.getByText('Saved', { exact: true })).toBeVisible();
});

test('a change to a program in use asks whether its student follows', async ({ page }) => {
  await page.getByRole('link', { name: 'Pit grooves' }).click();
  await phrase(page, 'Exercise to add', 'samba');
  const asks = page.getByText('Lotte has the version before your changes.');
  await expect(asks).toBeVisible();
  await lookAs(page, 'Lotte', '/today');
  await expect(page.getByText('Snare line over samba feet')).toBeHidden();
  await lookAs(page, 'Maren', '/programs');
  await page.getByRole('link', { name: 'Pit grooves' }).click();
  await page.getByRole('button', { name: 'Update them' }).click();
  await expect(asks).toBeHidden();
  await lookAs(page, 'Lotte', '/today');
  await expect(page.getByText('Snare line over samba feet')).toBeVisible();
});

test('a program changed in another tab is not overwritten', async ({ page, context }) => {
  await page.getByRole('link', { name: 'Pit grooves' }).click();
  await expect(page.getByLabel('Program name')).toHaveValue('Pit grooves');
  const other = await context.newPage();
  await other.goto(page.url());
  await phrase(other, 'Exercise to add', 'samba');
  await expect(other.getByText('Saved', { exact: true })).toBeVisible();
  await phrase(page, 'Exercise to add', 'double');
  const alert = page.getByRole('region', { name: 'Exercises' }).getByRole('alert');
  await expect(alert).toContainText('changed elsewhere');
  await page.reload();
  await expect(page.locator('[data-item] a')).toHaveText([
    'Clave against hats on the upbeats',
    'One-handed 16ths, bass drum line',
    'Snare line over samba feet',
  ]);
});

test('a program starts as a copy of a template', async ({ page }) => {
  await page.getByRole('link', { name: 'Pit grooves' }).click();
  await page.getByRole('button', { name: 'make a template' }).click();
  await expect(page.getByRole('button', { name: 'template', exact: true })).toBeVisible();
  await page.getByRole('link', { name: 'Programs' }).click();
  await page.getByLabel('New program').fill('Spring grooves');
  await page.getByLabel('as a copy of').selectOption({ label: 'Pit grooves (template)' });
  await page.getByRole('button', { name: 'Make' }).click();
  await expect(page.getByLabel('Program name')).toHaveValue('Spring grooves');
  await expect(page.locator('[data-item]')).toHaveCount(2);
  await expect(page.getByText('Nobody has it yet.')).toBeVisible();
});

test('is given, taken back, renamed and archived, with a way back', async ({ page }) => {
  await page.getByRole('link', { name: 'Pit grooves' }).click();
  await phrase(page, 'Student to give it to', 'Bruno');
  const given = page.getByRole('complementary').getByRole('listitem');
  const names = given.getByRole('link', { name: /^(Lotte|Bruno)$/ });
  await expect(names).toHaveText(['Lotte', 'Bruno']);
  await page.getByRole('button', { name: 'Take it back from Bruno' }).click();
  await expect(names).toHaveText(['Lotte']);
  await page.getByRole('button', { name: 'Undo', exact: true }).click();
  await expect(names).toHaveText(['Lotte', 'Bruno']);
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
  await expect(page.getByRole('heading', { name: 'Programs', exact: true })).toBeVisible();
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
  await expect(page.locator('[data-item] a').first()).toHaveText('bossa feet');
});

test('an exercise starts halfway where all before it was clean; its line says so', async ({
  page,
}) => {
  await page.getByRole('button', { name: 'Copy' }).first().click();
  const second = page.locator('[data-item]').nth(1);
  await second.getByRole('button', { name: /^Ladder of/ }).click();
  const halfway = second.getByLabel('start halfway if all before it was clean');
  await expect(halfway).toBeChecked();
  const line = second.getByRole('button', { name: /^Ladder of/ });
  await expect(line).toContainText('from halfway if all before it was clean');
  await halfway.uncheck();
  await expect(line).not.toContainText('halfway');
  await second.getByLabel('climb to find the start').check();
  await expect(halfway).toBeHidden();
  // Nothing comes before the first.
  const first = page.locator('[data-item]').first();
  await first.getByRole('button', { name: /^Ladder of/ }).click();
  await expect(first.getByLabel('climb to find the start')).toBeVisible();
  await expect(first.getByLabel('start halfway if all before it was clean')).toBeHidden();
});
