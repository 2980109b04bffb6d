import { join } from 'node:path';
import type { Page } from '@playwright/test';
import { must } from '@/core/issue';
import { USUAL_COURSE, type Course } from '@/core/ladder';
import { blankRecipe, startOf, toggleOstinato } from '@/core/recipe';
import { closeDb, openDb } from '@/db';
import {
  addItem,
  addStudent,
  asTeacher,
  createProgram,
  giveProgram,
  openStudio,
  saveExercise,
  viewerOf,
  type Context,
} from '@/server';
import { median, type Row } from './report';
import { withPage } from './served';

const TRIES = 10;

/** One bar at 400, so that tries follow each other quickly. */
const COURSE: Course = {
  ...USUAL_COURSE,
  ladder: { kind: 'list', tempi: [400] },
  dosage: { kind: 'bars', amount: 1 },
  rule: { clean: 20, lost: 2, plateau: 4 },
};

/** A student with one exercise that takes a second. */
function fill(folder: string): void {
  const context: Context = { db: openDb(join(folder, 'mivvel.sqlite')), now: Date.now };
  const studio = { studio: 'Bench', teacher: 'Ada', zone: 'Europe/Lisbon', demo: true };
  const opened = must(openStudio(context, studio));
  const teacher = must(asTeacher(context, viewerOf(context, opened)));
  const recipe = {
    ...toggleOstinato(blankRecipe(), 'hats-2-4'),
    play: { content: { text: '4. 4 8 4' } },
    as: startOf('phrase-cells'),
  };
  const { id } = must(saveExercise(teacher, { id: null, name: 'Cells', recipe }));
  const program = must(createProgram(teacher, 'Autumn'));
  must(addItem(teacher, program, id, COURSE));
  const student = must(addStudent(teacher, { name: 'Ines', about: '' }));
  must(giveProgram(teacher, program, student));
  closeDb(context.db);
}

/** From the touch on a verdict to the next try that is ready; nobody waits for it to be stored. The baseline fetches
 * a small file from the same server. */
export async function verdicts(): Promise<Row[]> {
  return withPage(async (page, url) => {
    await page.getByRole('button', { name: /^Ines / }).click();
    await page.waitForURL('**/today');
    await page.goto(`${url}/stand`);
    await page.locator('[data-stage=ready]').waitFor();
    const times: number[] = [];
    for (let index = 0; index < TRIES; index += 1) times.push(await oneTry(page));
    const fetches = await page.evaluate(async () => {
      const taken: number[] = [];
      for (let index = 0; index < 20; index += 1) {
        const from = performance.now();
        await (await fetch('/icon.svg', { cache: 'no-store' })).text();
        taken.push(performance.now() - from);
      }
      return taken;
    });
    const [mine, base] = [median(times), median(fetches)];
    return [
      {
        what: 'from a verdict to the next try that is ready, the try sent meanwhile',
        measured: `median ${mine.toFixed(0)} ms, worst of ${TRIES} ${Math.max(...times).toFixed(0)} ms`,
        against: `${(mine / base).toFixed(1)} × fetching a small file from the same server (${base.toFixed(1)} ms)`,
      },
    ];
  }, fill);
}

async function oneTry(page: Page): Promise<number> {
  await page.getByRole('button', { name: 'Start' }).click();
  await page.locator('[data-stage=verdict]').waitFor();
  return page.evaluate(
    () =>
      new Promise<number>((done) => {
        const main = document.querySelector('main.stand');
        const clean = [...document.querySelectorAll('button')].find(
          (one) => one.textContent === 'clean',
        );
        if (!main || !clean) throw new Error('no question');
        const from = performance.now();
        new MutationObserver((_, watching) => {
          if (main.getAttribute('data-stage') !== 'ready') return;
          watching.disconnect();
          requestAnimationFrame(() => done(performance.now() - from));
        }).observe(main, { attributes: true });
        clean.click();
      }),
  );
}
