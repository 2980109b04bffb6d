import type { Page } from '@playwright/test';
import { expect, openBench, test } from './app';
import { Hand } from './hand';

/** Gives a phrase of a family values by typing; a list is typed as the sentence shows it. */
async function give(hand: Hand, page: Page, label: string, texts: readonly string[]) {
  await hand.press(page.getByRole('button', { name: label, exact: true }));
  await expect(page.locator('[cmdk-input]')).toBeFocused();
  for (const text of texts) {
    await hand.type(text);
    await hand.key('Enter');
    await expect(page.locator('[cmdk-input]')).toHaveValue('');
  }
}

/** Sends what is listed to a new program and opens that. */
async function sendToNew(hand: Hand, page: Page, name: string) {
  await hand.press(page.getByRole('button', { name: /^Program to send/ }));
  await hand.type(name);
  await hand.key('Enter');
  await hand.press(page.getByRole('button', { name: 'Open it' }));
  await expect(page.getByLabel('Program name')).toHaveValue(name);
}

test.describe('in a family', () => {
  test.beforeEach(async ({ page, teacher }) => {
    await page.context().addCookies(await teacher());
    await page.goto('/variations');
    await expect(page.getByText('give a phrase several values')).toBeVisible();
  });

  test('nine flows as a run of nine bars, in the order written', async ({ page }) => {
    const hand = new Hand(page);
    const rides = 'ride in quarters / ride in 8ths / ride on the upbeats';
    await give(hand, page, 'Over 1', [rides]);
    await give(hand, page, 'Over 2', ['S: 1 2 3 4 / S: xxxxxxxx / S: -x-x-x-x']);
    await give(hand, page, 'Over 3', ['feet alternating in 8ths']);
    await hand.key('Escape');
    await expect(page.getByRole('button', { name: 'path 9' })).toBeVisible();
    const path = page.getByRole('listbox', { name: 'Path' });
    for (const [number, snare] of [
      [1, '1 2 3 4'],
      [2, 'xxxxxxxx'],
      [3, '-x-x-x-x'],
    ] as const) {
      const row = path.getByRole('option', { name: new RegExp(`^${number}: `) });
      await expect(row).toHaveAccessibleName(new RegExp(`S: ${snare}$`));
    }
    await hand.button('Hear as a run');
    await expect(page.getByRole('button', { name: 'Stop', exact: true })).toBeVisible();
    expect(hand.acts).toBeLessThanOrEqual(15);
  });

  test('ten patterns, then again with the left hand on the ride, four times each', async ({
    page,
  }) => {
    const hand = new Hand(page);
    const patterns =
      'RLRRLRLL / RLRLRLRL / RRLLRRLL / RLLRLLRL / RLRLRRLL / RRLRLLRL / RLLRRLLR / RLRRLLRL / RRLLRLRL / RLLRRLRL';
    await give(hand, page, 'Lines', [patterns]);
    await give(hand, page, 'Changes 1', ['as it is', 'the left hand’s']);
    await hand.key('Escape');
    await hand.press(page.getByRole('button', { name: /^ostinato, .*left hand/ }));
    const editor = page.getByRole('dialog');
    await hand.press(editor.getByRole('radio', { name: 'line', exact: true }));
    await hand.press(editor.getByRole('button', { name: /^From voice/ }));
    await hand.type('snare');
    await hand.key('Enter');
    await hand.key('Escape');
    hand.acts += 1;
    await page.getByLabel('Passes').selectOption({ label: 'a pass for each change' });
    hand.acts += 1;
    await page.getByLabel('Bars of each').selectOption('4');
    await expect(page.getByRole('button', { name: 'path 20' })).toBeVisible();
    const path = page.getByRole('listbox', { name: 'Path' });
    await expect(path.getByRole('option', { name: /^2: / })).toHaveAccessibleName(/RLRLRLRL/);
    await hand.button('Hear as a run');
    await expect(page.getByRole('button', { name: 'Stop', exact: true })).toBeVisible();
    expect(hand.acts).toBeLessThanOrEqual(25);
  });

  test('five textures by three by three, covered, to a program', async ({ page }) => {
    const hand = new Hand(page);
    const textures =
      'H: xxxxxxxxxxxxxxxx / H: XxXxXxXxXxXxXxXx / H: XxxxXxxxXxxxXxxx / H: xxXxxxXxxxXxxxXx / H: XXXXXXXXXXXXXXXX';
    await give(hand, page, 'Over 1', [textures]);
    await give(hand, page, 'Over 2', ['S: 2 4 / S: 2 4a / S: 2& 4']);
    await give(hand, page, 'Over 3', ['K: 1 3 / K: 1 1a 3 / K: 1 2& 3']);
    await hand.key('Escape');
    await expect(page.getByRole('button', { name: /^path 45/ })).toBeVisible();
    await hand.button('Keep');
    await expect(page.getByText('15 cover all 39 pairs.')).toBeVisible();
    await sendToNew(hand, page, 'Textures');
    await expect(page.locator('[data-item]')).toHaveCount(15);
    expect(hand.acts).toBeLessThanOrEqual(15);
  });
});

test.describe('from the Bench', () => {
  test.beforeEach(async ({ page, teacher }) => {
    await openBench(page, teacher);
  });

  test('three inversions over three grids, the toms kept', async ({ page }) => {
    const hand = new Hand(page);
    await hand.line('8: KRL');
    await hand.pick('R sounds', /^high tom/);
    await hand.pick('L sounds', /^floor tom/);
    await hand.press(page.getByRole('link', { name: 'vary' }));
    await give(hand, page, 'Lines', ['8t: KRL / 16: KRL']);
    await give(hand, page, 'Changes 1', ['every rotation']);
    await expect(page.getByLabel('Variations', { exact: true })).toHaveText('9 variations');
    await hand.key('Escape');
    await expect(page.getByRole('button', { name: 'path 9' })).toBeVisible();
    const panel = page.getByRole('region', { name: 'Variation', exact: true });
    await expect(panel).toContainText('floor tom');
    await expect(panel).toContainText('high tom');
    await expect(panel).not.toContainText('snare');
    expect(hand.acts).toBeLessThanOrEqual(15);
  });

  test('a solo of four fragments, joined step by step, to a student', async ({ page }) => {
    const hand = new Hand(page);
    await page.goto('/students');
    const name = `Solo student ${Date.now()}`;
    await page.getByLabel('New student').fill(name);
    await page.keyboard.press('Enter');
    await expect(page.getByRole('link', { name, exact: true })).toBeVisible();
    await page.goto('/bench');
    await hand.line('RLRLRLRLRLRLRLRL');
    for (const text of ['RLRRLRLLRLRRLRLL', 'RLLRLLRLLRLLRLRL', 'RRLLRRLLRRLLRRLL']) {
      await hand.press(page.getByRole('button', { name: /^Parts:/ }));
      await hand.press(page.getByRole('option', { name: /^a new part/ }).first());
      await expect(page.getByLabel('Reading line')).toBeFocused();
      await hand.type(text);
    }
    await hand.press(page.getByRole('link', { name: 'steps' }));
    const path = page.getByRole('listbox', { name: 'Path' });
    await expect(path.getByRole('option')).toHaveCount(7);
    await sendToNew(hand, page, `Solo for ${name}`);
    await hand.press(page.getByRole('button', { name: /^Student/ }));
    await hand.type(name);
    await hand.key('Enter');
    await expect(page.getByRole('link', { name, exact: true })).toBeVisible();
    expect(hand.acts).toBeLessThanOrEqual(20);
  });

  test('placements that the Bench counts become a family at a touch', async ({ page }) => {
    const hand = new Hand(page);
    await hand.choose('What keeps going', 'hi-hat 8ths and backbeat');
    await hand.choose('Change it by', 'placement');
    await hand.press(page.getByRole('group', { name: 'Changed by' }).getByRole('button').first());
    await hand.button('All 6 as a family');
    await expect(page.getByLabel('Variations', { exact: true })).toHaveText('6 variations');
    await expect(page.getByRole('button', { name: 'path 6' })).toBeVisible();
  });
});
