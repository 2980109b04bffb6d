import { once } from 'node:events';
import { copyFileSync, renameSync, rmSync, writeFileSync } from 'node:fs';
import { request } from 'node:http';
import { join } from 'node:path';
import Database from 'better-sqlite3';
import { expect, lookAs, test } from './app';

test('a stop lets what is being answered come to its end; then it is ready again', async ({
  app,
}) => {
  const body = JSON.stringify({ address: '' });
  const headers = {
    ...{ 'content-type': 'application/json', origin: app.url },
    'content-length': body.length,
  };
  const sent = request(`${app.url}/api/address`, { method: 'POST', headers });
  const answered = once(sent, 'response');
  sent.write(body.slice(0, 5));
  // The server has it once another, which was sent later, is answered.
  expect((await fetch(`${app.url}/api/health`)).status).toBe(200);
  const stopped = app.stop();
  await expect.poll(() => fetch(app.url).catch(() => null)).toBeNull();
  sent.end(body.slice(5));
  const [answer] = (await answered) as [{ statusCode: number; resume: () => void }];
  answer.resume();
  // Nobody signed in: it was read to its end, and said.
  expect(answer.statusCode).toBe(401);
  await stopped;
  await app.start();
  const ready = () => fetch(`${app.url}/api/ready`).then(({ status }) => status);
  await expect.poll(ready).toBe(200);
});

test.describe('in a studio of one’s own', () => {
  test.use({ ground: 'demo' });

  test('a file that is damaged is said with its remedy; mended, the page goes on', async ({
    page,
    app,
  }) => {
    await lookAs(page, 'Maren', '/students');
    await expect(page.getByRole('link', { name: 'Pia', exact: true })).toBeVisible();
    const file = join(app.folder, 'mivvel.sqlite');
    const client = new Database(file);
    client.pragma('wal_checkpoint(truncate)');
    client.close();
    copyFileSync(file, `${file}.good`);
    writeFileSync(`${file}.bad`, 'no studio');
    for (const end of ['-wal', '-shm']) rmSync(file + end, { force: true });
    renameSync(`${file}.bad`, file);
    await page.goto('/students');
    await expect(page.getByText('is damaged, and nothing is written to it.')).toBeVisible();
    renameSync(`${file}.good`, file);
    await page.getByRole('button', { name: 'Try again' }).click();
    await expect(page.getByRole('link', { name: 'Pia', exact: true })).toBeVisible();
  });
});
