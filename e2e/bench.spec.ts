import { blankRecipe, startOf, toggleOstinato, writeLink } from '@/core/recipe';
import { holdClock, expect, openBench, phrase, test } from './app';

test.beforeEach(async ({ page, teacher }) => {
  await openBench(page, teacher);
});

test('one key halves the tempo that is played, and the staff is read out', async ({ page }) => {
  await phrase(page, 'What keeps going', 'jazz ride, hats on 2 and 4');
  await expect(
    page.getByRole('img', { name: 'Bar 1: right hand 1 2 & 3 4 &; left foot 2 4.' }),
  ).toBeVisible();
  const half = page.getByRole('button', { name: 'half, 40' });
  await expect(half).toHaveAttribute('aria-pressed', 'false');
  await page.locator('[data-staff]').first().click();
  await page.keyboard.press('h');
  await expect(half).toHaveAttribute('aria-pressed', 'true');
  await page.getByRole('button', { name: 'Play', exact: true }).click();
  await half.click();
  await expect(half).toHaveAttribute('aria-pressed', 'false');
  await expect(page.getByRole('button', { name: 'Stop', exact: true })).toBeVisible();
});

test('lanes, notation or both, with sticking, count and legend, kept by the browser', async ({
  page,
}) => {
  await page.getByLabel('Reading line').fill('4. 4 8 4 | 4. 4 8 4');
  await page.keyboard.press('Escape');
  const staff = page.locator('[data-staff]');
  const turn = (name: string) => page.getByRole('button', { name, exact: true }).click();
  await expect(staff).toBeVisible();
  await expect(staff).toHaveAccessibleName(
    /^Bar 1: left hand 1 & & 4\. Bar 2: left hand 1 & & 4\.$/,
  );
  await turn('sticking');
  await expect(staff.getByText('L', { exact: true })).toHaveCount(8);
  await turn('lanes');
  await expect(page.locator('[data-voice]')).toHaveCount(0);
  await expect(staff.getByText('&', { exact: true })).toHaveCount(4);
  await turn('repeat signs');
  await expect(staff.locator('[data-glyph=repeat1Bar]')).toHaveCount(1);
  await expect(staff.locator('[data-glyph^=notehead]')).toHaveCount(4);
  await turn('legend');
  await expect(page.getByRole('list', { name: 'Legend' })).toHaveText('snare');
  await page.reload();
  await expect(page.getByRole('list', { name: 'Legend' })).toBeVisible();
  await expect(page.locator('[data-voice]')).toHaveCount(0);
  await turn('notation');
  await expect(page.locator('[data-voice]').first()).toBeVisible();
  await expect(staff).toHaveCount(0);
});

test('a part goes round that was typed, or dragged over; what has no such part says so', async ({
  page,
}) => {
  await phrase(page, 'What keeps going', 'rock in 8ths');
  const part = page.getByLabel('Part that goes round');
  await part.fill('2');
  await part.press('Enter');
  await expect(page.getByText('there is one bar', { exact: false })).toBeVisible();
  await part.fill('1.2-1.3');
  await part.press('Enter');
  await expect(part).toHaveValue('1.2–1.3');
  await expect(page.locator('[data-loop]')).toHaveCount(1);
  const hats = page.locator('[data-voice=hat] circle');
  const centre = async (index: number) => {
    const box = await hats.nth(index).boundingBox();
    return { x: (box?.x ?? 0) + (box?.width ?? 0) / 2, y: (box?.y ?? 0) + 30 };
  };
  const from = await centre(5);
  const to = await centre(6);
  await page.mouse.move(from.x, from.y);
  await page.mouse.down();
  await page.mouse.move(to.x, to.y, { steps: 6 });
  await page.mouse.up();
  await expect(part).toHaveValue('1.3&–1.4.');
  await page.getByLabel('Reading line').fill('4 4 4 4 | 2 2');
  await page.keyboard.press('Escape');
  await part.fill('2');
  await part.press('Enter');
  await expect(page.locator('[data-loop]')).toHaveCount(1);
  await page.getByLabel('Reading line').fill('2 2');
  await expect(page.getByText('The part is not in this exercise')).toBeVisible();
  await expect(page.locator('[data-loop]')).toHaveCount(0);
});

test('one limb alone, a voice softer, and two exercises against each other at a touch', async ({
  page,
}) => {
  await phrase(page, 'What keeps going', 'rock in 8ths');
  await page.getByRole('button', { name: 'mix', exact: true }).click();
  const solo = page.getByRole('group', { name: 'solo' });
  await solo.getByRole('button', { name: 'right hand' }).click();
  await page.getByRole('slider', { name: 'snare' }).focus();
  for (let n = 0; n < 3; n += 1) await page.keyboard.press('ArrowLeft');
  await expect(page.getByText('-3 dB')).toBeVisible();
  await page.keyboard.press('Escape');
  await expect(page.locator('[data-voice=snare]').first().locator('..')).toHaveAttribute(
    'opacity',
    '0.3',
  );
  await page.getByRole('button', { name: 'A / B', exact: true }).click();
  await phrase(page, 'What keeps going', 'jazz ride, hats on 2 and 4');
  await expect(page.locator('[data-voice=ride]').first()).toBeVisible();
  await page.getByRole('button', { name: 'Play', exact: true }).click();
  await page.getByRole('button', { name: 'B is here; to the other' }).click();
  await expect(page.locator('[data-voice=hat]').first()).toBeVisible();
  await expect(page.locator('[data-voice=ride]')).toHaveCount(0);
  await expect(page.getByRole('button', { name: 'Stop', exact: true })).toBeVisible();
  await page.getByRole('button', { name: 'A is here; to the other' }).click();
  await expect(page.locator('[data-voice=ride]').first()).toBeVisible();
});

test('lanes and staff stand in the same columns', async ({ page }) => {
  await phrase(page, 'What keeps going', 'rock in 16ths');
  await expect(page.locator('[data-staff] [data-glyph^=notehead]').first()).toBeVisible();
  const marks = page.locator('[data-voice=hat] circle');
  await expect(marks).toHaveCount(16);
  const heads = page.locator('[data-staff] [data-glyph=noteheadX]');
  const centre = async (of: typeof marks, index: number) => {
    const box = await of.nth(index).boundingBox();
    return (box?.x ?? 0) + (box?.width ?? 0) / 2;
  };
  for (const index of [1, 6, 15]) {
    const apart = (await centre(marks, index)) - (await centre(heads, index));
    expect(Math.abs(apart)).toBeLessThan(1);
  }
});

test('a line completes from the shipped ones', async ({ page }) => {
  const line = page.getByLabel('Reading line');
  await line.focus();
  await page.keyboard.type('8r');
  await expect(page.getByRole('option').first()).toBeVisible();
  await page.keyboard.press('ArrowDown');
  await page.keyboard.press('Enter');
  await expect(line).toHaveValue('8r 4 4 8 4');
  await expect(page.getByTestId('line-reading')).toHaveText('S S S S');
});

test('a line that cannot be read is refused where it was typed, and kept', async ({ page }) => {
  const line = page.getByLabel('Reading line');
  const trouble = page.getByRole('group', { name: 'Play' }).getByRole('alert');
  for (const [typed, says] of [
    ['4. 4 9 4', 'Bar 1: “9” is not a note value.'],
    ['4 4 4 | 4', 'Bar 1 holds 3 quarters, a quarter short of a bar of 4/4.'],
    ['4 4 4 4 | 4 4 4 4 8', 'Bar 2 holds 9 8ths, an 8th more than a bar of 4/4.'],
    ['3(8 8) 4 4 4', 'is not a tuplet'],
    ['4 4 4 4~', 'has no note to hold on to'],
  ] as const) {
    await line.fill('4 4 4 4');
    await expect(trouble).toBeHidden();
    await line.fill(typed);
    await expect(trouble).toContainText(says);
    await expect(line).toHaveValue(typed);
    await expect(line).toHaveAttribute('aria-invalid', 'true');
  }
  await line.fill('4 4 4 4');
  await expect(trouble).toBeHidden();
});

test('an unknown voice, meter and feel are refused where they were typed', async ({ page }) => {
  await page.getByLabel('Reading line').fill('4 4 4 4');
  await page.getByLabel('Reading line').press('Escape');
  const dialog = page.getByRole('dialog');
  await phrase(page, 'On: voice', 'zither');
  await expect(dialog).toContainText('There is no voice “zither”.');
  await expect(dialog.getByRole('combobox')).toHaveValue('zither');
  await page.keyboard.press('Escape');
  await phrase(page, 'Meter', '4/5');
  await expect(dialog).toContainText('“4/5” is not a meter.');
  await page.keyboard.press('Escape');
  await phrase(page, 'Meter', '5/4 3+3');
  await expect(dialog).toContainText('does not add up to 5');
  await page.keyboard.press('Escape');
  await phrase(page, 'Feel', 'lazy');
  await expect(dialog).toContainText('“lazy” is not a feel.');
});

test('a list that closes leaves the focus where it has gone meanwhile', async ({ page }) => {
  const name = page.getByLabel('Exercise name');
  await page.getByRole('button', { name: /^Meter:/ }).press('Enter');
  await expect(page.locator('[cmdk-input]')).toBeFocused();
  // Closed, and gone elsewhere before the browser does anything else.
  await name.evaluate(async (field) => {
    const escape = new KeyboardEvent('keydown', { key: 'Escape', bubbles: true });
    document.activeElement?.dispatchEvent(escape);
    for (let n = 0; n < 20; n += 1) await Promise.resolve();
    field.focus();
  });
  await expect(page.locator('[cmdk-input]')).toHaveCount(0);
  await page.keyboard.type('Two', { delay: 30 });
  await expect(name).toHaveValue('Two');
});

test('a tempo outside 20 to 400 stays in its field with the reason', async ({ page }) => {
  const tempo = page.getByLabel('Tempo', { exact: true });
  const trouble = page.getByRole('region', { name: 'Playing' }).getByRole('alert');
  for (const typed of ['10', '401', 'fast']) {
    await tempo.fill(typed);
    await tempo.press('Enter');
    await expect(trouble).toHaveText('A tempo from 20 to 400.');
    await expect(tempo).toHaveValue(typed);
    await tempo.press('Escape');
    await expect(trouble).toBeHidden();
  }
  await tempo.fill('9');
  await expect(trouble).toBeHidden();
  await tempo.press('End');
  await tempo.press('0');
  await tempo.press('ArrowUp');
  await expect(tempo).toHaveValue('91');
});

test('a gap without a cell names its place and takes one of the proposals', async ({ page }) => {
  await page.getByLabel('Reading line').fill('4.. 16 4 4');
  await page.getByLabel('Reading line').press('Escape');
  await phrase(page, 'Interpretation', 'phrase cells');
  const as = page.getByRole('group', { name: 'As' });
  await expect(as.getByRole('alert')).toContainText(
    'Bar 1, slot 0 (1): the next note is 7 16ths away and no cell has that length. Take RLLKKLK',
  );
  await phrase(page, 'Cell for 7 16ths', 'RLLK');
  await expect(as.getByRole('alert')).toBeHidden();
  await expect(page.getByTestId('line-reading')).toHaveText(/^RLLK\w{3} R RLLK RLLK$/);
  await phrase(page, 'Cell for 7 16ths', 'RLKKLLR');
  await expect(page.getByTestId('line-reading')).toHaveText('RLKKLLR R RLLK RLLK');
  await phrase(page, 'Cell for 7 16ths', 'RLLKK');
  await expect(page.getByRole('option').first()).toBeHidden();
});

test('what a choice changes besides is said, with a way back', async ({ page }) => {
  await phrase(page, 'What keeps going', 'jazz ride, hats on 2 and 4');
  await expect(page.getByText('The feel is swung 2:1 now.')).toBeVisible();
  await page.getByRole('button', { name: 'Undo', exact: true }).click();
  await expect(page.getByRole('button', { name: /^Feel/ })).toHaveText('straight');
  await expect(page.getByRole('button', { name: /^What keeps going/ }).first()).toContainText(
    'jazz ride',
  );
});

test('two claims on one limb: rest, merge, or refuse with the limbs named', async ({ page }) => {
  await phrase(page, 'What keeps going', 'rock in 8ths');
  await page.getByLabel('Reading line').fill('4 8 8 4 4');
  await page.getByLabel('Reading line').press('Escape');
  const meets = page.getByRole('group', { name: 'Where limbs meet' });
  await expect(meets).toContainText('right foot: the groove’s part rests while the line plays');
  await expect(page.getByTestId('count-RF')).toHaveText('1 2 & 3 4');
  await phrase(page, 'Where limbs meet', 'refuse');
  await expect(meets.getByRole('alert')).toContainText(
    'rock in 8ths and as written both need the right foot.',
  );
  await phrase(page, 'Where limbs meet', 'both play');
  await expect(meets.getByRole('alert')).toBeHidden();
});

test('a backbeat that gives way is said, and kept at a touch', async ({ page }) => {
  const rock = toggleOstinato(blankRecipe(), 'rock-8ths');
  const recipe = { ...rock, play: { content: { text: '4. 4 8 4' } }, as: startOf('verbatim') };
  await page.goto(`/bench?r=${writeLink(recipe)}`);
  const warning = page.getByText(
    'The left hand plays something else here: its snare is gone once.',
  );
  await expect(warning).toBeVisible();
  await page.getByRole('button', { name: 'another limb' }).click();
  await expect(page.getByTestId('count-RF')).toHaveText('1 & & 4');
  await expect(page.getByTestId('count-LH')).toHaveText('2 4');
  await expect(warning).toBeHidden();
  await page.getByTitle('Undo (Ctrl Z)').click();
  await page.getByRole('button', { name: 'let both play' }).click();
  await expect(warning).toBeHidden();
});

test('displaced, mirrored, and taken back', async ({ page }) => {
  await page.getByLabel('Reading line').fill('4. 4 8 4');
  await page.getByLabel('Reading line').press('Escape');
  await phrase(page, 'Interpretation', 'phrase cells');
  await page.getByRole('button', { name: /^Change it by/ }).click();
  await page.getByRole('option', { name: 'line one 16th later' }).click();
  await expect(page.getByTestId('count-RH')).toHaveText('e a a e');
  await page.getByRole('button', { name: 'line one 16th later', exact: true }).click();
  await page.getByRole('button', { name: 'more' }).click();
  await page.keyboard.press('Escape');
  await expect(page.getByRole('group', { name: 'Changed by' })).toContainText('line 2 16ths later');
  await page.getByRole('button', { name: /^Change it by/ }).click();
  await page.getByRole('option', { name: 'line mirrored, feet stay' }).click();
  await expect(page.getByTestId('line-reading')).toHaveText('RK LRRKKR LRRK LR LR');
  await page.getByRole('button', { name: /^Take away line mirrored/ }).click();
  await expect(page.getByTestId('line-reading')).toHaveText('LK RLLKKL RLLK RL RL');
  await page.getByTitle('Undo (Ctrl Z)').click();
  await expect(page.getByTestId('line-reading')).toHaveText('RK LRRKKR LRRK LR LR');
  await page.keyboard.press('Control+z');
  await page.keyboard.press('Control+Shift+z');
  await expect(page.getByTestId('line-reading')).toHaveText('RK LRRKKR LRRK LR LR');
});

test('letters typed into the line are one step for undo', async ({ page }) => {
  const line = page.getByLabel('Reading line');
  await line.pressSequentially('4 4 4 4');
  await line.press('Escape');
  await phrase(page, 'What keeps going', 'shuffle');
  await page.getByTitle('Undo (Ctrl Z)').click();
  await expect(line).toHaveValue('4 4 4 4');
  await page.getByTitle('Undo (Ctrl Z)').click();
  await expect(line).toHaveValue('');
  await page.getByRole('button', { name: 'redo' }).click();
  await expect(line).toHaveValue('4 4 4 4');
});

test('plays with count-in, playhead and click, follows edits, and stops', async ({ page }) => {
  await phrase(page, 'What keeps going', 'rock in 8ths');
  await page.getByLabel('Tempo', { exact: true }).fill('300');
  await page.getByLabel('Tempo', { exact: true }).blur();
  const where = page.getByRole('img', { name: 'Bar and beat' });
  await page.keyboard.press('Space');
  await expect(page.getByRole('button', { name: 'Stop' })).toBeVisible();
  await expect(where).toHaveText(/^– · [1-4]$/);
  await expect(where).toHaveText(/^1 · [1-4]$/);
  const playhead = page.locator('svg[aria-label="Lanes, bar 1"] > line.stroke-warm');
  await expect(playhead).toHaveAttribute('transform', /^translate/);
  await page.getByRole('button', { name: 'Mute the right hand' }).click();
  await page.getByRole('button', { name: 'Faster' }).click();
  await expect(page.getByLabel('Tempo', { exact: true })).toHaveValue('301');
  await expect(where).toHaveText(/^1 · [1-4]$/);
  await page.getByRole('button', { name: 'Stop' }).click();
  await expect(where).toHaveText('–');
  await page.getByRole('button', { name: 'loop' }).click();
  await page.getByLabel('Count-in, bars').selectOption('0');
  await page.getByRole('button', { name: 'Play' }).click();
  await expect(page.getByRole('button', { name: 'Play' })).toBeVisible();
});

test('the tempo can be tapped', async ({ page }) => {
  await page.clock.install();
  const tap = page.getByRole('button', { name: 'tap' });
  for (let n = 0; n < 5; n += 1) {
    await tap.click();
    await page.clock.pauseAt(new Date(Date.UTC(2027, 0, 1) + n * 500));
  }
  const tempo = Number(await page.getByLabel('Tempo', { exact: true }).inputValue());
  expect(tempo).toBeGreaterThan(100);
});

test('a hi-hat stroke right before the foot closes it is warned of, with a mend', async ({
  page,
}) => {
  await phrase(page, 'What keeps going', 'hi-hat 8ths and backbeat');
  await phrase(page, 'What keeps going', 'foot hi-hat on 2 and 4');
  await page.getByLabel('Tempo', { exact: true }).fill('120');
  const readback = page.getByRole('region', { name: 'Readback' });
  await expect(readback).toContainText('Bar 1, & of 1.');
  await expect(readback).toContainText('Bar 1, & of 3.');
  await expect(readback).toContainText('The hi-hat stroke lies 250 ms before the foot closes it');
  await expect(readback).toContainText('Play that stroke on the snare or bass drum');
  await page.getByLabel('Tempo', { exact: true }).fill('90');
  await expect(readback.getByText('closes it')).toHaveCount(0);
});

test('saves, archives and brings back; what cannot be saved stays', async ({ page }) => {
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByText('There is nothing to play yet.').first()).toBeVisible();
  await phrase(page, 'What keeps going', 'shuffle');
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByText('Saved', { exact: true })).toBeVisible();
  await expect(page.getByLabel('Exercise name')).toHaveValue('shuffle');
  await page.route('**/bench*', (route) =>
    route.request().method() === 'POST' ? route.abort() : route.continue(),
  );
  await page.getByLabel('Exercise name').fill('Late shuffle');
  await page.keyboard.press('Control+s');
  await expect(page.getByText('Not saved: no connection.')).toBeVisible();
  await expect(page.getByLabel('Exercise name')).toHaveValue('Late shuffle');
  await page.unroute('**/bench*');
  await page.keyboard.press('Control+s');
  await expect(page.getByText('Saved', { exact: true })).toBeVisible();
  await page.getByRole('button', { name: 'archive' }).click();
  await expect(page.getByText('Choose what keeps going')).toBeVisible();
  await page.getByRole('button', { name: 'Undo', exact: true }).click();
  await expect(page.getByLabel('Exercise name')).toHaveValue('Late shuffle');
});

test('the palette finds an exercise by name', async ({ page }) => {
  await phrase(page, 'What keeps going', 'waltz');
  await page.getByLabel('Exercise name').fill('Slow waltz');
  await page.keyboard.press('Control+s');
  await expect(page.getByText('Saved', { exact: true })).toBeVisible();
  await page.getByRole('link', { name: 'Students' }).click();
  await expect(page.getByRole('heading', { name: 'Students' })).toBeVisible();
  await page.keyboard.press('Control+k');
  await page.keyboard.type('slow wal');
  await page.getByRole('option', { name: 'Slow waltz' }).waitFor();
  await page.keyboard.press('Enter');
  await expect(page.getByLabel('Exercise name')).toHaveValue('Slow waltz');
});

test('a teacher makes an interpretation of their own from rules', async ({ page }) => {
  await page.getByLabel('Reading line').fill('4. 4 8 4');
  await page.getByLabel('Reading line').press('Escape');
  await phrase(page, 'Interpretation', 'my own rules');
  await expect(page.getByTestId('line-reading')).toHaveText('K K S K');
  const second = page.getByRole('listitem', { name: 'Rule 2' });
  await second.getByLabel('From, 16ths').fill('long');
  await expect(second.getByRole('alert')).toContainText('“long” is not a number of 16ths.');
  await expect(second.getByLabel('From, 16ths')).toHaveValue('long');
  await second.getByLabel('From, 16ths').fill('5');
  const trouble = page.getByRole('group', { name: 'As', exact: true }).getByRole('alert');
  await expect(trouble).toContainText(
    'Bar 1, & of 2: no rule fits this note (4 16ths long, 4 16ths to the next, off the beat).',
  );
  await page.getByRole('button', { name: '+ rule' }).click();
  await expect(trouble).toBeHidden();
  await expect(page.getByTestId('line-reading')).toHaveText('K S S S');
  const third = page.getByRole('listitem', { name: 'Rule 3' });
  await third.getByRole('button', { name: /^Plays: voice/ }).click();
  await page.keyboard.type('floor tom');
  await page.keyboard.press('Enter');
  await expect(page.getByTestId('line-reading')).toHaveText('K T3 S T3');
  await second.getByLabel('From, 16ths').fill('4.5');
  await second.getByLabel('To, 16ths').fill('2');
  await expect(trouble).toContainText('Rule 2: nothing is from 4.5 to 2 16ths long.');
  await page.getByRole('button', { name: 'Take away rule 2' }).click();
  await expect(trouble).toBeHidden();
  await page.getByRole('button', { name: 'Save', exact: true }).click();
  await expect(page.getByText('Saved', { exact: true })).toBeVisible();
  await page.reload();
  await expect(page.getByTestId('line-reading')).toHaveText('T3 T3 S T3');
});

test('an ostinato is typed as a grid or a count; what reads two ways lists its readings', async ({
  page,
}) => {
  await phrase(page, 'What keeps going', 'K: 1 & 3 &; S: ----X--X');
  await expect(page.getByTestId('count-RF')).toHaveText('1 & 3 &');
  await expect(page.getByTestId('count-LH')).toHaveText('3 &');
  await page.getByTitle('Undo (Ctrl Z)').click();
  await page.getByRole('button', { name: /^What keeps going/ }).click();
  await page.keyboard.type('ride: x--');
  await expect(page.getByRole('dialog').getByRole('option')).toHaveText([
    /x-- in 16ths$/,
    /x-- in 8ths$/,
    /x-- in 8th triplets$/,
  ]);
  await page.keyboard.press('ArrowDown');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('region', { name: 'Readback' })).toContainText('3 bars');
  await page.getByTitle('Undo (Ctrl Z)').click();
  await page.getByRole('button', { name: /^What keeps going/ }).click();
  for (const [typed, says] of [
    ['zither: x-x-', '“zither” is neither a limb nor a voice.'],
    ['K: 1 5', '“5” is not counted there.'],
    ['K:', 'Nothing is played after the colon.'],
  ] as const) {
    await page.getByRole('combobox', { name: 'What keeps going' }).fill(typed);
    await page.keyboard.press('Enter');
    await expect(page.getByRole('dialog')).toContainText(says);
    await expect(page.getByRole('combobox', { name: 'What keeps going' })).toHaveValue(typed);
  }
});

test('sound that comes late is found by tapping along, and kept', async ({ page }) => {
  await holdClock(page);
  await page.reload();
  await phrase(page, 'What keeps going', 'rock in 8ths');
  await page.getByRole('button', { name: 'mix', exact: true }).click();
  await page.clock.pauseAt(new Date(Date.now() + 60_000));
  await page.getByRole('button', { name: 'tap along' }).click();
  const button = page.getByRole('button', { name: /^Tap with each click/ });
  await expect(button).toBeVisible();
  // Playing begins 100 ms after the touch, and a click is 600 ms after the one before; each tap is 90 ms late.
  await page.clock.runFor(100 + 90);
  for (let tap = 0; tap < 8; tap += 1) {
    await page.clock.runFor(600);
    await button.dispatchEvent('pointerdown');
  }
  const late = page.getByLabel('Sound comes late by, in ms');
  await expect(late).toHaveValue('90');
  await page.clock.resume();
  await page.reload();
  await page.getByRole('button', { name: 'mix', exact: true }).click();
  await expect(late).toHaveValue('90');
});
