import { join } from 'node:path';
import Database from 'better-sqlite3';
import { expect, lookAs, test, dragOnto } from './app';

test.use({ ground: 'demo' });

const DAY_MS = 86_400_000;

/** A date so many days from now, as the screens say it. */
function said(days: number): string {
  const date = new Date(Date.now() + days * DAY_MS);
  const of = (options: Intl.DateTimeFormatOptions) =>
    new Intl.DateTimeFormat('en-GB', options).format(date);
  return `${of({ weekday: 'short' })} ${of({ day: 'numeric', month: 'short' })}`;
}

test('two days are missed: it is said, and today has work again', async ({ page, app }) => {
  await lookAs(page, 'Deniz', '/today');
  const file = new Database(join(app.folder, 'mivvel.sqlite'));
  const since = new Date(Date.now() - 2 * DAY_MS).toISOString().slice(0, 10);
  file
    .prepare(
      `delete from entry where day >= ?
        and student_id = (select id from person where name = 'Deniz')`,
    )
    .run(since);
  file.close();
  await page.goto('/today');
  await expect(page.getByText(/^Missed: .*Rescheduled from today\.$/)).toBeVisible();
  await expect(page.getByRole('link', { name: /Snare line over double-bass 16ths/ })).toBeVisible();
  await page.getByRole('link', { name: 'Plan', exact: true }).click();
  for (const day of [-2, -1]) {
    await expect(page.getByRole('button', { name: `${said(day)}, missed` })).toBeVisible();
  }
});

test('on another date than the studio’s, that is said', async ({ browser, app }) => {
  const ahead = new Date().getUTCHours() >= 10;
  const timezoneId = ahead ? 'Pacific/Kiritimati' : 'Pacific/Pago_Pago';
  const context = await browser.newContext({ baseURL: app.url, timezoneId });
  const page = await context.newPage();
  await lookAs(page, 'Deniz', '/today');
  await expect(page.getByText(/^At the studio it is \w{3} \d/)).toBeVisible();
  await context.close();
});

test('a day more in the week moves the forecast, and what was there comes back', async ({
  page,
}) => {
  await lookAs(page, 'Maren', '/students');
  await page.getByRole('link', { name: 'Bruno' }).click();
  await page.getByRole('link', { name: 'plan', exact: true }).click();
  await expect(page).toHaveTitle('Plan of Bruno · Mivvel');
  const forecast = page.getByTestId('forecast');
  await expect(forecast).toContainText('All targets:');
  const before = await forecast.textContent();
  for (const day of ['Wed', 'Sun']) {
    await page.getByLabel(`Minutes on ${day}`, { exact: true }).fill('60');
    await page.getByLabel(`Minutes on ${day}`, { exact: true }).press('Enter');
  }
  await expect(forecast).not.toHaveText(before ?? '');
  await expect(page.getByRole('list', { name: 'What would help most' })).toBeVisible();
  await page.reload();
  await expect(page.getByLabel('Minutes on Wed', { exact: true })).toHaveValue('60');
});

test('what a field cannot read stays with its reason, and goes back at a key', async ({ page }) => {
  await lookAs(page, 'Deniz', '/plan');
  const minutes = page.getByLabel('Minutes on Wed', { exact: true });
  const before = await minutes.inputValue();
  await minutes.fill('lots');
  await minutes.press('Tab');
  await expect(page.getByText('Whole minutes, 0 to 480.')).toBeVisible();
  await expect(minutes).toHaveValue('lots');
  await minutes.press('Escape');
  await expect(minutes).toHaveValue(before);
  await expect(page.getByText('Whole minutes, 0 to 480.')).toBeHidden();
  const clock = page.getByLabel('Wed from', { exact: true });
  await clock.fill('25');
  await clock.press('Enter');
  await expect(page.getByText('A time of day, such as 18:30.')).toBeVisible();
  await clock.fill('9');
  await clock.press('Enter');
  await expect(clock).toHaveValue('09:00');
});

test('a session moves by keys, and back again', async ({ page }) => {
  await lookAs(page, 'Deniz', '/plan');
  const [today, tomorrow] = [said(0), said(1)];
  const minutes = page.getByLabel(`Minutes on ${today}`);
  await expect(minutes).toHaveValue('15');
  await minutes.fill('40');
  await minutes.press('Enter');
  const cell = (day: string) => page.getByRole('button', { name: new RegExp(`^${day},`) });
  await expect(cell(today)).toHaveAccessibleName(/40 minutes/);
  await cell(today).focus();
  await page.keyboard.press('Alt+ArrowRight');
  await expect(cell(tomorrow)).toHaveAccessibleName(/40 minutes/);
  await expect(cell(today)).toHaveAccessibleName(/15 minutes/);
  await expect(cell(tomorrow)).toBeFocused();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(cell(today)).toHaveAccessibleName(/40 minutes/);
});

test('a session is dragged to another date', async ({ page }) => {
  await lookAs(page, 'Deniz', '/plan');
  const cells = page.getByRole('group', { name: 'Dates' }).getByRole('button');
  await cells.nth(15).click();
  const minutes = page.getByRole('textbox', { name: /^Minutes on \w+ \d/ });
  await minutes.fill('25');
  await minutes.press('Enter');
  await expect(cells.nth(15)).toHaveAccessibleName(/25 minutes/);
  await dragOnto(page, cells.nth(15), cells.nth(23));
  await expect(cells.nth(23)).toHaveAccessibleName(/25 minutes/);
  await expect(cells.nth(15)).toHaveAccessibleName(/15 minutes/);
});

test.describe('on a tablet', () => {
  test.use({ hasTouch: true, viewport: { width: 800, height: 1280 } });

  test('a session is moved by a finger that rests on it', async ({ page }) => {
    await lookAs(page, 'Deniz', '/plan');
    const cells = page.getByRole('group', { name: 'Dates' }).getByRole('button');
    await cells.nth(15).click();
    const minutes = page.getByRole('textbox', { name: /^Minutes on \w+ \d/ });
    await minutes.fill('25');
    await minutes.press('Enter');
    await expect(cells.nth(15)).toHaveAccessibleName(/25 minutes/);
    await cells.nth(15).scrollIntoViewIfNeeded();
    const finger = await page.context().newCDPSession(page);
    const centreOf = async (nth: number) => {
      const box = await cells.nth(nth).boundingBox();
      if (!box) throw new Error('no such date');
      return { x: box.x + box.width / 2, y: box.y + box.height / 2 };
    };
    const touch = (type: 'touchStart' | 'touchMove' | 'touchEnd', at: readonly object[]) =>
      finger.send('Input.dispatchTouchEvent', {
        type,
        touchPoints: at as { x: number; y: number }[],
      });
    const [from, to] = [await centreOf(15), await centreOf(16)];

    await touch('touchStart', [from]);
    await expect(cells.nth(15)).toHaveAttribute('data-dragged', 'true');
    await touch('touchMove', [{ x: (from.x + to.x) / 2, y: from.y }]);
    await touch('touchMove', [to]);
    // Where it would be let go is shown.
    await expect(cells.nth(16)).toHaveClass(/bg-warm-wash/);
    await touch('touchEnd', []);
    await expect(cells.nth(16)).toHaveAccessibleName(/25 minutes/);
    await expect(cells.nth(15)).toHaveAccessibleName(/15 minutes/);
  });
});

test('what cannot be planned is said, and what was typed stays', async ({ page }) => {
  await lookAs(page, 'Deniz', '/plan');
  await expect(page.getByRole('img', { name: /^The way/ }).locator('svg')).toBeVisible();
  async function addOff(from: string, to: string) {
    await page.getByLabel('Off from', { exact: true }).fill(from);
    await page.getByLabel('Off to', { exact: true }).fill(to);
    await page.getByRole('button', { name: 'Add', exact: true }).click();
  }
  await addOff('2099-07-01', '2099-07-10');
  await expect(page.getByRole('button', { name: 'Remove the days off from 1 Jul' })).toBeVisible();
  await addOff('2099-07-08', '2099-07-20');
  await expect(page.getByRole('alert').filter({ hasText: 'overlap' })).toBeVisible();
  await expect(page.getByLabel('Off to', { exact: true })).toHaveValue('2099-07-20');
  await page.getByRole('button', { name: 'as it was' }).click();
  await expect(page.getByText('overlap')).toBeHidden();
  const off = page.getByRole('button', { name: 'Remove the days off from 1 Jul' });
  await off.click();
  await expect(off).toBeHidden();
  await page.getByRole('button', { name: 'Undo', exact: true }).click();
  await expect(off).toBeVisible();
  for (const day of ['Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat', 'Sun']) {
    await page.getByLabel(`Minutes on ${day}`, { exact: true }).fill('0');
    await page.getByLabel(`Minutes on ${day}`, { exact: true }).press('Enter');
  }
  await expect(page.getByText('No day has any minutes')).toBeVisible();
  await page.reload();
  await expect(page.getByLabel('Minutes on Sun', { exact: true })).toHaveValue('15');
});

test('what protects the ears is chosen by its name, and kept', async ({ page }) => {
  await lookAs(page, 'Deniz', '/plan');
  const protection = page.getByLabel('hearing protection');
  const stored = page.waitForResponse((response) => response.request().method() === 'POST');
  await protection.selectOption('earmuffs');
  await expect(page.getByLabel('Rated NRR (an SNR less 3) in dB')).toBeVisible();
  await stored;
  await page.reload();
  await expect(protection.locator('option:checked')).toHaveText('earmuffs');
});

test('the day is cut to the minutes there are', async ({ page }) => {
  await lookAs(page, 'Deniz', '/today');
  await page.getByRole('link', { name: '5 min', exact: true }).click();
  await expect(page.getByText(/1 exercise, [45] min/)).toBeVisible();
  await page.getByRole('link', { name: 'pad', exact: true }).click();
  await expect(page).toHaveURL(/minutes=5&on=pad/);
  await expect(page.getByText('on the pad')).toBeVisible();
  await page.getByRole('listitem').getByRole('link').first().click();
  await expect(page).toHaveURL(/item=.*minutes=5&on=pad/);
  await expect(page.getByText('on the pad · exercise 1 of')).toBeVisible();
});
