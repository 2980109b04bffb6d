import type { Page } from '@playwright/test';
import type { Row } from './report';
import { withTeacher } from './served';

const EDITS = 60;
const FRAME_MS = 1000 / 60;

/** Frames between two edits that come as fast as keys are pressed: eight a second. */
const APART = 8;

/** An edit on the Bench of a four-bar exercise, one each frame, after as many to warm up: how many
 * are on screen, read back and all, before the next frame is due. The baseline is the same page at
 * rest. */
export async function benchFrames(): Promise<Row[]> {
  return withTeacher(async (page, url) => {
    await openBench(page, url);
    const rest = await kept(page, null);
    await kept(page, 1);
    const edits = await kept(page, 1);
    const apart = await kept(page, APART);
    return [
      {
        what: `${EDITS} edits of four bars on the Bench, one every ${APART} frames`,
        measured: `${percent(apart.share)} of the frames that draw an edit kept, worst ${Math.round(apart.worstMs)} ms`,
        against: `${percent(rest.share)} at rest in the same page`,
      },
      {
        what: `${EDITS} edits of four bars on the Bench, one a frame`,
        measured: `${percent(edits.share)} of frames kept, worst ${Math.round(edits.worstMs)} ms`,
        against: `${percent(rest.share)} at rest in the same page`,
      },
    ];
  });
}

async function openBench(page: Page, url: string): Promise<void> {
  await page.goto(`${url}/bench`);
  await page.getByRole('button', { name: /^What keeps going:/ }).click();
  await page.keyboard.type('rock in 8ths');
  await page.keyboard.press('Enter');
  await page.getByLabel('Reading line').fill('4. 4 8 4 | 8r 4 4 8 4 | 4 8 8 4 4 | 4. 4. 4');
  await page.getByLabel('Reading line').press('Escape');
  await page.getByRole('button', { name: 'write', exact: true }).click();
  await page.getByRole('application', { name: 'Lanes' }).focus();
  await page.keyboard.press('ArrowRight');
  await page.locator('[data-staff] [data-glyph^=notehead]').first().waitFor();
}

/** Share of frames that came in time while a note was turned on and off.
 * @param every an edit in every such frame, whose time counts; null edits nothing */
async function kept(page: Page, every: number | null): Promise<{ share: number; worstMs: number }> {
  return page.evaluate(
    async ({ count, frameMs, every }) => {
      const lanes = document.querySelector('[role=application]');
      const times: number[] = [];
      let last = await new Promise<number>((done) => requestAnimationFrame(done));
      for (let index = 0; index < count; index += 1) {
        if (every !== null) {
          const press = { key: 'x', bubbles: true, cancelable: true };
          lanes?.dispatchEvent(new KeyboardEvent('keydown', press));
        }
        const now = await new Promise<number>((done) => requestAnimationFrame(done));
        times.push(now - last);
        last = now;
        for (let rest = 1; rest < (every ?? 1); rest += 1) {
          last = await new Promise<number>((done) => requestAnimationFrame(done));
        }
      }
      const inTime = times.filter((time) => time < frameMs * 1.5).length;
      return { share: inTime / times.length, worstMs: Math.max(...times) };
    },
    { count: EDITS, frameMs: FRAME_MS, every },
  );
}

function percent(share: number): string {
  return `${Math.round(share * 100)} %`;
}
