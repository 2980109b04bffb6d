import { expect, openBench, openStudio, phrase, test } from './app';

test.beforeEach(async ({ page, teacher }) => {
  await openBench(page, teacher);
});

/** What to type, and what must then be heard: the count of a limb, or how often a voice sounds. */
type Case = readonly [typed: string, says: RegExp, limb: string, count: string];

const OVER_ROCK: readonly Case[] = [
  ['bass drum placed', /bass drum placed x--x in 16ths/, 'count-RF', '1 a 2 a 3 a 4 a'],
  ['snare placed', /snare placed -g-- in 16ths/, 'count-LH', 'e 2 e e 4 e'],
  ['every nth', /one of every 2 notes of the right hand/, 'count-RF', '1 2 3 4'],
  ['thicken', /snare one 16th before each accent/, 'count-LH', 'a 2 a 4'],
  ['thinned', /right hand thinned to beats/, 'count-RH', '1 2 3 4'],
  ['swap feet', /feet swapped/, 'count-LF', '1 3'],
  ['second pass', /to ride, every second time/, 'count-RF', '1 3|1 3'],
];

test('every change that adds or takes away, from the sentence alone', async ({ page }) => {
  await phrase(page, 'What keeps going', 'rock in 8ths');
  for (const [typed, says, limb, count] of OVER_ROCK) {
    await phrase(page, 'Change it by', typed);
    await expect(page.getByRole('button', { name: says }).first()).toBeVisible();
    await expect(page.getByTestId(limb)).toHaveText(count);
    await page.keyboard.press('Control+z');
    await expect(page.getByTestId('count-RF')).toHaveText('1 3');
  }
  await phrase(page, 'Change it by', 'lone notes');
  await expect(page.locator('[data-voice=tom-floor]')).toHaveCount(4);
  await page.keyboard.press('Control+z');
  await phrase(page, 'Change it by', 'rotate');
  await expect(page.locator('[data-voice=tom-high]')).toHaveCount(2);
  await expect(page.getByTestId('count-RF')).toBeHidden();
});

test('grace notes are crushed by a width that is stated, and changed in place', async ({
  page,
}) => {
  await page.getByLabel('Reading line').fill('fR L R L');
  await page.getByLabel('Reading line').press('Escape');
  await phrase(page, 'Change it by', 'tight or wide');
  await page.getByRole('button', { name: 'grace notes 15 ms apart', exact: true }).click();
  await page.getByRole('dialog').getByRole('button', { name: 'more' }).click();
  await page.keyboard.press('Escape');
  await expect(
    page.getByRole('button', { name: 'grace notes 16 ms apart', exact: true }),
  ).toBeVisible();
});

test('a count is typed over two bars, with a bar line', async ({ page }) => {
  await phrase(page, 'What keeps going', 'hi-hat 8ths and backbeat');
  await page.getByLabel('Reading line').fill('4 4 4 4 | 2 2');
  await page.getByLabel('Reading line').press('Escape');
  await expect(page.getByTestId('count-RF')).toHaveText('1 2 3 4|1 3');
  await page.getByRole('button', { name: /^Count of the right foot/ }).click();
  const field = page.getByRole('textbox', { name: /^Count of the right foot/ });
  await field.fill('1 3 | 1 2 3 4');
  await field.press('Enter');
  await expect(page.getByTestId('count-RF')).toHaveText('1 3|1 2 3 4');
  await expect(page.getByTestId('count-LH')).toHaveText('2 4|2 4');
  await page.getByRole('button', { name: /^Count of the right foot/ }).click();
  await field.fill('1 | 2 | 3');
  await expect(page.getByRole('dialog').getByRole('alert')).toContainText('3 bars are counted');
});

const OVER_STICKING: readonly (readonly [typed: string, says: RegExp, line: string])[] = [
  ['substitute', /stroke 4 of every 4 to bass drum/, 'RLLK RLLK'],
  ['letters to limbs', /right hand given to/, 'FLLF FLLF'],
  ['mirror', /line mirrored, feet stay/, 'LRRL LRRL'],
];

test('every change of limbs, and a phrase placed in time', async ({ page }) => {
  await page.getByLabel('Reading line').fill('RLLR RLLR');
  await page.getByLabel('Reading line').press('Escape');
  await expect(page.getByTestId('line-reading')).toHaveText('RLLR RLLR');
  for (const [typed, says, line] of OVER_STICKING) {
    await phrase(page, 'Change it by', typed);
    await expect(page.getByRole('button', { name: says }).first()).toBeVisible();
    await expect(page.getByTestId('line-reading')).toHaveText(line);
    await page.keyboard.press('Control+z');
  }
  await phrase(page, 'Change it by', 'place in time');
  await expect(page.getByTestId('count-RH')).toHaveText('–|–|–|3 a 4 a');
});

test('a placement is one of so many, each a touch away', async ({ page }) => {
  await phrase(page, 'What keeps going', 'rock in 8ths');
  await phrase(page, 'Change it by', 'bass drum placed');
  await page.getByRole('button', { name: /^bass drum placed/ }).click();
  await expect(page.getByText('6 ways')).toBeVisible();
  await page.getByRole('radio', { name: 'next to each other', exact: true }).click();
  await expect(page.getByText('4 ways')).toBeVisible();
  await page
    .getByRole('group', { name: 'Placements' })
    .getByRole('button', { name: '--xx' })
    .click();
  await expect(page.getByTestId('count-RF')).toHaveText('1 & a & a 3 & a & a');
});

test('a sticking, and a composite, are typed; what reads two ways lists its readings', async ({
  page,
}) => {
  const line = page.getByLabel('Reading line');
  await line.fill('RLL RLL RLR');
  await expect(page.getByTestId('line-reading')).toHaveText('RLL RLL RLR');
  await expect(page.getByTestId('leads')).toContainText('led by R R R');
  await line.press('Escape');
  await phrase(page, 'Fitted', 'one bar');
  await expect(page.getByTestId('count-RH')).not.toContainText('|');
  await line.fill('T L R L');
  await expect(
    page.getByRole('option', { name: /2 in the right hand against 3/ }).first(),
  ).toBeVisible();
  await page.getByRole('option', { name: /T-LRL- in 8th triplets/ }).click();
  await expect(page.getByTestId('count-RH')).toHaveText('1 2 3 4');
  await expect(page.getByTestId('composite')).toHaveText('T L R L');
});

test('a sticking that is typed anew keeps what was chosen for its letters', async ({ page }) => {
  const line = page.getByLabel('Reading line');
  await line.fill('RLRR LRLL');
  await line.press('Escape');
  const as = page.getByRole('group', { name: 'As', exact: true });
  await phrase(page, 'Accents', 'no accents');
  await expect(as).toContainText('no accents');
  for (const typed of ['RLL RLL', '4 8 8', '', 'RLRL']) {
    await line.fill(typed);
    await line.press('Escape');
  }
  await expect(as).toContainText('no accents');
});

test('what is read back is typed anew where it stands', async ({ page }) => {
  await phrase(page, 'What keeps going', 'rock in 8ths');
  await page.getByRole('button', { name: 'Count of the right foot: 1 3' }).click();
  const field = page.getByRole('textbox', { name: 'Count of the right foot' });
  await field.fill('1 9');
  await expect(page.getByRole('dialog').getByRole('alert')).toContainText('“9” is not counted');
  await field.fill('1 & 3');
  await field.press('Enter');
  await expect(page.getByTestId('count-RF')).toHaveText('1 & 3');
  await expect(page.getByRole('button', { name: '1 note by hand', exact: true })).toBeVisible();
  await page.getByRole('button', { name: /^Said as one: / }).click();
  await page.getByRole('textbox', { name: 'Said as one' }).fill('TLRLR');
  await page.getByRole('button', { name: /T-LRLR in 8th triplets/ }).click();
  await expect(page.getByTestId('line-reading')).toHaveText('T-LRLR');
});

test('a cycle over 64 bars says its length, and is cut when it is told to', async ({ page }) => {
  for (const grid of ['x-- ', 'x----', 'x------', 'x----------']) {
    await phrase(page, 'What keeps going', `K: ${grid.trim()}`);
  }
  await expect(page.getByRole('group', { name: 'Over' }).getByRole('alert')).toContainText(
    'only after 1,155 bars; 64 is the most',
  );
  await phrase(page, 'Cycle', 'cut to 4 bars');
  await expect(page.getByRole('group', { name: 'Over' }).getByRole('alert')).toBeHidden();
  await expect(page.getByTestId('count-RF')).toHaveText(/\|.*\|.*\|/);
});

test('a part of the readback says how it comes about', async ({ page }) => {
  await page.getByLabel('Reading line').fill('RLL');
  await page.getByLabel('Reading line').press('Escape');
  await page.getByRole('button', { name: 'Cycle', exact: true }).click();
  await expect(page.getByText('12 beats ÷ 4 beats = 3 bars')).toBeVisible();
});

test('what hinders is kept with a note, and warned of again', async ({ page }) => {
  await phrase(page, 'What keeps going', 'hi-hat 8ths and backbeat');
  await phrase(page, 'What keeps going', 'foot hi-hat on 2 and 4');
  await page.getByLabel('Tempo', { exact: true }).fill('120');
  await page.getByLabel('Tempo', { exact: true }).press('Enter');
  await page.getByRole('button', { name: 'keep', exact: true }).first().click();
  await page.getByLabel('Why it is kept').fill('it shall splash');
  await page.getByLabel('Why it is kept').press('Enter');
  await expect(page.getByText('kept: it shall splash')).toBeVisible();
  await page.getByRole('button', { name: 'warn again' }).click();
  await expect(page.getByRole('button', { name: 'keep', exact: true }).first()).toBeVisible();
});

test('notes are written on the lanes by keys alone, and follow to another kit', async ({
  page,
}) => {
  await page.getByRole('button', { name: 'Or write it on the lanes.' }).click();
  const lanes = page.getByRole('application', { name: 'Lanes' });
  await lanes.focus();
  for (const key of ['ArrowRight', 'x', 'ArrowRight', 'a', 'ArrowDown', 'ArrowDown', 'x']) {
    await page.keyboard.press(key);
  }
  await expect(page.locator('[data-voice=hat]')).toHaveCount(2);
  await expect(page.locator('[data-voice=hat][data-dynamic=accent]')).toHaveCount(1);
  await expect(page.getByTestId('count-RF')).toHaveText('e');
  await page.keyboard.press('Alt+ArrowRight');
  await expect(page.getByTestId('count-RF')).toHaveText('&');
  await page.keyboard.press('m');
  await expect(page.locator('[data-ornament=flam]')).toHaveCount(1);
  await phrase(page, 'Texture', 'shoulder');
  await expect(page.locator('[data-texture=shoulder]')).toHaveCount(1);
  await lanes.focus();
  await page.keyboard.press('Control+c');
  for (const key of ['ArrowUp', 'ArrowRight', 'Control+v']) await page.keyboard.press(key);
  await expect(page.getByTestId('count-LH')).toHaveText('a');
  await page.keyboard.press('Delete');
  await expect(page.getByTestId('count-LH')).toBeHidden();
  await page.keyboard.press('Control+z');
  await expect(page.getByTestId('count-LH')).toHaveText('a');
  await phrase(page, 'Kit', 'mirrored kit');
  await expect(page.getByTestId('count-LF')).toHaveText('&');
  await expect(page.getByTestId('count-RH')).toHaveText('a');
});

test('a stroke is added, chosen and moved by mouse', async ({ page }) => {
  await phrase(page, 'What keeps going', 'bass drum in quarters');
  await page.getByRole('button', { name: 'write', exact: true }).click();
  const cell = (slot: number) => page.locator(`[data-cell="bass ${slot * 5040}"]`);
  await cell(2).click();
  await expect(page.getByTestId('count-RF')).toHaveText('1 & 2 3 4');
  await cell(4).dragTo(cell(7));
  await expect(page.getByTestId('count-RF')).toHaveText('1 & a 3 4');
  await page.getByRole('button', { name: 'take away', exact: true }).click();
  await expect(page.getByTestId('count-RF')).toHaveText('1 & 3 4');
});

test('two exercises follow one another as one', async ({ page }) => {
  await phrase(page, 'What keeps going', 'rock in 8ths');
  await phrase(page, 'Parts', 'this one');
  await phrase(page, 'Bars of part 1', '3');
  await page.getByRole('button', { name: 'Open part 1' }).click();
  await phrase(page, 'What keeps going', 'foot hi-hat in quarters');
  await expect(page.getByTestId('count-LF')).toHaveText('1 2 3 4|1 2 3 4|1 2 3 4|–');
  await phrase(page, 'Meter', '3/4');
  await expect(page.getByRole('group', { name: 'Parts' }).getByRole('alert')).toContainText(
    'is in 4/4',
  );
});

test('every part is opened, named and changed in place, and a change is for one part or for all', async ({
  page,
}) => {
  await page.getByLabel('Reading line').fill('RLRLRLRLRLRLRLRL');
  await phrase(page, 'Parts', 'a new part');
  await expect(page.getByLabel('Reading line')).toHaveValue('');
  await page.getByLabel('Reading line').fill('4 4 4 4');
  await page.getByLabel('Name of part 2').fill('answer');
  await page.getByLabel('Name of part 1').fill('call');
  await page.getByLabel('Name of part 1').press('Enter');
  await expect(page.getByRole('button', { name: 'Open answer' })).toHaveAttribute(
    'aria-pressed',
    'true',
  );
  await page.getByRole('button', { name: 'Open call' }).click();
  await expect(page.getByLabel('Reading line')).toHaveValue('RLRLRLRLRLRLRLRL');
  await phrase(page, 'Change it by', 'line backwards');
  await page.getByRole('button', { name: /^line backwards/ }).click();
  await page.getByRole('button', { name: 'In the other parts too' }).click();
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: 'Open answer' }).click();
  await expect(page.getByRole('group', { name: 'Changed by' })).toContainText('line backwards');
  await page.getByRole('button', { name: 'Take away answer' }).click();
  await expect(page.getByRole('group', { name: 'Parts' })).toBeHidden();
  await expect(page.getByLabel('Reading line')).toHaveValue('RLRLRLRLRLRLRLRL');
});

test('each part of a sequence is written on in its own bars', async ({ page }) => {
  await phrase(page, 'What keeps going', 'bass drum in quarters');
  await phrase(page, 'Parts', 'this one');
  await expect(page.getByTestId('count-RF')).toHaveText('1 2 3 4|1 2 3 4');
  await page.getByRole('button', { name: 'write', exact: true }).click();
  const bar = 4 * 20160;
  await page.locator(`[data-cell="bass ${bar + 10080}"]`).click();
  await expect(page.getByTestId('count-RF')).toHaveText('1 2 3 4|1 & 2 3 4');
  await page.locator('[data-cell="bass 30240"]').click();
  await expect(page.getByTestId('count-RF')).toHaveText('1 2 & 3 4|1 & 2 3 4');
  await page.keyboard.press('Control+z');
  await expect(page.getByTestId('count-RF')).toHaveText('1 2 3 4|1 & 2 3 4');
});

test('what is too near is the student’s own', async ({ page }) => {
  await openStudio(page);
  await page.getByLabel('New student').fill('Ines');
  await page.getByRole('button', { name: 'Add', exact: true }).click();
  await page.getByRole('link', { name: 'Ines' }).click();
  await page.getByRole('button', { name: /^Kit:/ }).click();
  const limit = page.getByLabel('stick on the hi-hat before its foot');
  await limit.fill('5');
  await limit.press('Enter');
  await expect(page.getByText('Set 20 to 1,000.')).toBeVisible();
  await limit.fill('200');
  await limit.press('Enter');
  await page.keyboard.press('Escape');
  await page.getByRole('link', { name: 'Bench' }).click();
  await phrase(page, 'What keeps going', 'hi-hat 8ths and backbeat');
  await phrase(page, 'What keeps going', 'foot hi-hat on 2 and 4');
  await page.getByLabel('Tempo', { exact: true }).fill('120');
  const readback = page.getByRole('region', { name: 'Readback' });
  await expect(readback).toContainText('The hi-hat stroke lies 250 ms before the foot closes it');
  await phrase(page, 'Kit', 'Ines');
  await expect(readback.getByText('closes it')).toHaveCount(0);
});

test('a student’s kit re-voices: left-handed, with a voice missing', async ({ page }) => {
  await openStudio(page);
  await page.getByLabel('New student').fill('Ines');
  await page.getByRole('button', { name: 'Add', exact: true }).click();
  await page.getByRole('link', { name: 'Ines' }).click();
  await page.getByRole('button', { name: /^Kit:/ }).click();
  // The Bench asks for the kit once: it is stored by then.
  for (const choice of ['left-handed, mirrored kit', 'ride']) {
    const stored = page.waitForResponse((response) => response.request().method() === 'POST');
    await page.getByLabel(choice, { exact: true }).click();
    await stored;
  }
  await expect(page.getByRole('button', { name: /^Kit:/ })).toHaveText(/mirrored kit, 17 voices/);
  await page.getByRole('link', { name: 'Bench' }).click();
  await phrase(page, 'What keeps going', 'ride in 8ths');
  await phrase(page, 'Kit', 'Ines');
  await expect(page.getByTestId('count-LH')).toHaveText('1 & 2 & 3 & 4 &');
  await expect(page.locator('[data-voice=hat]')).toHaveCount(8);
  await expect(page.getByText('ride on the closed hi-hat')).toBeVisible();
});

test('note names and counting are the studio’s', async ({ page }) => {
  await openStudio(page);
  await page.goto('/bench');
  await phrase(page, 'What keeps going', 'rock in 8ths');
  await page.getByRole('button', { name: '1 e & a' }).click();
  await page.getByLabel('crotchet, quaver, semiquaver').click();
  await expect(page.getByLabel('crotchet, quaver, semiquaver')).toBeChecked();
  await page.getByLabel('ta ka di mi, ta ki da').click();
  await page.keyboard.press('Escape');
  await expect(page.getByTestId('count-RF')).toHaveText('ta ta');
  await expect(
    page.getByRole('button', { name: /^What keeps going: rock in quavers/ }),
  ).toBeVisible();
});
