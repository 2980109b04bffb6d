import { describe, expect, it } from 'vitest';
import { rungAt, startLadder, USUAL_COURSE } from '@/core/ladder';
import { type EntryId, type RoundSlot } from '@/core/studio';
import { ENGLISH } from '@/words';
import {
  itemAt,
  itemOf,
  keepOf,
  standReducer,
  startStand,
  type RoundState,
  type StandAction,
} from './machine';
import { cueOf } from './cue';
import { placesFrom } from './places';

import {
  item,
  items,
  slotsOf,
  DAY,
  slots,
  begin,
  played,
  entry,
  standing,
  said,
  tryOf,
  run,
  play,
} from './machine.fixture';

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
    const three = ['a', 'b', 'c'].flatMap((id) => {
      const made = { ...entry('one', 'clean'), id: id as EntryId };
      const [start, , over] = play('one', 'clean');
      const part: StandAction = { kind: 'part', played: { ...played('one'), id: made.id } };
      return start && over ? [start, part, over, { kind: 'log' as const, entry: made }] : [];
    });
    const raised = run(three, begin(slotsOf('one one one one')));
    expect(raised.items[0]).toMatchObject({
      why: { reason: { kind: 'raised', from: { kind: 'tempo', bpm: 60 } } },
      state: { rung: 1 },
    });
    const two = { state: { ...item('one').state, clean: 2 }, today: { tries: 2, seconds: 64 } };
    const ids = ['a', 'b'] as EntryId[];
    const learnt = { stored: ids, dropped: [], items: [standing('one', two)] };
    const known = run([{ kind: 'learnt', ...learnt }], raised);
    expect(known.made.map((one) => one.id)).toEqual(['c']);
    expect(known.items[0]).toMatchObject({ state: { rung: 1 }, today: { tries: 3 } });
    const elsewhere = { state: { ...item('one').state, rung: 4 } };
    const other = { stored: ['c' as EntryId], dropped: [], items: [standing('one', elsewhere)] };
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
    const waiting: StandAction = { kind: 'waiting', entries: [entry('one', 'clean')] };
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
    expect(cueOf(ENGLISH, stand, { ...item('one'), cues })).toBe(cues[1]);
    expect(cueOf(ENGLISH, stand, { ...item('one'), cues: found })).toBe(found[1]);
    expect(cueOf(ENGLISH, stand, { ...item('two'), cues })).toBe(cues[0]);
    expect(cueOf(ENGLISH, stand, item('one'))).toBeNull();
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
    const asked = run(play('one', 'clean').slice(0, 3));
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
    const again = run([{ kind: 'again', items, slots: slotsOf('two') }], done);
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
    const [, , , ...first] = play('one', 'clean');
    const half = run(first, asked);
    expect(half).toMatchObject({ stage: { kind: 'verdict' }, judging: [played('two')] });
    const [, , , ...second] = play('two', 'clean');
    const rest = run(second, half);
    expect(rest.stage.kind).toBe('break');
    expect(itemAt(run([{ kind: 'skip' }], rest), 3)?.item.id).toBe('three');
  });

  it('stopped in the second of two, the first is judged; when the device slept, none', () => {
    const began = run([{ kind: 'start', places: [0, 1] }]);
    const stopped = run([{ kind: 'part', played: played('one') }, { kind: 'over' }], began);
    expect(stopped).toMatchObject({ place: 0, stage: { kind: 'verdict' } });
    const slept = run([{ kind: 'over', slept: true }], began);
    expect(slept).toMatchObject({ place: 0, stage: { kind: 'ready' }, notice: 'slept' });
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
      if (one.kind !== 'log') return one;
      const body = { ...entry('one', 'clean').body, bpm: 100, rung: 'tempo:100' };
      return { kind: 'log', entry: { ...entry('one', 'clean'), body } };
    });
    const left = run(tries, atTop(slotsOf('one one two')));
    expect(itemOf(left).item.id).toBe('two');
    const again = run(tries, atTop(slotsOf('one one two', 'review')));
    expect(itemOf(again).item.id).toBe('one');
  });

  it('a round that was closed in the middle goes on there, with what waits for a verdict', () => {
    const asked = run([...play('one', 'clean'), ...play('two', 'clean').slice(0, 3)]);
    const kept = JSON.parse(JSON.stringify(keepOf(asked))) as RoundState;
    const resumed = run([{ kind: 'resume', kept }]);
    expect(resumed).toMatchObject({ place: 1, stage: { kind: 'verdict' }, notice: 'resumed' });
    expect(resumed.judging[0]).toMatchObject({ bpm: 60, seconds: 32 });
    const playing = run([...play('one', 'clean'), ...play('two', 'clean').slice(0, 2)]);
    expect(playing.stage.kind).toBe('playing');
    expect(keepOf(playing)).toEqual(keepOf(asked));
    expect(keepOf(begin(slots))).toBeNull();
    const sent: StandAction = { kind: 'waiting', entries: [entry('two', 'clean')] };
    expect(run([sent, { kind: 'resume', kept }]).judging).toEqual([]);
    const gone = startStand(items.slice(2), slotsOf('three'), DAY);
    const less = run([{ kind: 'resume', kept }], gone);
    expect(less).toMatchObject({ place: 0, stage: { kind: 'ready' }, judging: [] });
  });

  it('what does not belong to a stage changes nothing', () => {
    const stand = begin(slots);
    expect(standReducer(stand, { kind: 'step' })).toBe(stand);
    const playing = run([{ kind: 'start', places: [0] }]);
    expect(standReducer(playing, { kind: 'start', places: [0] })).toBe(playing);
    expect(standReducer(playing, { kind: 'skip' })).toBe(playing);
  });
});
