import { execFileSync } from 'node:child_process';
import { copyFileSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { App } from '../server';
import { ENGINES, missingOf, type Engine } from './engine';

let app: App;

beforeAll(async () => {
  const folder = mkdtempSync(join(tmpdir(), 'mivvel-engines-'));
  execFileSync('node_modules/.bin/tsx', ['e2e/write-files.ts', folder]);
  copyFileSync(join(folder, 'demo.sqlite'), join(folder, 'mivvel.sqlite'));
  app = new App(folder);
  await app.start();
}, 120_000);

afterAll(async () => {
  await app.stop('SIGKILL');
  rmSync(app.folder, { recursive: true, force: true });
});

/** Waits until an expression is true on the page. */
async function until(engine: Engine, expression: string): Promise<void> {
  await expect
    .poll(() => engine.ask<boolean>(expression).catch(() => false), {
      timeout: 60_000,
      message: `${expression}\n`,
    })
    .toBe(true);
}

const text = (part: string) =>
  `document.body.innerText.toLowerCase().includes(${JSON.stringify(part.toLowerCase())})`;

/** Presses the button, link or option that is called so, once it listens. */
async function press(engine: Engine, name: string): Promise<void> {
  const called = `(one.getAttribute('aria-label') ?? one.textContent ?? '').trim()`;
  const mark = `(() => {
    document.querySelector('[data-pressed]')?.removeAttribute('data-pressed');
    const all = [...document.querySelectorAll('button, a, [role=option]')];
    const found = all.find((one) => ${called}.startsWith(${JSON.stringify(name)}));
    if (!found || !Object.keys(found).some((key) => key.startsWith('__react'))) return false;
    found.scrollIntoView({ block: 'center' });
    found.setAttribute('data-pressed', '');
    return true;
  })()`;
  await until(engine, mark);
  await engine.press('[data-pressed]');
}

describe.each(ENGINES)('in $name', ({ name, needs, start }) => {
  const missing = missingOf(needs);
  if (missing.length > 0) {
    it.skip(`not walked: ${name} is not installed (${missing.join(', ')})`);
    return;
  }

  let engine: Engine;
  beforeAll(async () => {
    engine = await start();
  }, 120_000);
  afterAll(() => engine.quit());

  it('a student looks at today, sets up the Stand, plays, says how it was, and sees the record', async () => {
    await engine.open(app.url);
    await press(engine, 'Deniz');
    await until(engine, text('Snare line over samba feet'));
    await engine.open(`${app.url}/stand?minutes=6&on=kit`);
    await until(engine, `document.querySelector('[data-stage=ready]') !== null`);
    await press(engine, 'set up');
    await press(engine, 'Done');
    await press(engine, 'Start');
    // Without an audio device nothing plays, and that is said.
    const plays = `document.querySelector('[data-stage=playing]') !== null`;
    await until(engine, `${plays} || ${text('no sound')}`);
    if (await engine.ask<boolean>(plays)) {
      await until(engine, `${text('bar 1')} || ${text('bar 2')} || ${text('no sound')}`);
    }
    if (await engine.ask<boolean>(plays)) {
      await press(engine, 'stop');
      await until(engine, `document.querySelector('[data-stage=playing]') === null`);
    }
    await engine.open(`${app.url}/record`);
    await until(engine, `document.querySelector('[aria-label^="Practice by day"] svg') !== null`);
    expect(engine.errors).toEqual([]);
  }, 240_000);

  it('a teacher makes a first exercise, saves it, and varies it', async () => {
    await engine.open(app.url);
    await press(engine, 'Maren');
    await until(engine, text('What keeps going'));
    await press(engine, 'What keeps going');
    await until(engine, `document.activeElement?.matches('[cmdk-input]') === true`);
    await engine.type('rock in 8ths\n');
    await until(engine, `document.querySelector('[data-staff] [data-glyph^=notehead]') !== null`);
    await engine.press('[aria-label="Reading line"]');
    await engine.type('4 4 4 4');
    await until(engine, `document.querySelector('[data-testid=line-reading]') !== null`);
    await engine.press('[aria-label="Exercise name"]');
    await engine.type('First');
    await press(engine, 'Save');
    await until(engine, text('saved'));
    await engine.open(`${app.url}/variations`);
    await until(engine, text('give a phrase several values'));
    expect(engine.errors).toEqual([]);
  }, 240_000);
});
