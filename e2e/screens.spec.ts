import { expect, lookAs, openStudio, test, OWNER } from './app';

test.describe('with the demo studio', () => {
  test.use({ ground: 'gallery' });

  test('nobody sees what is not theirs', async ({ page, request, app }) => {
    await page.goto('/students');
    await expect(page).toHaveURL(/\/$/);
    await lookAs(page, 'Pia', '/today');
    for (const address of ['/bench', '/programs', '/students']) {
      await page.goto(address);
      await expect(page).toHaveURL(/\/today$/);
    }
    await openStudio(page, 'Other', 'Ada');
    await page.goto('/programs');
    await expect(page.getByText('No programs yet.')).toBeVisible();
    await page.goto('/stand');
    await expect(page).toHaveURL(/\/bench$/);
    const headers = { origin: app.url };
    const refused = await request.post('/api/log', { headers, data: { entries: [] } });
    expect(refused.status()).toBe(401);
    const teachers = await page.request.post('/api/log', { headers, data: { entries: [] } });
    expect(teachers.status()).toBe(409);
    await lookAs(page, 'Pia', '/today');
    const shapeless = await page.request.post('/api/log', { headers, data: { entries: 7 } });
    expect(shapeless.status()).toBe(400);
    expect(JSON.stringify(await shapeless.json())).toContain('input-shape');
    const entries = [{ id: 'x' }, null];
    const wrong = await page.request.post('/api/log', { headers, data: { entries } });
    expect(wrong.status()).toBe(200);
    expect(JSON.stringify(await wrong.json())).toContain('entry-shape');
  });

  test('a page from elsewhere gets nothing in, and nothing out', async ({ page, request, app }) => {
    await lookAs(page, 'Pia', '/today');
    const data = { entries: [] };
    const tried: readonly Record<string, string>[] = [
      {},
      { origin: 'http://localhost:1' },
      { origin: 'null' },
      { origin: app.url, 'content-type': 'text/plain' },
    ];
    for (const headers of tried) {
      const answer = await page.request.post('/api/log', { headers, data });
      expect([403, 415], JSON.stringify(headers)).toContain(answer.status());
    }
    const host = await request.get('/', { headers: { host: 'evil.example' } });
    expect(host.status()).toBe(421);
    expect(await host.text()).toMatch(
      /^Mivvel does not answer to the name evil.example\. Open it by/,
    );
    expect(host.headers()['content-type']).toContain('text/plain');
    const start = await request.get('/');
    expect(start.headers()['content-security-policy']).toMatch(
      /^default-src 'none'; script-src 'self' 'nonce-[\w+/=]+' 'strict-dynamic'; .*frame-ancestors 'none'/,
    );
    expect(start.headers()['x-content-type-options']).toBe('nosniff');
    const long = await page.request.post('/api/address', {
      headers: { origin: app.url },
      data: { address: 'x'.repeat(10_000) },
    });
    expect(long.status()).toBe(413);
    expect(JSON.stringify(await long.json())).toContain('body-large');
  });

  test('the chosen light stays over a reload', async ({ page }) => {
    await lookAs(page, 'Maren', '/students');
    await page.getByRole('button', { name: 'Dark' }).click();
    await page.reload();
    await expect(page.locator('html')).toHaveAttribute('data-theme', 'dark');
    await page.getByRole('button', { name: 'Light' }).click();
    await expect(page.locator('html')).toHaveAttribute('data-theme', 'light');
  });

  test('nothing reaches for another address, nor against what a page may do', async ({ page }) => {
    const foreign: string[] = [];
    page.on('console', (one) => {
      if (/Content.Security.Policy/i.test(one.text())) foreign.push(one.text());
    });
    page.on('request', (one) => {
      if (!/^(http:\/\/localhost:|data:|blob:)/.test(one.url())) foreign.push(one.url());
    });
    await lookAs(page, 'Maren', '/students');
    await page.getByRole('link', { name: 'Lotte' }).click();
    await page.getByRole('link', { name: 'Clave against hats' }).click();
    await expect(page.locator('[data-staff] [data-glyph^=notehead]').first()).toBeVisible();
    await page.getByRole('button', { name: 'Play', exact: true }).click();
    await expect(page.getByRole('button', { name: 'Stop', exact: true })).toBeVisible();
    await page.goto('/variations');
    await expect(page.getByText('give a phrase several values')).toBeVisible();
    expect(foreign).toEqual([]);
  });
});

test.describe('on an empty file', () => {
  test.use({ ground: 'empty' });

  test('an empty studio says what to do next, everywhere', async ({ page, app }) => {
    await page.goto(`/setup?code=${await app.setupCode()}`);
    await page.getByRole('button', { name: 'Open', exact: true }).click();
    await expect(page.getByText('The studio has no name.')).toBeVisible();
    await expect(page.getByText('The teacher has no name.')).toBeVisible();
    await page.getByLabel('Studio').fill('Mole End');
    await page.getByRole('button', { name: 'Open', exact: true }).click();
    await expect(page.getByText('The studio has no name.')).toBeHidden();
    await expect(page.getByLabel('Studio')).toHaveValue('Mole End');
    await page.getByLabel('Your name').fill('Ada');
    await page.getByLabel('Email').fill(OWNER.email);
    await page.getByLabel('New password').fill(OWNER.password);
    await page.getByRole('button', { name: 'Open', exact: true }).click();
    await expect(page.getByText('No students yet.')).toBeVisible();
    await page.getByLabel('New student').fill('Omar');
    await page.getByRole('button', { name: 'Add', exact: true }).click();
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
    await page.getByRole('link', { name: 'Students' }).click();
    await page.getByRole('link', { name: 'Omar' }).click();
    await page.getByRole('link', { name: 'ways in' }).click();
    await page.getByRole('button', { name: 'Make the link' }).click();
    await page.goto(await page.getByLabel('Address', { exact: true }).inputValue());
    await page.getByRole('button', { name: 'Go in' }).click();
    await page.waitForURL('**/today');
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
  expect((await page.request.get('/icon.svg')).status()).toBe(200);
});
