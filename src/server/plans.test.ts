import { describe, expect, it } from 'vitest';
import { must, type Result } from '@/core/issue';
import { planDays, planToday, USUAL_SCHEDULE, type Schedule } from '@/core/plan';
import { changeItems } from '@/core/program';
import { itemKey } from '@/core/studio';
import {
  addItem,
  createProgram,
  followVersion,
  getDay,
  getPlan,
  getProgram,
  getRound,
  getToday,
  giveProgram,
  saveOutline,
  setSchedule,
} from '.';
import {
  log,
  secondItem,
  smallStudio,
  testContext,
  tryOf,
  type TestContext,
} from './studio.fixture';

function codes(result: Result<unknown>): string[] {
  return result.ok ? [] : result.issues.map((issue) => issue.code);
}

const DAY_MS = 86_400_000;

/** A studio whose student has played once, five minutes, on Monday 5 January. */
function played(context: TestContext) {
  const studio = smallStudio(context);
  log(studio.student, studio.student.store.id, tryOf(studio));
  return studio;
}

const planOf = (_: TestContext, { student }: ReturnType<typeof smallStudio>) =>
  must(getPlan(student, student.store.id));

describe('getPlan', () => {
  it('starts where the log stands, and takes off what was done today', () => {
    const context = testContext();
    const studio = smallStudio(context);
    const before = planOf(context, studio);
    expect(before).toMatchObject({ scheduled: false, missed: [], clock: '17:00' });
    expect(before.planning.keeps).toBe(0.75);
    // Half an hour holds 34 tries of 32 s with their rests of 20 s, and one without.
    expect(planToday(before.planning, null)).toHaveLength(35);
    log(studio.student, studio.student.store.id, tryOf(studio));
    const after = planOf(context, studio);
    expect(after.planning.states[0]).toMatchObject({ clean: 1, today: { tries: 1, seconds: 320 } });
    expect(planToday(after.planning, null)).toHaveLength(28);
    expect(after.done).toEqual([{ day: '2026-01-05', tries: 1, seconds: 300 }]);
  });

  it('is mended the next days: what was missed is named, and its work comes first', () => {
    const context = testContext();
    const studio = played(context);
    must(setSchedule(studio.student, studio.student.store.id, USUAL_SCHEDULE));
    context.at += 3 * DAY_MS;
    const plan = planOf(context, studio);
    expect(plan.missed).toEqual(['2026-01-06', '2026-01-07']);
    const [day] = planDays(plan.planning).days;
    expect(day).toMatchObject({ day: '2026-01-08' });
    expect(day?.entries).toHaveLength(35);
  });

  it('counts days in the studio’s zone, also for somebody ahead of it and over a change of the clock', () => {
    const context = testContext();
    context.at = Date.UTC(2026, 2, 28, 23, 30);
    const studio = played(context);
    context.at += 90 * 60_000;
    log(studio.student, studio.student.store.id, tryOf(studio));
    const { done, planning, clock } = planOf(context, studio);
    expect(done.map((one) => one.day)).toEqual(['2026-03-28', '2026-03-29']);
    expect(planning.today).toBe('2026-03-29');
    expect(clock).toBe('02:00');
  });

  it('a rung on the pad needs no kit, and every try is as long as its rung asks', () => {
    const context = testContext();
    const studio = smallStudio(context);
    const [work] = planOf(context, studio).planning.works;
    expect(work).toMatchObject({ needsKit: false, cuts: false, varies: true, rule: { clean: 3 } });
    expect(work?.trySeconds).toHaveLength(9);
    // 8 bars of four beats, from 60 up to 100 by 5.
    expect(work?.trySeconds).toEqual(
      Array.from({ length: 9 }, (_, rung) => expect.closeTo((32 * 60) / (60 + 5 * rung), 9)),
    );
  });

  it('the teacher says what needs the kit', () => {
    const context = testContext();
    const studio = smallStudio(context);
    const { teacher, program } = studio;
    const { outline, revision, given, version } = must(getProgram(teacher, program));
    const atKit = changeItems(outline, new Set([studio.item]), (one) => ({ ...one, place: 'kit' }));
    must(saveOutline(teacher, program, { revision, outline: atKit }));
    const ids = given.map((one) => one.assignmentId);
    must(followVersion(teacher, ids, version + 1));
    expect(planOf(context, studio).planning.works[0]?.needsKit).toBe(true);
  });

  it('is the student’s own and the teacher’s, nobody else’s', () => {
    const context = testContext();
    const [studio, other] = [smallStudio(context), smallStudio(context)];
    const of = studio.student.store.id;
    expect(must(getPlan(studio.teacher, of)).student.id).toBe(of);
    expect(codes(getPlan(other.student, of))).toEqual(['not-yours']);
    expect(codes(getPlan(other.teacher, of))).toEqual(['not-found']);
  });
});

describe('what waits to be judged', () => {
  it('comes latest first, whatever it is of; what was stopped or lies a week back does not', () => {
    const context = testContext();
    const studio = smallStudio(context);
    const other = { ...studio, ...secondItem(studio) };
    const play = (of: typeof other | typeof studio, said = {}) => {
      context.at += 60_000;
      const one = tryOf(of, { verdict: null, ...said });
      log(studio.student, studio.id, one);
      return one.id;
    };
    play(studio);
    context.at += 7 * DAY_MS;
    const all = [play(studio), play(other), play(studio), play(other)];
    play(studio, { stopped: true });
    play(other, { verdict: 'clean' });
    const { open } = must(getDay(studio.student));
    expect(open.map(({ id }) => id)).toEqual(all.reverse());
  });
});

describe('setSchedule', () => {
  const TARGET: Schedule = {
    ...USUAL_SCHEDULE,
    target: '2026-02-01',
    order: 'interleaved',
    since: '2026-01-05',
  };

  it('keeps what is right', () => {
    const context = testContext();
    const studio = smallStudio(context);
    must(setSchedule(studio.student, studio.student.store.id, TARGET));
    expect(planOf(context, studio)).toMatchObject({
      scheduled: true,
      planning: { schedule: TARGET },
    });
  });

  it('refuses what is wrong, and leaves what was there', () => {
    const context = testContext();
    const studio = smallStudio(context);
    const { student } = studio;
    must(setSchedule(student, student.store.id, TARGET));
    const past = { ...TARGET, target: '2026-01-04' };
    expect(codes(setSchedule(student, student.store.id, past))).toEqual(['target-past']);
    expect(planOf(context, studio).planning.schedule).toMatchObject(TARGET);
  });
});

describe('getRound', () => {
  it('is today’s plan; what there is time for now; or one item first', () => {
    const context = testContext();
    const studio = smallStudio(context);
    const { teacher, student } = studio;
    context.at += 1000;
    const other = must(createProgram(teacher, 'Winter'));
    const item = must(addItem(teacher, other, studio.exercise.id));
    must(giveProgram(teacher, other, student.store.id));
    const [first, second] = must(getToday(student)).map(itemKey);
    const blocksOf = (round: ReturnType<typeof getRound>) =>
      must(round).slots.reduce<(string | number | null)[][]>((blocks, { key }) => {
        const last = blocks.at(-1);
        if (last?.[0] === key) last[1] = Number(last[1]) + 1;
        else blocks.push([key, 1]);
        return blocks;
      }, []);
    expect(blocksOf(getRound(student, student.store.id))).toEqual([
      [first, 18],
      [second, 17],
    ]);
    expect(blocksOf(getRound(student, student.store.id, { item }))).toEqual([
      [second, 17],
      [first, 18],
    ]);
    const short = must(getRound(student, student.store.id, { now: { minutes: 1, on: 'pad' } }));
    expect(short.slots).toEqual([{ key: first, kind: 'new', on: 'pad', cutTo: null }]);
    expect(must(getRound(student, student.store.id)).caution).toMatchObject({ allowedMinutes: 15 });
  });

  it('an item that is opened by itself has all its tries before the others, also where they take turns', () => {
    const context = testContext();
    const studio = smallStudio(context);
    const { teacher, student } = studio;
    const { item } = secondItem(studio);
    const turns = { ...USUAL_SCHEDULE, order: 'interleaved' as const };
    must(setSchedule(teacher, student.store.id, turns));
    const inTurn = must(getRound(student, student.store.id)).slots.map(({ key }) => key);
    const [first, second] = must(getToday(student)).map(itemKey);
    expect(inTurn.slice(0, 4)).toEqual([first, second, first, second]);
    const { slots } = must(getRound(student, student.store.id, { item }));
    const mine = inTurn.filter((key) => key === second).length;
    expect(slots.slice(0, mine).map(({ key }) => key)).toEqual(Array(mine).fill(second));
    expect(slots[mine]?.key).toBe(first);
  });

  it('tries that were hardly begun leave the plan as it was: what was played counts', () => {
    const context = testContext();
    const studio = smallStudio(context);
    const { student } = studio;
    const triesToday = () => must(getDay(student)).plan.planning.states[0]?.today.tries;
    for (const seconds of [5, 4, 3]) {
      const said = { bars: 1, seconds, verdict: null, stopped: true };
      log(student, student.store.id, tryOf(studio, said));
    }
    // Twelve seconds of a try of 32.
    expect(triesToday()).toBe(0);
    const said = { bars: 6, seconds: 24, verdict: null, stopped: true };
    log(student, student.store.id, tryOf(studio, said));
    expect(triesToday()).toBe(1);
  });

  it('with nothing left for today everything that is due comes once', () => {
    const context = testContext();
    const studio = smallStudio(context);
    for (let index = 0; index < 6; index += 1) {
      log(studio.student, studio.student.store.id, tryOf(studio, { verdict: 'shaky' }));
    }
    const round = must(getRound(studio.student, studio.id));
    expect(round.slots).toHaveLength(1);
    expect(round.items).toHaveLength(1);
  });
});
