import { describe, expect, it } from 'vitest';
import { NOTHING_PLAYED } from '@/core/progress';
import { rungAt, startLadder, USUAL_COURSE } from '@/core/ladder';
import type { Verdict } from '@/core/log';
import { type EntryId, type RoundSlot } from '@/core/studio';
import { ENGLISH } from '@/words';
import { standReducer, type StandAction } from './machine';
import { itemAt, itemOf, startStand, type RoundState, type Stand } from './round';
import { keepOf } from './taking-up';
import { tryEntry } from './try-entry';
import { cueAt, cuesFor } from './cue';
import { placesFrom } from './places';

import {
  item,
  items,
  slotsOf,
  DAY,
  slots,
  begin,
  played,
  judged,
  tried,
  standing,
  said,
  tryOf,
  run,
  play,
  playToEnd,
} from './machine.fixture';

describe('itemOf', () => {
  const on = (of: readonly RoundSlot[], place: number): Stand => ({ ...begin(of), place });

  it.each([
    ['one two three', 1, 'two'],
    ['one two - three', 2, 'two'],
    ['one - - three', 2, 'one'],
    ['one two', 2, 'two'],
    ['one two -', 7, 'two'],
    ['- - two', 1, 'one'],
  ])('of %s at %i is what is played there, or was last: %s', (names, place, expected) => {
    expect(itemOf(on(slotsOf(names), place)).item.id).toBe(expected);
  });

  it('of a stand without items there is none', () => {
    expect(() => itemOf({ ...on(slotsOf('-'), 0), items: [] })).toThrow(RangeError);
  });
});

describe('standReducer', () => {
  it('a clean try makes the next item ready, and its own rung new', () => {
    const stand = run(play('one', 'clean'));
    expect(stand.stage).toEqual({ kind: 'ready' });
    expect(itemOf(stand).item.id).toBe('two');
    expect(stand.items[0]).toMatchObject({
      why: { reason: { kind: 'counting', clean: 1 } },
      today: { tries: 1 },
    });
  });

  it('asks at once where it broke, then what suffered', () => {
    const broke = run(play('one', 'lost'));
    expect(broke.stage).toMatchObject({ kind: 'broke', options: [null, 0, 1, 2, 3] });
    const asked = run([{ kind: 'nowhere' }], broke);
    expect(asked.stage.kind).toBe('suffered');
    expect(itemOf(run([{ kind: 'suffered', what: null }], asked)).item.id).toBe('two');
  });

  it('climbs the ladder by itself, and lets the server correct it', () => {
    const three = ['a', 'b', 'c'].flatMap((id): readonly StandAction[] => [
      ...playToEnd('one', { ...played('one'), id: id as EntryId }),
      { kind: 'log', entry: judged(id, 'clean') },
    ]);
    const raised = run(three, begin(slotsOf('one one one one')));
    expect(raised.items[0]).toMatchObject({
      why: { reason: { kind: 'raised', from: { kind: 'tempo', bpm: 60 } } },
      state: { rung: 1 },
    });
    const today = { ...NOTHING_PLAYED, tries: 2, seconds: 64 };
    const two = { state: { ...item('one').state, clean: 2 }, today };
    const ids = ['a', 'a judged', 'b', 'b judged'] as EntryId[];
    const learnt = { stored: ids, dropped: [], items: [standing('one', two)] };
    const known = run([{ kind: 'learnt', ...learnt }], raised);
    expect(known.made.map((one) => one.id)).toEqual(['c', 'c judged']);
    expect(known.items[0]).toMatchObject({ state: { rung: 1 }, today: { tries: 3 } });
    const elsewhere = { state: { ...item('one').state, rung: 4 } };
    const last = ['c', 'c judged'] as EntryId[];
    const other = { stored: last, dropped: [], items: [standing('one', elsewhere)] };
    const corrected = run([{ kind: 'learnt', ...other }], known);
    expect(corrected.made).toEqual([]);
    expect(corrected.items[0]?.state.rung).toBe(4);
  });

  it('what is left out moves nothing, and is not among what was judged', () => {
    const one = run(play('one', 'clean'));
    expect(one.items[0]?.state.clean).toBe(1);
    const out = { stored: [], dropped: ['one' as EntryId], items: [] };
    expect(run([{ kind: 'learnt', ...out }], one)).toMatchObject({
      made: [],
      judged: [],
      items: [{ state: { clean: 0 }, today: { tries: 0 } }, {}, {}],
    });
  });

  it('what an earlier page made and could not send counts', () => {
    const waiting: StandAction = { kind: 'waiting', entries: tried('one', 'clean') };
    expect(run([waiting]).items[0]).toMatchObject({ state: { clean: 1 }, today: { tries: 1 } });
    const counted = { ...item('one'), recent: { late: [tryOf('one')], lowest: [] } };
    const known = startStand([counted, ...items.slice(1)], slots, DAY);
    expect(run([waiting], known).items[0]).toMatchObject({ today: { tries: 0 } });
  });

  it('asks for the limb, among those that play', () => {
    const stand = run([
      ...play('one', 'shaky'),
      { kind: 'nowhere' },
      { kind: 'suffered', what: 'flam' },
    ]);
    expect(stand.stage).toMatchObject({ kind: 'limb', options: [null, 'RH', 'LF'] });
    const hand: StandAction = { kind: 'suffered', what: 'weak-hand' };
    const hands = run([...play('one', 'shaky'), { kind: 'nowhere' }, hand]);
    expect(hands.stage).toMatchObject({ kind: 'limb', options: [null, 'RH'] });
  });

  it('the cue is about the limb that suffered last', () => {
    const made = said('suffered', { what: 'flam', limb: 'LF' });
    const asked = run([...play('one', 'shaky'), { kind: 'nowhere' }]);
    const stand = run([{ kind: 'log', entry: made }], asked);
    const cues = [
      { kind: 'own', text: 'Keep the count.' },
      { kind: 'own', text: 'The left foot comes late.' },
    ] as const;
    const found = [{ kind: 'graces' }, { kind: 'seam', limb: 'LF' }] as const;
    expect(cuesFor(ENGLISH, stand, { ...item('one'), cues })).toEqual([cues[1], cues[0]]);
    expect(cuesFor(ENGLISH, stand, { ...item('one'), cues: found })[0]).toBe(found[1]);
    expect(cuesFor(ENGLISH, stand, { ...item('two'), cues })[0]).toBe(cues[0]);
    expect(cuesFor(ENGLISH, stand, item('one'))).toEqual([]);
    expect([0, 3, 4, 8].map((bar) => cueAt(cues, bar, 1))).toEqual([
      cues[0],
      cues[0],
      cues[1],
      cues[0],
    ]);
    expect(cueAt(cues, 5, 6)).toBe(cues[0]);
    expect(cueAt([], 0, 1)).toBeUndefined();
  });

  it('a beat that was named leads on to what suffered', () => {
    const made = said('broke', { beat: 2 });
    const stand = run([...play('one', 'shaky'), { kind: 'log', entry: made }]);
    expect(stand.stage).toMatchObject({ kind: 'suffered', tryId: 'one' });
  });

  it('a start that is looked for is found before the next item comes', () => {
    const state = startLadder({ course: { ...USUAL_COURSE, climb: true } });
    const climbing = startStand([{ ...item('one'), state }, ...items.slice(1)], slots, DAY);
    const stand = run(play('one', 'clean'), climbing);
    expect(stand).toMatchObject({ place: 0, stage: { kind: 'ready' } });
  });

  it('steps through the answers and round again, past the first', () => {
    const asked = run(playToEnd('one'));
    const cursors = [1, 2, 3, 4].map((steps) => {
      const stand = run(
        Array.from({ length: steps }, () => ({ kind: 'step' }) as const),
        asked,
      );
      return stand.stage.kind === 'verdict' ? stand.stage.cursor : null;
    });
    expect(cursors).toEqual([1, 2, 0, 1]);
  });

  it('is done after the last slot, and begins again with what is left then', () => {
    const all = ['one', 'two', 'three'].flatMap((name) => play(name, 'clean'));
    const done = run(all);
    expect(done.stage.kind).toBe('done');
    expect(done.judged.map((one) => one.key)).toEqual(slots.map((slot) => slot.key));
    const again = run([{ kind: 'more', items, slots: slotsOf('two') }], done);
    expect(again).toMatchObject({ place: 0, stage: { kind: 'ready' }, judged: [] });
  });

  it('hands-free plays up to the break, then asks about each in turn', () => {
    const began = begin(slotsOf('one two - three'));
    expect(placesFrom(began, true)).toEqual([0, 1]);
    expect(placesFrom(began, false)).toEqual([0]);
    const parts = ['one', 'two'].map((name): StandAction => {
      return { kind: 'part', played: played(name) };
    });
    const asked = run([{ kind: 'start', places: [0, 1] }, ...parts, { kind: 'over' }], began);
    expect(asked.judging.map((one) => one.item.item.id)).toEqual(['one', 'two']);
    const half = run(play('one', 'clean').slice(4), asked);
    expect(half).toMatchObject({ stage: { kind: 'verdict' }, judging: [played('two')] });
    const rest = run(play('two', 'clean').slice(4), half);
    expect(rest.stage.kind).toBe('break');
    expect(itemAt(run([{ kind: 'skip' }], rest), 3)?.item.id).toBe('three');
  });

  it('stopped in the second of two, the first is judged; when the device slept, none', () => {
    const began = run([{ kind: 'start', places: [0, 1] }]);
    const stopped = run([{ kind: 'part', played: played('one') }, { kind: 'over' }], began);
    expect(stopped).toMatchObject({ place: 0, stage: { kind: 'verdict' } });
    const slept = run([{ kind: 'over', slept: true }], began);
    expect(slept).toMatchObject({ place: 0, stage: { kind: 'ready' }, notice: 'slept-short' });
    const part: StandAction = { kind: 'part', played: { ...played('one'), stopped: true } };
    const later = run([part, { kind: 'over', slept: true }], began);
    expect(later).toMatchObject({ stage: { kind: 'verdict' }, notice: 'slept' });
    expect(run([{ kind: 'start', places: [0] }], slept).notice).toBeNull();
  });

  it('after half an hour of playing there is a break, planned or not', () => {
    const long: StandAction[] = play('one', 'clean').map((one) =>
      one.kind === 'part' ? { kind: 'part', played: played('one', 1800) } : one,
    );
    const stand = run(long);
    expect(stand.stage.kind).toBe('break');
    const on = run([{ kind: 'skip' }], stand);
    expect(on).toMatchObject({ stage: { kind: 'ready' }, sinceBreak: 0 });
    expect(itemOf(on).item.id).toBe('two');
  });

  it('what was passed in the round is not asked for again, what is reviewed is', () => {
    const start = startLadder({ course: USUAL_COURSE });
    const last = { ...start, rung: 8, bpm: rungAt(start.rungs, 8).bpm, clean: 2 };
    const atTop = (of: readonly RoundSlot[]) =>
      startStand([{ ...item('one'), state: last }, ...items.slice(1)], of, DAY);
    const tries = play('one', 'clean').map((one): StandAction => {
      if (one.kind !== 'log' || one.entry.kind !== 'try') return one;
      const body = { ...one.entry.body, bpm: 100, rung: 'tempo:100' };
      return { kind: 'log', entry: { ...one.entry, body } };
    });
    const left = run(tries, atTop(slotsOf('one one two')));
    expect(itemOf(left).item.id).toBe('two');
    const again = run(tries, atTop(slotsOf('one one two', 'review')));
    expect(itemOf(again).item.id).toBe('one');
  });

  it('a round that was closed in the middle goes on there, with what waits for a verdict', () => {
    const asked = run([...play('one', 'clean'), ...playToEnd('two')]);
    const kept = JSON.parse(JSON.stringify(keepOf(asked))) as RoundState;
    const resumed = run([{ kind: 'resume', kept }]);
    expect(resumed).toMatchObject({ place: 1, stage: { kind: 'verdict' }, notice: 'resumed' });
    expect(resumed.judging[0]).toMatchObject({ bpm: 60, seconds: 32 });
    const playing = run([...play('one', 'clean'), ...playToEnd('two').slice(0, 3)]);
    expect(playing.stage.kind).toBe('playing');
    expect(keepOf(playing)).toEqual(keepOf(asked));
    expect(keepOf(begin(slots))).toBeNull();
    const sent: StandAction = { kind: 'waiting', entries: tried('two', 'clean') };
    expect(run([sent, { kind: 'resume', kept }]).judging).toEqual([]);
    const gone = startStand(items.slice(2), slotsOf('three'), DAY);
    const less = run([{ kind: 'resume', kept }], gone);
    expect(less).toMatchObject({ place: 0, stage: { kind: 'ready' }, judging: [] });
  });

  it('a stopped try is asked about with what was played, and is never clean for its rung', () => {
    const stopped = { ...played('one', 9), bars: 2, stopped: true };
    const asked = run(playToEnd('one', stopped));
    expect(asked.stage).toMatchObject({ kind: 'verdict', options: [null, 'shaky', 'lost'] });
    expect(asked.items[0]).toMatchObject({ state: { clean: 0 }, today: { tries: 1, seconds: 9 } });
    const clean = run([{ kind: 'log', entry: judged('one', 'clean') }], asked);
    expect(clean.items[0]?.state.clean).toBe(0);
    const lost = run([{ kind: 'log', entry: judged('one', 'lost') }], asked);
    expect(lost.items[0]?.state.lostInARow).toBe(1);
    expect(lost.stage.kind).toBe('broke');
    const just = run([{ kind: 'silent' }], asked);
    expect(just).toMatchObject({ stage: { kind: 'ready' }, judged: [{ verdict: null }] });
    // Nine seconds of 32 are no try of the plan: it is still to be played.
    expect(just).toMatchObject({ place: 0 });
    const nothing = run([{ kind: 'start', places: [0] }, { kind: 'over' }]);
    expect(nothing).toMatchObject({ place: 0, notice: 'short', judging: [], made: [] });
  });

  it('stopped tries of one place are one try together, from half of it on; passing it by ends it too', () => {
    const stop = (stand: Stand, id: string, seconds: number) => {
      const by = { ...played('one', seconds), id: id as EntryId, stopped: true };
      const entry = tryEntry(by, null);
      const over: readonly StandAction[] = [{ kind: 'part', played: by }, { kind: 'over' }];
      return run(
        [
          { kind: 'start', places: [stand.place] },
          { kind: 'log', entry },
          ...over,
          { kind: 'silent' },
        ],
        stand,
      );
    };
    const first = stop(begin(slots), 'a', 9);
    const second = stop(first, 'b', 6);
    expect([first, second].map(({ place }) => place)).toEqual([0, 0]);
    expect(stop(second, 'c', 2)).toMatchObject({ place: 1, toPlay: 0 });
    expect(run([{ kind: 'skip' }], second)).toMatchObject({ place: 1, toPlay: 0 });
    expect(stop(begin(slots), 'd', 16)).toMatchObject({ place: 1 });
    const clean = run([{ kind: 'log', entry: judged('d', 'clean') }], first);
    expect(clean.place).toBe(0);
  });

  it('silence moves nothing, is time played, and is said', () => {
    const silent = run([...playToEnd('one'), { kind: 'silent' }]);
    expect(silent.items[0]).toMatchObject({ state: { clean: 0 }, today: { tries: 1 } });
    expect(silent).toMatchObject({ place: 1, stage: { kind: 'ready' }, notice: 'open' });
  });

  it('a verdict counts once, whenever the server hears of the try and of the verdict', () => {
    const learn = (stored: string[], own: object): StandAction => ({
      kind: 'learnt',
      stored: stored as EntryId[],
      dropped: [],
      items: [standing('one', own)],
    });
    const once = { today: { tries: 1, seconds: 32 } };
    const heard = run([...playToEnd('one'), learn(['one'], once)]);
    expect(heard.items[0]).toMatchObject({ state: { clean: 0 }, ...once });
    const said = run([{ kind: 'log', entry: judged('one', 'clean') }], heard);
    expect(said.items[0]).toMatchObject({ state: { clean: 1 }, ...once });
    const state = { ...item('one').state, clean: 1 };
    const known = run([learn(['one judged'], { ...once, state })], said);
    expect(known.made).toEqual([]);
    expect(known.items[0]).toMatchObject({ state: { clean: 1 }, ...once });
  });

  it('what was just played is played again at once, and what was to come comes after it', () => {
    const after = run(play('one', 'clean'));
    const again = run([{ kind: 'again' }], after);
    expect(itemOf(again).item.id).toBe('one');
    expect(again).toMatchObject({ place: 1, stage: { kind: 'ready', atOnce: true } });
    expect(again.slots).toHaveLength(slots.length + 1);
    const started: StandAction = { kind: 'start', places: [1] };
    const [, ...rest] = play('one', 'clean');
    expect(itemOf(run([started, ...rest], again)).item.id).toBe('two');
    expect(standReducer(begin(slots), { kind: 'again' })).toEqual(begin(slots));
  });

  it('stays on an exercise until its rung is over, where that is chosen', () => {
    const from = (stand: Stand, id: string, verdict: Verdict, stays = true) => {
      const by = { ...played('one'), id: id as EntryId, item: itemOf(stand) };
      const actions: readonly StandAction[] = [
        { kind: 'start', places: [stand.place], stays },
        { kind: 'log', entry: tryEntry(by, null) },
        { kind: 'part', played: by },
        { kind: 'over' },
        { kind: 'log', entry: judged(id, verdict) },
      ];
      return run(actions, stand);
    };
    let stand = begin(slots);
    for (const id of ['first', 'second']) {
      stand = from(stand, id, 'clean');
      expect(itemOf(stand).item.id).toBe('one');
    }
    expect(itemOf(run([{ kind: 'skip' }], stand)).item.id).toBe('two');
    expect(itemOf(from(stand, 'third', 'clean')).item.id).toBe('two');
    expect(itemOf(from(begin(slots), 'first', 'clean', false)).item.id).toBe('two');
    const closed = keepOf(run(playToEnd('one'), begin(slots)));
    expect(closed).toMatchObject({ stays: false });
  });

  it.each([
    ['where it broke', [], 'broke'],
    ['what went wrong', [{ kind: 'nowhere' }], 'suffered'],
    ['which limb', [{ kind: 'nowhere' }, { kind: 'suffered', what: 'flam' }], 'limb'],
  ] as const)('a page closed on %s asks just that again', (_, more, kind) => {
    const asked = run([...play('one', 'lost'), ...more]);
    const kept = JSON.parse(JSON.stringify(keepOf(asked))) as RoundState;
    const resumed = run([{ kind: 'resume', kept }]);
    expect(resumed.stage).toEqual(asked.stage);
    expect(resumed.stage.kind).toBe(kind);
    const answered = said('suffered', { what: 'flam', limb: 'RH' });
    const sent: StandAction = { kind: 'waiting', entries: [answered] };
    expect(run([sent, { kind: 'resume', kept }]).stage.kind).toBe('ready');
  });

  it('an exercise that is opened by itself is asked about first, where it was just played', () => {
    const kept = JSON.parse(JSON.stringify(keepOf(run(playToEnd('one'))))) as RoundState;
    const asked = run([{ kind: 'resume', kept, fresh: true }], begin(slotsOf('one two')));
    expect(asked.stage.kind).toBe('verdict');
    const on = run([{ kind: 'log', entry: judged('one', 'clean') }], asked);
    expect(on).toMatchObject({ place: 0, stage: { kind: 'ready' } });
    expect(on.items[0]?.state.clean).toBe(1);
  });

  it('another exercise that is opened takes no questions about the one before with it', () => {
    const other = begin(slotsOf('three two'));
    for (const open of [playToEnd('one'), play('one', 'lost')]) {
      const kept = JSON.parse(JSON.stringify(keepOf(run(open)))) as RoundState;
      expect(run([{ kind: 'resume', kept, fresh: true }], other)).toBe(other);
    }
  });

  it('an unanswered shaky costs one wait, and then goes on', () => {
    const asked = run(play('one', 'shaky'));
    expect(asked.stage.kind).toBe('broke');
    expect(run([{ kind: 'silent' }], asked)).toMatchObject({ place: 1, stage: { kind: 'ready' } });
    const what = run([{ kind: 'nowhere' }], asked);
    expect(what.stage.kind).toBe('suffered');
    expect(run([{ kind: 'silent' }], what)).toMatchObject({ place: 1, stage: { kind: 'ready' } });
  });

  it('what does not belong to a stage changes nothing', () => {
    const stand = begin(slots);
    expect(standReducer(stand, { kind: 'step' })).toBe(stand);
    const playing = run([{ kind: 'start', places: [0] }]);
    expect(standReducer(playing, { kind: 'start', places: [0] })).toBe(playing);
    expect(standReducer(playing, { kind: 'skip' })).toBe(playing);
  });
});
