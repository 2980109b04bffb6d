import type { Page } from '@playwright/test';
import { expect, openStudio, OWNER, test, type App } from './app';
import { Hand } from './hand';

test.use({ ground: 'empty' });

/** The first start: the address with its code stands where Mivvel runs. */
async function openMine(page: Page, app: App, hand: Hand): Promise<void> {
  await hand.open(`/setup?code=${await app.setupCode()}`);
  await hand.fill('Studio', 'Mole End');
  await hand.fill('Your name', 'Ada');
  await hand.fill('Email', OWNER.email);
  await hand.fill('New password', OWNER.password);
  await hand.button('Open');
  await page.waitForURL('**/students');
}

test('from an empty studio to the first exercise heard', async ({ page, app }) => {
  const hand = new Hand(page);
  await openMine(page, app, hand);
  await hand.press(page.getByRole('link', { name: 'Bench' }));
  await hand.button(/^a beat in layers/);
  await hand.button('Play');
  await expect(page.getByRole('button', { name: 'Stop', exact: true })).toBeVisible();
  expect(hand.acts).toBeLessThanOrEqual(9);
});

test('a starter program is looked through, copied and given to a first student', async ({
  page,
  app,
}) => {
  const hand = new Hand(page);
  await openMine(page, app, hand);
  await expect(page.getByLabel('New student')).toBeFocused();
  await hand.type('Toad');
  await hand.key('Enter');
  await expect(page.getByRole('link', { name: 'Toad', exact: true })).toBeVisible();
  await hand.press(page.getByRole('link', { name: 'Programs' }));
  await hand.button('Copy A first beat, layer by layer');
  await expect(page.getByLabel('Program name')).toHaveValue('A first beat, layer by layer');
  await expect(page.locator('[data-item]')).toHaveCount(7);
  await hand.press(page.getByRole('button', { name: /^Student/ }));
  await hand.press(page.getByRole('option', { name: 'Toad' }));
  await expect(page.getByRole('link', { name: 'Toad', exact: true })).toBeVisible();
  expect(hand.acts).toBeLessThanOrEqual(13);

  await page.getByRole('link', { name: 'Toad', exact: true }).click();
  await page.getByRole('link', { name: 'ways in' }).click();
  await page.getByRole('button', { name: 'Make the link' }).click();
  const link = await page.getByLabel('Address', { exact: true }).inputValue();
  await page.goto(link);
  await page.getByRole('button', { name: 'Go in' }).click();
  await page.waitForURL('**/today');
  await expect(page.getByText(/^Toad · 1 exercise, /)).toBeVisible();
  await expect(page.getByText('after Hi-hat in 8ths')).toBeVisible();
});

test('an empty Bench offers what was opened last, and each way in', async ({ page }) => {
  await openStudio(page);
  await page.goto('/bench');
  const ways = page.getByRole('region', { name: 'Begin with' });
  await expect(ways.getByRole('button')).toHaveCount(6);
  await ways.getByRole('button', { name: /^a line over an ostinato/ }).click();
  await expect(ways).toBeHidden();
  await expect(page.getByTestId('count-RH')).not.toBeEmpty();
  await page.keyboard.press('Control+z');
  await ways.getByRole('button', { name: /^a page/ }).click();
  await expect(page.getByLabel('Bar 6', { exact: true })).toHaveValue('8 4 4 8 4');
  await page.keyboard.press('Control+z');
  await expect(ways).toBeVisible();
  await ways.getByRole('button', { name: /^a rudiment in a groove/ }).click();
  await page.getByLabel('Exercise name').fill('Paradiddle groove');
  await page.keyboard.press('Control+s');
  await expect(page).toHaveURL(/x=/);
  await page.goto('/bench');
  await page.getByRole('link', { name: 'Paradiddle groove' }).click();
  await expect(page.getByLabel('Exercise name')).toHaveValue('Paradiddle groove');
});

test('variations begin with nine', async ({ page }) => {
  await openStudio(page);
  await page.goto('/variations');
  await page.getByRole('button', { name: 'Begin with three rides over three snares' }).click();
  await expect(page.getByRole('button', { name: 'path 9' })).toBeVisible();
  await page.keyboard.press('Control+z');
  await expect(page.getByRole('button', { name: /^Begin with three/ })).toBeVisible();
});

test('what felt easy is offered with a twist, ready to hear, and with others beside it', async ({
  page,
}) => {
  await openStudio(page);
  await page.getByLabel('New student').fill('Toad');
  await page.keyboard.press('Enter');
  await page.getByRole('link', { name: 'Toad', exact: true }).waitFor();
  await page.goto('/programs');
  await page.getByRole('button', { name: 'Copy Bass drum between the 8ths' }).click();
  await page.getByRole('button', { name: /^Student/ }).click();
  await page.getByRole('option', { name: 'Toad' }).click();
  await page.getByRole('link', { name: 'Toad', exact: true }).click();
  await page.getByRole('link', { name: 'enter a paper week' }).click();
  await expect(page.locator('[data-cell="0 0"]')).toBeFocused();
  await page.keyboard.type('ccccccccc');
  await page.keyboard.press('Control+Enter');
  await expect(page.getByText('9 tries in the log.')).toBeVisible();
  await page.goto('/students');
  await page.getByRole('link', { name: 'Toad', exact: true }).click();
  const proposal = page.getByRole('group', { name: 'Proposal' });
  await expect(proposal).toContainText('the closed hi-hat part on the ride');
  const ways = proposal.getByRole('list', { name: 'Ready to hear' });
  await ways.getByRole('button', { name: 'Hear the closed hi-hat part on the ride' }).click();
  await expect(ways.getByRole('button', { pressed: true })).toBeVisible();
  await ways.getByRole('button', { pressed: true }).click();
  await ways.getByRole('button', { name: 'this instead' }).first().click();
  await expect(proposal).toBeHidden();
  await expect(page.getByText(/^Plays /).first()).toBeVisible();
  await page.getByRole('button', { name: 'Undo', exact: true }).click();
  await expect(proposal).toBeVisible();
});
