import { describe, expect, it } from 'vitest';
import { fail, must, type Result } from '@/core/issue';
import { USUAL_LOOK, type SheetOf } from '@/core/print';
import { sayOnPaperIn } from '@/words';
import {
  addStudent,
  endLink,
  getRecord,
  giveProgram,
  makeSheets,
  openLink,
  planSheets,
  setAddress,
  takeBack,
} from '.';
import { smallStudio, testContext } from './studio.fixture';

const SAY = sayOnPaperIn('en-GB');
function codes(result: Result<unknown>): string[] {
  return result.ok ? [] : result.issues.map((issue) => issue.code);
}

async function linesOf(me: Parameters<typeof planSheets>[0], what: SheetOf, as: 'pages' | 'pdf') {
  const lines: unknown[] = [];
  for await (const line of makeSheets(SAY, USUAL_LOOK, must(planSheets(me, SAY, what)), as)) {
    lines.push(line);
  }
  return lines;
}

describe('planSheets', () => {
  it('a week has the way in of a student who has a link, where the studio has an address', () => {
    const { teacher, student, id } = smallStudio(testContext());
    const wayIn = () => {
      const what = { kind: 'week', student: id, program: null } as const;
      return must(must(planSheets(teacher, SAY, what)).make(0)).wayIn;
    };
    const path = must(openLink(teacher, id, false));
    expect(wayIn()).toBeNull();
    must(setAddress(teacher, 'http://192.168.1.20:3000'));
    expect(wayIn()).toBe(`http://192.168.1.20:3000${path}`);
    must(endLink(teacher, student.id));
    expect(wayIn()).toBeNull();
  });

  it('a week has the rows that a paper week is typed into, in their order', () => {
    const { teacher, id } = smallStudio(testContext());
    const { make } = must(planSheets(teacher, SAY, { kind: 'week', student: id, program: null }));
    const { week, student, items } = must(make(0));
    const typed = must(getRecord(teacher, id)).items.map(({ item }) => item.name);
    expect(week?.rows.map(({ name }) => name.replace(/^\d+ +/, ''))).toEqual(typed);
    expect(items.map(({ name }) => name)).toEqual(typed);
    expect(week?.days).toHaveLength(7);
    expect(week?.days[0]?.day).toBe('2026-01-05');
    expect(student).toBe(must(getRecord(teacher, id)).student.name);
  });

  it('a class has a week for everybody who has the program, each their own', async () => {
    const { teacher, program } = smallStudio(testContext());
    const omar = must(addStudent(teacher, { name: 'Omar', about: '' }));
    must(giveProgram(teacher, program, omar));
    const sheets = must(planSheets(teacher, SAY, { kind: 'class', program }));
    expect(sheets.of).toBe(2);
    const names = [0, 1].map((index) => must(sheets.make(index)).student);
    expect(names).toContain('Omar');
    expect(new Set(names).size).toBe(2);
    const lines = await linesOf(teacher, { kind: 'class', program }, 'pdf');
    expect(lines).toMatchObject([{ done: 1, of: 2 }, { done: 2, of: 2 }, {}]);
    const { pdf } = lines[2] as { pdf: string };
    expect(Buffer.from(pdf, 'base64').subarray(0, 5).toString()).toBe('%PDF-');
  });

  it('a program that nobody has can be printed, but not for each', () => {
    const { teacher, program, assignment } = smallStudio(testContext());
    must(takeBack(teacher, assignment, true));
    expect(codes(planSheets(teacher, SAY, { kind: 'class', program }))).toEqual(['nobody-has-it']);
    expect(must(planSheets(teacher, SAY, { kind: 'program', program })).of).toBe(1);
  });

  it('what cannot be read says where, and makes nothing', async () => {
    const { teacher } = smallStudio(testContext());
    const line = { kind: 'line', name: 'Line', text: '4 4 4 x', meter: '4/4' } as const;
    const lines = await linesOf(teacher, line, 'pages');
    expect(lines).toHaveLength(1);
    expect(lines[0]).toHaveProperty('issues');
  });

  it('a student gets their own week and nothing else', () => {
    const { student, program, id } = smallStudio(testContext());
    expect(must(planSheets(student, SAY, { kind: 'week', student: id, program: null })).of).toBe(1);
    expect(codes(planSheets(student, SAY, { kind: 'program', program }))).toEqual(['not-yours']);
  });

  it('a sheet that is refused ends the making, and says why', async () => {
    const { teacher, program } = smallStudio(testContext());
    const { make, title } = must(planSheets(teacher, SAY, { kind: 'program', program }));
    const refused = fail({ code: 'not-found', path: [], what: 'exercise' });
    const of = { title, of: 3, make: (index: number) => (index === 1 ? refused : make(0)) };
    for (const as_ of ['pages', 'pdf'] as const) {
      const lines: unknown[] = [];
      for await (const line of makeSheets(SAY, USUAL_LOOK, of, as_)) lines.push(line);
      expect(lines).toMatchObject([{ done: 1, of: 3 }, { issues: [{ code: 'not-found' }] }]);
      expect(lines).toHaveLength(2);
    }
  });
});
