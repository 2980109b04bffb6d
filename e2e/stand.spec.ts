import { join } from 'node:path';
import type { Page } from '@playwright/test';
import Database from 'better-sqlite3';
import { enter, expect, holdClock, lookAs, test, type App } from './app';

test.use({ ground: 'demo' });

/** Six minutes hold one try of each of the two exercises. */
const ROUND = '/stand?minutes=6&on=kit';

test.beforeEach(async ({ page }) => {
  await holdClock(page);
  await enter(page, 'Deniz');
});

/** Presses until the page has come to life and plays. */
async function begin(page: Page): Promise<void> {
  await expect(async () => {
    await page.keyboard.press('PageDown');
    await expect(page.locator('[data-stage=playing]')).toBeVisible({ timeout: 500 });
  }).toPass();
}

/** Plays one dosage out, from ready to the question. */
async function playOut(page: Page, minutes = 10): Promise<void> {
  await begin(page);
  await toTheEnd(page, minutes);
}

/** Lets what plays come to its end; it may be shown a moment before its time begins to run. */
async function toTheEnd(page: Page, minutes = 10): Promise<void> {
  await expect(async () => {
    if (await page.locator('[data-stage=playing]').isVisible()) {
      await page.clock.fastForward(minutes * 60_000);
      await page.clock.runFor(100);
    }
    await expect(page.locator('[data-stage=verdict]')).toBeVisible({ timeout: 500 });
  }).toPass();
}

/** Seconds of a bar of four at 100. */
const BAR_AT_100 = 2.4;

/** Plays the count-in and three bars. */
async function playBars(page: Page): Promise<void> {
  await page.clock.pauseAt(new Date(Date.now() + 60_000));
  await begin(page);
  const aBar = () => page.clock.runFor(1000 * BAR_AT_100 + 100);
  // It may be shown a moment before its time begins to run.
  await expect(async () => {
    await aBar();
    await expect(page.getByLabel(/^Count-in/)).toBeHidden({ timeout: 100 });
  }).toPass();
  for (let bar = 0; bar < 3; bar += 1) await aBar();
}

/** What the log says of a try. */
interface PlayedBody {
  readonly bpm: number;
  readonly rung: string | null;
  readonly bars: number;
  readonly seconds: number;
  readonly stopped?: boolean;
  readonly verdict: string | null;
}

async function triesOfToday(page: Page): Promise<string> {
  // A page comes to life in time that runs.
  await page.clock.resume();
  await page.goto('/today');
  return (await page.getByRole('list').first().textContent()) ?? '';
}

test('two pedals are enough: right is clean and on, left is not clean and steps', async ({
  page,
}) => {
  await page.goto('/today?minutes=6&on=kit');
  await page.getByRole('link', { name: 'Start', exact: true }).click();
  const name = page.getByRole('heading', { level: 1 });
  await expect(name).toHaveText('Snare line over double-bass 16ths');
  await playOut(page);
  await page.keyboard.press('PageDown');
  await expect(name).toHaveText('Snare line over samba feet');
  await playOut(page);
  await page.keyboard.press('PageUp');
  await page.keyboard.press('PageUp');
  await expect(page.locator('[data-marked]')).toHaveText('lost');
  await page.keyboard.press('PageDown');
  await expect(page.getByRole('status').filter({ hasText: 'Where did it break?' })).toBeVisible();
  for (let n = 0; n < 2; n += 1) await page.keyboard.press('PageUp');
  await expect(page.locator('[data-marked]')).toHaveText('2');
  await page.keyboard.press('PageDown');
  await expect(page.getByRole('status').filter({ hasText: 'What went wrong?' })).toBeVisible();
  for (let n = 0; n < 4; n += 1) await page.keyboard.press('PageUp');
  await expect(page.locator('[data-marked]')).toHaveText('flam between limbs');
  await page.keyboard.press('PageDown');
  await expect(page.getByText('flam between limbs: which limb?')).toBeVisible();
  await page.keyboard.press('PageUp');
  await page.keyboard.press('PageDown');
  await expect(page.getByText('Round done.')).toBeVisible();
  await page.keyboard.press('PageUp');
  await page.waitForURL('**/today');
  await expect(page.getByText(/Today: 1 try/)).toHaveCount(2);

  await lookAs(page, 'Maren', '/students');
  await page.getByRole('link', { name: 'Deniz' }).click();
  const row = page.getByRole('table', { name: 'Log' }).getByRole('row').nth(1);
  await expect(row).toContainText('lost');
  await expect(row).toContainText('flam between limbs (LH), broke at beat 2');
});

test('counts in, shows bar and beat; stopped before a bar was over, it says that nothing is logged', async ({
  page,
}) => {
  await page.goto(ROUND);
  await page.clock.pauseAt(new Date(Date.now() + 60_000));
  await begin(page);
  await page.clock.runFor(300);
  await expect(page.getByText('count-in')).toBeVisible();
  await expect(page.getByRole('img', { name: 'Count-in, beat 1' })).toBeVisible();
  await page.clock.runFor(3000);
  await expect(page.getByText('bar 1', { exact: true })).toBeVisible();
  await expect(page.getByText(/^\d+ bars left$/)).toBeVisible();
  await page.getByRole('button', { name: 'stop' }).click();
  await expect(page.locator('[data-stage=ready]')).toBeVisible();
  await expect(page.getByText('Stopped before a bar was over: nothing is logged.')).toBeVisible();
  expect(await triesOfToday(page)).not.toContain('Today: 1 try');
});

test('stopped after some bars, it asks once how it was, and keeps what was played', async ({
  page,
  app,
}) => {
  await page.goto(ROUND);
  await playBars(page);
  await page.getByRole('button', { name: 'stop' }).click();
  await expect(page.getByText(/^Stopped after \d+ bars at 100: how was it\?/)).toBeVisible();
  await expect(page.getByRole('button', { name: 'clean' })).toHaveCount(0);
  await page.getByRole('button', { name: 'lost' }).click();
  await page.getByRole('button', { name: 'Beat 2' }).click();
  await page.getByRole('button', { name: 'tense' }).click();
  await expect(page.locator('[data-stage=ready]')).toBeVisible();
  await expect(async () => {
    await page.clock.runFor(500);
    expect(entriesOf(app, 'suffered')).toHaveLength(1);
  }).toPass();
  const [tried] = entriesOf(app, 'try').map(({ body }) => JSON.parse(body) as PlayedBody);
  expect(tried).toMatchObject({ stopped: true, verdict: null });
  expect(tried?.bars).toBeGreaterThanOrEqual(1);
  expect(tried?.seconds).toBeGreaterThanOrEqual((tried?.bars ?? 0) * BAR_AT_100);
  expect(entriesOf(app, 'judged')).toHaveLength(1);
});

test('a page that is closed while it plays keeps what was played, and asks about it', async ({
  page,
  context,
  app,
}) => {
  await page.goto(ROUND);
  await playBars(page);
  // A page comes to life in time that runs.
  await page.clock.resume();
  await page.goto('/today');
  await expect(async () => {
    await page.clock.runFor(500);
    expect(entriesOf(app, 'try')).toHaveLength(1);
  }).toPass();
  // The clock is the context's: the page that is opened now lives in time that runs.
  await page.clock.resume();
  const again = await context.newPage();
  await again.goto(ROUND);
  await expect(again.getByText(/^Stopped after/)).toBeVisible();
  await again.getByRole('button', { name: 'shaky' }).click();
  await again.getByRole('button', { name: 'nowhere in particular' }).click();
  await expect(again.locator('[data-stage=suffered]')).toBeVisible();
  // A question is asked once.
  await again.reload();
  await expect(again.locator('[data-stage=ready]')).toBeVisible();
  await again.goto('/today');
  await expect(again.getByText(/Today: 1 try/)).toHaveCount(1);
  expect(entriesOf(app, 'try')).toHaveLength(1);
});

test('a question that is left is not asked at another exercise, nor again', async ({ page }) => {
  await page.goto(ROUND);
  await playBars(page);
  await page.getByRole('button', { name: 'stop' }).click();
  await page.getByRole('button', { name: 'shaky' }).click();
  await expect(page.locator('[data-stage=broke]')).toBeVisible();
  await page.clock.resume();
  await page.goto('/today');
  const links = page.getByRole('main').locator('a[href*="/stand?item="]');
  await expect(links.first()).toBeVisible();
  const hrefs = await links.evaluateAll((all) => all.map((one) => one.getAttribute('href') ?? ''));
  // The first of the two was played.
  expect(hrefs.length).toBeGreaterThan(1);
  for (const address of [hrefs.at(-1) ?? '', ROUND]) {
    await page.goto(address);
    await expect(page.locator('[data-stage=ready]')).toBeVisible();
    await page.clock.runFor(2000);
    await expect(page.locator('[data-stage=ready]')).toBeVisible();
  }
});

test('no answer is no verdict: it counts as time, and moves nothing', async ({ page }) => {
  await page.goto(ROUND);
  await playOut(page);
  for (let n = 0; n < 21; n += 1) await page.clock.runFor(1000);
  await expect(page.locator('[data-stage=ready]')).toBeVisible();
  await expect(page.getByText('Not judged: it counts as time played.')).toBeVisible();
  await page.goto('/today');
  await expect(page.getByText(/Today: 1 try/)).toHaveCount(1);
  const open = page.getByRole('region', { name: 'Not judged yet: how was it?' });
  await open.getByRole('button', { name: 'clean' }).click();
  // Once the log has it, it can still be taken back.
  await page.clock.runFor(2000);
  await expect(page.locator('[data-log=waiting]')).toHaveCount(0);
  await page.clock.runFor(2000);
  await open.getByRole('button', { name: 'undo' }).click();
  await expect(open.getByRole('button', { name: 'shaky' })).toBeVisible();
  await page.clock.runFor(2000);
  await expect(page.locator('[data-log=waiting]')).toHaveCount(0);
  await lookAs(page, 'Maren', '/students');
  await page.getByRole('link', { name: 'Deniz' }).click();
  await page.getByRole('button', { name: /^Snare line over double-bass 16ths/ }).click();
  const row = page.getByRole('table', { name: 'Log' }).getByRole('row').nth(1);
  await expect(row).toContainText('not judged');
  await row.getByRole('button', { name: 'shaky' }).click();
  await expect(row).toContainText('shaky by the teacher');
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(row).toContainText('not judged');
});

/** Entries of Deniz in the log, by kind, on the date of the test. */
function entriesOf(
  app: App,
  kind: string,
): readonly { readonly id: string; readonly body: string }[] {
  const file = new Database(join(app.folder, 'mivvel.sqlite'), { readonly: true });
  const rows = file
    .prepare(
      `select id, body from entry where kind = ? and at > ?
        and student_id = (select id from person where name = 'Deniz') order by seq`,
    )
    .all(kind, Date.now() - 3600_000);
  file.close();
  return rows as { id: string; body: string }[];
}

const waiting = (page: Page) => page.locator('[data-log=waiting]');

test('an entry that cannot be stored waits, also over a reload, and is stored once', async ({
  page,
  app,
}) => {
  await page.goto(ROUND);
  await playOut(page);
  await page.route('**/api/log', (route) => route.abort());
  await page.getByRole('button', { name: 'clean' }).click();
  await expect(page.locator('[data-stage=ready]')).toBeVisible();
  await expect(waiting(page)).toHaveText('1 not saved yet');
  await page.reload();
  await expect(waiting(page)).toHaveText('1 not saved yet');
  await page.goto('/today');
  await expect(waiting(page)).toHaveText('1 not saved yet');
  await page.unroute('**/api/log');
  await page.clock.fastForward(60_000);
  await expect(page.getByText(/Today: 1 try/)).toHaveCount(1);
  await expect(waiting(page)).toHaveCount(0);
  expect(entriesOf(app, 'try')).toHaveLength(1);
});

test('without a server three tries are played and judged; it comes back, and has each once', async ({
  page,
  app,
}) => {
  await page.goto('/stand?minutes=20&on=kit');
  await playOut(page);
  const stored = page.waitForResponse('**/api/log');
  await page.getByRole('button', { name: 'clean' }).click();
  await stored;
  // The try and its verdict may be sent one after the other.
  await expect(waiting(page)).toHaveCount(0);
  await app.stop();
  for (const verdict of ['clean', 'shaky', 'clean']) {
    await playOut(page);
    await page.getByRole('button', { name: verdict }).click();
    if (verdict !== 'shaky') continue;
    await page.getByRole('button', { name: 'Beat 2' }).click();
    await page.getByRole('button', { name: 'tense' }).click();
  }
  await expect(page.locator('[data-stage=ready]').or(page.getByText('Round done.'))).toBeVisible();
  await expect(waiting(page)).toHaveText('8 not saved yet');
  expect(entriesOf(app, 'try')).toHaveLength(1);
  await app.start();
  await page.clock.fastForward(60_000);
  await expect(waiting(page)).toHaveCount(0);
  expect(entriesOf(app, 'try')).toHaveLength(4);
  const verdicts = entriesOf(app, 'judged').map(
    ({ body }) => (JSON.parse(body) as { verdict: string }).verdict,
  );
  expect(verdicts).toEqual(['clean', 'clean', 'shaky', 'clean']);
  expect(entriesOf(app, 'broke')).toHaveLength(1);
  expect(entriesOf(app, 'suffered')).toHaveLength(1);
  await page.goto('/today');
  await expect(waiting(page)).toHaveCount(0);
});

test('what was acknowledged survives a crash of the server', async ({ page, app }) => {
  await page.goto(ROUND);
  await playOut(page);
  const stored = page.waitForResponse('**/api/log');
  await page.getByRole('button', { name: 'clean' }).click();
  await stored;
  await app.stop('SIGKILL');
  await app.start();
  await page.goto('/today');
  await expect(page.getByText(/Today: 1 try/)).toHaveCount(1);
});

test('goes on without an entry that the log will never take, and says so', async ({
  page,
  app,
}) => {
  await page.goto(ROUND);
  await page.route('**/api/log', async (route) => {
    const sent = route.request().postData() ?? '';
    await route.continue({
      postData: sent.replace(/"itemId":"\w+"/, `"itemId":"${'0'.repeat(22)}"`),
    });
  });
  await playOut(page);
  await page.getByRole('button', { name: 'clean' }).click();
  const trouble = page
    .getByRole('alert')
    .filter({ hasText: 'Not saved. This item is no longer here.' });
  await expect(trouble).toBeVisible();
  await expect(page.locator('[data-stage=ready]')).toBeVisible();
  await trouble.getByRole('button', { name: 'Try again' }).click();
  await expect(trouble).toBeVisible();
  await trouble.getByRole('button', { name: 'Leave it out' }).click();
  await expect(trouble).toHaveCount(0);
  await page.unroute('**/api/log');
  await playOut(page);
  const stored = page.waitForResponse('**/api/log');
  await page.getByRole('button', { name: 'clean' }).click();
  await stored;
  expect(entriesOf(app, 'try')).toHaveLength(1);
});

test('a page that is closed with a verdict open asks for it again, and goes on from there', async ({
  page,
  context,
}) => {
  await page.goto('/stand');
  await playOut(page);
  await page.getByRole('button', { name: 'clean' }).click();
  await expect(page.locator('[data-stage=ready]')).toBeVisible();
  const name = await page.getByRole('heading', { level: 1 }).textContent();
  await playOut(page);
  await page.close();
  const again = await context.newPage();
  await holdClock(again);
  await again.goto('/stand');
  await expect(again.locator('[data-stage=verdict]')).toBeVisible();
  await expect(again.getByRole('heading', { level: 1 })).toHaveText(name ?? '');
  await again.getByRole('button', { name: 'clean' }).click();
  await expect(again.getByText('Going on where you stopped.')).toBeVisible();
  await again.goto('/today');
  await expect(again.getByText(/Today: 1 try/)).toHaveCount(2);
});

test('a device that slept later keeps the bars that were heard, and asks about them', async ({
  page,
  app,
}) => {
  await page.goto(ROUND);
  await playBars(page);
  await page.clock.setSystemTime(new Date(Date.now() + 3600_000));
  await page.clock.runFor(200);
  await expect(page.getByText(/^Stopped after \d+ bars? at 100/)).toBeVisible();
  await page.getByRole('button', { name: 'just stopped' }).click();
  await expect(async () => {
    await page.clock.runFor(500);
    expect(entriesOf(app, 'try')).toHaveLength(1);
  }).toPass();
});

test('a click is set for an exercise and kept, and a bar is tapped to start', async ({ page }) => {
  await page.goto(ROUND);
  await expect(async () => {
    await page.getByRole('button', { name: 'set up' }).click();
    await expect(page.getByRole('dialog')).toBeVisible({ timeout: 500 });
  }).toPass();
  await page.getByRole('button', { name: 'this exercise' }).click();
  await page
    .getByRole('group', { name: 'Clicks to a beat' })
    .getByText('3', { exact: true })
    .click();
  await page.getByLabel('Bars in which the click sounds').fill('x x -');
  await page.getByRole('button', { name: 'when I tap a bar' }).click();
  await page.getByRole('button', { name: 'Done' }).click();
  await expect(page.getByRole('button', { name: 'Tap 4 beats' })).toBeVisible();
  await page.reload();
  await expect(page.getByRole('button', { name: 'Tap 4 beats' })).toBeVisible();
  await page.getByRole('button', { name: 'set up' }).click();
  await expect(page.getByLabel('Bars in which the click sounds')).toHaveValue('x x -');
  await expect(page.getByRole('button', { name: 'this exercise' })).toHaveAttribute(
    'aria-pressed',
    'true',
  );
  await page.getByRole('button', { name: 'Done' }).click();
  for (const left of ['Tap 3 beats', 'Tap 2 beats', 'Tap 1 beat']) {
    await page.keyboard.press('PageDown');
    await expect(page.getByRole('button', { name: left })).toBeVisible();
  }
  await page.keyboard.press('PageDown');
  await page.clock.runFor(1000);
  await expect(page.locator('[data-stage=playing]')).toBeVisible();
  await expect(page.getByText('count-in')).toHaveCount(0);
});

test('the pattern as lanes, as notation or both, and to stay until the rung moves: kept by the device', async ({
  page,
}) => {
  await page.goto(ROUND);
  const heads = page.locator('[data-staff] [data-glyph^=notehead]').first();
  const lanes = page.locator('[data-voice]').first();
  const setUp = () =>
    expect(async () => {
      await page.getByRole('button', { name: 'set up' }).click();
      await expect(page.getByRole('dialog')).toBeVisible({ timeout: 500 });
    }).toPass();
  await expect(lanes).toBeVisible();
  await expect(heads).toBeHidden();
  await setUp();
  const dialog = page.getByRole('dialog');
  await dialog.getByRole('button', { name: 'notation' }).click();
  await dialog.getByRole('button', { name: 'with the sticking' }).click();
  await dialog.getByRole('button', { name: 'when the rung moves' }).click();
  await dialog.getByRole('button', { name: 'Done' }).click();
  await expect(heads).toBeVisible();
  await expect(lanes).toBeHidden();
  await expect(page.locator('[data-staff]').getByText('L', { exact: true }).first()).toBeVisible();
  await expect(page.locator('[data-staff]').getByText('&', { exact: true }).first()).toBeVisible();
  await page.reload();
  await expect(heads).toBeVisible();
  await setUp();
  await dialog.getByRole('button', { name: 'both', exact: true }).click();
  await dialog.getByRole('button', { name: 'Done' }).click();
  await expect(lanes).toBeVisible();
  await expect(heads).toBeVisible();
  await begin(page);
  await expect(heads).toBeVisible();
});

test.describe('with touch alone', () => {
  test.use({ hasTouch: true });

  test('a try, where it broke, and on', async ({ page }) => {
    await page.goto(ROUND);
    await expect(async () => {
      await page.getByRole('button', { name: 'Start' }).tap();
      await expect(page.locator('[data-stage=playing]')).toBeVisible({ timeout: 500 });
    }).toPass();
    await toTheEnd(page);
    await page.getByRole('button', { name: 'lost' }).tap();
    await page.getByRole('button', { name: 'Beat 2' }).tap();
    await page.getByRole('button', { name: 'go on' }).tap();
    await expect(page.locator('[data-stage=ready]')).toBeVisible();
    await expect(page.getByRole('heading', { level: 1 })).toHaveText('Snare line over samba feet');
  });
});

test('today shows a bar of each exercise and plays it; any number of minutes is typed', async ({
  page,
}) => {
  await page.goto('/today');
  const rows = page
    .getByRole('main')
    .getByRole('listitem')
    .filter({ has: page.locator('[data-picture]') });
  const count = await rows.count();
  expect(count).toBeGreaterThan(1);
  const [first, second] = [rows.nth(0), rows.nth(1)];
  await expect(first.getByRole('img', { name: /, bar 1 of \d+$/ })).toBeVisible();
  const hear = first.getByRole('button', { name: /^hear / });
  await hear.click();
  await expect(hear).toHaveAttribute('aria-pressed', 'true');
  // One at a time.
  const other = second.getByRole('button', { name: /^hear / });
  await other.click();
  await expect(other).toHaveAttribute('aria-pressed', 'true');
  await expect(hear).toHaveAttribute('aria-pressed', 'false');
  await other.click();
  await expect(other).toHaveAttribute('aria-pressed', 'false');
  await expect(first.getByText(/^Over /)).toBeHidden();
  await first.getByText('how it is made').click();
  await expect(first.getByText(/^Over /).first()).toBeVisible();
  await expect(page).toHaveURL(/\/today$/);
  const minutes = page.getByLabel('Minutes that I have');
  await minutes.fill('4');
  await minutes.press('Enter');
  await expect(page).toHaveURL(/minutes=4/);
  await expect(page.getByText(/No room in 4 min\./).first()).toBeVisible();
  await expect(page.getByRole('main').locator('[data-picture]')).toHaveCount(1);
  await rows.first().getByRole('link').click();
  await expect(page.locator('[data-stage=ready]')).toBeVisible();
});

test('a slower try counts as what it was; it is heard first, and nothing of that is a try', async ({
  page,
  app,
}) => {
  await page.goto(ROUND);
  const hear = page.getByRole('button', { name: 'hear it' });
  await hear.click();
  await expect(hear).toHaveAttribute('aria-pressed', 'true');
  await page.keyboard.press('h');
  await expect(hear).toHaveAttribute('aria-pressed', 'false');
  await page.getByRole('button', { name: 'tempo 95' }).click();
  await page.getByRole('button', { name: 'tempo 90' }).click();
  await expect(page.getByTestId('rung')).toHaveText('90');
  await page.getByRole('button', { name: 'back to 100' }).click();
  await expect(page.getByTestId('rung')).toHaveText('100');
  await page.getByRole('button', { name: 'tempo 95' }).click();
  await expect(page.getByText(/^At 95 it counts as that/)).toBeVisible();
  await playOut(page);
  await expect(page.getByText(/95/).first()).toBeVisible();
  await page.getByRole('button', { name: 'clean' }).click();
  await expect(page.locator('[data-stage=ready]')).toBeVisible();
  await expect(async () => {
    await page.clock.runFor(500);
    expect(entriesOf(app, 'judged')).toHaveLength(1);
  }).toPass();
  const tries = entriesOf(app, 'try').map(({ body }) => JSON.parse(body) as PlayedBody);
  expect(tries).toMatchObject([{ bpm: 95, rung: 'tempo:95' }]);
});
