import { randomBytes } from 'node:crypto';
import { copyFileSync, mkdtempSync, renameSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import {
  test as base,
  expect,
  type BrowserContext,
  type Locator,
  type Page,
} from '@playwright/test';
import Database from 'better-sqlite3';
import { makeId } from '@/core/id';
import { App } from './server';

/** What a test starts from: `shared`, a studio of its own beside the demo studio, which tests leave alone; `gallery`,
 * the demo studio for those who only look; `demo`, one of the test's own; `empty`, a file without any studio. */
type Ground = 'shared' | 'gallery' | 'demo' | 'empty';

/** The one that the tests of this worker run against. */
let running: App | null = null;

/** One Mivvel for all tests of a worker, on whatever file the next of them starts from: what the browser has loaded
 * of it once, it keeps. */
class Grounds {
  #on: 'demo' | 'changed' | 'empty' | null = null;
  /** How many files there were: who was signed in on one is not on the next. */
  files = 0;

  constructor(private readonly app: App) {}

  prepare(ground: Ground): App {
    running = this.app;
    const isFine =
      (ground === 'gallery' && this.#on === 'demo') ||
      (ground === 'shared' && (this.#on === 'demo' || this.#on === 'changed'));
    if (!isFine) {
      putInPlace(ground === 'empty' ? 'empty' : 'demo', this.app.folder);
      this.files += 1;
    }
    if (ground === 'demo') this.#on = 'changed';
    else if (!isFine) this.#on = ground === 'empty' ? 'empty' : 'demo';
    return this.app;
  }
}

/** Puts a file in place of what tests have made of theirs; the server finds the new one by itself. */
function putInPlace(name: 'demo' | 'empty', folder: string): void {
  const file = join(folder, 'mivvel.sqlite');
  copyFileSync(join(process.env.MIVVEL_FILES ?? '', `${name}.sqlite`), join(folder, 'next'));
  for (const end of ['-wal', '-shm']) rmSync(file + end, { force: true });
  renameSync(join(folder, 'next'), file);
}

interface Worker {
  grounds: Grounds;
  /** Cookies of a teacher in a studio that the tests of a worker share. */
  teacher: () => Promise<Parameters<BrowserContext['addCookies']>[0]>;
}

export const test = base.extend<{ ground: Ground; app: App }, Worker>({
  ground: ['shared', { option: true }],
  grounds: [
    async ({}, provide) => {
      const app = new App(mkdtempSync(join(tmpdir(), 'mivvel-e2e-')));
      await app.start();
      await provide(new Grounds(app));
      // At once: a page that is still open would keep it waiting.
      await app.stop('SIGKILL');
      rmSync(app.folder, { recursive: true, force: true });
    },
    { scope: 'worker' },
  ],
  teacher: [
    async ({ grounds, browser }, provide) => {
      let cookies: ReturnType<Worker['teacher']> | undefined;
      let on = 0;
      async function open() {
        const page = await browser.newPage({ baseURL: grounds.prepare('shared').url });
        await lookAs(page, 'Ada', '/students');
        const found = await page.context().cookies();
        await page.close();
        return found;
      }
      await provide(() => {
        if (on !== grounds.files) cookies = undefined;
        on = grounds.files;
        return (cookies ??= open());
      });
    },
    { scope: 'worker' },
  ],
  app: async ({ ground, grounds }, provide) => provide(grounds.prepare(ground)),
  baseURL: async ({ app }, provide) => provide(app.url),
  page: async ({ page }, provide) => {
    const { goto, reload } = page;
    page.goto = async (...args) => {
      const response = await goto.apply(page, args);
      await listens(page);
      return response;
    };
    page.reload = async (...args) => {
      const response = await reload.apply(page, args);
      await listens(page);
      return response;
    };
    await provide(page);
    Object.assign(page, { goto, reload });
    // What the page still has to send comes before the next test begins.
    await page.goto('about:blank').catch(() => null);
  },
});

/** Waits until all that can be pressed or typed into answers: what the server drew stands there before
 * React listens, and a key pressed in between is lost. */
async function listens(page: Page): Promise<void> {
  function all(): boolean {
    const found = [
      ...document.querySelectorAll('button, input:not([type=hidden]), select, textarea'),
    ];
    return found.every((one) => Object.keys(one).some((key) => key.startsWith('__react')));
  }
  // A page that goes on to another one meanwhile is asked again.
  const often = { intervals: [40] };
  await expect.poll(() => page.evaluate(all).catch(() => false), often).toBe(true);
}

export { expect };
export type { App };

/** Goes to an empty Bench in the studio that the tests of a worker share; what a test saves there,
 * others may find. */
export async function openBench(
  page: Page,
  teacher: () => Promise<Parameters<BrowserContext['addCookies']>[0]>,
): Promise<void> {
  await page.context().addCookies(await teacher());
  await page.goto('/bench');
  await expect(page.getByText('Choose what keeps going')).toBeVisible();
}

/** Opens a new studio and looks at it as its owner. It is put into the file, as one that everybody may look around in. */
export async function openStudio(page: Page, studio = 'Mole End', teacher = 'Ada'): Promise<void> {
  await enterAs(page, putStudio(studio, teacher, true));
  await page.goto('/students');
}

/** Puts a studio into the file. @returns its owner, who has no account */
export function putStudio(studio: string, teacher: string, demo: boolean): string {
  const file = new Database(join(running?.folder ?? '', 'mivvel.sqlite'));
  const zone = Intl.DateTimeFormat().resolvedOptions().timeZone;
  const id = makeId(Date.now(), randomBytes(12));
  const owner = makeId(Date.now(), randomBytes(12));
  file.transaction(() => {
    file
      .prepare('insert into studio (id, name, zone, demo) values (?, ?, ?, ?)')
      .run(id, studio, zone, Number(demo));
    file
      .prepare("insert into person (id, studio_id, role, name) values (?, ?, 'owner', ?)")
      .run(owner, id, teacher);
  })();
  file.close();
  return owner;
}

/** Lets somebody of the start page in, once all that was played is stored. The form is sent as by a browser without
 * scripts, and no screen is drawn that nobody looks at. */
export async function enter(page: Page, name: string): Promise<void> {
  const waits = () => Object.keys(localStorage).some((key) => key.startsWith('mivvel log '));
  await expect.poll(() => page.evaluate(waits).catch(() => false)).toBe(false);
  const start = await page.request.get('/');
  const html = await start.text();
  const person = new RegExp(`value="(\\w+)"[^>]*><span[^>]*>${name}<`).exec(html)?.[1];
  await enterAs(page, person ?? '', html);
}

/** Lets a person of a studio to look around in in, by the start page's form. */
async function enterAs(page: Page, person: string, shown?: string): Promise<void> {
  // Whoever was in on this browser would be signed out, and others may have their cookie.
  await page.context().clearCookies({ name: 'mivvel-session' });
  const html = shown ?? (await (await page.request.get('/')).text());
  const action = /name="(\$ACTION_ID_\w+)"/.exec(html)?.[1] ?? '';
  const multipart = { [action]: '', person };
  const start = await page.request.get('/api/ready');
  const headers = { origin: new URL(start.url()).origin };
  const answer = await page.request.post('/', { headers, multipart, maxRedirects: 0 });
  expect(answer.headers()['set-cookie'] ?? '', `${person} is let in`).toContain('=');
}

/** Looks at a screen as somebody of the start page. */
export async function lookAs(page: Page, name: string, at: string): Promise<void> {
  await enter(page, name);
  await page.goto(at);
}

/** Changes a phrase of the sentence by typing. */
export async function phrase(page: Page, label: string | RegExp, typed: string): Promise<void> {
  const name = typeof label === 'string' ? new RegExp(`^${label}:`) : label;
  const input = page.locator('[cmdk-input]');
  await page.getByRole('button', { name }).last().focus();
  await page.keyboard.press('Enter');
  await expect(input).toBeFocused();
  await page.keyboard.insertText(typed);
  await page.keyboard.press('Enter');
  const refused = page.getByRole('dialog').getByRole('alert');
  await expect(async () => {
    expect((await input.isHidden()) || (await refused.isVisible())).toBe(true);
  }).toPass();
}

/** Gives a phrase of a family several values by typing. */
export async function giveMany(page: Page, label: string, typed: readonly string[]): Promise<void> {
  const input = page.locator('[cmdk-input]');
  const button = page.getByRole('button', { name: label, exact: true });
  await button.press('Enter');
  for (const text of typed) {
    await input.fill(text);
    await page.keyboard.press('Enter');
  }
  await page.keyboard.press('Escape');
  await expect(input).toBeHidden();
}

/** Takes sound out of the browser and its clock in hand, so that minutes pass at once. */
export async function holdClock(page: Page): Promise<void> {
  await page.addInitScript(() => {
    Reflect.deleteProperty(window, 'AudioContext');
  });
  await page.clock.install();
}

/** Drags one thing onto another by mouse, as a hand does: on its way it passes what lies between. */
export async function dragOnto(page: Page, from: Locator, onto: Locator): Promise<void> {
  await from.hover();
  await page.mouse.down();
  const box = await onto.boundingBox();
  if (!box) throw new Error('nothing to drag onto');
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2, { steps: 8 });
  await page.mouse.up();
}

/** What the first owner of a file types; a plain password that no list has. */
export const OWNER = { email: 'ada@mole-end.example', password: 'four plain words here' };
