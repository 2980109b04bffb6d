import { fileURLToPath } from 'node:url';
import { chromium } from '@playwright/test';
import { build } from 'esbuild';
import { seeded } from '@/core/chance';
import { startLadder, USUAL_COURSE } from '@/core/ladder';
import {
  findUnfit,
  planDays,
  USUAL_SCHEDULE,
  workStateOf,
  type Planning,
  type PlannedExercise,
} from '@/core/plan';
import { browserPath } from '../scripts/lib/debian.mjs';
import { median, timed, type Row } from './report';

const ITEMS = 60;
const ROUNDS = 20;

/** A program at its start, so many minutes every day. */
function planningOf(items: number, minutes: number): Planning {
  const random = seeded(9);
  const works = Array.from({ length: items }, (_, index): PlannedExercise => {
    const seconds = 120 + 60 * Math.floor(4 * random());
    const tally = { clean: 4 + 8 * random(), other: 1 + 4 * random() };
    return {
      id: String(index),
      name: `Exercise ${index + 1}`,
      after: index % 5 === 4 ? [index - 1] : [],
      needsKit: index % 3 === 0,
      trySeconds: Array.from({ length: 9 }, () => seconds),
      tempi: Array.from({ length: 9 }, (_, rung) => 60 + 5 * rung),
      cuts: true,
      rule: { clean: 3, lost: 2, plateau: 4 },
      varies: true,
      headStart: false,
      waits: false,
      weight: random(),
      pace: {
        fresh: tally,
        known: { ...tally, clean: tally.clean + 2 },
        lost: 0.3,
        learning: [{ aMinute: 0.05, chance: 1, start: tally }],
      },
    };
  });
  const start = startLadder({ course: USUAL_COURSE });
  const { week } = USUAL_SCHEDULE;
  const daily = Object.fromEntries(
    Object.entries(week).map(([day, hours]) => [day, { ...hours, minutes }]),
  );
  return {
    works,
    states: works.map(() => workStateOf(start, { missed: false, today: { tries: 0, seconds: 0 } })),
    schedule: { ...USUAL_SCHEDULE, week: daily as typeof week },
    today: '2026-03-02',
  };
}

/** Twelve weeks for 60 items, and what does not fit; then 2,000 futures of it in a worker of a page. */
export async function planning(): Promise<Row[]> {
  const large = planningOf(ITEMS, 60);
  const plan = () => planDays(large);
  plan();
  const mine = median(Array.from({ length: ROUNDS }, () => timed(plan)));
  const done = plan();
  const copied = median(
    Array.from({ length: ROUNDS }, () => timed(() => JSON.parse(JSON.stringify(done)))),
  );
  const target = { ...large, schedule: { ...large.schedule, target: '2026-05-20' } };
  const late = timed(() => findUnfit(target, planDays(target)));
  return [
    {
      what: `plan of 12 weeks for ${ITEMS} items`,
      measured: `${mine.toFixed(1)} ms; with a target date and what to drop ${late.toFixed(0)} ms`,
      against: `${(mine / copied).toFixed(2)} × copying the plan as JSON`,
    },
    ...(await inWorker([planningOf(8, 30), planningOf(ITEMS, 30), large])),
  ];
}

const FUTURES = 2000;

async function inWorker(plannings: readonly Planning[]): Promise<Row[]> {
  const here = (path: string) => fileURLToPath(new URL(path, import.meta.url));
  const bundle = await build({
    entryPoints: [here('../src/workers/forecast.worker.ts')],
    bundle: true,
    write: false,
    format: 'iife',
    alias: { '@': here('../src') },
  });
  const browser = await chromium.launch({ executablePath: browserPath(), chromiumSandbox: false });
  const page = await browser.newPage();
  const rows: Row[] = [];
  for (const asked of plannings) {
    const forecasting = { ...asked, count: 84, keeps: 0.8, seed: 1, futures: FUTURES };
    const { forecast, help, echo } = await page.evaluate(
      async ({ code, forecasting }) => {
        const worker = new Worker(URL.createObjectURL(new Blob([code])));
        const from = performance.now();
        const times: number[] = [];
        worker.postMessage(forecasting);
        await new Promise<void>((done) => {
          worker.onmessage = () => {
            times.push(performance.now() - from);
            if (times.length === 2) done();
          };
        });
        worker.terminate();
        const started = performance.now();
        const idle = new Worker(URL.createObjectURL(new Blob(['onmessage=()=>postMessage(0)'])));
        idle.postMessage(forecasting);
        await new Promise((done) => (idle.onmessage = done));
        return { forecast: times[0] ?? 0, help: times[1] ?? 0, echo: performance.now() - started };
      },
      { code: bundle.outputFiles[0]?.text ?? '', forecasting },
    );
    rows.push({
      what: `forecast of ${asked.works.length} items, ${asked.schedule.week.Mon.minutes} min a day, 12 weeks, ${FUTURES} futures, in a worker`,
      measured: `${Math.round(forecast)} ms; what would help after ${Math.round(help)} ms`,
      against: `${Math.round(forecast / echo)} × starting an idle worker (${echo.toFixed(0)} ms)`,
    });
  }
  await browser.close();
  return rows;
}
