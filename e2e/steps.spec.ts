import { expect, openBench, phrase, test } from './app';

test('four limbs are built in steps, in the studio’s own order, and sent to a program', async ({
  page,
  teacher,
}) => {
  await openBench(page, teacher);
  await phrase(page, 'What keeps going', 'rock in 8ths');
  await phrase(page, 'What keeps going', 'foot hi-hat on 2 and 4');
  await page.getByRole('link', { name: 'steps' }).click();
  const path = page.getByRole('listbox', { name: 'Path' });
  await expect(page.getByRole('button', { name: /^Program to send/ })).toHaveText(
    /to program… 1[78]/,
  );
  await expect(path.getByRole('option').first()).toHaveAccessibleName('1: hi-hat');

  for (const kind of [
    'three limbs',
    'pulse for the line',
    'plain, then skip notes',
    'every nth, one after the other',
    'skeleton, then ornaments',
    'grace notes tightened',
    'each hand’s share',
  ]) {
    await page.getByRole('button', { name: `Without ${kind}` }).click();
  }
  await page.getByRole('button', { name: 'pairs of limbs earlier' }).click();
  await expect(path.getByRole('option').first()).toHaveAccessibleName('1: hi-hat and snare');
  const send = page.getByRole('button', { name: /^Program to send/ });
  await expect(send).toHaveText('to program… 13');
  await page.getByRole('button', { name: 'save as my build order' }).click();
  await expect(page.getByText('Saved as your build order.')).toBeVisible();
  await page.reload();
  await expect(send).toHaveText('to program… 13');

  await path.focus();
  await path.press('ArrowDown');
  await expect(page.getByRole('region', { name: 'Step' })).toContainText('hi-hat and bass drum');
  await expect(page.getByRole('list', { name: 'Count' })).toContainText('1 & 2 & 3 & 4 &');
  await path.press('Space');
  await page.getByRole('button', { name: 'Stop', exact: true }).click();
  await page.getByRole('button', { name: 'Hear', exact: true }).click();
  await page.getByRole('button', { name: 'Stop', exact: true }).click();
  await path.press('d');
  await expect(send).toHaveText('to program… 12');
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(send).toHaveText('to program… 13');
  await page.getByRole('button', { name: 'Leave out' }).click();
  await expect(send).toHaveText('to program… 12');
  await page.getByRole('button', { name: 'Undo' }).last().click();
  await expect(send).toHaveText('to program… 13');
  await path.focus();
  await path.press('Home');
  await path.press('ArrowDown');
  await path.press('s');
  await expect(send).toHaveText('to program… 2');
  await send.click();
  await page.keyboard.type('Built up');
  await page.keyboard.press('Enter');
  await expect(
    page.getByText(/^Sent 2 to Built up\. Each waits for the one before it\.$/),
  ).toBeVisible();
  await page.getByRole('radio', { name: 'rungs of one item' }).click();
  await send.click();
  await page.keyboard.type('One by one');
  await page.keyboard.press('Enter');
  const sent = page.getByRole('listitem').filter({ hasText: 'Sent one item to One by one.' });
  await sent.getByRole('button', { name: 'Open it' }).click();
  await expect(page.getByLabel('Program name')).toHaveValue('One by one');
  await expect(page.getByRole('button', { name: /^Ladder of/ })).toContainText(
    'hi-hat and snare · hi-hat and bass drum',
  );
});

test('three of all steps are kept in two acts; a solo is joined part by part', async ({
  page,
  teacher,
}) => {
  await openBench(page, teacher);
  await phrase(page, 'What keeps going', 'rock in 8ths');
  await page.getByRole('link', { name: 'steps' }).click();
  const path = page.getByRole('listbox', { name: 'Path' });
  const send = page.getByRole('button', { name: /^Program to send/ });
  await path
    .getByRole('option')
    .nth(2)
    .click({ modifiers: ['Shift'] });
  await page.getByRole('button', { name: 'Only these' }).click();
  await expect(send).toHaveText('to program… 3');
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(send).toHaveText(/to program… [1-9]\d?$/);
  await expect(send).not.toHaveText('to program… 3');
  await path.getByRole('option').first().click();
  await path
    .getByRole('option')
    .nth(2)
    .click({ modifiers: ['Shift'] });
  await page.getByRole('button', { name: 'Only these' }).click();
  await send.click();
  await page.keyboard.type('Three steps');
  await page.keyboard.press('Enter');
  await expect(page.getByText(/^Sent 3 to Three steps/)).toBeVisible();
  await page.getByRole('button', { name: 'Open it' }).click();
  for (const ladder of await page.getByRole('button', { name: /^Ladder of/ }).all()) {
    await expect(ladder).toContainText('60 70 80, 8 bars each');
  }

  await openBench(page, teacher);
  await page.getByLabel('Reading line').fill('RLRRLRLL');
  for (const [name, line] of [
    ['answer', 'RRLLRRLL'],
    ['close', 'RLLRLLRL'],
  ] as const) {
    await page.getByRole('button', { name: /^Parts:/ }).click();
    await page.keyboard.type(name);
    await page.keyboard.press('Enter');
    await expect(page.getByLabel('Reading line')).toBeFocused();
    await page.keyboard.type(line);
  }
  await page.getByRole('link', { name: 'steps' }).click();
  await expect(path.getByRole('option')).toHaveCount(5);
  await expect(path.getByRole('option').nth(2)).toHaveAccessibleName('3: parts 1 to 2 joined');
  await expect(path.getByRole('option').nth(4)).toHaveAccessibleName('5: all of it');
});

test('every kind of step change can be made from the sentence', async ({ page, teacher }) => {
  await openBench(page, teacher);
  await phrase(page, 'What keeps going', 'rock in 8ths');
  await phrase(page, 'Change it by', 'one limb');
  await expect(page.getByTestId('count-LH')).toBeHidden();
  await expect(page.getByTestId('count-RF')).toHaveText('1 3');
  await page.keyboard.press('Control+z');
  await phrase(page, 'Change it by', 'part of it');
  await expect(page.getByTestId('count-RH')).toHaveText('1 & 2 &');
  await page.keyboard.press('Control+z');
  await page.getByLabel('Reading line').fill('fR--- fL---');
  await page.getByLabel('Reading line').press('Escape');
  await phrase(page, 'Change it by', 'slowed ornaments');
  const opened = page.getByRole('button', { name: 'grace notes opened in 16ths', exact: true });
  await expect(opened).toBeVisible();
  await expect(page.getByTestId('count-LH')).toHaveText('2 a 4 a');
});

test('an address without an exercise leads to the Bench', async ({ page, teacher }) => {
  await page.context().addCookies(await teacher());
  await page.goto('/steps');
  await expect(page.getByText('Make an exercise on the')).toBeVisible();
  await page.goto('/steps?r=abc');
  await expect(page.getByText(/This link is not complete/)).toBeVisible();
});

test('one note easier or harder is heard at a touch, and taken by another', async ({
  page,
  teacher,
}) => {
  await openBench(page, teacher);
  await phrase(page, 'What keeps going', 'rock in 8ths');
  await page.getByRole('button', { name: 'easier or harder' }).click();
  const harder = page.getByRole('region', { name: 'as hard, or harder' });
  const row = harder.getByRole('listitem').first();
  const hear = row.getByRole('button', { name: /^Hear / });
  await hear.click();
  await expect(hear).toHaveAttribute('aria-pressed', 'true');
  await hear.click();
  await expect(hear).toHaveAttribute('aria-pressed', 'false');
  await row.getByRole('button').last().click();
  await expect(harder).toBeHidden();
  await expect(page.getByRole('button', { name: 'undo' })).toBeVisible();
  await expect(page.getByText('1 note by hand').first()).toBeVisible();
});
