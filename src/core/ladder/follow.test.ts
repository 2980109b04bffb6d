import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { samples } from '../../samples.fixture';
import { ENGLISH, sayProposal, sayWhy, sayWhyToStudent } from '@/words';
import { daysAfter } from '../calendar';
import { must } from '../issue';
import { blankRecipe, expand, startOf, toggleOstinato } from '../recipe';
import type { Decision, LadderEvent, Suffered, Try, Verdict } from '../log';
import {
  dosageNow,
  dueDay,
  factsOf,
  halfway,
  headStart,
  onDay,
  replay,
  rungAt,
  USUAL_COURSE,
  whyOf,
  type Course,
  type Following,
  type LadderState,
} from '.';

function sayReason(state: LadderState, course: Pick<Course, 'rule'>): string {
  return sayWhy(ENGLISH, whyOf(state, course));
}

const recipe = {
  ...toggleOstinato(blankRecipe(), 'hats-2-4'),
  play: { content: { text: '4. 4 8 4' } },
  as: startOf('phrase-cells'),
};
const facts = factsOf(must(expand(recipe)), recipe);
const acts: Following = { course: USUAL_COURSE, facts };

function following(course: Partial<Course>, more: Partial<Following> = {}): Following {
  return { ...acts, ...more, course: { ...USUAL_COURSE, ...course } };
}

const NAMES: Readonly<Record<string, Verdict>> = { C: 'clean', S: 'shaky', L: 'lost' };

interface Told {
  readonly suffered?: readonly Suffered[];
  readonly broke?: readonly number[];
}

/** A log that is written as it is played: letters are tries on the rung that is asked for, a `|` is
 * the next day, decisions stand where they fall. */
function write(
  of: Following,
  parts: readonly (string | Decision)[],
  told: Told = {},
): readonly LadderEvent[] {
  const log: LadderEvent[] = [];
  let day = '2026-01-05';
  for (const part of parts) {
    if (typeof part !== 'string') {
      log.push({ kind: 'decided', id: `d${log.length}`, day, decision: part });
      continue;
    }
    for (const letter of part.replaceAll(' ', '')) {
      if (letter === '|') {
        day = daysAfter(day, 1);
        continue;
      }
      const state = replay(of, log);
      const verdict = NAMES[letter] ?? 'clean';
      const { key, bpm } = rungAt(state.rungs, state.rung);
      const bad = verdict !== 'clean';
      const entry: Try = {
        kind: 'try',
        id: `t${log.length}`,
        day,
        bpm,
        rung: key,
        verdict,
        suffered: bad ? (told.suffered ?? []) : [],
        broke: bad ? (told.broke ?? []) : [],
      };
      log.push(entry);
    }
  }
  return log;
}

function play(parts: string | readonly (string | Decision)[], of = acts, told?: Told): LadderState {
  return replay(of, write(of, typeof parts === 'string' ? [parts] : parts, told));
}

const proposes = following({ follow: 'proposes' });
const accept = (proposal: string): Decision => ({ does: 'accept', proposal });
const decline = (proposal: string): Decision => ({ does: 'decline', proposal });

describe('replay: verdict arithmetic (common practice, no source)', () => {
  it('with 3 clean: C C S C C C goes up once', () => {
    expect(play('C C S C C C')).toMatchObject({
      rung: 1,
      bpm: 65,
      clean: 0,
      reason: { kind: 'raised', from: { kind: 'tempo', bpm: 60 } },
    });
    expect(play('C C S C C')).toMatchObject({ rung: 0, clean: 2 });
  });

  it('C L L goes down once', () => {
    const down = {
      rung: 0,
      bpm: 60,
      reason: { kind: 'lowered', from: { kind: 'tempo', bpm: 65 } },
    };
    expect(play('CCC C L L')).toMatchObject(down);
    expect(play('CCC C L S L')).toMatchObject({ rung: 1, lostInARow: 1 });
  });

  it('a try on another rung moves nothing', () => {
    const off: Try = {
      kind: 'try',
      id: 'a',
      day: '2026-01-05',
      bpm: 90,
      rung: null,
      verdict: 'clean',
      suffered: [],
      broke: [],
    };
    const one = following({ rule: { clean: 1, lost: 1, plateau: 4 } });
    expect(replay(one, [off])).toMatchObject({ rung: 0, clean: 0 });
    expect(replay(one, [{ ...off, bpm: 60 }])).toMatchObject({ rung: 1 });
  });

  it('says why', () => {
    const says = (verdicts: string) => sayReason(play(verdicts), USUAL_COURSE);
    expect(says('')).toBe('Start of the ladder: 3 clean to go on.');
    expect(says('CC')).toBe('2 of 3 clean at 60.');
    expect(says('CCC')).toBe('3 clean at 60: now 65.');
    expect(says('CCCLL')).toBe('2 lost in a row at 65: back to 60.');
    expect(says('CS')).toBe('Last try shaky: 60 again, 3 clean to go on.');
  });

  it('a student may start elsewhere', () => {
    expect(replay(following({}, { startBpm: 71 }), [])).toMatchObject({ rung: 2, bpm: 70 });
  });
});

describe('simplify', () => {
  it('at the lowest rung takes away the limb that was named most, and gives it back', () => {
    const foot = { suffered: [{ what: 'followed', limb: 'LF' }] } as const;
    const simpler = play('C L L', acts, foot);
    expect(simpler).toMatchObject({ rung: 0, variation: { kind: 'without', limb: 'LF' } });
    expect(sayReason(simpler, USUAL_COURSE)).toBe(
      'Without the left foot (hi-hat foot): 2 lost in a row at the lowest rung; named twice.',
    );
    const whole = play('C L L CCC', acts, foot);
    expect(whole).toMatchObject({ rung: 0, variation: null, reason: { kind: 'whole' } });
  });

  it('where a beat was logged, loops the bridge into it', () => {
    expect(play('LL', acts, { broke: [2] })).toMatchObject({ variation: { kind: 'bridge' } });
    expect(play('LL', acts, { suffered: [{ what: 'seam', limb: null }] }).variation).toEqual(
      facts.bridges[0],
    );
  });

  it('where nothing was named, takes the line away', () => {
    expect(play('LL')).toMatchObject({ variation: { kind: 'without', plays: facts.lineLimb } });
  });
});

describe('an item that proposes', () => {
  it('holds until the teacher decides, and rests on its entries', () => {
    const asked = play('CCC', proposes);
    expect(asked).toMatchObject({
      rung: 0,
      proposal: { kind: 'advance', basis: ['t0', 't1', 't2'] },
    });
    expect(asked.proposal && sayProposal(ENGLISH, asked.proposal)).toBe('3 clean: go on to 65.');
    expect(play(['CCC', accept('advance')], proposes)).toMatchObject({ rung: 1, proposal: null });
    const no = play(['CCC', decline('advance')], proposes);
    expect(no).toMatchObject({ rung: 0, clean: 0, proposal: null });
  });

  it('of the last tries: asks as long as enough of them are clean', () => {
    const of = following({ follow: 'proposes', rule: { clean: 3, of: 4, lost: 3, plateau: 20 } });
    expect(play('CSCC', of)).toMatchObject({ rung: 0, proposal: { kind: 'advance' } });
    expect(play('CCCS', of)).toMatchObject({ clean: 3, proposal: { kind: 'advance' } });
    expect(play('CCCSS', of)).toMatchObject({ clean: 2, proposal: null, reason: { kind: 'held' } });
    const no = play(['CCC', decline('advance'), 'CC'], of);
    expect(no).toMatchObject({ clean: 2, proposal: null });
    const moves = following({ rule: { clean: 3, of: 4, lost: 3, plateau: 20 } });
    expect(play('CSCC', moves)).toMatchObject({ rung: 1, reason: { kind: 'raised' } });
  });

  it('withdraws what the log has overtaken; an answer that comes late moves nothing', () => {
    expect(play('CCC S', proposes).proposal).toBeNull();
    expect(play(['CCC S', accept('advance')], proposes)).toMatchObject({ rung: 0 });
    expect(play(['CCC', accept('advance'), 'LL'], proposes).proposal?.kind).toBe('lower');
  });

  it('asks to simplify, and to have the whole again', () => {
    expect(play('LL', proposes)).toMatchObject({ variation: null, proposal: { kind: 'simplify' } });
    const simpler = ['LL', accept('simplify'), 'CCC'];
    expect(play(simpler as string[], proposes).proposal?.kind).toBe('restore');
    expect(play([...(simpler as string[]), accept('restore')], proposes).variation).toBeNull();
  });
});

describe('plateau (four practice days without gain are common practice, no source)', () => {
  it('days of practice count, not calendar days, from the first one on the rung', () => {
    expect(play('CCC | S | S ||| S').variation).toBeNull();
    const stuck = play('CCC | S | S ||| S | S');
    expect(stuck).toMatchObject({ rung: 1, reason: { kind: 'varied' } });
    expect(sayReason(stuck, USUAL_COURSE)).toContain('no gain in 4 days of practice');
    const told = sayWhyToStudent(ENGLISH, whyOf(stuck, USUAL_COURSE));
    expect(told).toMatch(
      / for now, at \S+: no gain in 4 days of practice; .+\. All of it again after 3 clean\.$/,
    );
  });

  it('going down and coming back is no gain', () => {
    expect(play('CCC | LL | CCC | S')).toMatchObject({ best: 1, stuckDays: 3 });
  });

  it('names the beat on which it broke', () => {
    const stuck = play('CCC | S | S | S', proposes, { broke: [3] });
    expect(stuck.proposal).toMatchObject({ kind: 'plateau', variation: facts.bridges[3] });
    expect(stuck.proposal?.because).toMatchObject({ fact: { code: 'broke-there', times: 3 } });
  });

  it('is asked again only after as many days more', () => {
    const again = ['CCC | S | S | S', decline('plateau'), '| S | S | S'];
    expect(play(again as string[], proposes).proposal).toBeNull();
    expect(play([...(again as string[]), '| S'], proposes).proposal?.kind).toBe('plateau');
  });

  it('asked long ago gives way to what happened since', () => {
    expect(play('S | S | S | S', proposes).proposal?.kind).toBe('plateau');
    expect(play('S | S | S | S ||| CC', proposes).proposal?.kind).toBe('plateau');
    expect(play('S | S | S | S ||| CCCCCCCCC', proposes).proposal?.kind).toBe('advance');
    // Below the best rung, too.
    const below = ['CCC', accept('advance'), 'LL', accept('lower'), '| S | S | S | S'];
    expect(play(below as string[], proposes)).toMatchObject({
      rung: 0,
      proposal: { kind: 'plateau' },
    });
    expect(play([...(below as string[]), 'CCC'], proposes).proposal?.kind).toBe('advance');
  });
});

describe('twist', () => {
  it('three rungs with clean tries alone ask for one, whoever follows; accepting begins anew', () => {
    const easy = play('CCC'.repeat(3));
    expect(easy).toMatchObject({ rung: 3, proposal: { kind: 'twist' } });
    expect(play('CCC CCC S CCC').proposal).toBeNull();
    expect(play(['CCC'.repeat(3), accept('twist')])).toMatchObject({
      rung: 0,
      variation: { kind: 'displaced' },
    });
  });
});

describe('maintenance', () => {
  const all = 'CCC'.repeat(9);
  const kept = (state: LadderState) => [state.keepTimes, dueDay(state)];

  it('passes at the target and comes back after 2, 4, 8 days', () => {
    expect(play(all).passed).toBe(true);
    expect(kept(play(all))).toEqual([0, '2026-01-07']);
    expect(kept(play(`${all}||C`))).toEqual([1, '2026-01-11']);
    expect(kept(play(`${all}||C||||C`))).toEqual([2, '2026-01-19']);
  });

  it('played early, is not pushed further away; shaky comes back the next day', () => {
    expect(kept(play(`${all}|C`))).toEqual([0, '2026-01-07']);
    expect(kept(play(`${all}||C||||S`))).toEqual([0, '2026-01-12']);
  });

  it('lost often enough, it is back on its ladder', () => {
    expect(play(`${all}||LL`)).toMatchObject({ rung: 7, passed: false });
    expect(kept(play(`${all}||LL`))).toEqual([0, null]);
  });
});

describe('climbing to find the start', () => {
  const climbing = following({ climb: true });

  it('two bars a rung up to the first that is not clean; starts two below, or as many as are asked for', () => {
    const up = play('CCC', climbing);
    expect(up).toMatchObject({ rung: 3, climbing: true });
    expect(dosageNow(up, USUAL_COURSE.dosage)).toEqual({ kind: 'bars', amount: 2 });
    const found = play('CCC S', climbing);
    expect(found).toMatchObject({ rung: 1, climbing: false });
    expect(sayReason(found, USUAL_COURSE)).toBe('Not clean at 75: start at 65.');
    const { below: _, ...rule } = USUAL_COURSE.rule;
    const near = play('CCC S', following({ climb: true, rule }));
    expect(near).toMatchObject({ rung: 2, climbing: false });
    expect(play('S', climbing)).toMatchObject({ rung: 0, climbing: false });
    expect(play('C'.repeat(9), climbing)).toMatchObject({ rung: 8, climbing: false });
  });
});

describe('a head start', () => {
  // 60 65 70 … 100: nine rungs, the middle one is 80.
  const ahead = following({ headStart: true });
  const first = (bpm: number): Try => ({
    ...{ kind: 'try', id: 't', day: '2026-01-05', bpm, rung: null, verdict: 'clean' },
    ...{ suffered: [], broke: [] },
  });

  it('stands halfway up, and says why', () => {
    const state = headStart(replay(ahead, []), ahead.course);
    expect(state).toMatchObject({ rung: 4, bpm: 80, best: 4, clean: 0 });
    expect(sayReason(state, ahead.course)).toBe('All clean before this: start halfway, at 80.');
    expect([1, 2, 3, 4, 5].map(halfway)).toEqual([0, 0, 1, 1, 2]);
  });

  it('begins where its first try was played: halfway up, or below as any other', () => {
    expect(replay(ahead, [first(80)])).toMatchObject({ rung: 4, clean: 1 });
    expect(replay(ahead, [first(60)])).toMatchObject({ rung: 0, clean: 1 });
    expect(replay(ahead, [first(70)])).toMatchObject({ rung: 0, clean: 0 });
    expect(replay(acts, [first(80)])).toMatchObject({ rung: 0, clean: 0 });
  });

  it('from there it goes on as if it had come so far', () => {
    const log = [80, 80, 80].map((bpm, nth) => ({ ...first(bpm), id: String(nth) }));
    expect(replay(ahead, log)).toMatchObject({ rung: 5, bpm: 85 });
  });

  it('is none once something was played or said, further up, and while the start is looked for', () => {
    const begun = replay(ahead, [first(60)]);
    expect(headStart(begun, ahead.course)).toBe(begun);
    const moved = play([{ does: 'move', rung: 1 }], ahead);
    expect(headStart(moved, ahead.course)).toBe(moved);
    const fast = replay({ ...ahead, startBpm: 95 }, []);
    expect(headStart(fast, ahead.course)).toBe(fast);
    const climbs = following({ headStart: true, climb: true });
    const looking = replay(climbs, []);
    expect(headStart(looking, climbs.course)).toBe(looking);
  });
});

describe('days away', () => {
  const try_ = (id: number, day: number, bpm: number): Try => ({
    ...{ kind: 'try', id: String(id), day: daysAfter('2026-01-01', day), bpm },
    ...{ rung: null, verdict: 'clean', suffered: [], broke: [] },
  });
  // Three clean at 60, two at 65: two of three.
  const five = [60, 60, 60, 65, 65].map((bpm, nth) => try_(nth, 0, bpm));
  const stands = replay(acts, five);
  const on = (state: LadderState, day: number) =>
    onDay(state, USUAL_COURSE, daysAfter('2026-01-01', day));

  it('ten of them change nothing; eleven lower it a rung, and what was counted counts no more', () => {
    expect(stands).toMatchObject({ rung: 1, clean: 2 });
    expect(on(stands, 10)).toBe(stands);
    const back = on(stands, 11);
    expect(back).toMatchObject({ rung: 0, bpm: 60, clean: 0, best: 1 });
    expect(sayReason(back, USUAL_COURSE)).toBe('11 days away: from 65 back to 60.');
    expect(on(back, 11)).toBe(back);
    expect(sayReason(on(replay(acts, [try_(9, 0, 60)]), 30), USUAL_COURSE)).toBe(
      '30 days away: 60 again.',
    );
  });

  it('the try with which somebody comes back counts on the lower rung, and the next day is one after', () => {
    const back = replay(acts, [...five, try_(5, 20, 60)]);
    expect(back).toMatchObject({ rung: 0, clean: 1, stuckDays: 1 });
    expect(
      replay(acts, [...five, try_(5, 20, 60), try_(6, 21, 60), try_(7, 21, 60)]),
    ).toMatchObject({ rung: 1, clean: 0 });
    // Played at the rung of before, it moves nothing.
    expect(replay(acts, [...five, try_(5, 20, 65)])).toMatchObject({ rung: 0, clean: 0 });
  });

  it('a ladder that waits for the teacher keeps its rung; what was counted counts no more', () => {
    const waits = { ...USUAL_COURSE, follow: 'proposes' as const };
    const back = onDay(stands, waits, daysAfter('2026-01-01', 20));
    expect(back).toMatchObject({ rung: 1, bpm: 65, clean: 0 });
    expect(sayReason(back, waits)).toBe('20 days away: 65 again.');
    const again = [...five.slice(0, 2), try_(5, 20, 60)];
    expect(replay({ ...acts, course: waits }, again)).toMatchObject({ rung: 0, clean: 1 });
  });

  it('a teacher who moves somebody meanwhile is obeyed, and days are counted from then', () => {
    const at = daysAfter('2026-01-01', 15);
    const moved = replay(acts, [
      ...five,
      { kind: 'decided', id: 'd', day: at, decision: { does: 'move', rung: 3 } },
    ]);
    expect(moved).toMatchObject({ rung: 3 });
    expect(on(moved, 15)).toBe(moved);
    expect(on(moved, 24)).toBe(moved);
    expect(on(moved, 26)).toMatchObject({ rung: 2 });
  });

  it('what is passed, what looks for its start, and a rule without it stay where they are', () => {
    const passed = replay(following({ ladder: { kind: 'list', tempi: [60] } }), five.slice(0, 3));
    expect(passed.passed).toBe(true);
    expect(on(passed, 300)).toBe(passed);
    const climbs = replay(following({ climb: true }), [try_(0, 0, 60)]);
    expect(on(climbs, 300)).toBe(climbs);
    const { away: _, ...rule } = USUAL_COURSE.rule;
    const never = { ...USUAL_COURSE, rule };
    expect(onDay(stands, never, daysAfter('2026-01-01', 300))).toBe(stands);
  });
});

describe('a teacher may put a student on any rung, or vary what is played', () => {
  it('moves and varies', () => {
    expect(play([{ does: 'move', rung: 4 }])).toMatchObject({ rung: 4, bpm: 80 });
    expect(play([{ does: 'move', rung: 99 }])).toMatchObject({ rung: 0 });
    expect(play([{ does: 'vary', variation: { kind: 'half', half: 'first' } }])).toMatchObject({
      variation: { kind: 'half' },
    });
  });
});

const LETTERS = fc.constantFrom('C', 'C', 'C', 'S', 'L', '|');
const DECISIONS: fc.Arbitrary<Decision> = fc.oneof(
  fc
    .constantFrom('advance', 'lower', 'simplify', 'plateau', 'restore', 'twist')
    .chain((proposal) => fc.constantFrom(accept(proposal), decline(proposal))),
  fc.integer({ min: 0, max: 8 }).map((rung): Decision => ({ does: 'move', rung })),
);
const COURSES = fc.record({
  follow: fc.constantFrom('acts' as const, 'proposes' as const),
  climb: fc.boolean(),
  rule: fc.record({
    clean: fc.integer({ min: 1, max: 4 }),
    lost: fc.integer({ min: 1, max: 3 }),
    plateau: fc.integer({ min: 1, max: 4 }),
  }),
});
const LOGS = fc.tuple(COURSES, fc.array(fc.oneof(LETTERS, DECISIONS), { maxLength: 40 }));

describe('replay, whatever is logged', () => {
  it('the state after any prefix is the prefix replayed, and stays on the ladder', () => {
    fc.assert(
      fc.property(LOGS, ([course, parts]) => {
        const of = following(course);
        const log = write(of, parts);
        for (let end = 0; end <= log.length; end += 1) {
          const state = replay(of, log.slice(0, end));
          expect(replay(of, log.slice(0, end))).toEqual(state);
          expect(state.bpm).toBe(rungAt(state.rungs, state.rung).bpm);
          expect(state.clean).toBeLessThanOrEqual(of.course.rule.clean + 40);
          expect(sayReason(state, of.course)).toMatch(/^[A-Z0-9].*\.$/);
          for (const id of state.basis) expect(log.some((one) => one.id === id)).toBe(true);
        }
      }),
      { numRuns: samples(60) },
    );
  });

  it('an entry that comes twice counts once', () => {
    fc.assert(
      fc.property(LOGS, ([course, parts]) => {
        const of = following(course);
        const log = write(of, parts);
        const doubled = log.flatMap((one) => [one, one]);
        expect(replay(of, doubled)).toEqual(replay(of, log));
        expect(replay(of, [...log, ...log])).toEqual(replay(of, log));
      }),
    );
  });
});

describe('tries that move nothing', () => {
  const marks = fc.array(fc.constantFrom('C', 'S', 'L', '|'), { maxLength: 30 });
  const between = fc.array(fc.nat({ max: 30 }), { maxLength: 8 });
  const openAt = (log: readonly LadderEvent[], places: readonly number[], one: Partial<Try>) =>
    log.flatMap((event, index) => {
      if (event.kind !== 'try' || !places.includes(index)) return [event];
      return [{ ...event, id: `open ${index}`, ...one }, event];
    });

  it('nobody said how they went: the ladder stands where it stood without them', () => {
    fc.assert(
      fc.property(marks, between, (letters, places) => {
        const log = write(acts, [letters.join('')]);
        const more = openAt(log, places, { verdict: null });
        expect(replay(acts, more)).toEqual(replay(acts, log));
      }),
    );
  });

  it.each([
    [undefined, 'clean', 0, 0],
    [undefined, 'shaky', 0, 0],
    [undefined, 'lost', 0, 1],
    ['nothing', 'lost', 1, 0],
    ['nothing', 'clean', 1, 0],
    ['all', 'clean', 2, 0],
    ['all', 'lost', 0, 1],
  ] as const)(
    'stopped, with the rule %s: %s leaves %i clean, %i lost',
    (rule, verdict, clean, lost) => {
      const of = following({ rule: { ...USUAL_COURSE.rule, stopped: rule } });
      const [first] = write(of, ['C']);
      if (first?.kind !== 'try') throw new Error('no try');
      const before = rule === undefined && verdict === 'clean' ? [] : [first];
      const stopped = { ...first, id: 'stopped', verdict, stopped: true };
      expect(replay(of, [...before, stopped])).toMatchObject({ clean, lostInARow: lost });
    },
  );
});
