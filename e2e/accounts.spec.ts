import type { Browser, Page } from '@playwright/test';
import { expect, OWNER, putStudio, test, type App } from './app';
import { Hand } from './hand';

test.use({ ground: 'empty' });

const BO = { email: 'bo@mole-end.example', password: 'five words that Bo chose' };

/** Opens the first studio, as whoever reads the code where Mivvel runs. */
async function openMine(hand: Hand, app: App, studio = 'Mole End'): Promise<void> {
  await hand.open(`/setup?code=${await app.setupCode()}`);
  if (studio !== '') await hand.fill('Studio', studio);
  await hand.fill('Your name', 'Ada');
  await hand.fill('Email', OWNER.email);
  await hand.fill('New password', OWNER.password);
  await hand.button('Open');
  await expect(hand.page).toHaveURL(/\/students$/);
}

async function addStudent(page: Page, name: string): Promise<void> {
  await page.goto('/students');
  await page.getByLabel('New student').fill(name);
  await page.getByLabel('New student').press('Enter');
  await expect(page.getByRole('link', { name, exact: true })).toBeVisible();
}

async function waysIn(page: Page, name: string): Promise<void> {
  await page.goto('/students');
  await page.getByRole('link', { name, exact: true }).click();
  await page.waitForURL(/students\/\w+$/);
  await page.getByRole('link', { name: 'ways in' }).click();
  await expect(page.getByRole('heading', { name: 'Ways in' })).toBeVisible();
}

const devices: Page[] = [];

/** A browser of its own, such as a student's phone. */
async function device(browser: Browser, app: App, width = 390, height = 844): Promise<Page> {
  const page = await browser.newPage({ baseURL: app.url, viewport: { width, height } });
  devices.push(page);
  return page;
}

test.afterEach(async () => {
  for (const page of devices.splice(0)) await page.context().close();
});

async function signIn(page: Page, { email, password }: typeof OWNER): Promise<void> {
  await page.goto('/?doors');
  await page.getByLabel('Email').fill(email);
  await page.getByLabel('Password').fill(password);
  await page.getByRole('button', { name: 'Sign in' }).click();
}

test('from the first start to a student who plays on a phone of their own', async ({
  page,
  app,
  browser,
}) => {
  const hand = new Hand(page);
  // Without a name of its own the studio is called as its owner.
  await openMine(hand, app, '');
  await expect(page.getByLabel('New student')).toBeFocused();
  await hand.type('Toad');
  await hand.button('Add, with a link');
  await hand.button('Program for Toad: give a program…');
  await hand.press(page.getByRole('option', { name: /^A first beat/ }));
  const link = await page.getByLabel('Address', { exact: true }).inputValue();
  await expect(page.getByRole('img', { name: /^Code that opens/ })).toBeVisible();
  // A tablet on the studio's network has no clipboard; what is copied is the link all the same.
  await page.evaluate(() => Reflect.deleteProperty(Navigator.prototype, 'clipboard'));
  await page.getByRole('button', { name: 'Copy' }).first().click();
  await expect(page.getByText('Copied.')).toBeVisible();

  const phone = new Hand(await device(browser, app));
  await phone.open(link);
  await expect(phone.page.getByText('Ada')).toBeVisible();
  await phone.button('Go in');
  await expect(phone.page).toHaveURL(/\/today$/);
  await expect(phone.page.getByText(/^Toad · 1 exercise, /)).toBeVisible();
  expect(hand.acts + phone.acts).toBeLessThanOrEqual(11);
  await phone.press(phone.page.getByRole('link', { name: /^Start/ }));
  await phone.button(/^Start/);
  await expect(phone.page.locator('[data-stage=playing]')).toBeVisible();
  expect(hand.acts + phone.acts).toBeLessThanOrEqual(13);

  // It is seen on the phone itself, too.
  await phone.page.goto('/devices');
  await expect(phone.page.getByText('this one')).toBeVisible();

  // It stays in, and the teacher sees it and ends it.
  await phone.page.goto('/');
  await expect(phone.page).toHaveURL(/\/today$/);
  await page.getByRole('link', { name: 'ways in' }).click();
  await page.getByRole('button', { name: /^Sign out on Chrome/ }).click();
  await expect(page.getByText('Nowhere yet.')).toBeVisible();
  await phone.page.goto('/today');
  await expect(phone.page.getByRole('heading', { name: 'I play here' })).toBeVisible();

  // A renewed link opens, the one before no more.
  await page.getByRole('button', { name: 'Renew' }).first().click();
  await expect(page.getByText('opens nothing then')).toBeVisible();
  await page.getByRole('button', { name: 'Renew' }).first().click();
  await expect(page.getByLabel('Address', { exact: true })).not.toHaveValue(link);
  await phone.page.goto(link);
  await expect(phone.page.getByText('This link opens nothing now')).toBeVisible();
});

test('a code, once; a number on the studio’s tablet; and who tries too often waits', async ({
  page,
  app,
  browser,
}) => {
  await openMine(new Hand(page), app);
  await addStudent(page, 'Toad');
  await addStudent(page, 'Mole');
  await waysIn(page, 'Toad');
  await page.getByRole('button', { name: 'Make a code' }).click();
  const code = (await page.getByRole('status').locator('output').textContent()) ?? '';

  const phone = await device(browser, app);
  await phone.goto('/');
  async function type(typed: string) {
    await phone.getByLabel('Studio').fill('mole end');
    await phone.getByLabel('Code').fill(typed);
    await phone.getByRole('button', { name: 'Go in' }).click();
  }
  await type('BBB BBB');
  await expect(phone.getByText('No such code in a studio of that name.')).toBeVisible();
  await type(code);
  await expect(phone).toHaveURL(/\/today$/);
  await phone.getByRole('button', { name: 'Toad', exact: true }).click();
  await phone.getByRole('button', { name: 'Sign out on this device' }).click();
  await expect(phone.getByRole('heading', { name: 'I play here' })).toBeVisible();
  await type(code);
  await expect(phone.getByText('No such code')).toBeVisible();
  for (let time = 0; time < 9; time += 1) {
    await type('BBB BBB');
    await expect(phone.getByRole('button', { name: 'Go in' })).toBeEnabled();
  }
  await type('BBB BBB');
  await expect(phone.getByText('Too many tries.')).toBeVisible();

  await page.getByRole('button', { name: 'show', exact: false }).click();
  const pin =
    (await page
      .getByRole('region', { name: /^Number/ })
      .locator('output')
      .textContent()) ?? '';
  const tablet = await device(browser, app, 1280, 800);
  await signIn(tablet, OWNER);
  await expect(tablet).toHaveURL(/\/bench$/);
  await tablet.goto('/account');
  await tablet.getByLabel('Name of the tablet').fill('Stage left');
  await tablet.getByRole('button', { name: 'Make this device' }).click();
  await expect(tablet.getByRole('heading', { name: 'Who plays?' })).toBeVisible();
  await tablet.getByRole('button', { name: 'Toad' }).click();
  await tablet.getByLabel('Your number').fill(pin === '0000' ? '0001' : '0000');
  await expect(tablet.getByText('This is not your number.')).toBeVisible();
  // Becoming a tablet went well, and nothing says otherwise.
  await expect(tablet.getByText('No connection', { exact: false })).toBeHidden();
  for (const digit of pin) await tablet.getByRole('button', { name: digit, exact: true }).click();
  await expect(tablet).toHaveURL(/\/today$/);
  // The next one: sign out, and choose.
  await tablet.getByRole('button', { name: 'Toad', exact: true }).click();
  await tablet.getByRole('button', { name: 'Sign out on this device' }).click();
  await expect(tablet.getByRole('button', { name: 'Mole' })).toBeVisible();

  await page.goto('/account');
  const tablets = page.getByRole('region', { name: 'Tablets' });
  await tablets.getByRole('button', { name: 'End' }).click();
  await tablets.getByRole('button', { name: 'End' }).click();
  await expect(page.getByText('Stage left')).toBeHidden();
  await tablet.goto('/');
  await expect(tablet.getByRole('heading', { name: 'I play here' })).toBeVisible();
});

test('a teacher is invited, forgets the password, teaches, and leaves', async ({
  page,
  app,
  browser,
}) => {
  await openMine(new Hand(page), app);
  await addStudent(page, 'Toad');
  await page.goto('/account');
  await page.getByLabel('Email of a teacher').fill(BO.email);
  await page.getByRole('button', { name: 'Invite' }).click();
  const link = await page.getByLabel('Link to hand over').inputValue();
  await page.getByText('Mole End invites you to teach with Mivvel').click();
  await expect(page.getByText(link)).toBeVisible();

  const bo = await device(browser, app, 1280, 800);
  await bo.goto(link);
  await expect(
    bo.getByRole('heading', { name: 'You are invited to teach at Mole End' }),
  ).toBeVisible();
  await bo.getByLabel('Your name').fill('Bo');
  await bo.getByLabel('New password').fill('password12');
  await bo.getByRole('button', { name: 'Go in' }).click();
  await expect(bo.getByText('Many people use this password')).toBeVisible();
  await bo.getByLabel('New password').fill(BO.password);
  await bo.getByRole('button', { name: 'Go in' }).click();
  await expect(bo).toHaveURL(/\/bench$/);
  // Bo teaches nobody yet, and owns nothing.
  await bo.goto('/students');
  await expect(bo.getByText('No students yet.')).toBeVisible();
  await bo.goto('/account');
  await expect(bo.getByRole('region', { name: 'Teachers' })).toBeHidden();
  await bo.getByRole('button', { name: 'Bo', exact: true }).click();
  await bo.getByRole('button', { name: 'Sign out on this device' }).click();

  await bo.getByRole('link', { name: 'Forgot the password?' }).click();
  await expect(bo.getByRole('heading', { name: 'Forgot the password?' })).toBeVisible();
  await bo.getByLabel('Email').fill(BO.email);
  await bo.getByRole('button', { name: 'Send me a link' }).click();
  await expect(bo.getByText('a link is on its way')).toBeVisible();
  await page.reload();
  await page.getByText('A new password for Mivvel').click();
  const letter = (await page.getByText('Set it here within an hour').textContent()) ?? '';
  await bo.goto(/http:\S+/.exec(letter)?.[0] ?? '');
  await bo.getByLabel('New password').fill('other words that Bo chose');
  await bo.getByRole('button', { name: 'Set password' }).click();
  await expect(bo.getByText('The new password is set. Sign in with it.')).toBeVisible();
  await signIn(bo, { email: BO.email, password: BO.password });
  await expect(bo.getByText('This email and password do not go together.')).toBeVisible();
  await signIn(bo, { email: BO.email, password: 'other words that Bo chose' });
  await expect(bo).toHaveURL(/\/bench$/);

  await waysIn(page, 'Toad');
  // It is ticked at once, and stored when the server has answered.
  const stored = page.waitForResponse((response) => response.request().method() === 'POST');
  await page.getByLabel('Bo', { exact: true }).check();
  await stored;
  await bo.goto('/students');
  await expect(bo.getByRole('link', { name: 'Toad', exact: true })).toBeVisible();

  // The studio goes to another owner, and back.
  await page.goto('/account');
  const teachers = (at: Page) => at.getByRole('region', { name: 'Teachers' });
  for (const [from, to] of [
    [page, bo],
    [bo, page],
  ] as const) {
    await from.goto('/account');
    await from.getByRole('button', { name: 'Make owner' }).click();
    await expect(from.getByText('Only', { exact: false })).toBeVisible();
    await from.getByRole('button', { name: 'Make owner' }).click();
    await expect(teachers(from)).toBeHidden();
    await to.goto('/account');
    await expect(teachers(to)).toBeVisible();
  }
  await page.getByLabel('My name in this studio').fill('Ada of the Mole End');
  await page.getByLabel('My name in this studio').press('Enter');
  await expect(teachers(page).getByText('Ada of the Mole End')).toBeVisible();
  await page.getByRole('button', { name: 'Let go' }).click();
  await page.getByRole('button', { name: 'Let go' }).click();
  await expect(
    page.getByRole('region', { name: 'Teachers' }).getByText('Bo', { exact: true }),
  ).toBeHidden();
  await expect(
    page.getByRole('region', { name: 'What happened' }).getByText(/let a teacher go/),
  ).toBeVisible();
  await bo.goto('/students');
  await expect(bo.getByRole('heading', { name: 'I teach here' })).toBeVisible();
});

test('a parent reads one record, a program is taken into another Mivvel, a student is erased', async ({
  page,
  app,
  browser,
}) => {
  await openMine(new Hand(page), app);
  await addStudent(page, 'Toad');
  await waysIn(page, 'Toad');
  await page.getByLabel('Name of a reader, such as a parent').fill('Mrs Toad');
  await page.getByRole('button', { name: 'Let read' }).click();
  const link = await page
    .getByRole('region', { name: 'May read' })
    .getByLabel('Address')
    .inputValue();
  const parent = await device(browser, app);
  await parent.goto(link);
  await expect(parent.getByRole('heading', { name: 'Toad' })).toBeVisible();
  await expect(parent.getByText('for Mrs Toad to read')).toBeVisible();
  const end = page.getByRole('button', { name: 'End what Mrs Toad may read' });
  await end.click();
  await expect(end).toBeHidden();
  await parent.reload();
  await expect(parent.getByText('This link opens nothing now')).toBeVisible();

  await page.goto('/programs');
  await page.getByRole('button', { name: 'Copy A first beat, layer by layer' }).click();
  await expect(page.getByLabel('Program name')).toHaveValue('A first beat, layer by layer');
  await page.getByRole('button', { name: 'share', exact: true }).click();
  await page.getByRole('button', { name: 'Make an address' }).click();
  const shared = await page.getByLabel('Address of the program').inputValue();
  await parent.goto(shared);
  await expect(parent.getByText('Shared by Mole End: 7 exercises')).toBeVisible();
  await expect(parent.getByText('Toad')).toBeHidden();
  // The other Mivvel is this one, in another studio of the owner’s.
  await page.goto('/account');
  await page.getByLabel('Studio', { exact: true }).fill('Quay Street');
  await page.getByLabel('Your name').fill('Ada');
  await page.getByRole('button', { name: 'Open another studio' }).click();
  await expect(page.getByText('No students yet.')).toBeVisible();
  await page.goto(shared);
  await page.getByLabel('Address of your Mivvel').fill(app.url);
  await page.getByRole('link', { name: 'Take it into your Mivvel' }).click();
  await expect(page.getByText('A first beat, layer by layer (7 exercises)')).toBeVisible();
  await page.getByRole('button', { name: 'Import', exact: true }).click();
  await expect(page.getByRole('link', { name: 'A first beat, layer by layer' })).toBeVisible();

  await page.goto('/account');
  await page.getByRole('button', { name: 'Go to Mole End' }).click();
  await expect(page.getByRole('link', { name: 'Toad', exact: true })).toBeVisible();
  await waysIn(page, 'Toad');
  await page.getByRole('button', { name: 'Erase Toad…' }).click();
  await page.getByLabel('Type “Toad”').fill('Frog');
  await page.getByRole('button', { name: 'Erase for good' }).click();
  await expect(page.getByText('This is another name.')).toBeVisible();
  await page.getByLabel('Type “Toad”').fill('Toad');
  await page.getByRole('button', { name: 'Erase for good' }).click();
  await expect(page.getByText('No students yet.')).toBeVisible();
});

test('signing in answers a post from elsewhere with a refusal, and keeps cookies from scripts', async ({
  page,
  app,
  request,
}) => {
  await openMine(new Hand(page), app);
  const cookies = await page.context().cookies();
  const session = cookies.find(({ name }) => name === 'mivvel-session');
  expect(session).toMatchObject({ httpOnly: true, sameSite: 'Lax', path: '/' });
  expect(await page.evaluate(() => document.cookie)).not.toContain('mivvel-session');
  const elsewhere = await request.post(app.url, { headers: { origin: 'https://evil.example' } });
  expect(elsewhere.status()).toBe(403);
  for (const path of ['/s/x', '/invitation/x', '/reading/x', '/shared/x']) {
    const answer = await request.get(app.url + path);
    expect(await answer.text()).toContain('This link opens nothing now');
  }
});

test('a studio of before there were accounts waits for its owner, and is open to nobody meanwhile', async ({
  page,
  app,
}) => {
  putStudio('Toad Hall', 'Ada', false);
  for (const path of ['/', '/bench', '/students', '/today']) {
    await page.goto(path);
    await expect(page.getByRole('heading', { name: 'Set up Mivvel' })).toBeVisible();
    await expect(page.getByText('Toad Hall')).toBeHidden();
  }
  await page.getByLabel('Code').fill('not this one');
  await page.getByRole('button', { name: 'Go on' }).click();
  await expect(page.getByText('This is not the code.')).toBeVisible();
  await page.getByLabel('Code').fill(await app.setupCode());
  await page.getByRole('button', { name: 'Go on' }).click();
  await expect(page.getByRole('heading', { name: 'Make it mine' })).toBeVisible();
  await expect(page.getByLabel('Studio')).toHaveText('Toad Hall');
  await page.getByLabel('Email').fill(OWNER.email);
  await page.getByLabel('New password').fill(OWNER.password);
  await page.getByRole('button', { name: 'Make it mine' }).click();
  await expect(page).toHaveURL(/\/bench$/);
  await expect(page.getByRole('button', { name: 'Ada', exact: true })).toBeVisible();
  await page.goto('/setup');
  await expect(page).not.toHaveURL(/setup/);
});
