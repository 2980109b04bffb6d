import AxeBuilder from '@axe-core/playwright';
import type { Page } from '@playwright/test';
import { expect, lookAs, openStudio, test } from './app';

/** What keeps a screen from somebody: everything in the light, and what the dark theme changes. */
async function faults(page: Page): Promise<string[]> {
  await expect(page.getByText('Loading…').first()).toBeHidden();
  // No frames of other origins: what was found needs no page of its own to be put together, nor all that is fine.
  const look = () =>
    new AxeBuilder({ page }).setLegacyMode(true).options({ resultTypes: ['violations'] });
  const light = await look().analyze();
  await page.emulateMedia({ colorScheme: 'dark' });
  const dark = await look().withRules('color-contrast').analyze();
  await page.emulateMedia({ colorScheme: 'light' });
  return [...light.violations, ...dark.violations].map(
    (one) => `${one.id}: ${one.nodes.map((node) => node.html).join(' ')}`,
  );
}

test.describe('with the demo studio', () => {
  test.use({ ground: 'gallery' });

  test('the start can be used by everybody', async ({ page }) => {
    await page.goto('/');
    expect(await faults(page)).toEqual([]);
  });

  for (const screen of ['Materials', 'Programs', 'Students'] as const) {
    test(`${screen} can be used by everybody`, async ({ page }) => {
      await lookAs(page, 'Maren');
      await page.getByRole('link', { name: screen }).click();
      await expect(page).toHaveTitle(`${screen} · Mivvel`);
      expect(await faults(page)).toEqual([]);
    });
  }

  test('the record of a student can be used by everybody', async ({ page }) => {
    await lookAs(page, 'Maren');
    await page.getByRole('link', { name: 'Students' }).click();
    await page.getByRole('link', { name: 'Lotte' }).click();
    await expect(page).toHaveTitle('Lotte · Mivvel');
    await expect(page.getByRole('img', { name: /^Tempo over time/ }).locator('svg')).toBeVisible();
    expect(await faults(page)).toEqual([]);
  });

  test('the Bench can be used by everybody, read and written on', async ({ page }) => {
    await lookAs(page, 'Maren', '/students');
    await page.getByRole('link', { name: 'Lotte' }).click();
    await page.getByRole('link', { name: 'Clave against hats' }).click();
    await expect(page).toHaveTitle('Bench · Mivvel');
    await expect(page.locator('[data-staff] [data-glyph^=notehead]').first()).toBeVisible();
    expect(await faults(page)).toEqual([]);
    await page.getByRole('button', { name: 'write', exact: true }).click();
    await page.getByRole('application', { name: 'Lanes' }).press('ArrowRight');
    expect(await faults(page)).toEqual([]);
  });

  test('Today can be used by everybody', async ({ page }) => {
    await lookAs(page, 'Walter');
    await expect(page).toHaveTitle('Today · Mivvel');
    expect(await faults(page)).toEqual([]);
  });

  for (const [link, drawn] of [
    ['Plan', /^The way to the targets/],
    ['Record', /^Practice by day/],
  ] as const) {
    test(`the ${link} of a student can be used by everybody`, async ({ page }) => {
      await lookAs(page, 'Walter');
      await page.getByRole('link', { name: link, exact: true }).click();
      await expect(page).toHaveTitle(`${link} · Mivvel`);
      await expect(page.getByRole('img', { name: drawn }).locator('svg')).toBeVisible();
      expect(await faults(page)).toEqual([]);
    });
  }

  test('the Stand can be used by everybody, set up too', async ({ page }) => {
    await lookAs(page, 'Walter', '/stand?minutes=10');
    await expect(page).toHaveTitle('Stand · Mivvel');
    expect(await faults(page)).toEqual([]);
    await page.getByRole('button', { name: 'set up' }).click();
    expect(await faults(page)).toEqual([]);
  });

  test('programs and lessons can be used by everybody', async ({ page }) => {
    await lookAs(page, 'Maren');
    await page.getByRole('link', { name: 'Students' }).click();
    await page.getByRole('link', { name: 'Lotte' }).click();
    await page.getByRole('link', { name: 'enter a paper week' }).click();
    await expect(page).toHaveTitle('Lotte, a paper week · Mivvel');
    expect(await faults(page)).toEqual([]);
    await page.getByRole('link', { name: 'Programs' }).click();
    await page.getByRole('link', { name: 'Ride and answer' }).click();
    await expect(page).toHaveTitle('Ride and answer · Mivvel');
    await page.getByRole('button', { name: /^Ladder of Ride quarters/ }).click();
    await page.getByLabel('Choose Ride quarters').check();
    expect(await faults(page)).toEqual([]);
    await page.getByRole('link', { name: 'Each student’s version' }).click();
    await expect(page).toHaveTitle('Ride and answer, each student · Mivvel');
    expect(await faults(page)).toEqual([]);
  });

  test('families and steps can be used by everybody', async ({ page }) => {
    await lookAs(page, 'Maren');
    await page.getByRole('link', { name: 'Variations' }).click();
    await expect(page).toHaveTitle('Variations · Mivvel');
    await expect(page.getByText('give a phrase several values')).toBeVisible();
    expect(await faults(page)).toEqual([]);
    await page.getByRole('button', { name: /^Saved families:/ }).click();
    await page.keyboard.type('45 grooves');
    await page.keyboard.press('Enter');
    await expect(page.getByRole('button', { name: 'path 45' })).toBeVisible();
    expect(await faults(page)).toEqual([]);
    await page.getByRole('link', { name: 'To the Bench' }).click();
    await page.getByRole('link', { name: 'steps' }).click();
    await expect(page).toHaveTitle('Steps · Mivvel');
    expect(await faults(page)).toEqual([]);
  });

  test('nobody sees what is not theirs', async ({ page, request }) => {
    await page.goto('/students');
    await expect(page).toHaveURL(/\/$/);
    await lookAs(page, 'Pia');
    for (const address of ['/bench', '/programs', '/students']) {
      await page.goto(address);
      await expect(page).toHaveURL(/\/today$/);
    }
    await openStudio(page, 'Other', 'Ada');
    await page.goto('/programs');
    await expect(page.getByText('No programs yet.')).toBeVisible();
    await page.goto('/stand');
    await expect(page).toHaveURL(/\/bench$/);
    const refused = await request.post('/api/log', { data: { entries: [] } });
    expect(refused.status()).toBe(401);
    const teachers = await page.request.post('/api/log', { data: { entries: [] } });
    expect(teachers.status()).toBe(409);
    await lookAs(page, 'Pia');
    const shapeless = await page.request.post('/api/log', { data: { entries: 7 } });
    expect(shapeless.status()).toBe(400);
    expect(JSON.stringify(await shapeless.json())).toContain('input-shape');
    const entries = [{ id: 'x' }, null];
    const wrong = await page.request.post('/api/log', { data: { entries } });
    expect(wrong.status()).toBe(200);
    expect(JSON.stringify(await wrong.json())).toContain('entry-shape');
  });

  test('the chosen light stays over a reload', async ({ page }) => {
    await lookAs(page, 'Maren');
    await page.getByRole('button', { name: 'Dark' }).click();
    await page.reload();
    await expect(page.locator('html')).toHaveAttribute('data-theme', 'dark');
    await page.getByRole('button', { name: 'Light' }).click();
    await expect(page.locator('html')).toHaveAttribute('data-theme', 'light');
  });

  test('nothing reaches for another address', async ({ page }) => {
    const foreign: string[] = [];
    page.on('request', (one) => {
      if (!/^(http:\/\/localhost:|data:|blob:)/.test(one.url())) foreign.push(one.url());
    });
    await lookAs(page, 'Maren', '/students');
    await page.getByRole('link', { name: 'Lotte' }).click();
    await page.getByRole('link', { name: 'Clave against hats' }).click();
    await expect(page.locator('[data-staff] [data-glyph^=notehead]').first()).toBeVisible();
    expect(foreign).toEqual([]);
  });
});

test.describe('on an empty file', () => {
  test.use({ ground: 'empty' });

  test('an empty studio says what to do next, everywhere', async ({ page }) => {
    await page.goto('/');
    await page.getByRole('button', { name: 'Open', exact: true }).click();
    await expect(page.getByText('The studio has no name.')).toBeVisible();
    await expect(page.getByText('The teacher has no name.')).toBeVisible();
    await page.getByLabel('Studio').fill('Mole End');
    await page.getByRole('button', { name: 'Open', exact: true }).click();
    await expect(page.getByText('The studio has no name.')).toBeHidden();
    await expect(page.getByLabel('Studio')).toHaveValue('Mole End');
    await page.getByLabel('Your name').fill('Ada');
    await page.getByRole('button', { name: 'Open', exact: true }).click();
    await expect(page.getByText('No students yet.')).toBeVisible();
    await page.getByLabel('New student').fill('Omar');
    await page.getByRole('button', { name: 'Add' }).click();
    await expect(page.getByLabel('New student')).toHaveValue('');
    await page.getByRole('link', { name: 'Omar' }).click();
    await expect(page.getByText('Make a program first')).toBeVisible();
    await page.getByRole('link', { name: 'Programs' }).click();
    await expect(page.getByText('No programs yet.')).toBeVisible();
    await page.getByLabel('New program').fill('Winter');
    await page.getByRole('button', { name: 'Make' }).click();
    await expect(page.getByText('Nothing to practise yet.')).toBeVisible();
    await expect(page.getByText('No exercises saved yet.')).toBeVisible();
    await expect(page.getByText('Nobody has it yet.')).toBeVisible();
    await lookAs(page, 'Omar');
    await expect(page.getByText('Nothing to practise yet.')).toBeVisible();
    await page.goto('/stand');
    await expect(page).toHaveURL(/\/today$/);
  });
});

test('what does not exist is said, with a way on', async ({ page }) => {
  await openStudio(page);
  expect((await page.goto('/nowhere'))?.status()).toBe(404);
  for (const address of ['/nowhere', '/programs/x', '/students/01m88049gqy8q6h8yq14sa']) {
    await page.goto(address);
    await expect(page.getByRole('heading', { name: 'Nothing here.' })).toBeVisible();
  }
  await page.getByRole('link', { name: 'To the start' }).click();
  await expect(page.getByText('Mole End').first()).toBeVisible();
  expect((await page.request.get('/icon.svg')).ok()).toBe(true);
});
