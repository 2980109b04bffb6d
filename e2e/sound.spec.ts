import { readFile } from 'node:fs/promises';
import type { Page } from '@playwright/test';
import { expect, giveMany, openBench, phrase, test } from './app';

const RATE = 44_100;

/** The channels of a WAV file of 16 bits, from -1 to 1. */
function channelsOf(file: Buffer): readonly Float32Array[] {
  expect(file.toString('latin1', 0, 4)).toBe('RIFF');
  expect(file.toString('latin1', 8, 16)).toBe('WAVEfmt ');
  const count = file.readUInt16LE(22);
  expect(file.readUInt32LE(24)).toBe(RATE);
  expect(file.readUInt16LE(34)).toBe(16);
  const length = file.readUInt32LE(40) / 2 / count;
  expect(file.length).toBe(44 + length * count * 2);
  return Array.from({ length: count }, (_, channel) =>
    Float32Array.from(
      { length },
      (__, n) => file.readInt16LE(44 + (n * count + channel) * 2) / 32_768,
    ),
  );
}

/** Plays this at 60 and takes the file: a beat is a second, a bar of count-in comes first. */
async function wavOf(page: Page, ostinato: string): Promise<readonly Float32Array[]> {
  await phrase(page, 'What keeps going', ostinato);
  await page.getByLabel('Tempo', { exact: true }).fill('60');
  await page.getByLabel('Tempo', { exact: true }).press('Enter');
  await page.getByRole('button', { name: 'Files' }).click();
  await page.getByLabel('click alone on the right channel').check();
  const asked = page.waitForEvent('download');
  await page.getByRole('button', { name: 'WAV, 8 bars' }).click();
  const download = await asked;
  expect(download.suggestedFilename()).toMatch(/\.wav$/);
  return channelsOf(await readFile(await download.path()));
}

function peak(samples: Float32Array, from = 0, to = samples.length): number {
  return samples.subarray(from, to).reduce((most, value) => Math.max(most, Math.abs(value)), 0);
}

/** Power over 80 ms from a place, in decibels. */
function loudness(samples: Float32Array, seconds: number): number {
  const part = samples.subarray(seconds * RATE, (seconds + 0.08) * RATE);
  return 10 * Math.log10(part.reduce((sum, value) => sum + value * value, 0) / part.length);
}

/** Samples by which what begins near a second is off it. */
function offBy(samples: Float32Array, second: number): number {
  const due = second * RATE;
  const quiet = 0.05 * peak(samples, due - 400, due + 4000);
  let at = due - 400;
  while (at < due + 4000 && Math.abs(samples[at] ?? 0) <= quiet) at += 1;
  return at - due;
}

test('a WAV file has each stroke and click where it is due, never reaches full scale, and voices are balanced', async ({
  page,
  teacher,
}) => {
  await openBench(page, teacher);
  const [drums, click] = await wavOf(page, 'H: X---; S: -X--; K: --X-; C: ---X');
  if (!drums || !click) throw new Error('not two channels');
  for (let bar = 1; bar <= 8; bar += 1) {
    for (let beat = 0; beat < 4; beat += 1) {
      const second = bar * 4 + beat;
      expect(Math.abs(offBy(click, second))).toBeLessThanOrEqual(1);
      // The ride still rings when the first beat comes round.
      if (beat === 0 && bar > 1) continue;
      expect(Math.abs(offBy(drums, second))).toBeLessThanOrEqual(0.001 * RATE);
    }
  }
  expect(peak(drums)).toBeLessThan(1);
  expect(peak(drums)).toBeGreaterThan(0.2);
  // Nothing but the click counts in.
  expect(peak(drums, 0, 3.9 * RATE)).toBeLessThan(0.001);
  expect(peak(click, 0, 100)).toBeGreaterThan(0.05);
  const loud = [4, 5, 6, 7].map((second) => loudness(drums, second));
  expect(Math.max(...loud) - Math.min(...loud)).toBeLessThan(6);
});

test('a ghost note lies about 18 dB under an accent, and has another colour', async ({
  page,
  teacher,
}) => {
  await openBench(page, teacher);
  const [drums] = await wavOf(page, 'LH snare: X-g-');
  if (!drums) throw new Error('no drums');
  const down = [4, 12, 20].map((second) => loudness(drums, second) - loudness(drums, second + 2));
  const mean = down.reduce((sum, one) => sum + one, 0) / down.length;
  expect(mean).toBeGreaterThan(16);
  expect(mean).toBeLessThan(20);
  // The same stroke, made as loud: what is left differs by more than its level.
  const part = (second: number) => drums.subarray(second * RATE, (second + 0.1) * RATE);
  const top = peak(part(4));
  const low = peak(part(6));
  const differs = part(4).reduce(
    (sum, value, n) => sum + Math.abs(value / top - (part(6)[n] ?? 0) / low),
    0,
  );
  expect(differs / part(4).length).toBeGreaterThan(0.01);
});

test('without the recordings synthetic drums play, and it is said once', async ({
  page,
  teacher,
}) => {
  await page.route('**/sounds/*.flac', (route) => route.abort());
  await openBench(page, teacher);
  await phrase(page, 'What keeps going', 'rock in 8ths');
  const said = page.getByText('The recorded drums could not be loaded');
  await page.getByRole('button', { name: 'Play', exact: true }).click();
  await expect(said).toBeVisible();
  await expect(page.getByRole('button', { name: 'Stop', exact: true })).toBeVisible();
  await expect(said).toHaveCount(1);
});

test('a run of variations is a file of its bars, each for as long as it is heard', async ({
  page,
  teacher,
}) => {
  await page.context().addCookies(await teacher());
  await page.goto('/variations');
  await expect(page.getByText('give a phrase several values')).toBeVisible();
  await giveMany(page, 'Over 1', ['S: x---', 'S: --x-', 'S: ---x']);
  await expect(page.getByLabel('Variations', { exact: true })).toHaveText('3 variations');
  await page.getByLabel('Tempo', { exact: true }).fill('60');
  await page.getByLabel('Tempo', { exact: true }).press('Enter');
  await page.getByRole('button', { name: 'Files' }).click();
  await page.getByLabel('click alone on the right channel').check();
  const asked = page.waitForEvent('download');
  await page.getByRole('button', { name: 'WAV', exact: true }).click();
  const [drums] = channelsOf(await readFile(await (await asked).path()));
  if (!drums) throw new Error('no channel');
  // After a bar of count-in the snare is on 1, then on 3 of the second bar, then on 4 of the third.
  for (const second of [4, 10, 15]) {
    expect(Math.abs(offBy(drums, second))).toBeLessThanOrEqual(0.001 * RATE);
  }
});
