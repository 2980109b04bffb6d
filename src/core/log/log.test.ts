import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { makeId, type AssignmentId, type EntryId, type ItemId } from '../id';
import {
  ENTRY_KINDS,
  foldItem,
  isAbout,
  KINDS,
  mayMake,
  postedSchema,
  takenBackIds,
  type Body,
  type EntryKind,
  type Logged,
} from '.';

const idOf = (n: number) => makeId<'entry'>(n, new Uint8Array(12));
const itemId = makeId<'item'>(1, new Uint8Array(12)) as ItemId;
const assignmentId = makeId<'assignment'>(1, new Uint8Array(12)) as AssignmentId;

const PLAYED: Body<'try'> = { bpm: 60, rung: 'tempo:60', verdict: 'clean', bars: 8, seconds: 32 };

function logged<Kind extends EntryKind>(
  kind: Kind,
  seq: number,
  body: Body<Kind>,
  more: Partial<Pick<Logged, 'about' | 'by' | 'day' | 'id'>> = {},
): Logged {
  const base = {
    id: idOf(seq),
    seq,
    itemId,
    about: null,
    by: 'student',
    at: seq,
    day: '2026-01-05',
  };
  return { kind, ...base, body, ...more } as unknown as Logged;
}

/** One body of each kind. */
const BODIES: { readonly [Kind in EntryKind]: Body<Kind> } = {
  try: PLAYED,
  judged: { verdict: 'shaky' },
  suffered: { what: 'flam', limb: 'LF' },
  broke: { beat: 2 },
  remark: { text: 'stiff' },
  cue: { text: 'Left foot early.' },
  decided: { does: 'move', rung: 1 },
  note: { text: 'Sing it.' },
  'taken-back': {},
};

/** Where an entry of a kind is put. */
function placeOf(kind: EntryKind): object {
  const { about } = KINDS[kind];
  if (about === 'student') return {};
  return about === 'item' ? { assignmentId, itemId, sessionId: null } : { about: idOf(7) };
}

describe('postedSchema', () => {
  it.each(ENTRY_KINDS)('%s comes through as it was sent', (kind) => {
    const sent = { kind, id: idOf(1), agoMs: 5, body: BODIES[kind], ...placeOf(kind) };
    expect(postedSchema.parse(sent)).toEqual(sent);
  });

  it.each([
    ['no such kind', { kind: 'swapped' }],
    ['an id that is none', { id: '7' }],
    ['a time to come', { agoMs: -1 }],
    ['a body of another kind', { body: BODIES.broke }],
    ['a field that nobody knows', { day: '2026-01-05' }],
    ['a tempo beyond all', { body: { ...PLAYED, bpm: 401 } }],
    ['no item', { itemId: undefined }],
  ])('refuses %s', (_, wrong) => {
    const sent = { kind: 'try', id: idOf(1), agoMs: 0, body: PLAYED, ...placeOf('try'), ...wrong };
    expect(postedSchema.safeParse(sent).success).toBe(false);
  });

  it('knows who may make what, and what it may be about', () => {
    expect(mayMake('student', 'decided')).toBe(false);
    expect(mayMake('teacher', 'note')).toBe(true);
    expect([isAbout('broke', 'try'), isAbout('broke', 'note')]).toEqual([true, false]);
    expect(isAbout('taken-back', 'taken-back')).toBe(true);
  });
});

describe('foldItem', () => {
  it('puts entries about a try to it, by day and as they were stored', () => {
    const first = idOf(1);
    const events = foldItem([
      logged('try', 1, PLAYED, { day: '2026-01-07' }),
      logged('try', 2, { ...PLAYED, paper: true }, { day: '2026-01-05' }),
      logged('suffered', 3, BODIES.suffered, { about: first }),
      logged('broke', 4, BODIES.broke, { about: first }),
      logged('remark', 5, { text: 'stiff' }, { about: first }),
      logged('remark', 6, { text: 'better' }, { about: first }),
      logged('broke', 7, BODIES.broke, { about: idOf(99) }),
    ]);
    expect(events).toMatchObject([
      { id: idOf(2), paper: true, suffered: [], broke: [] },
      { id: first, paper: false, suffered: [BODIES.suffered], broke: [2], remark: 'better' },
    ]);
  });

  it('how a try went is said at once, later, or never; the last word counts, with who said it', () => {
    const open = { ...PLAYED, verdict: null };
    const events = foldItem([
      logged('try', 1, PLAYED),
      logged('try', 2, open),
      logged('try', 3, { ...open, stopped: true }),
      logged('judged', 4, { verdict: 'lost' }, { about: idOf(3) }),
      logged('judged', 5, { verdict: 'shaky' }, { about: idOf(3), by: 'teacher' }),
    ]);
    expect(events).toMatchObject([
      { verdict: PLAYED.verdict, stopped: false, judgedBy: 'student' },
      { verdict: null, judgedBy: null },
      { verdict: 'shaky', stopped: true, judgedBy: 'teacher' },
    ]);
  });

  it('a decision can be taken back, and that too', () => {
    const decided = logged('decided', 1, BODIES.decided);
    const back = logged('taken-back', 2, {}, { about: idOf(1) });
    const again = logged('taken-back', 3, {}, { about: idOf(2) });
    const isBack = (...entries: Logged[]) =>
      foldItem(entries).map((one) => one.kind === 'decided' && one.takenBack);
    expect(isBack(decided)).toEqual([false]);
    expect(isBack(decided, back)).toEqual([true]);
    expect(isBack(decided, back, again)).toEqual([false]);
    const once = [back, logged('taken-back', 4, {}, { about: idOf(1) })];
    expect([...takenBackIds(once)]).toEqual([idOf(1)]);
  });

  it('a try that was taken back is in the log no more, until that is taken back', () => {
    const played = logged('try', 1, PLAYED);
    const broke = logged('broke', 2, { beat: 1 }, { about: idOf(1) });
    const back = logged('taken-back', 3, {}, { about: idOf(1) });
    const again = logged('taken-back', 4, {}, { about: idOf(3) });
    expect(foldItem([played, broke, back])).toEqual([]);
    expect(foldItem([played, broke, back, again])).toMatchObject([{ id: idOf(1), broke: [1] }]);
  });

  const tries = fc.array(
    fc.record({
      day: fc.constantFrom('2026-01-05', '2026-01-06', '2026-01-07'),
      verdict: fc.constantFrom('clean' as const, 'shaky' as const, 'lost' as const),
      beats: fc.array(fc.nat({ max: 3 }), { maxLength: 2 }),
    }),
    { maxLength: 12 },
  );

  it('an entry that comes twice counts once, whatever order the tries were read in', () => {
    fc.assert(
      fc.property(tries, (all) => {
        let seq = 0;
        const entries = all.flatMap(({ day, verdict, beats }) => {
          const one = logged('try', (seq += 1), { ...PLAYED, verdict }, { day });
          const said = beats.map((beat) => {
            return logged('broke', (seq += 1), { beat }, { about: one.id, day });
          });
          return [one, ...said];
        });
        const events = foldItem(entries);
        expect(foldItem([...entries, ...entries])).toEqual(events);
        const [played, said] = [true, false].map((is) =>
          entries.filter((one) => (one.kind === 'try') === is),
        );
        expect(foldItem([...(played ?? []).toReversed(), ...(said ?? [])])).toEqual(events);
        expect(events.map((one) => one.day)).toEqual(events.map((one) => one.day).sort());
        expect(events).toHaveLength(all.length);
      }),
    );
  });

  it('nothing is about what is not there', () => {
    const lonely = logged('remark', 1, { text: 'to whom' }, { about: 'x' as EntryId });
    expect(foldItem([lonely])).toEqual([]);
  });
});
