import { describe, expect, it } from 'vitest';
import { must } from '@/core/issue';
import { foldItem } from '@/core/log';
import { daysAfter, type ItemId } from '@/core/studio';
import {
  addItem,
  addStudent,
  createProgram,
  getDay,
  getProgram,
  getRecord,
  giveProgram,
  logPaper,
  newId,
  saveExercise,
  saveOutline,
  setSchedule,
} from '@/server';
import { cells, smallStudio, studentAt, testContext } from '@/server/studio.fixture';
import { samples } from '@/samples.fixture';
import { Practice, type Habits, type Noted } from './month.fixture';

const STUDENTS: readonly Habits[] = [
  { name: 'steady', clean: 0.75, stops: 0.05, closes: 0, silent: 0, offline: 0 },
  { name: 'stops a lot', clean: 0.6, stops: 0.5, closes: 0, silent: 0.05, offline: 0 },
  { name: 'closes the page', clean: 0.6, stops: 0.1, closes: 0.3, silent: 0, offline: 0.1 },
  { name: 'says nothing', clean: 0.7, stops: 0.1, closes: 0.05, silent: 0.6, offline: 0 },
  { name: 'has no network', clean: 0.65, stops: 0.1, closes: 0.1, silent: 0.1, offline: 0.6 },
  { name: 'on paper too', clean: 0.7, stops: 0.1, closes: 0.1, silent: 0.1, offline: 0.2 },
];

/** A month, where there is time for one. */
const DAYS = samples(30);
const DAY_MS = 24 * 3600 * 1000;

/** Where a ladder of tempi stands, counted by hand as the rule says it: up after three clean, down after two lost,
 * simpler at the bottom, back to the whole after three clean; passed work slips after two lost. Shares no code
 * with the app. */
function countByHand(tempi: readonly number[], tries: readonly Noted[]) {
  let [rung, clean, lost] = [0, 0, 0];
  let simpler = false;
  let passed = false;
  const to = (next: number) => ([rung, clean, lost] = [next, 0, 0]);
  for (const one of tries) {
    if (one.verdict === null || (one.stopped && one.verdict === 'clean')) continue;
    if (one.rung !== `tempo:${tempi[rung]}`) continue;
    if (one.verdict === 'clean') {
      lost = 0;
      if (passed) continue;
      clean += 1;
      if (clean < 3) continue;
      if (simpler) {
        simpler = false;
        to(rung);
      } else if (rung === tempi.length - 1) {
        passed = true;
        clean = 0;
      } else to(rung + 1);
      continue;
    }
    clean = 0;
    lost = one.verdict === 'lost' ? lost + 1 : 0;
    if (lost < 2) continue;
    if (passed) {
      passed = false;
      to(rung - 1);
    } else if (rung > 0) to(rung - 1);
    else if (simpler) lost = 0;
    else {
      simpler = true;
      to(0);
    }
  }
  return { rung, clean, lost, passed, simpler };
}

const FIVES = [60, 65, 70, 75, 80, 85, 90, 95, 100];

/** A student with two exercises of short tries, whose ladders never stand still long enough to be asked about. */
function newStudent(habits: Habits) {
  const context = testContext();
  const { teacher } = smallStudio(context);
  const id = must(addStudent(teacher, { name: habits.name, about: '' }));
  const program = must(createProgram(teacher, 'A month'));
  for (const text of ['4. 4 8 4', '8 4 8 4 4']) {
    const saved = must(saveExercise(teacher, { id: null, name: text, recipe: cells(text) }));
    must(addItem(teacher, program, saved.id));
  }
  const { revision, outline } = must(getProgram(teacher, program));
  const sections = outline.sections.map((section) => ({
    ...section,
    items: section.items.map((item) => ({
      ...item,
      course: {
        ...item.course,
        dosage: { kind: 'bars' as const, amount: 8 },
        rule: { clean: 3, lost: 2, plateau: 20 },
      },
    })),
  }));
  must(saveOutline(teacher, program, { revision, outline: { ...outline, sections } }));
  const assignment = must(giveProgram(teacher, program, id));
  const student = studentAt(context, id);
  const { planning } = must(getDay(student)).plan;
  must(setSchedule(student, id, planning.schedule));
  return { context, teacher, student, id, assignment };
}

describe('a month at the stand', () => {
  it.each(STUDENTS.map((habits, index) => [habits.name, habits, index] as const))(
    '%s: all that was played and said is in the log once, and each ladder stands where a hand count puts it',
    (_, habits, index) => {
      const { context, teacher, student, id, assignment } = newStudent(habits);
      const practice = new Practice(context, student, id, habits, 100 + index);
      const onPaper: Noted[] = [];
      for (let day = 0; day < DAYS; day += 1) {
        const begins = context.at;
        if (habits.name === 'on paper too' && day % 7 === 6) onPaper.push(...paperOf(day));
        else practice.day(3 + (day % 4));
        if (day % 4 === 3) practice.judgeLater(day % 8 === 3 ? teacher : student, 'clean');
        context.at = begins + DAY_MS;
      }
      practice.send(true);
      expect(practice.waiting).toBe(0);

      expect(practice.noted.length).toBeGreaterThan(2 * DAYS);
      expect(practice.noted.some((one) => one.stopped)).toBe(true);
      expect(practice.noted.some((one) => one.verdict === null)).toBe(true);

      const { items } = must(getRecord(teacher, id));
      const all = [...practice.noted, ...onPaper];
      const played = items.reduce((sum, one) => sum + secondsOf(one.days), 0);
      expect(played).toBeCloseTo(
        all.reduce((sum, one) => sum + one.seconds, 0),
        3,
      );
      const events = foldItem(student.store.log.since(0)).flatMap((one) =>
        one.kind === 'try' ? [one] : [],
      );
      expect(events).toHaveLength(all.length);
      for (const one of practice.noted) {
        const found = events.find((event) => event.id === one.id);
        expect(found).toMatchObject({ verdict: one.verdict, stopped: one.stopped, rung: one.rung });
        const said =
          (found?.verdict ? 1 : 0) + (found?.suffered.length ?? 0) + (found?.broke.length ?? 0);
        expect(said).toBe(one.answers);
      }
      expect(items.some(({ state }) => state.rung > 0)).toBe(true);
      for (const { item, state } of items) {
        const mine = all
          .filter((one) => one.item === item.id)
          .sort((a, b) => (a.day < b.day ? -1 : a.day > b.day ? 1 : 0));
        const hand = countByHand(FIVES, mine);
        const { rung, clean, lostInARow: lost, passed, form } = state;
        expect({ rung, clean, lost, passed, simpler: form === 'simpler' }).toEqual(hand);
        expect(state.askedDays).toBe(0);
      }

      /** Two days ago on paper, typed in today. */
      function paperOf(day: number): readonly Noted[] {
        const [first] = must(getRecord(teacher, id)).items;
        if (!first) throw new Error('no item');
        const on = daysAfter('2026-01-05', day - 2);
        const ids = [0, 1].map(() => newId<'entry'>(teacher));
        const itemId: ItemId = first.item.id;
        const cell = { assignmentId: assignment, itemId, day: on, text: 'cs', ids };
        must(logPaper(teacher, id, newId<'session'>(teacher), [cell]));
        const { latest } = must(getRecord(teacher, id)).items[0] ?? first;
        return latest
          .filter((one) => ids.includes(one.id))
          .map((one) => ({
            ...{ id: one.id, day: one.day, stopped: false, seconds: one.seconds, answers: 0 },
            ...{ item: itemId, rung: one.rung ?? '', verdict: one.verdict },
          }));
      }
    },
    60_000,
  );
});

function secondsOf(days: readonly { readonly seconds: number }[]): number {
  return days.reduce((sum, one) => sum + one.seconds, 0);
}
