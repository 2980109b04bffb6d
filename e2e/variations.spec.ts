import { lineOver, overThese, writeLink, type ClosedRecipe } from '../src/core/recipe';
import { expect, giveMany, phrase, test, dragOnto } from './app';

test.beforeEach(async ({ page, teacher }) => {
  await page.context().addCookies(await teacher());
  await page.goto('/variations');
  await expect(page.getByText('give a phrase several values')).toBeVisible();
});

const SNARES = ['S: 2 4', 'S: 2 4a', 'S: 2& 4'] as const;
const BASSES = ['K: 1 3', 'K: 1 1a 3', 'K: 1 2& 3'] as const;
const TEXTURES = [
  'H: xxxxxxxxxxxxxxxx',
  'H: XxXxXxXxXxXxXxXx',
  'H: XxxxXxxxXxxxXxxx',
  'H: xxXxxxXxxxXxxxXx',
  'H: XXXXXXXXXXXXXXXX',
] as const;

test('a meter, a feel and as many changes as an exercise has are there, offered or typed', async ({
  page,
}) => {
  const recipe: ClosedRecipe = {
    ...lineOver(overThese('hats-2-4'), '4 8 8 4 4'),
    changes: Array.from({ length: 8 }, (_, nth) => ({
      ...{ kind: 'displace', what: 'pattern', part: 'line', slot: '16' },
      by: nth + 1,
    })),
  };
  await page.goto(`/variations?r=${writeLink(recipe)}`);
  const size = page.getByLabel('Variations', { exact: true });
  await expect(page.getByRole('button', { name: /^Changes \d/ })).toHaveCount(9);
  await giveMany(page, 'Meters', ['9/8', '11/8 3+3+3+2']);
  await giveMany(page, 'Feels', ['5:3', '7:5']);
  // Three meters by three feels.
  await expect(size).toHaveText('9 variations');
  await expect(page.getByText('11/8 3+3+3+2').first()).toBeVisible();
  await expect(page.getByText('swung 7:5').first()).toBeVisible();
});

test('nine from the sentence: three rides by three snares over running feet', async ({ page }) => {
  const size = page.getByLabel('Variations', { exact: true });
  await giveMany(page, 'Over 1', ['C: 1 2 3 4', 'C: xxxxxxxx', 'C: -x-x-x-x']);
  await expect(size).toHaveText('3 variations');
  await giveMany(page, 'Over 2', ['S: 1 2 3 4', 'S: xxxxxxxx', 'S: -x-x-x-x']);
  await expect(size).toHaveText('9 variations');
  await giveMany(page, 'Over 3', ['K: x-x-x-x-; LF bass drum: -x-x-x-x']);
  await expect(page.getByRole('button', { name: /^path 9/ })).toBeVisible();
  await page.getByRole('button', { name: 'Keep', exact: true }).click();
  await expect(page.getByText('9 cover all 9 pairs.')).toBeVisible();
  await page.getByRole('button', { name: 'Hear as a run' }).click();
  await page.getByRole('button', { name: 'Stop', exact: true }).last().click();
  await page.getByRole('button', { name: 'Take away S: -x-x-x-x' }).click();
  await expect(size).toHaveText('6 variations');
  await page.keyboard.press('Control+z');
  await expect(size).toHaveText('9 variations');
});

test('ten patterns typed as a list, two passes, and a few rows moved, heard and kept together', async ({
  page,
}) => {
  const patterns = [
    ...['RLRRLRLL', 'RLRLRLRL', 'RRLLRRLL', 'RLLRLLRL', 'RLRLRRLL'],
    ...['RRLRLLRL', 'RLLRRLLR', 'RLRRLLRL', 'RRLLRLRL', 'RLLRRLRL'],
  ];
  await giveMany(page, 'Lines', [patterns.join(' / ')]);
  await expect(page.getByRole('button', { name: 'path 10' })).toBeVisible();
  const written = page.getByRole('button', { name: 'as written', pressed: true });
  await expect(written).toBeVisible();
  // A list adds; what is there already stays.
  await giveMany(page, 'Lines', [patterns.slice(0, 2).join(' / ')]);
  await expect(page.getByRole('button', { name: 'path 10' })).toBeVisible();
  await giveMany(page, 'Changes 1', ['as it is', 'the left hand’s']);
  await expect(page.getByLabel('Variations', { exact: true })).toHaveText('20 variations');
  await page.getByRole('button', { name: /^ostinato, .*left hand/ }).click();
  const editor = page.getByRole('dialog');
  await editor.getByRole('radio', { name: 'line', exact: true }).click();
  await editor.getByRole('button', { name: /^Voice it comes from|^From voice/ }).click();
  await page.keyboard.type('snare');
  await page.keyboard.press('Enter');
  await page.keyboard.press('Escape');
  const path = page.getByRole('listbox', { name: 'Path' });
  const row = (number: number) => path.getByRole('option', { name: new RegExp(`^${number}: `) });
  await expect(row(2)).toHaveAttribute('aria-label', /ride/);
  await page.getByLabel('Passes').selectOption({ label: 'a pass for each change' });
  await expect(row(2)).toHaveAttribute('aria-label', /RLRLRLRL/);
  await row(1).click();
  await path.press('Shift+ArrowDown');
  await path.press('Shift+ArrowDown');
  await expect(path.locator('[aria-selected=true]')).toHaveCount(3);
  await expect(page.getByRole('region', { name: '3 chosen' })).toBeVisible();
  await path.press('Alt+ArrowDown');
  await expect(path.locator('[aria-selected=true]').first()).toHaveAttribute('aria-label', /^2: /);
  await page.keyboard.press('Control+z');
  await path.press('f');
  await expect(path.getByLabel('pinned first')).toHaveCount(3);
  await page.getByRole('button', { name: 'Hear the 3 chosen as a run' }).click();
  await page.getByRole('button', { name: 'Stop', exact: true }).last().click();
  await page.getByRole('button', { name: 'Only these' }).click();
  await expect(page.getByRole('button', { name: 'path 3' })).toBeVisible();
});

test('ghosts around a backbeat: anchors stay, the others lie in between, the count follows', async ({
  page,
}) => {
  const size = page.getByLabel('Variations', { exact: true });
  await giveMany(page, 'Over 1', ['H: xxxxxxxx']);
  await giveMany(page, 'Changes 1', ['ghosted snare: every one of the 16ths']);
  await expect(size).toHaveText('16 variations');
  await page.getByRole('button', { name: 'ghosted snare: every one of the 16ths' }).click();
  const dialog = page.getByRole('dialog');
  await expect(dialog.getByTestId('placement-count')).toHaveText('16 ways');
  await dialog.getByRole('radio', { name: 'accents' }).click();
  await expect(page.getByRole('button', { name: /^accented snare: every 1 of 16/ })).toBeVisible();
  await dialog.getByRole('radio', { name: 'ghosts' }).click();
  await dialog.getByRole('button', { name: 'in between only' }).click();
  await expect(dialog.getByTestId('placement-count')).toHaveText('8 ways');
  for (const slot of [5, 13]) {
    await dialog.getByRole('button', { name: `Slot ${slot}: never taken` }).click();
    await dialog.getByRole('button', { name: `Slot ${slot}: may be taken` }).click();
    await expect(dialog.getByRole('button', { name: `Slot ${slot}: always taken` })).toBeVisible();
  }
  // The backbeat takes two of the notes: with three there is one ghost, in any of eight places.
  await dialog.getByRole('button', { name: 'more', exact: true }).nth(1).click();
  await dialog.getByRole('button', { name: 'more', exact: true }).nth(1).click();
  await expect(dialog.getByTestId('placement-count')).toHaveText('9 ways');
  await page.keyboard.press('Escape');
  await expect(size).toHaveText('9 variations');
  await expect(page.getByRole('button', { name: /always 5 13/ })).toBeVisible();
});

test('a run is named when it is sent, and its parts have their names', async ({ page }) => {
  await giveMany(page, 'Lines', ['RLRRLRLL / RRLLRRLL / RLLRLLRL']);
  await page.getByLabel('Names').fill('Pattern {n}');
  await page.getByRole('radio', { name: 'one run' }).click();
  await page.getByLabel('Name of the run').fill('Warm-up');
  await page.getByRole('button', { name: /^Program to send/ }).click();
  await page.keyboard.type('Mornings');
  await page.keyboard.press('Enter');
  await page.getByRole('button', { name: 'Open it' }).click();
  await page.getByRole('link', { name: 'Warm-up' }).click();
  const parts = page.getByRole('group', { name: 'Parts' });
  for (const name of ['Pattern 1', 'Pattern 2', 'Pattern 3']) {
    await expect(parts.getByRole('button', { name: `Open ${name}` })).toBeVisible();
  }
});

test('rules are changed in a value, and saved from there', async ({ page }) => {
  await giveMany(page, 'Lines', ['4. 4 8 4']);
  await giveMany(page, 'Interpretations', ['my own rules']);
  const sentence = page.getByRole('region', { name: 'Sentence' });
  await sentence.getByRole('button', { name: /^my own rules/ }).click();
  const editor = page.getByRole('dialog');
  await editor.getByRole('button', { name: 'save these rules' }).click();
  await editor.getByLabel('Name of these rules').fill('Family rules');
  await page.keyboard.press('Enter');
  await expect(page.getByText(/^Saved Family rules\./)).toBeVisible();
});

test('forty-five: covered, dropped, reordered by keys, kept over a reload, sent to a program', async ({
  page,
}) => {
  await giveMany(page, 'Over 1', TEXTURES);
  await giveMany(page, 'Over 2', SNARES);
  await giveMany(page, 'Over 3', BASSES);
  await expect(page.getByRole('button', { name: /^path 45/ })).toBeVisible();
  await page.getByRole('button', { name: 'Keep', exact: true }).click();
  await expect(page.getByText('15 cover all 39 pairs.')).toBeVisible();
  await expect(page.getByRole('button', { name: 'left out 30' })).toBeVisible();
  await page.getByLabel('How many are kept').fill('10');
  await page.getByRole('button', { name: 'Keep', exact: true }).click();
  await expect(page.getByText('10 cover 29 of 39 pairs; 10 are not covered.')).toBeVisible();
  await page.getByRole('button', { name: 'keep all' }).click();
  await expect(page.getByText('45 cover all 39 pairs.')).toBeVisible();

  const path = page.getByRole('listbox', { name: 'Path' });
  const chosen = path.locator('[aria-selected=true]');
  await expect(chosen).toHaveAttribute('aria-label', /^1: H: x{16}, S: 2 4, K: 1 3$|^1: /);
  await path.focus();
  const first = await chosen.getAttribute('data-member');
  await path.press('Alt+ArrowDown');
  await expect(path.locator(`[data-member="${first}"]`)).toHaveAttribute('aria-label', /^2: /);
  await expect(page.getByRole('button', { name: 'sort again' })).toBeVisible();
  await path.press('d');
  await expect(page.getByText(/^Dropped /)).toBeVisible();
  await expect(page.getByRole('button', { name: 'path 44' })).toBeVisible();
  await path.press('Home');
  await path.press('PageDown');
  await path.press('s');
  await expect(page.getByRole('button', { name: /^Program to send/ })).toHaveText('to program… 9');

  await page.getByLabel('Names').fill('Groove {n}');
  await expect(page.getByTestId('first-name')).toHaveText('Groove 1');
  await page.getByLabel('Family name').fill('Grooves');
  await page.keyboard.press('Control+s');
  await expect(page.getByText('Saved Grooves.')).toBeVisible();
  await expect(page).toHaveURL(/f=/);
  await page.reload();
  await expect(page.getByRole('button', { name: 'path 44' })).toBeVisible();
  await expect(page.getByRole('button', { name: /^Program to send/ })).toHaveText('to program… 9');

  await page.getByRole('button', { name: /^Program to send/ }).click();
  await page.keyboard.type('The grooves');
  await page.keyboard.press('Enter');
  await expect(page.getByText('Sent 9 to The grooves.')).toBeVisible();
  await page.getByRole('button', { name: 'Open it' }).click();
  await expect(page.getByLabel('Program name')).toHaveValue('The grooves');
  await expect(page.getByRole('link', { name: /^Groove \d$/ })).toHaveCount(9);
});

test('a row is dragged to another place, pinned and stopped at by mouse', async ({ page }) => {
  await giveMany(page, 'Over 1', SNARES);
  await expect(page.getByRole('button', { name: 'path 3' })).toBeVisible();
  const rows = page.getByRole('listbox', { name: 'Path' }).getByRole('option');
  const first = await rows.first().getAttribute('data-member');
  await dragOnto(page, rows.first(), rows.nth(2));
  await expect(rows.nth(2)).toHaveAttribute('data-member', first ?? '');
  await page.getByRole('button', { name: 'sort again' }).click();
  await expect(rows.first()).toHaveAttribute('data-member', first ?? '');
  await rows.nth(1).click();
  const second = await rows.nth(1).getAttribute('data-member');
  await page.getByRole('button', { name: 'last', exact: true }).click();
  await expect(rows.last()).toHaveAttribute('data-member', second ?? '');
  await rows.nth(1).click();
  await page.getByRole('button', { name: 'stop here' }).click();
  await expect(page.getByRole('button', { name: /^Program to send/ })).toHaveText('to program… 2');
});

test('several thousand: made with progress, set apart with reasons, two compared, one run sent', async ({
  page,
}) => {
  await page.getByRole('link', { name: 'Bench', exact: true }).click();
  await phrase(page, 'What keeps going', 'rock in 8ths');
  await page.getByLabel('Reading line').fill('4. 4 8 4');
  await page.getByLabel('Reading line').press('Escape');
  await page.getByRole('link', { name: 'vary' }).click();
  await giveMany(page, 'Lines', ['line 1', 'line 5', '8r 4 8 2', '2 2', '4 2 4', '1', '8 8 4 2']);
  await giveMany(page, 'Interpretations', ['short / long', 'phrase cells', 'accents in 16ths']);
  await giveMany(page, 'Changes 1', ['every displacement of the line in 16ths']);
  await giveMany(page, 'Changes 2', ['bass drum on any of four']);
  await expect(page.getByRole('button', { name: /^path [\d,]+$/ })).toBeVisible();
  await expect(page.getByRole('progressbar')).toBeHidden({ timeout: 30_000 });
  await expect(page.getByLabel('Variations', { exact: true })).toHaveText(/^[\d,]{5,} variations$/);

  await page.getByRole('button', { name: /^cannot be played/ }).click();
  await expect(page.getByText(/no cell has that length/).first()).toBeVisible();
  await page.getByRole('button', { name: /^leave out [\d,]+ that sound like another$/ }).click();
  await page.getByRole('button', { name: /^same as another/ }).click();
  await expect(
    page.getByRole('list', { name: 'Same as another' }).getByRole('listitem').first(),
  ).toContainText('same as');
  await page.getByRole('button', { name: /^path/ }).click();

  await page.getByLabel('How many are kept').fill('6');
  await page.getByRole('button', { name: 'Keep', exact: true }).click();
  await expect(page.getByRole('button', { name: 'path 6' })).toBeVisible();
  const path = page.getByRole('listbox', { name: 'Path' });
  await path.focus();
  await path.press('c');
  await path.press('ArrowDown');
  await expect(page.getByRole('region', { name: 'Compared with' })).toBeVisible();
  await page.getByRole('radio', { name: 'one run' }).click();
  await page.getByRole('button', { name: /^Program to send/ }).click();
  await page.keyboard.type('A long run');
  await page.keyboard.press('Enter');
  await expect(page.getByText('Sent a run of 6 to A long run.')).toBeVisible();
});

test('too many say how many there are and what to narrow; nothing hangs', async ({ page }) => {
  await giveMany(page, 'Over 1', ['rock in 8ths']);
  await giveMany(page, 'Changes 1', ['every one of the 16ths', 'bass drum on any of four']);
  await giveMany(page, 'Changes 2', ['1 to 3 of the 8ths', 'bass drum on any of four']);
  await giveMany(page, 'Changes 3', ['1 to 3 of the 8ths', 'bass drum on any of four']);
  await expect(page.getByRole('alert').first()).toHaveText(
    /That makes [\d,]+ variations; 100,000 is the most\. Narrow “changed by \d”/,
  );
  await page.getByRole('button', { name: 'bass drum: every 1 to 3 of the 8ths' }).last().click();
  await page.getByRole('group', { name: 'To' }).getByRole('button', { name: 'less' }).click();
  await page.getByRole('group', { name: 'To' }).getByRole('button', { name: 'less' }).click();
  await page.keyboard.press('Escape');
  await expect(page.getByText(/100,000 is the most/)).toBeHidden();
  await expect(page.getByRole('listbox', { name: 'Path' })).toBeVisible();
});

test('an ingredient edited on the shelf since is offered anew', async ({ page }) => {
  await page.goto('/materials?k=line');
  await page.getByRole('button', { name: 'New line' }).click();
  await page.getByLabel('Name').fill('two long');
  await page.getByLabel('Line', { exact: true }).fill('2 2');
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByText('own, version 1')).toBeVisible();
  await page.goto('/variations');
  await giveMany(page, 'Lines', ['two long', '4 4 4 4']);
  await expect(page.getByLabel('Variations', { exact: true })).toHaveText('2 variations');
  await page.getByRole('link', { name: 'Materials' }).click();
  // Variations has a button of that name, too.
  await expect(page).toHaveURL(/\/materials/);
  await page.getByRole('button', { name: 'Lines', exact: true }).click();
  await page.getByRole('button', { name: /two long/ }).click();
  await page.getByRole('button', { name: 'Edit' }).click();
  await page.getByLabel('Line', { exact: true }).fill('2 4 4');
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByText('own, version 2')).toBeVisible();
  await page.getByRole('link', { name: 'Variations' }).click();
  await page.getByRole('button', { name: 'edited since: update' }).click();
  await expect(page.getByRole('button', { name: 'edited since: update' })).toBeHidden();
  await expect(page.getByLabel('Variations', { exact: true })).toHaveText('2 variations');
});

test('a worker that dies is begun anew, and nothing is lost', async ({ page }) => {
  await page.route(/worker/, (route) => route.abort());
  await page.goto('/variations');
  await giveMany(page, 'Over 1', SNARES);
  await expect(page.getByText('The calculation stopped; nothing is lost.')).toBeVisible();
  await expect(page.getByLabel('Variations', { exact: true })).toHaveText('3 variations');
  await page.unroute(/worker/);
  await page.getByRole('button', { name: 'try again' }).click();
  await expect(page.getByRole('button', { name: 'path 3' })).toBeVisible();
});
