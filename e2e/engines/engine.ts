import { spawn, type ChildProcess } from 'node:child_process';
import { existsSync } from 'node:fs';
import puppeteer from 'puppeteer-core';
import { Builder, By, Key } from 'selenium-webdriver';
import { freePort } from '../../scripts/lib/port.mjs';

/** What a road needs of a browser, whichever drives it. */
export interface Engine {
  open(url: string): Promise<void>;
  /** Presses what a CSS selector finds. */
  press(css: string): Promise<void>;
  /** Types into what has the focus; `\n` is Enter. */
  type(text: string): Promise<void>;
  /** What an expression comes to on the page. */
  ask<T>(expression: string): Promise<T>;
  /** Errors that the page did not catch, as far as the engine tells of them. */
  readonly errors: readonly string[];
  quit(): Promise<void>;
}

const FIREFOX = '/usr/bin/firefox-esr';
const WEBKIT_DRIVER = '/usr/bin/WebKitWebDriver';
const MINI_BROWSER = '/usr/lib/x86_64-linux-gnu/webkit2gtk-4.1/MiniBrowser';

/** Debian's engines beside Chromium's, each with what it needs to be there. */
export const ENGINES = [
  { name: 'Firefox ESR', needs: [FIREFOX], start: startFirefox },
  {
    name: 'WebKitGTK',
    needs: [WEBKIT_DRIVER, MINI_BROWSER, '/usr/bin/Xvfb', '/usr/bin/dbus-run-session'],
    start: startWebKit,
  },
] as const;

/** What of these is not installed. */
export function missingOf(needs: readonly string[]): readonly string[] {
  return needs.filter((path) => !existsSync(path));
}

async function startFirefox(): Promise<Engine> {
  const browser = await puppeteer.launch({
    browser: 'firefox',
    executablePath: FIREFOX,
    headless: true,
    extraPrefsFirefox: {
      'media.autoplay.default': 0,
      'app.update.enabled': false,
      'network.captive-portal-service.enabled': false,
      'network.connectivity-service.enabled': false,
      'services.settings.server': 'data:,',
    },
  });
  const page = await browser.newPage();
  await page.setViewport({ width: 1280, height: 800 });
  const errors: string[] = [];
  page.on('pageerror', (error) => errors.push(String(error)));
  return {
    errors,
    open: async (url) => void (await page.goto(url)),
    press: (css) => page.click(css),
    type: async (text) => {
      for (const letter of text) {
        await (letter === '\n' ? page.keyboard.press('Enter') : page.keyboard.type(letter));
      }
    },
    ask: (expression) => page.evaluate(expression) as never,
    quit: () => browser.close(),
  };
}

async function startWebKit(): Promise<Engine> {
  const display = `:${70 + (process.pid % 20)}`;
  const screen = spawn('Xvfb', [display, '-screen', '0', '1280x900x24'], { stdio: 'ignore' });
  const port = await freePort(4400);
  const env = {
    ...process.env,
    ...{ DISPLAY: display, LIBGL_ALWAYS_SOFTWARE: '1', WEBKIT_DISABLE_DMABUF_RENDERER: '1' },
  };
  const driver = spawn('dbus-run-session', ['--', WEBKIT_DRIVER, `--port=${port}`], {
    stdio: 'ignore',
    env,
    detached: true,
  });
  const session = await retried(() =>
    new Builder()
      .usingServer(`http://127.0.0.1:${port}`)
      .withCapabilities({
        browserName: 'MiniBrowser',
        'webkitgtk:browserOptions': { binary: MINI_BROWSER, args: ['--automation'] },
      })
      .build(),
  );
  return {
    errors: [],
    open: (url) => session.get(url),
    press: async (css) => session.findElement(By.css(css)).click(),
    type: async (text) => {
      const keys = [...text].map((letter) => (letter === '\n' ? Key.ENTER : letter));
      await session
        .switchTo()
        .activeElement()
        .sendKeys(...keys);
    },
    ask: (expression) => session.executeScript(`return (${expression})`),
    quit: async () => {
      await session.quit().catch(() => null);
      end(driver);
      screen.kill();
    },
  };
}

/** Ends a driver and what it started. */
function end(driver: ChildProcess): void {
  if (driver.pid !== undefined) process.kill(-driver.pid);
}

/** A driver that was just started does not listen yet. */
async function retried<T>(attempt: () => Promise<T>, times = 40): Promise<T> {
  try {
    return await attempt();
  } catch (error) {
    if (times === 0) throw error;
    await new Promise((done) => setTimeout(done, 250));
    return retried(attempt, times - 1);
  }
}
