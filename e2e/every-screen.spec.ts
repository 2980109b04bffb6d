import axe from 'axe-core';
import Database from 'better-sqlite3';
import { join } from 'node:path';
import type { Page } from '@playwright/test';
import { pseudoMessage } from '../src/words/pseudo';
import { enter, expect, test, type App } from './app';

declare global {
  interface Window {
    axe: typeof axe;
  }
}

// Each screen is visited once, for all that every screen has to be.
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

/** What keeps a screen from somebody: everything in the light, and what the dark theme changes. */
async function faults(page: Page): Promise<string[]> {
  await expect(page.getByText('Loading…').first()).toBeHidden();
  // Neither an address of each element nor all that is fine is asked for.
  const look = (more: axe.RunOptions = {}) =>
    page.evaluate(
      async (options) => {
        const { violations } = await window.axe.run(document, options);
        return violations.map(
          ({ id, nodes }) => `${id}: ${nodes.map(({ html }) => html).join(' ')}`,
        );
      },
      { resultTypes: ['violations'], selectors: false, preload: false, ...more } as axe.RunOptions,
    );
  await page.evaluate(axe.source);
  const light = await look();
  await page.emulateMedia({ colorScheme: 'dark' });
  const dark = await look({ runOnly: ['color-contrast'] });
  await page.emulateMedia({ colorScheme: 'light' });
  return [...light, ...dark];
}

/** Looks at what a screen shows, in other letters: all of it is in the catalogue, nothing is cut off, nobody is kept
 * out. */
async function lookHere(page: Page, where: string, content: readonly string[]): Promise<void> {
  const left = (await readOn(page)).map((text) => leftOf(text, content)).filter(Boolean);
  expect.soft([...new Set(left)], where).toEqual([]);
  expect.soft(await cutOff(page), where).toEqual([]);
  expect.soft(await faults(page), where).toEqual([]);
}

async function look(page: Page, address: string, content: readonly string[]): Promise<void> {
  await page.goto(address);
  await expect(page.locator('h1').first()).toBeAttached();
  await lookHere(page, address, content);
}

test.describe('screens speak another language, have room for it, and can be used by everybody', () => {
  test.beforeEach(async ({ page, app }) => {
    await page.context().addCookies([{ name: 'mivvel-language', value: 'en-XA', url: app.url }]);
  });

  const exerciseOf = (app: App) =>
    valuesOf(app, 'select id from exercise order by length(recipe) desc, recipe')[0] ?? '';
  const lotteOf = (app: App) =>
    valuesOf(app, "select id from person where name = 'Lotte'")[0] ?? '';

  test('the desk', async ({ page, app }) => {
    const content = contentOf(app);
    await look(page, '/', content);
    await look(page, '/nowhere', content);
    // What is looked for is found where it is: a picture without words, and words that only the dark theme hides.
    await page.evaluate(() => {
      const dim =
        '.dim { color: #000; background: #fff } @media (prefers-color-scheme: dark) { .dim { color: #444; background: #333 } }';
      document.body.insertAdjacentHTML(
        'beforeend',
        `<style>${dim}</style><img src="/icon.svg"><p class="dim">Hidden words</p>`,
      );
    });
    const found = (await faults(page)).map((one) => one.replace(/:.*/s, ''));
    expect(found).toEqual(expect.arrayContaining(['image-alt', 'color-contrast']));
    for (const entry of ['/setup', '/forgot', '/privacy', '/s/x']) await look(page, entry, content);
    await enter(page, 'Maren');
    await look(page, '/bench', content);
    await look(page, '/steps', content);
    await page.goto(`/bench?x=${exerciseOf(app)}`);
    await expect(page.locator('[data-staff] [data-glyph^=notehead]').first()).toBeVisible();
    await lookHere(page, 'an exercise', content);
    await page.getByRole('button', { name: String(pseudoMessage('write')) }).click();
    await page.getByRole('application').press('ArrowRight');
    await lookHere(page, 'an exercise, written on', content);
    await page.goto('/variations');
    await lookHere(page, '/variations', content);
    for (const family of valuesOf(app, 'select id from family order by name')) {
      await look(page, `/variations?f=${family}`, content);
    }
  });

  test('the shelves', async ({ page, app }) => {
    const content = contentOf(app);
    await enter(page, 'Maren');
    for (const kind of ['', '?k=line', '?k=sticking', '?k=kit', '?k=exercise']) {
      await look(page, `/materials${kind}`, content);
    }
    await look(page, '/programs', content);
    const programs = valuesOf(app, 'select id from program order by name');
    for (const program of programs) await look(page, `/programs/${program}`, content);
    await page.locator('[data-item] [aria-expanded]').first().click();
    await page.locator('[data-item] input[type=checkbox]').first().check();
    await lookHere(page, 'a ladder', content);
    await look(page, `/programs/${programs[0]}/class`, content);
  });

  test('students', async ({ page, app }) => {
    const content = contentOf(app);
    await enter(page, 'Maren');
    await look(page, '/students', content);
    await page.goto(`/students/${lotteOf(app)}`);
    await expect(page.locator('figure svg, [role=img] svg').first()).toBeVisible();
    await lookHere(page, 'a record', content);
    await look(page, `/students/${lotteOf(app)}/plan`, content);
    await look(page, `/students/${lotteOf(app)}/paper`, content);
    await look(page, `/students/${lotteOf(app)}/access`, content);
    await look(page, '/account', content);
  });

  test('a student’s, on a phone too', async ({ page, app }) => {
    const content = contentOf(app);
    await enter(page, 'Lotte');
    for (const address of ['/today', '/plan', '/record', '/devices', '/stand']) {
      await look(page, address, content);
      await page.setViewportSize({ width: 390, height: 844 });
      // A chart follows the screen a moment later.
      await expect.poll(() => cutOff(page), { message: `${address} on a phone` }).toEqual([]);
      const left = (await readOn(page)).map((text) => leftOf(text, content)).filter(Boolean);
      expect.soft([...new Set(left)], `${address} on a phone`).toEqual([]);
      await page.setViewportSize({ width: 1280, height: 800 });
    }
    await page.getByRole('button', { name: String(pseudoMessage('set up')) }).click();
    await lookHere(page, 'the Stand, set up', content);
  });
});
