import type { Page } from '@playwright/test';
import { expect, holdClock, lookAs, openStudio, phrase, test } from './app';

/** Presses until the page has come to life and plays. */
async function begin(page: Page): Promise<void> {
  await expect(async () => {
    await page.keyboard.press('PageDown');
    await expect(page.locator('[data-stage=playing]')).toBeVisible({ timeout: 500 });
  }).toPass();
}

/** Plays one dosage out and judges it; answers what comes after.
 * @param broke the felt beat, from 1; null is nowhere in particular */
async function tryIt(
  page: Page,
  verdict: 'clean' | 'shaky' | 'lost',
  { broke = null, what = null, limb = null }: Told = {},
): Promise<void> {
  await begin(page);
  await page.clock.fastForward(10 * 60_000);
  await page.clock.runFor(100);
  await page.getByRole('button', { name: verdict, exact: true }).click();
  if (verdict !== 'clean') {
    const beat = broke === null ? 'nowhere in particular' : `Beat ${broke}`;
    await page.getByRole('button', { name: beat, exact: true }).click();
    await page.getByRole('button', { name: what ?? 'go on', exact: true }).click();
    if (limb) await page.getByRole('button', { name: limb, exact: true }).click();
  }
  await expect(
    page.locator('[data-stage=ready], [data-stage=done], [data-stage=break]'),
  ).toBeVisible();
}

interface Told {
  readonly broke?: number | null;
  readonly what?: string | null;
  readonly limb?: string | null;
}

/** Again at the stand, after the break or the round. */
async function again(page: Page): Promise<void> {
  const goOn = page.getByRole('button', { name: 'Go on' });
  await expect(async () => {
    if (await goOn.isVisible()) await goOn.click();
    await expect(page.locator('[data-stage=ready]')).toBeVisible({ timeout: 1000 });
  }).toPass();
}

/** A new studio with one exercise in one program, given to Ines. */
async function oneItem(page: Page): Promise<void> {
  await holdClock(page);
  await openStudio(page);
  await page.getByLabel('New student').fill('Ines');
  await page.getByRole('button', { name: 'Add' }).click();
  await expect(page.getByRole('link', { name: 'Ines' })).toBeVisible();
  await page.getByRole('link', { name: 'Bench' }).click();
  await phrase(page, 'What keeps going', 'foot hi-hat on 2 and 4');
  await page.getByLabel('Reading line').fill('4 8 8 4 4');
  await page.getByLabel('Reading line').press('Escape');
  await phrase(page, /^Program to add it to/, 'Autumn');
  await page.getByRole('button', { name: 'Open it' }).click();
  await page.getByRole('button', { name: /^Ladder of/ }).click();
}

async function giveToInes(page: Page): Promise<void> {
  await phrase(page, 'Student to give it to', 'Ines');
  await expect(page.getByText('Ines has Autumn now.')).toBeVisible();
  await lookAs(page, 'Ines', '/today');
  await page.getByRole('link', { name: 'Start', exact: true }).click();
}

test.describe('a ladder follows the log', () => {
  test.use({ ground: 'empty' });

  test('advances, lowers, simplifies and gives back, all by itself', async ({ page }) => {
    await oneItem(page);
    await giveToInes(page);
    for (let n = 0; n < 3; n += 1) {
      await tryIt(page, 'clean');
      await again(page);
    }
    await expect(page.getByText('3 clean at 60: now 65.')).toBeVisible();
    for (let n = 0; n < 2; n += 1) {
      await tryIt(page, 'lost');
      await again(page);
    }
    await expect(page.getByText('2 lost in a row at 65: back to 60.')).toBeVisible();
    const followed = { what: 'a limb followed another', limb: 'left foot' };
    for (let n = 0; n < 2; n += 1) {
      await tryIt(page, 'lost', followed);
      await again(page);
    }
    await expect(page.getByText(/^Without the left foot \(hi-hat foot\)/)).toBeVisible();
    for (let n = 0; n < 3; n += 1) {
      await tryIt(page, 'clean');
      await again(page);
    }
    await expect(page.getByText('All of it again, at 60.')).toBeVisible();
  });

  test('one that waits: the teacher finds the stuck student, hears the bridge and decides', async ({
    page,
  }) => {
    await oneItem(page);
    await page.getByLabel('Days without gain').fill('3');
    await page.getByLabel('Who moves the ladder').selectOption('waits for me');
    await expect(page.getByText('Saved', { exact: true })).toBeVisible();
    await phrase(page, 'Student to give it to', 'Ines');
    await expect(page.getByText('Ines has Autumn now.')).toBeVisible();
    await page.goto('/students');
    await expect(page.getByText('nothing right now')).toBeVisible();

    await page.getByRole('link', { name: 'Ines' }).click();
    await page.getByRole('link', { name: 'enter a paper week' }).click();
    await expect(page.locator('[data-cell="0 0"]')).toBeFocused();
    await page.keyboard.type('s');
    await page.keyboard.press('ArrowRight');
    await page.keyboard.type('sl');
    await page.keyboard.press('Control+Enter');
    await expect(page.getByText('3 tries in the log.')).toBeVisible();
    await lookAs(page, 'Ines', '/today');
    await page.getByRole('link', { name: 'Start', exact: true }).click();
    for (let n = 0; n < 2; n += 1) {
      await tryIt(page, 'shaky', { broke: 3 });
      await again(page);
    }
    await lookAs(page, 'Ada', '/students');
    const row = page.getByRole('row').filter({ hasText: 'Ines' });
    await expect(row).toContainText('stuck at 60 for 3 days of practice');
    await expect(row).toContainText('It breaks at & of 2 → 3, left hand → left hand.');

    await page.getByRole('link', { name: 'Ines' }).click();
    await page.getByRole('button', { name: 'Hear the bridge & of 2 → 3', exact: true }).click();
    await expect(page.getByRole('button', { name: 'Stop the bridge & of 2 → 3' })).toBeVisible();
    await page.getByRole('button', { name: 'Stop the bridge & of 2 → 3' }).click();
    const proposal = page.getByRole('group', { name: 'Proposal' });
    await expect(proposal).toContainText('as a loop.');
    await proposal.getByRole('button', { name: 'Apply' }).click();
    await expect(proposal).toBeHidden();
    await expect(page.getByText('yes: work on the plateau')).toBeVisible();
    await page.getByRole('button', { name: 'Undo', exact: true }).click();
    await expect(proposal).toBeVisible();
    await proposal.getByRole('button', { name: 'Apply' }).click();
    await expect(proposal).toBeHidden();
    await lookAs(page, 'Ines', '/today');
    await expect(page.getByText(/^The bridge .* as a loop for now, at /)).toBeVisible();
  });

  test('the start is found by climbing, two bars a rung', async ({ page }) => {
    await oneItem(page);
    await page.getByLabel('climb to find the start').check();
    await expect(page.getByText('Saved', { exact: true })).toBeVisible();
    await giveToInes(page);
    await expect(page.getByText('Looking for your start: two bars at 60.')).toBeVisible();
    for (const rung of ['60', '65']) {
      await expect(page.getByTestId('rung')).toContainText(rung);
      await page.keyboard.press('PageDown');
      await page.clock.fastForward(60_000);
      await page.clock.runFor(100);
      await page.getByRole('button', { name: 'clean', exact: true }).click();
      await expect(page.locator('[data-stage=ready]')).toBeVisible();
    }
    await tryIt(page, 'shaky');
    await expect(page.getByText('Not clean at 70: start at 60.')).toBeVisible();
  });
});

test.describe('a try that is more than one tempo', () => {
  test.use({ ground: 'empty' });

  test('a ramp climbs by the bar, and ends at its target', async ({ page }) => {
    await oneItem(page);
    await page.getByLabel('Kind of ladder').selectOption('ramp');
    await page.getByLabel('Target').fill('80');
    await page.getByLabel('Step', { exact: true }).fill('10');
    await page.getByLabel('Bars a step').fill('2');
    await page.getByLabel('Bars a step').press('Enter');
    await expect(page.getByText('1 rung: 60 → 80, +10 every 2 bars')).toBeVisible();
    await expect(page.getByText('Saved', { exact: true })).toBeVisible();
    await giveToInes(page);
    await expect(page.locator('[data-stage=ready]')).toContainText('6 bars');
    await page.clock.pauseAt(new Date(Date.now() + 60_000));
    await begin(page);
    const row = page.locator('[data-stage=playing] .stand-row').first().locator('> span');
    await page.clock.runFor(4600);
    await expect(row).toHaveText([/60$/, 'bar 1', '5 bars left']);
    await expect(page.getByTestId('change')).toHaveText('');
    await page.clock.runFor(4000);
    await expect(page.getByTestId('change')).toHaveText('→ 70');
    await page.clock.runFor(4000);
    await expect(row).toHaveText([/70$/, 'bar 3', '3 bars left']);
    await page.clock.runFor((2 * 4 * 60_000) / 70);
    await expect(row).toHaveText([/80$/, 'bar 5', '1 bar left']);
    await page.clock.runFor((2 * 4 * 60_000) / 80);
    await page.getByRole('button', { name: 'clean', exact: true }).click();
    await expect(page.getByText(/^1 of 3 clean at 60 → 80/)).toBeVisible();
  });
});

test.describe('in the demo studio', () => {
  test.use({ ground: 'demo' });

  test('the roster begins with who is stuck, and says on what', async ({ page }) => {
    await lookAs(page, 'Maren', '/students');
    const first = page.getByRole('row').nth(1);
    await expect(first).toContainText('Lotte');
    await expect(first).toContainText('Clave against hats on the upbeats: stuck at');
    await expect(first).toContainText('It breaks at bar 2,');
    await expect(first).toContainText('left hand and right foot');
  });

  test('one program to a class: a left-handed member, a pad, and what may break', async ({
    page,
  }) => {
    await lookAs(page, 'Maren', '/programs');
    await page.getByRole('link', { name: 'Pit grooves' }).click();
    await page.getByRole('link', { name: 'Each student’s version' }).click();
    const row = page.getByRole('row').filter({ hasText: 'Clave against hats' });
    await expect(row.getByRole('cell').nth(1)).toContainText('all limbs mirrored');
    await expect(row.getByRole('cell').nth(4)).toContainText(
      'left foot → left hand and right foot',
    );
    await page.getByRole('link', { name: 'to the program' }).click();
    const [clave, hands] = ['Clave against hats', 'One-handed'].map((name) =>
      page.locator('[data-item]').filter({ hasText: name }),
    );
    await phrase(page, 'Exercise to add', 'samba');
    const samba = page.locator('[data-item]').filter({ hasText: 'samba' });
    for (const [item, kind] of [
      [clave, 'two-up'],
      [hands, 'percent'],
      [samba, 'list'],
    ] as const) {
      await item?.getByRole('button', { name: /^Ladder of/ }).click();
      await item?.getByLabel('Kind of ladder').selectOption(kind);
    }
    await expect(page.getByText('Saved', { exact: true })).toBeVisible();
    await page.getByRole('link', { name: 'Each student’s version' }).click();
    await page.getByRole('button', { name: 'Give it to Pia' }).click();
    await expect(page.getByText('Pia has Pit grooves now.')).toBeVisible();
    const start = page.getByLabel('Pia, Clave against hats on the upbeats: start');
    await start.fill('80');
    await start.press('Enter');
    // With so much time all of it is for now, whatever day it is.
    await lookAs(page, 'Pia', '/today?minutes=120&on=kit');
    const item = page.getByRole('listitem').filter({ hasText: 'Clave against hats' });
    await expect(item).toContainText('80');
    await expect(item).toContainText('For Pia');
    await expect(page.getByRole('listitem').filter({ hasText: 'samba' })).toContainText('60');
  });

  test('a warning comes before a program is handed out', async ({ page }) => {
    await lookAs(page, 'Maren', '/programs');
    await page.getByLabel('New program').fill('Spring grooves');
    await page.getByLabel('as a copy of').selectOption({ label: 'Pit grooves' });
    await page.getByRole('button', { name: 'Make' }).click();
    await expect(page.getByText('Nobody has it yet.')).toBeVisible();
    await phrase(page, 'Student to give it to', 'Lotte');
    const warned = page.getByRole('alertdialog');
    await expect(warned).toContainText('may break');
    await warned.getByRole('button', { name: 'Not yet' }).click();
    await expect(page.getByRole('link', { name: 'Lotte' })).toBeHidden();
    await phrase(page, 'Student to give it to', 'Lotte');
    await warned.getByRole('button', { name: 'Give it' }).click();
    await expect(page.getByText('Lotte has Spring grooves now.')).toBeVisible();
  });

  test('a paper week with a slip says where, and keeps what was typed', async ({ page }) => {
    await lookAs(page, 'Maren', '/students');
    await page.getByRole('link', { name: 'Bruno' }).click();
    const earlier = page.getByText(/^earlier tries, \d+ more$/);
    const first = page.getByRole('button', { name: /^Snare line over foot quarters/ });
    await first.click();
    const before = (await earlier.textContent()) ?? '';
    await page.getByRole('link', { name: 'enter a paper week' }).click();
    const cell = page.locator('[data-cell="1 0"]');
    await expect(page.locator('[data-cell="0 0"]')).toBeFocused();
    await page.keyboard.type('cc');
    await page.keyboard.press('Enter');
    await expect(cell).toBeFocused();
    await page.keyboard.type('cqc');
    await page.keyboard.press('Control+Enter');
    await expect(page.getByRole('main').getByRole('alert')).toContainText('“cqc” cannot be read.');
    await expect(cell).toHaveValue('cqc');
    await expect(cell).toHaveAttribute('aria-invalid', 'true');
    await cell.fill('80 c');
    await page.keyboard.press('Control+Enter');
    await expect(page.getByText('3 tries in the log.')).toBeVisible();
    await first.click();
    await expect(earlier).not.toHaveText(before);
    await page.getByRole('button', { name: 'Undo', exact: true }).click();
    await expect(earlier).toHaveText(before);
  });

  test('a note for the student stands on Today until it is taken away', async ({ page }) => {
    await lookAs(page, 'Maren', '/students');
    await page.getByRole('link', { name: 'Bruno' }).click();
    await page.getByLabel('Note for the student').fill('Count aloud.');
    await page.keyboard.press('Enter');
    await expect(page.getByText('Count aloud.')).toBeVisible();
    await lookAs(page, 'Bruno', '/today');
    await expect(page.getByText('Count aloud.')).toBeVisible();
    await lookAs(page, 'Maren', '/students');
    await page.getByRole('link', { name: 'Bruno' }).click();
    await page.getByRole('button', { name: 'Take away: Count aloud.' }).click();
    await expect(page.getByText('Count aloud.')).toBeHidden();
    await page.getByRole('button', { name: 'Undo', exact: true }).click();
    await expect(page.getByText('Count aloud.')).toBeVisible();
  });
});
