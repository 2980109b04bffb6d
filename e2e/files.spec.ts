import { execFileSync } from 'node:child_process';
import { readFile } from 'node:fs/promises';
import tone from '@tonejs/midi';
import type { Page } from '@playwright/test';
import { expect, lookAs, openStudio, test } from './app';

test.use({ ground: 'gallery' });

/** What stands in the file that is downloaded, page by page, as poppler reads it. */
async function downloadedPages(page: Page): Promise<readonly string[]> {
  const asked = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Download PDF' }).click();
  const download = await asked;
  expect(download.suggestedFilename()).toMatch(/\.pdf$/);
  const args = ['-layout', await download.path(), '-'];
  return execFileSync('pdftotext', args, { encoding: 'utf8' }).split('\f').slice(0, -1);
}

test('a student’s week: looked at, changed, printed, downloaded', async ({ page }) => {
  await lookAs(page, 'Maren', '/students');
  await page.getByRole('link', { name: /^Pia/ }).click();
  await page.getByRole('button', { name: 'Week on paper' }).click();
  const sheet = page.getByRole('dialog', { name: 'Sheet: Pia' });
  const pages = sheet.locator('[data-page]');
  await expect(pages.first()).toContainText('Cells across the bar line');
  await sheet.getByRole('button', { name: 'Letter' }).click();
  await expect(pages.first()).toHaveAttribute('viewBox', '0 0 612 792');
  await sheet.getByRole('button', { name: 'A4' }).click();
  await expect(pages.first()).toHaveAttribute('viewBox', '0 0 595.28 841.89');
  await expect(sheet.getByRole('button', { name: 'Print', exact: true })).toBeVisible();
  const codes = sheet.getByLabel('codes lead to');
  await codes.fill('studio');
  await codes.press('Enter');
  await expect(sheet.getByRole('alert')).toContainText('“studio” is no address');
  const boxes = () => pages.first().locator('path').count();
  const without = await boxes();
  await codes.fill('http://192.168.1.20:3000/bench');
  await codes.press('Enter');
  await expect(codes).toHaveValue('http://192.168.1.20:3000');
  await expect.poll(boxes).toBeGreaterThan(without);
  const shown = await pages.count();
  await sheet.getByLabel('large print').check();
  await expect.poll(() => pages.count()).toBeGreaterThan(shown);
  await sheet.getByLabel('large print').uncheck();
  await expect(pages).toHaveCount(shown);
  await page.evaluate(() => {
    window.print = () => {
      const printed = document.querySelector('[data-printed]');
      document.title = `${printed?.querySelectorAll('[data-page]').length} to print`;
    };
  });
  await sheet.getByRole('button', { name: 'Print', exact: true }).click();
  await expect(page).toHaveTitle(`${shown} to print`);
  const read = await downloadedPages(page);
  expect(read).toHaveLength(shown);
  for (const [index, text] of read.entries()) {
    expect(text).toContain('Pia');
    expect(text).toContain(`${index + 1} of ${shown}`);
  }
  await page.keyboard.press('Escape');
  await expect(sheet).toBeHidden();
  await expect(page.getByRole('button', { name: 'Week on paper' })).toBeFocused();
});

test('a program for everybody who has it; an exercise and a page of lines', async ({ page }) => {
  await lookAs(page, 'Maren', '/programs');
  await page.getByRole('link', { name: /^Cells for the revue/ }).click();
  await page.getByRole('button', { name: /^weeks? for/ }).click();
  const sheet = page.getByRole('dialog');
  await expect(sheet.getByRole('status')).toContainText('page');
  await expect(sheet.getByRole('button', { name: 'Print', exact: true })).toBeVisible();
  const [first = ''] = await downloadedPages(page);
  expect(first).toMatch(/Mon|Tue|Wed/);
  await page.keyboard.press('Escape');
  await page.goto('/materials');
  await page.getByRole('button', { name: 'Lines', exact: true }).click();
  await page
    .getByRole('button', { name: /^line 1 / })
    .first()
    .click();
  await page.getByRole('button', { name: 'sheet', exact: true }).click();
  await expect(page.getByRole('dialog').locator('[data-page]')).toContainText('line 1');
});

test('a program as MusicXML and as MIDI, its exercises one after the other', async ({ page }) => {
  await lookAs(page, 'Maren', '/programs');
  await page.getByRole('link', { name: /^Cells for the revue/ }).click();
  await page.getByRole('button', { name: 'Files' }).click();
  const fileOf = async (name: string) => {
    const asked = page.waitForEvent('download');
    await page.getByRole('button', { name, exact: true }).click();
    const download = await asked;
    return { name: download.suggestedFilename(), bytes: await readFile(await download.path()) };
  };
  const xml = await fileOf('MusicXML');
  expect(xml.name).toBe('Cells for the revue.musicxml');
  expect(xml.bytes.toString('utf8')).toContain('<words>Cells across the bar line</words>');
  expect(xml.bytes.toString('utf8').match(/direction="backward"/g)).toHaveLength(3);
  const midi = await fileOf('MIDI');
  expect(midi.name).toBe('Cells for the revue.mid');
  const { header, tracks } = new tone.Midi(midi.bytes);
  expect(header.meta.filter(({ type }) => type === 'marker')).toHaveLength(3);
  expect(tracks.filter(({ notes }) => notes.length > 0).map(({ channel }) => channel)).toContain(9);
});

test('a program goes to another studio as a file, and out again', async ({ page }) => {
  await lookAs(page, 'Maren', '/programs');
  await page.getByRole('link', { name: /^Cells for the revue/ }).click();
  await page.getByRole('button', { name: 'Files' }).click();
  const asked = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Mivvel', exact: true }).click();
  const path = await (await asked).path();
  await openStudio(page, 'Bell Street', 'Ana');
  await page.goto('/programs');
  const files = page.getByRole('region', { name: 'Files' });
  const input = files.getByLabel('Import a file');
  await input.setInputFiles({ name: 'cut.json', mimeType: '', buffer: Buffer.from('{"a": [') });
  await expect(files.getByRole('alert')).toContainText('Line 1 of this file cannot be read');
  await input.setInputFiles(path);
  await expect(files).toContainText('Cells for the revue (3 exercises)');
  await files.getByRole('button', { name: 'Import', exact: true }).click();
  await expect(page.getByRole('link', { name: 'Cells for the revue' })).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByRole('link', { name: 'Cells for the revue' })).toBeHidden();
});

test.describe('with a file of its own', () => {
  test.use({ ground: 'demo' });

  test('a studio goes with its students and their logs into another one, and out again', async ({
    page,
  }) => {
    await lookAs(page, 'Maren', '/programs');
    const files = page.getByRole('region', { name: 'Files' });
    const asked = page.waitForEvent('download');
    await files.getByRole('button', { name: 'All that and students with their logs' }).click();
    const download = await asked;
    expect(download.suggestedFilename()).toBe('Studio with students.mivvel.json');
    const path = await download.path();
    const written = JSON.parse(await readFile(path, 'utf8')) as { students: { name: string }[] };
    expect(written.students.map(({ name }) => name)).toContain('Pia');
    await openStudio(page, 'Quay Street', 'Jonna');
    await page.goto('/programs');
    await files.getByLabel('Import a file').setInputFiles(path);
    await expect(files).toContainText(/Pia \(\d+ tries\)/);
    await files.getByRole('button', { name: 'Import', exact: true }).click();
    await expect(page.getByRole('link', { name: /^Cells for the revue/ })).toBeVisible();
    await page.getByRole('link', { name: 'Students', exact: true }).click();
    const pia = page.getByRole('link', { name: /^Pia/ });
    await expect(pia).toBeVisible();
    await page.getByRole('button', { name: 'Undo' }).click();
    await expect(pia).toBeHidden();
    await page.getByLabel('Import a file').setInputFiles(path);
    await page.getByRole('button', { name: 'Import', exact: true }).click();
    await pia.click();
    await expect(page.getByRole('heading', { name: 'Pia' })).toBeVisible();
    const again = page.waitForEvent('download');
    await page.getByRole('button', { name: 'Files' }).click();
    await page.getByRole('button', { name: 'Student, programs and log' }).click();
    const student = JSON.parse(
      await readFile(await (await again).path(), 'utf8'),
    ) as typeof written;
    expect(student.students.map(({ name }) => name)).toEqual(['Pia']);
    // Who is here already is not taken twice.
    await page.goto('/programs');
    await files.getByLabel('Import a file').setInputFiles(path);
    await expect(files).toContainText('Left: students here already');
  });
});

test('a plan is a calendar, and a log a table, for other programs', async ({ page }) => {
  await lookAs(page, 'Maren', '/students');
  await page.getByRole('link', { name: /^Deniz/ }).click();
  const textOf = async (name: string) => {
    const asked = page.waitForEvent('download');
    await page.getByRole('button', { name }).click();
    const download = await asked;
    return {
      name: download.suggestedFilename(),
      text: await readFile(await download.path(), 'utf8'),
    };
  };
  await page.getByRole('button', { name: 'Files' }).click();
  const log = await textOf('Log as CSV');
  await page.keyboard.press('Escape');
  expect(log.name).toBe('Deniz.csv');
  expect(log.text).toMatch(/^student,date,time,program,exercise,bpm,/);
  expect(log.text.split('\r\n').length).toBeGreaterThan(20);
  await page.getByRole('link', { name: 'plan', exact: true }).click();
  await page.getByRole('button', { name: 'Calendar', exact: true }).click();
  const calendar = await textOf('Calendar file');
  expect(calendar.name).toBe('Deniz.ics');
  expect(calendar.text).toContain('BEGIN:VEVENT');
  const field = page.getByLabel('Address for a calendar program');
  await expect(field).toHaveValue(/\/calendar\/[0-9a-z]{48}\.ics$/);
  const address = await field.inputValue();
  const asked = await page.request.get(address);
  expect(asked.headers()['content-type']).toContain('text/calendar');
  // What was made for it differs in when it was made alone.
  const dated = (text: string) => text.replace(/^DTSTAMP.*$/gm, '');
  expect(dated(await asked.text())).toBe(dated(calendar.text));
  await page.getByRole('button', { name: /^Another address/ }).click();
  await expect(field).not.toHaveValue(address);
  expect((await page.request.get(address)).status()).toBe(404);
});

test('what other programs wrote comes in as lines or exercises, after a look, and goes out again', async ({
  page,
}) => {
  await openStudio(page, 'Mill Lane', 'Ines');
  await page.goto('/materials');
  await page.getByRole('button', { name: 'Import a file' }).click();
  const input = page.getByLabel('Import a file', { exact: true }).last();
  const bar = (signs: string) => `<measure number="1">${signs}</measure>`;
  const note = (type: string, length: number) =>
    `<note><unpitched><display-step>C</display-step><display-octave>5</display-octave></unpitched><duration>${length}</duration><voice>1</voice><type>${type}</type></note>`;
  const xml = `<score-partwise><part-list><score-part id="P1"><part-name>Snare</part-name></score-part></part-list><part id="P1">${bar(
    `<attributes><divisions>2</divisions></attributes>${note('half', 4)}${note('quarter', 2)}${note('eighth', 1).repeat(2)}`,
  )}${bar(`${note('quarter', 2)}<note><rest/><duration>6</duration><voice>1</voice></note>`)}</part></score-partwise>`;
  const file = (name: string, content: string | Buffer) => {
    return { name, mimeType: '', buffer: Buffer.from(content) };
  };
  await input.setInputFiles(file('cut.musicxml', xml.slice(0, -30)));
  const detail = page.getByRole('region', { name: 'Detail' });
  await expect(detail.getByRole('alert')).toContainText('cannot be read');
  await input.setInputFiles(file('page.musicxml', xml));
  const snare = page.getByRole('region', { name: 'Snare' });
  await expect(snare).toContainText('4/4, 2 bars');
  await snare.getByLabel('Snare: cut').selectOption('1');
  await expect(snare).toContainText('Comes in: 2');
  await page.getByRole('button', { name: 'Import', exact: true }).click();
  // The message stays as long as the mouse is on it, however slow the machine is.
  await page.getByText('page.musicxml imported.').hover();
  await page.getByRole('button', { name: 'Lines', exact: true }).press('Enter');
  await expect(page.getByRole('button', { name: /^Snare 2/ })).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByRole('button', { name: /^Snare 2/ })).toBeHidden();

  await page.getByRole('button', { name: 'Import a file' }).click();
  const midi = new tone.Midi();
  const track = midi.addTrack();
  track.channel = 9;
  for (const [midiKey, ticks] of [
    [36, 0],
    [38, 484],
    [54, 500],
    [36, 960],
    [38, 1560],
  ] as const) {
    track.addNote({ midi: midiKey, ticks, durationTicks: 20 });
  }
  await input.setInputFiles(file('take.mid', Buffer.from(midi.toArray())));
  await expect(page.getByText('5 notes, none doubtful')).toBeVisible();
  await page.getByLabel('Put on').selectOption({ label: '8ths' });
  await expect(page.getByText('5 notes, 1 doubtful, farthest 125 ms')).toBeVisible();
  await expect(page.getByText('1 note of key 54, which is no voice here (bar 1)')).toBeVisible();
  await page.getByText('Each note, the farthest first').click();
  await expect(page.getByRole('row', { name: /125 early|125 late/ })).toContainText('doubtful');
  await page.getByRole('button', { name: 'Import', exact: true }).click();
  await page.getByRole('button', { name: 'Exercises', exact: true }).click();
  await expect(page.getByRole('link', { name: /^take/ })).toBeVisible();
});

test('a log comes in as a table, into the log of whoever it is of, and out again', async ({
  page,
}) => {
  await lookAs(page, 'Maren', '/students');
  const files = page.getByRole('region', { name: 'Files' });
  const input = files.getByLabel('Import a file');
  const table = (text: string) => ({ name: 'book.csv', mimeType: '', buffer: Buffer.from(text) });
  await input.setInputFiles(table('date,exercise,bpm,verdict\n1.3.,Cells,60,good\n'));
  await expect(files.getByRole('alert')).toContainText('Line 2, date: “1.3.” cannot be taken.');
  const name = 'Snare line over samba feet';
  const rows = `2026-01-05,${name},60,clean\n2026-01-06,${name},60,lost\n2026-01-06,Waltz,60,\n`;
  await input.setInputFiles(table(`date,exercise,bpm,verdict\n${rows}`));
  await expect(files).toContainText('Nothing of this file would come in.');
  await files.getByLabel('The 3 rows without a name are of').selectOption('Deniz');
  await expect(files.getByRole('row', { name })).toContainText('5 Jan 2026 – 6 Jan 2026');
  await expect(files).toContainText('no exercise of theirs is called Waltz (line 4)');
  await files.getByRole('button', { name: 'Import', exact: true }).click();
  await expect(page.getByText('book.csv imported.')).toBeVisible();
  // By keys, for the mouse rests on what passes, so that it stays.
  await page.getByRole('button', { name: 'Undo' }).hover();
  const pastOf = async () => {
    await page.getByRole('button', { name: 'Files' }).press('Enter');
    const asked = page.waitForEvent('download');
    await page.getByRole('button', { name: 'Log as CSV' }).press('Enter');
    const path = await (await asked).path();
    await page.keyboard.press('Escape');
    return (await readFile(path, 'utf8')).match(/,2026-01-0[56],/g)?.length;
  };
  await page.getByRole('link', { name: /^Deniz/ }).press('Enter');
  expect(await pastOf()).toBe(2);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect.poll(pastOf).toBeUndefined();
});

test('students come in as a table, and go out as one', async ({ page }) => {
  await openStudio(page, 'Ferry Road', 'Tom');
  await page.goto('/students');
  const files = page.getByRole('region', { name: 'Files' });
  const input = files.getByLabel('Import a file');
  const table = (text: string) => ({ name: 'class.csv', mimeType: '', buffer: Buffer.from(text) });
  await input.setInputFiles(table('name;handedness\nAda;both\n'));
  await expect(files.getByRole('alert')).toContainText(
    'Line 2, handedness: “both” cannot be taken',
  );
  await input.setInputFiles(table('Name;About\nAda;beginner\nBo;\n'));
  await expect(files).toContainText('Ada, Bo');
  await files.getByRole('button', { name: 'Import', exact: true }).click();
  await expect(page.getByRole('link', { name: 'Ada' })).toBeVisible();
  // Held, so that it stays while the file is looked at.
  await page.getByRole('button', { name: 'Undo' }).hover();
  const asked = page.waitForEvent('download');
  await files.getByRole('button', { name: 'Students as CSV' }).press('Enter');
  expect(await readFile(await (await asked).path(), 'utf8')).toContain('\r\nAda,beginner,,\r\n');
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByRole('link', { name: 'Ada' })).toBeHidden();
});
