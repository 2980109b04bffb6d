import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { samples } from '@/samples.fixture';
import { must } from '@/core/issue';
import type { Posted, Verdict } from '@/core/log';
import type { EntryId } from '@/core/studio';
import { openDb } from '@/db';
import { connectionOf } from '@/db/connection';
import { asTeacher, getPlan, getRecord, listStudents, logPaper, newId, viewerOf } from '.';
import { about, decision, log, smallStudio, takenBack, testContext, tryOf } from './studio.fixture';

const DAY_MS = 86_400_000;

type Step =
  | { readonly does: 'try'; readonly verdict: Verdict; readonly onRung: boolean }
  | { readonly does: 'say'; readonly back: number; readonly beat: number }
  | { readonly does: 'move'; readonly rung: number }
  | { readonly does: 'undo'; readonly back: number; readonly ofTries: boolean }
  | { readonly does: 'sleep' | 'look' | 'paper' };

const steps: fc.Arbitrary<Step> = fc.oneof(
  {
    weight: 8,
    arbitrary: fc.record({
      does: fc.constant('try' as const),
      verdict: fc.constantFrom(
        'clean' as const,
        'clean' as const,
        'shaky' as const,
        'lost' as const,
      ),
      onRung: fc.boolean(),
    }),
  },
  {
    weight: 3,
    arbitrary: fc.record({
      does: fc.constant('say' as const),
      back: fc.nat({ max: 40 }),
      beat: fc.nat({ max: 3 }),
    }),
  },
  {
    weight: 1,
    arbitrary: fc.record({ does: fc.constant('move' as const), rung: fc.nat({ max: 8 }) }),
  },
  {
    weight: 2,
    arbitrary: fc.record({
      does: fc.constant('undo' as const),
      back: fc.nat({ max: 20 }),
      ofTries: fc.boolean(),
    }),
  },
  { weight: 2, arbitrary: fc.record({ does: fc.constantFrom('sleep' as const, 'look' as const) }) },
  { weight: 1, arbitrary: fc.record({ does: fc.constant('paper' as const) }) },
);

describe('what a log comes to', () => {
  it('kept up entry by entry is what it comes to when all of it is read anew', () => {
    fc.assert(
      fc.property(fc.array(steps, { minLength: 5, maxLength: 70 }), (all) => {
        const context = testContext();
        const studio = smallStudio(context);
        const { teacher, student, id } = studio;
        const tries: EntryId[] = [];
        const decided: EntryId[] = [];
        const put = (entry: Posted, by: typeof teacher | typeof student = student) => {
          log(by, id, entry);
          return entry.id;
        };
        for (const step of all) {
          context.at += 1000;
          const { state } = must(getRecord(teacher, id)).items[0] ?? {};
          if (!state) throw new Error('no item');
          if (step.does === 'sleep') context.at += DAY_MS;
          else if (step.does === 'look') must(listStudents(teacher));
          else if (step.does === 'try') {
            const bpm = step.onRung ? state.bpm : 90;
            tries.push(put(tryOf(studio, { bpm, verdict: step.verdict })));
          } else if (step.does === 'say') {
            const of = tries.at(-1 - (step.back % Math.max(1, tries.length)));
            if (of) put(about('broke', of, { beat: step.beat }));
          } else if (step.does === 'move') {
            decided.push(put(decision(studio, { does: 'move', rung: step.rung }), teacher));
          } else if (step.does === 'undo') {
            const taken = step.ofTries ? tries : decided;
            const of = taken.at(-1 - (step.back % Math.max(1, taken.length)));
            if (of) decided.push(put(takenBack(of, teacher), teacher));
          } else {
            const ids = [newId<'entry'>(teacher)];
            const place = { assignmentId: studio.assignment, itemId: studio.item };
            const cell = { ...place, day: '2026-01-04', text: 'c', ids };
            must(logPaper(teacher, id, newId<'session'>(teacher), [cell]));
          }
        }
        const bytes = connectionOf(context.db).$client.serialize();
        const anew = { ...context, db: openDb(bytes), now: () => context.at };
        const [ada] = connectionOf(anew.db)
          .$client.prepare("select id from person where role = 'owner'")
          .pluck()
          .all() as Parameters<typeof viewerOf>[1][];
        const fresh = must(asTeacher(anew, ada ? viewerOf(anew, ada) : null));
        expect(must(getRecord(teacher, id))).toEqual(must(getRecord(fresh, id)));
        expect(must(getPlan(teacher, id))).toEqual(must(getPlan(fresh, id)));
        expect(must(listStudents(teacher))).toEqual(must(listStudents(fresh)));
      }),
      { numRuns: samples(40) },
    );
  }, 60_000);

  it('an erased log is read anew', () => {
    const context = testContext();
    const studio = smallStudio(context);
    log(studio.student, studio.id, tryOf(studio), tryOf(studio));
    expect(must(getRecord(studio.teacher, studio.id)).items[0]?.count).toBe(2);
    connectionOf(context.db).$client.prepare('delete from entry').run();
    expect(must(getRecord(studio.teacher, studio.id)).items[0]?.count).toBe(0);
  });
});
