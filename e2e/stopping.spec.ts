import { once } from 'node:events';
import { request } from 'node:http';
import { expect, test } from './app';

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
