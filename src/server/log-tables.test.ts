import { describe, expect, it } from 'vitest';
import { LIKELY_CHOICES } from '@/core/format';
import { must } from '@/core/issue';
import type { LogLook } from '@/core/studio';
import {
  addStudent,
  archiveImported,
  exportLog,
  getRecord,
  giveProgram,
  importFile,
  lookIntoFile,
} from '.';
import { about, decision, log, smallStudio, testContext, tryOf } from './studio.fixture';

/** A studio in January 2026, and a second student with the same program. */
function world() {
  const context = testContext();
  const studio = smallStudio(context);
  const other = must(addStudent(studio.teacher, { name: 'Omar', about: '' }));
  must(giveProgram(studio.teacher, studio.program, other));
  return { ...studio, context, other };
}

const file = (text: string) => ({ name: 'log.csv', bytes: new TextEncoder().encode(text) });

type World = ReturnType<typeof world>;

function look({ teacher }: World, text: string, student: World['id'] | null = null): LogLook {
  const found = must(lookIntoFile(teacher, file(text), { ...LIKELY_CHOICES, student }));
  if (found.kind !== 'log') throw new Error(found.kind);
  return found;
}

function itemOf({ teacher }: World, student: World['id']) {
  const [item] = must(getRecord(teacher, student)).items;
  if (!item) throw new Error('no item');
  return item;
}

const OWN = `date;exercise;bpm;verdict
2025-12-01;cells;60;clean
2025-12-01;Cells;60;Clean
2025-12-02;Cells;60;clean
2025-12-03;Cells;62,5;lost
`;

describe('a table of tries', () => {
  it('as a teacher keeps it: what comes, and where the ladder would stand', () => {
    const w = world();
    expect(look(w, OWN)).toMatchObject({ unsaid: 4, coming: [] });
    // Three clean at 60 ask for one up; the teacher decides, so the ladder stays.
    expect(look(w, OWN, w.id)).toMatchObject({
      coming: [
        { student: 'Ines', exercise: 'Cells', tries: 4, from: '2025-12-01', to: '2025-12-03' },
      ],
      known: 0,
      left: [],
    });
    const before = itemOf(w, w.id).count;
    must(importFile(w.teacher, file(OWN), { ...LIKELY_CHOICES, student: w.id }));
    const { count, latest, state } = itemOf(w, w.id);
    expect(count).toBe(before + 4);
    expect(state.bpm).toBe(look(w, OWN, w.id).coming[0]?.bpm);
    // On its rung where the tempo is that of the ladder; at any other one only the tempo is known.
    expect(latest.map(({ day, bpm, verdict, rung }) => [day, bpm, verdict, rung !== null])).toEqual(
      [
        ['2025-12-01', 60, 'clean', true],
        ['2025-12-01', 60, 'clean', true],
        ['2025-12-02', 60, 'clean', true],
        ['2025-12-03', 62.5, 'lost', false],
      ],
    );
  });

  it('onto a day that has tries: what was decided and played then comes before', () => {
    const w = world();
    const day = '2026-01-05';
    log(w.teacher, w.id, decision(w, { does: 'move', rung: 2 }));
    log(w.student, w.id, tryOf(w, { bpm: 70, rung: null }));
    expect(itemOf(w, w.id).latest.at(-1)?.day).toBe(day);
    const table = `date,exercise,bpm,verdict\n${day},Cells,70,clean\n${day},Cells,60,clean\n`;
    must(importFile(w.teacher, file(table), { ...LIKELY_CHOICES, student: w.id }));
    const { latest, days } = itemOf(w, w.id);
    // On the rung where the ladder stood by then; of the other tempo no rung is known.
    expect(latest.slice(-2).map(({ rung }) => rung)).toEqual(['tempo:70', null]);
    expect(days.at(-1)).toMatchObject({ day, tries: 3 });
  });

  it('says where the ladder would stand then, and it does', () => {
    const w = world();
    const low = `date,exercise,bpm,verdict\n${'2025-12-01,Cells,60,lost\n'.repeat(9)}`;
    const [coming] = look(w, low, w.id).coming;
    must(importFile(w.teacher, file(low), { ...LIKELY_CHOICES, student: w.id }));
    expect(itemOf(w, w.id).state.bpm).toBe(coming?.thenBpm);
  });

  it('taken out again it leaves nothing, and put back it is there once', () => {
    const w = world();
    const empty = itemOf(w, w.id);
    const came = must(importFile(w.teacher, file(OWN), { ...LIKELY_CHOICES, student: w.id }));
    const full = itemOf(w, w.id);
    must(archiveImported(w.teacher, came, true));
    expect(itemOf(w, w.id)).toEqual(empty);
    must(archiveImported(w.teacher, came, true));
    must(archiveImported(w.teacher, came, false));
    expect(itemOf(w, w.id)).toEqual(full);
  });

  it('what leaves here comes back as it was, for another student too; twice is once', () => {
    const w = world();
    const of = tryOf(w, { bpm: 60, bars: 12, stopped: true, verdict: 'shaky' });
    log(w.student, w.id, of, tryOf(w, { bpm: 65, rung: null }));
    log(w.student, w.id, about('suffered', of.id, { what: 'flam', limb: 'LH' }));
    log(
      w.student,
      w.id,
      about('broke', of.id, { beat: 2 }),
      about('remark', of.id, { text: '=a;"b"' }),
    );
    const csv = must(exportLog(w.teacher, w.id));
    expect(look(w, csv)).toMatchObject({ coming: [], known: 2, left: [] });
    must(importFile(w.teacher, file(csv.replaceAll('Ines', 'omar')), LIKELY_CHOICES));
    const plain = (student: World['id']) =>
      itemOf(w, student).latest.map(({ id, at, seq, ...rest }) => {
        void [id, seq];
        return { ...rest, minute: Math.floor(at / 60_000) };
      });
    expect(plain(w.other)).toEqual(plain(w.id));
    expect(plain(w.other)[0]).toMatchObject({
      ...{ bars: 12, stopped: true, verdict: 'shaky', judgedBy: 'student', broke: [2] },
      ...{ suffered: [{ what: 'flam', limb: 'LH' }], remark: '=a;"b"' },
    });
    // The same row twice in one file is one.
    const [head, first] = csv.split('\r\n');
    const twice = [head, first, first]
      .join('\r\n')
      .replaceAll(/,[0-9a-z]{22}\r?\n?/g, `,${'0'.repeat(22)}\r\n`);
    expect(look(w, twice)).toMatchObject({ coming: [{ tries: 1 }], known: 1 });
    // What was taken back may come again.
    const again = must(importFile(w.teacher, file(csv.replaceAll('Ines', 'Omar')), LIKELY_CHOICES));
    must(archiveImported(w.teacher, again, true));
    expect(plain(w.other)).toEqual(plain(w.id));
  });

  it('rows without a place are named with their lines, and the others come', () => {
    const w = world();
    const text = `student,date,exercise,bpm
Ines,2025-12-01,Cells,60
Nobody,2025-12-01,Cells,60
Ines,2025-12-01,Waltz,60
Ines,2025-12-02,waltz,60
`;
    expect(look(w, text)).toMatchObject({
      coming: [{ tries: 1 }],
      left: [
        { why: 'student', name: 'Nobody', lines: [3] },
        { why: 'exercise', name: 'Waltz', lines: [4, 5] },
      ],
    });
  });

  it('whose they are is not guessed where several have a name', () => {
    const w = world();
    must(addStudent(w.teacher, { name: 'INES', about: '' }));
    expect(look(w, 'student,date,exercise,bpm\nInes,2025-12-01,Cells,60\n')).toMatchObject({
      coming: [],
      left: [{ why: 'students', name: 'Ines', lines: [2] }],
    });
  });

  it.each(['9:05', '09:05:00'])('a time as spreadsheets write it: %s', (time) => {
    const w = world();
    const text = `date,time,exercise,bpm\n2025-12-01,${time},Cells,60\n`;
    must(importFile(w.teacher, file(text), { ...LIKELY_CHOICES, student: w.id }));
    expect(itemOf(w, w.id).latest[0]?.at).toBe(Date.UTC(2025, 11, 1, 9, 5));
  });

  it.each([
    ['2025-13-01,Cells,60,', 'date'],
    ['2025-02-30,Cells,60,', 'date'],
    ['2099-01-01,Cells,60,', 'date'],
    ['1.12.2025,Cells,60,', 'date'],
    ['2025-12-01,Cells,fast,', 'bpm'],
    ['2025-12-01,Cells,900,', 'bpm'],
    ['2025-12-01,,60,', 'exercise'],
    ['2025-12-01,Cells,60,good', 'verdict'],
  ])('%s: nothing comes, and line and column are said', (row, column) => {
    const w = world();
    const text = `date,exercise,bpm,verdict\n2025-12-01,Cells,60,clean\n${row}\n`;
    const refused = importFile(w.teacher, file(text), { ...LIKELY_CHOICES, student: w.id });
    expect(refused.ok ? [] : refused.issues).toMatchObject([{ line: 3, column }]);
    expect(itemOf(w, w.id).count).toBe(0);
  });

  it.each([
    ['suffered', 'wobble LH'],
    ['suffered', 'flam LH, tone QQ'],
    ['broke-on-beat', '0'],
    ['broke-on-beat', '1 and 3'],
  ])('a word in %s that says nothing is refused: %s', (column, cell) => {
    const w = world();
    const text = `date,exercise,bpm,verdict,${column}\n2025-12-01,Cells,60,shaky,"${cell}"\n`;
    const refused = importFile(w.teacher, file(text), { ...LIKELY_CHOICES, student: w.id });
    expect(refused.ok ? [] : refused.issues).toMatchObject([{ line: 2, column }]);
  });

  it('a remark that is too long is not cut', () => {
    const w = world();
    const text = `date,exercise,bpm,remark\n2025-12-01,Cells,60,${'a'.repeat(301)}\n`;
    const refused = importFile(w.teacher, file(text), { ...LIKELY_CHOICES, student: w.id });
    expect(refused.ok ? [] : refused.issues).toMatchObject([{ line: 2, column: 'remark' }]);
  });

  it('is taken as one by its columns, else as a list of students', () => {
    const w = world();
    const found = must(lookIntoFile(w.teacher, file('name\nIda\n'), LIKELY_CHOICES));
    expect(found.kind).toBe('roster');
  });
});
