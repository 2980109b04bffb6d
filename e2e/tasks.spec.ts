import type { Page } from '@playwright/test';
import { expect, openBench, test } from './app';
import { Hand } from './hand';

test.beforeEach(async ({ page, teacher }) => {
  await openBench(page, teacher);
});

const count = (page: Page, limb: string) => page.getByTestId(`count-${limb}`);

test('a one-beat sextuplet lick at the end of every fourth bar of a shuffle', async ({ page }) => {
  const hand = new Hand(page);
  await hand.choose('What keeps going', 'shuffle');
  const before = (await count(page, 'RF').textContent()) ?? '';
  await hand.line('6: RLRLRL');
  await hand.choose('Change it by', 'fill');
  await expect(page.getByRole('group', { name: 'Changed by' })).toContainText(
    '4 bars, the line once, ending on beat 1',
  );
  await expect(count(page, 'RF')).toHaveText(Array.from({ length: 4 }, () => before).join('|'));
  await expect(page.getByRole('group', { name: 'As', exact: true })).toContainText('in sextuplets');
  expect(hand.acts).toBeLessThanOrEqual(10);
});

test('a ruff round the drums that lands on beat one after three bars of groove', async ({
  page,
}) => {
  const hand = new Hand(page);
  await hand.pick('What keeps going', /^rock in 8ths 4/);
  await hand.line('6: LRLRLK');
  await hand.pick('Change it by', /its last note on beat 1/);
  await hand.pick('R sounds', /^floor tom/);
  await expect(page.getByRole('group', { name: 'Changed by' })).toContainText(
    '4 bars, the line once, its last note on beat 1',
  );
  await expect(page.getByRole('group', { name: 'As', exact: true })).toContainText(
    'R on floor tom, L on snare, K on bass drum',
  );
  expect(hand.acts).toBeLessThanOrEqual(8);
});

test('closed 16ths with a floor tom on the last backbeat and an open hat', async ({ page }) => {
  const hand = new Hand(page);
  await hand.choose('What keeps going', 'rock in 16ths');
  await hand.button('write');
  await hand.button('all rows');
  await hand.press(page.locator('[data-cell="tom-floor 60480"]'));
  await expect(page.getByText('In place of the snare stroke.')).toBeVisible();
  await hand.press(page.locator('[data-cell="hat-open 70560"]'));
  await expect(page.getByText('In place of the closed hi-hat stroke.')).toBeVisible();
  await expect(count(page, 'LH')).toHaveText('2 4');
  expect(hand.acts).toBeLessThanOrEqual(8);
});

test('three beginner’s beats, each from the one before', async ({ page }) => {
  const hand = new Hand(page);
  await hand.press(page.getByRole('button', { name: /^What keeps going:/ }).last());
  await hand.press(page.getByRole('option', { name: /^rock in 8ths 4/ }));
  await hand.button('write');
  for (const [part, cell] of [
    [1, 'bass 90720'],
    [2, 'bass 231840'],
  ] as const) {
    await hand.press(page.getByRole('button', { name: /^Parts:/ }));
    await hand.press(page.getByRole('option', { name: /^this one/ }));
    await expect(page.getByRole('group', { name: 'Parts' }).getByRole('listitem')).toHaveCount(
      part + 2,
    );
    await hand.press(page.locator(`[data-cell="${cell}"]`));
  }
  await expect(count(page, 'RF')).toHaveText(/^.+\|.+\|.+$/);
  expect(hand.acts).toBeLessThanOrEqual(9);
});

test('a page of sixteen bars under cells, two places changed by hand', async ({ page }) => {
  const hand = new Hand(page);
  await hand.button('page');
  await hand.press(page.getByLabel('Bar 1', { exact: true }));
  await hand.type('4. 4 8 4 x7');
  await hand.key('Enter');
  await hand.type('8 4. 4 4 x9');
  await hand.choose('Interpretation', 'phrase cells');
  await hand.button('chosen for all of a length');
  await hand.choose('Cell 2, 4 16ths', 'RLKK');
  await hand.choose('Cell 9, 6 16ths', 'RLLKLL');
  await expect(page.getByRole('button', { name: /^Cell 2, 4 16ths: RLKK/ })).toBeVisible();
  await expect(page.getByRole('button', { name: /^Cell 4, 4 16ths: RLLK/ })).toBeVisible();
  await expect(page.getByText(/^16 bars/).first()).toBeVisible();
  expect(hand.acts).toBeLessThanOrEqual(15);
});

test('of a page a bar, a line of bars or all of it is played, at one click each', async ({
  page,
}) => {
  const hand = new Hand(page);
  await hand.button('page');
  await hand.press(page.getByLabel('Bar 1', { exact: true }));
  for (const bar of ['4 4 4 4', '4. 4 8 4', '2 2~', '2 2', '8 8 4 2', '1']) {
    await hand.type(bar);
    await hand.key('Enter');
  }
  await page.keyboard.press('Backspace');
  const bars = (said: string | RegExp) => expect(page.getByTestId('count-LH')).toHaveText(said);
  const before = hand.acts;
  await hand.press(page.getByRole('button', { name: 'Play bar 2 alone' }));
  await bars('1 & & 4');
  expect(hand.acts - before).toBe(1);
  await expect(page.getByLabel('Bar 5', { exact: true })).toHaveValue('8 8 4 2');
  await hand.press(page.getByRole('button', { name: 'Play bars 5 to 6 alone' }));
  await bars('1 & 2 3 | 1'.replaceAll(' | ', '|'));
  await hand.press(page.getByRole('button', { name: 'Play bar 3 alone' }));
  await bars('1 3');
  await expect(page.getByText('Alone it has no ties over its edges.')).toBeVisible();
  await page.getByLabel('Bar 3', { exact: true }).fill('4 4 2~');
  await bars('1 2 3');
  await hand.press(page.getByRole('button', { name: 'whole page' }));
  await bars(/^1 2 3 4\|1 & & 4\|1 2 3\|3\|/);
  await expect(page.getByRole('button', { name: 'whole page' })).toBeHidden();
});

test('a letter typed right after Enter goes into the next bar', async ({ page }) => {
  await page.getByRole('button', { name: 'page', exact: true }).click();
  const first = page.getByLabel('Bar 1', { exact: true });
  await first.fill('4. 4 8 4');
  // In one go, before anything is drawn.
  const focused = await first.evaluate((field) => {
    field.dispatchEvent(new KeyboardEvent('keydown', { key: 'Enter', bubbles: true }));
    return document.activeElement?.getAttribute('aria-label');
  });
  expect(focused).toBe('Bar 2');
});

test('a new exercise begins with a line, also after a page', async ({ page }) => {
  await page.getByRole('button', { name: 'page', exact: true }).click();
  await page.getByLabel('Bar 1', { exact: true }).fill('4. 4 8 4');
  await page.getByRole('button', { name: 'new', exact: true }).click();
  await expect(page.getByLabel('Reading line')).toHaveValue('');
});

test('a solo of four fragments, each named, one of them untimed', async ({ page }) => {
  const hand = new Hand(page);
  await hand.line('RLRLRLRLRLRLRLRL');
  for (const [name, text, option] of [
    ['call', 'RLRRLRLLRLRRLRLL', null],
    ['answer', 'RLLRLLRLLRLLRLRL', null],
    ['close', 'RLRLRL', /^a new part, “close” no click$/],
  ] as const) {
    await hand.press(page.getByRole('button', { name: /^Parts:/ }));
    await hand.type(name);
    if (option) await hand.press(page.getByRole('option', { name: option }));
    else await hand.key('Enter');
    await expect(page.getByLabel('Reading line')).toBeFocused();
    await hand.type(text);
  }
  await hand.press(page.getByLabel('Name of part 1'));
  await hand.type('opening');
  await page.keyboard.press('Tab');
  const parts = page.getByRole('group', { name: 'Parts' });
  for (const name of ['opening', 'call', 'answer', 'close']) {
    await expect(parts.getByRole('button', { name: `Open ${name}` })).toBeVisible();
  }
  await expect(parts).toContainText('once, its own length');
  await expect(count(page, 'RH')).toHaveText(/\|1 & 2$/);
  expect(hand.acts).toBeLessThanOrEqual(16);
});
