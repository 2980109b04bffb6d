import Database from 'better-sqlite3';
import { join } from 'node:path';
import type { Page } from '@playwright/test';
import { expect, lookAs, test, type App } from './app';

test.use({ ground: 'gallery' });

/** Every text of a studio's file: names and notes are as they were written, in whatever language. */
function textsOf(value: unknown, found = new Set<string>(), key = ''): Set<string> {
  if (typeof value === 'string') {
    if (/^[[{]/.test(value)) textsOf(JSON.parse(value), found, key);
    // A single small word is a choice that is kept, and no name.
    else if (/[A-Z ]/.test(value) || key === 'trains') found.add(value);
    // A pattern of names is read with its numbers filled in.
    for (const piece of value.includes('{') ? value.split(/\{\w+\}/) : []) {
      if (/\w/.test(piece)) found.add(piece);
    }
  } else if (value !== null && typeof value === 'object') {
    for (const [name, inner] of Object.entries(value)) textsOf(inner, found, name);
  }
  return found;
}

function fileOf(app: App) {
  return new Database(join(app.folder, 'mivvel.sqlite'), { readonly: true });
}

function contentOf(app: App): readonly string[] {
  const file = fileOf(app);
  const tables = file.prepare("select name from sqlite_master where type = 'table'").all() as {
    name: string;
  }[];
  const rows = tables.flatMap(({ name }) => file.prepare(`select * from "${name}"`).all());
  file.close();
  return [...textsOf(rows)].sort((a, b) => b.length - a.length);
}

/** One value of each row of the file. */
function valuesOf(app: App, sql: string): readonly string[] {
  const file = fileOf(app);
  const found = file.prepare(sql).pluck().all() as string[];
  file.close();
  return found;
}

/** Everything that is read on a page: texts, and what is said of fields and signs. */
function readOn(page: Page): Promise<readonly string[]> {
  return page.evaluate(() => {
    const walker = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT);
    const found: string[] = [];
    while (walker.nextNode()) {
      const { parentElement, textContent } = walker.currentNode;
      if (!parentElement?.closest('script, style, noscript')) found.push(textContent ?? '');
    }
    for (const name of ['aria-label', 'title', 'placeholder']) {
      for (const one of document.querySelectorAll(`[${name}]`)) {
        found.push(one.getAttribute(name) ?? '');
      }
    }
    return found;
  });
}

/** Signs that no language changes: limbs and stickings, our name, dates as the browser writes them, and
 * syllables as a studio counts. */
const SIGNS =
  /(?<![\w>])[fduiozrl>]*[RLKFT][RLKFTfduiozrl>]*(?!\w)|\b(Mivvel|alt|n|all|RH|LH|RF|LF|trip|let|(Jan|Feb|Mar|Apr|May|Jun|Jul|Aug|Sep|Oct|Nov|Dec|Mon|Tue|Wed|Thu|Fri|Sat|Sun)[a-z]*)\b/g;

/** What of a text is in no catalogue. */
function leftOf(text: string, content: readonly string[]): string {
  let rest = text;
  while (/⟦[^⟦⟧]*⟧/.test(rest)) rest = rest.replace(/⟦[^⟦⟧]*⟧/g, ' ');
  for (const one of content) if (rest.includes(one)) rest = rest.replaceAll(one, ' ');
  return /[A-Za-z]{3}/.test(rest.replace(SIGNS, ' ')) ? rest.trim() : '';
}

/** Words that a box cuts off, where nothing says that they are shortened. */
function cutOff(page: Page): Promise<readonly string[]> {
  return page.evaluate(() => {
    const wide = document.documentElement.scrollWidth > window.innerWidth + 1;
    const boxes = [
      ...document.querySelectorAll('button, a, label, legend, h1, h2, h3, th, .label'),
    ];
    const cut = boxes.filter((box) => {
      const { overflowX, textOverflow } = getComputedStyle(box);
      return (
        !box.matches('.sr-only') &&
        (overflowX === 'hidden' || box.matches('button')) &&
        textOverflow !== 'ellipsis' &&
        box.scrollWidth > box.clientWidth + 1
      );
    });
    return [
      ...(wide ? ['the page is wider than the screen'] : []),
      ...cut.map((box) => box.outerHTML),
    ];
  });
}

/** Looks at a screen in other letters: everything on it is in the catalogue, and nothing is cut off. */
async function look(page: Page, address: string, content: readonly string[]): Promise<void> {
  await page.goto(address);
  await expect(page.locator('h1').first()).toBeAttached();
  const left = (await readOn(page)).map((text) => leftOf(text, content)).filter(Boolean);
  expect.soft([...new Set(left)], address).toEqual([]);
  expect.soft(await cutOff(page), address).toEqual([]);
}

async function speakOther(page: Page, app: App): Promise<void> {
  await page.context().addCookies([{ name: 'mivvel-language', value: 'en-XA', url: app.url }]);
}

test('a teacher’s screens speak another language, and have room for it', async ({ page, app }) => {
  await speakOther(page, app);
  const content = contentOf(app);
  await look(page, '/', content);
  await lookAs(page, 'Maren');
  const [exercise] = valuesOf(app, 'select id from exercise order by length(recipe) desc, recipe');
  const [student] = valuesOf(app, "select id from person where name = 'Lotte'");
  const families = valuesOf(app, 'select id from family order by name');
  const programs = valuesOf(app, 'select id from program order by name');
  expect([exercise, student, families.length, programs.length]).not.toContain(undefined);
  for (const address of [
    '/bench',
    `/bench?x=${exercise}`,
    '/variations',
    ...families.map((family) => `/variations?f=${family}`),
    '/steps',
    '/materials',
    '/materials?k=line',
    '/materials?k=sticking',
    '/materials?k=kit',
    '/materials?k=exercise',
    '/programs',
    ...programs.map((program) => `/programs/${program}`),
    `/programs/${programs[0]}/class`,
    '/students',
    `/students/${student}`,
    `/students/${student}/plan`,
    `/students/${student}/paper`,
    '/nowhere',
  ]) {
    await look(page, address, content);
  }
});

test('a student’s screens do, on a phone too', async ({ page, app }) => {
  await speakOther(page, app);
  const content = contentOf(app);
  await lookAs(page, 'Lotte');
  for (const size of [
    { width: 1280, height: 800 },
    { width: 390, height: 844 },
  ]) {
    await page.setViewportSize(size);
    for (const address of ['/today', '/plan', '/record', '/stand']) {
      await look(page, address, content);
    }
  }
});
