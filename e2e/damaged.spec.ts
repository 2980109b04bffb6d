import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import type { BrowserContext } from '@playwright/test';
import Database from 'better-sqlite3';
import { samples } from '../src/samples.fixture';
import { enter, expect, test, type App } from './app';

test.use({ ground: 'demo' });

/** Requests of each role come to this many together, half of them to actions. */
const REQUESTS = samples(10_000, 200);

/** What holds all that a build has: pages, routes and actions by their ids. */
const json = (file: string) => JSON.parse(readFileSync(`.next/${file}`, 'utf8')) as object;
const PATHS = Object.values<string>({ ...json('app-path-routes-manifest.json') }).filter(
  (path) => !path.startsWith('/_'),
);
const ACTIONS = Object.keys(
  (json('server/server-reference-manifest.json') as { node: object }).node,
);

/** Numbers that are the same in every run (mulberry32). */
function seeded(seed: number): () => number {
  let state = seed;
  return () => {
    state = (state + 0x6d2b79f5) | 0;
    let mixed = Math.imul(state ^ (state >>> 15), state | 1);
    mixed ^= mixed + Math.imul(mixed ^ (mixed >>> 7), mixed | 61);
    return ((mixed ^ (mixed >>> 14)) >>> 0) / 2 ** 32;
  };
}

const TEXTS = [
  '',
  '\u0000',
  '../../../../etc/passwd',
  '%2e%2e%2f%00',
  '<script>alert(1)</script>',
  "' or 1=1 --",
  '__proto__',
  'a\r\nSet-Cookie: x=y',
  '🥁'.repeat(200),
  'x'.repeat(20_000),
  '1e999',
  '{"$ref":"#"}',
  '01m8pf4f4d4kpff7cm6eqg',
];

function damaged(random: () => number, depth = 0): unknown {
  const pick = Math.floor(random() * 8);
  if (pick === 0) return null;
  if (pick === 1) return (random() - 0.5) * 10 ** (random() * 30);
  if (pick === 2) return random() < 0.5;
  if (pick === 3 && depth < 4) {
    return Array.from({ length: Math.floor(random() * 4) }, () => damaged(random, depth + 1));
  }
  if (pick === 4 && depth < 4) {
    const names = ['id', 'name', 'entries', 'kind', '__proto__', 'constructor', 'act', 'file'];
    return Object.fromEntries(
      names.filter(() => random() < 0.4).map((name) => [name, damaged(random, depth + 1)]),
    );
  }
  return TEXTS[Math.floor(random() * TEXTS.length)];
}

interface Sent {
  readonly path: string;
  readonly method: string;
  readonly headers: Record<string, string>;
  readonly body?: string;
}

function request(random: () => number): Sent {
  const of = <T>(all: readonly T[]) => all[Math.floor(random() * all.length)] as T;
  const part = () => encodeURIComponent(of(TEXTS).slice(0, 300)) || 'x';
  const path = of(PATHS).replace(/\[\w+\]/g, part);
  const text = JSON.stringify(damaged(random)) ?? 'null';
  const body = random() < 0.2 ? text.slice(0, Math.floor(random() * text.length)) : text;
  if (random() < 0.5) {
    const headers = { 'next-action': of(ACTIONS), 'content-type': 'text/plain;charset=UTF-8' };
    return { path, method: 'POST', headers, body: random() < 0.7 ? `[${body}]` : body };
  }
  const method = of(['GET', 'GET', 'POST', 'PUT', 'DELETE', 'HEAD', 'PATCH']);
  const type = of(['application/json', 'text/plain', 'multipart/form-data; boundary=x', 'x']);
  const headers = { 'content-type': type };
  const query = random() < 0.5 ? `?${part()}=${part()}&code=${part()}&id=${part()}` : '';
  const carries = !['GET', 'HEAD'].includes(method);
  return { path: path + query, method, headers, ...(carries ? { body } : {}) };
}

async function cookieOf(context: BrowserContext): Promise<string> {
  return (await context.cookies()).map(({ name, value }) => `${name}=${value}`).join('; ');
}

/** Ids of what students were given that somebody may not learn of: all but a student's own for a student, none for the
 * owner. */
function secretsOf(app: App, who: string): readonly string[] {
  const file = new Database(join(app.folder, 'mivvel.sqlite'), { readonly: true });
  const others = file.prepare(
    'select a.id from assignment a join person p on p.id = a.student_id where p.name <> ?',
  );
  const ids = who === 'Maren' ? [] : (others.pluck().all(who) as string[]);
  file.close();
  return ids;
}

/** Sends as many as one role's share, and looks at each answer. @returns what came that may not, with what brought it */
async function sendAll(app: App, cookie: string, seed: number, secrets: readonly string[]) {
  const random = seeded(seed);
  const bad: string[] = [];
  for (let sent = 0; sent < REQUESTS / ROLES; sent += 1) {
    const { path, method, headers, body } = request(random);
    const answer = await fetch(app.url + path, {
      ...{ method, body, redirect: 'manual' },
      headers: { ...headers, cookie, origin: app.url },
    });
    const text = await answer.text();
    const what = `${method} ${path.slice(0, 80)} ${headers['next-action'] ?? ''} ${body?.slice(0, 80)}`;
    if (answer.status >= 500) bad.push(`${answer.status} ${what}`);
    if (secrets.some((id) => text.includes(id))) bad.push(`told ${what}`);
    // What goes wrong is not shown from the inside.
    if (/\bat \S+ \(\S+:\d+:\d+\)|SQLITE_|node_modules\//.test(text)) bad.push(`inside ${what}`);
  }
  return bad;
}

const ROLES = 4;

test('thousands of damaged requests to every door, as everybody: none breaks it, none learns anything', async ({
  page,
  app,
}) => {
  test.slow();
  await page.goto('/');
  const cookies: [who: string, cookie: string][] = [['nobody', '']];
  for (const name of ['Maren', 'Pia', 'Lotte']) {
    await enter(page, name);
    cookies.push([name, await cookieOf(page.context())]);
  }
  // What a student may see has their own ids in it: these would be found in what they may not.
  const today = await fetch(`${app.url}/today`, { headers: { cookie: cookies[2]?.[1] ?? '' } });
  const text = await today.text();
  const own = secretsOf(app, 'nobody').filter((id) => !secretsOf(app, 'Pia').includes(id));
  expect(own.some((id) => text.includes(id))).toBe(true);
  const memory: number[] = [];
  for (const [index, [who, cookie]] of cookies.entries()) {
    const bad = await sendAll(app, cookie, index + 1, secretsOf(app, who));
    expect(bad, `as ${who}`).toEqual([]);
    memory.push(app.memoryMb());
  }
  // The first share loads what there is and fills what is kept; the others hold no more.
  const [first = 0] = memory;
  expect((memory.at(-1) ?? 0) / first, `${memory.map(Math.round).join(', ')} MB`).toBeLessThan(1.5);
  const answer = await fetch(`${app.url}/api/health`);
  expect(answer.status).toBe(200);
});
