import { describe, expect, it } from 'vitest';
import { startLadder, USUAL_COURSE } from '@/core/ladder';
import { blankRecipe, recipeHash, toggleOstinato } from '@/core/recipe';
import {
  keyOf,
  type BrokeInput,
  type RoundSlot,
  type StandItem,
  type SufferedInput,
  type TryInput,
} from '@/core/studio';
import {
  cueOf,
  itemAt,
  itemOf,
  keepOf,
  placesFrom,
  standReducer,
  startStand,
  type Kept,
  type Played,
  type Stand,
  type StandAction,
} from './machine';

function item(name: string): StandItem {
  const recipe = toggleOstinato(blankRecipe(), 'jazz-ride');
  return {
    assignmentId: 'a' as StandItem['assignmentId'],
    program: 'Autumn',
    section: '',
    item: {
      id: name as StandItem['item']['id'],
      kind: 'exercise',
      exerciseId: name as StandItem['item']['exerciseId'],
      hash: recipeHash(recipe),
      name,
      course: USUAL_COURSE,
      cues: [],
      place: 'derived',
      after: [],
    },
    plays: recipe,
    state: startLadder({ course: USUAL_COURSE }),
    reason: '',
    cues: [],
    waitsFor: [],
    resting: false,
    today: { tries: 0, seconds: 0 },
  };
}

const { plays } = item('one');

const items = [item('one'), item('two'), item('three')];

const REST: RoundSlot = { key: null, kind: 'break', on: 'kit', cutTo: null };

/** Slots by the items' names; `-` is a break. */
function slotsOf(names: string, kind: RoundSlot['kind'] = 'new'): readonly RoundSlot[] {
  return names.split(' ').map((name) => {
    return name === '-' ? REST : { key: keyOf(item(name)), kind, on: 'kit', cutTo: null };
  });
}

const slots = slotsOf('one two three');

function played(name: string, seconds = 32): Played {
  const id = name as Played['id'];
  return { id, item: item(name), rung: '60', bpm: 60, bars: 8, seconds };
}

function entry(of: string, verdict: TryInput['verdict']) {
  const body = { id: of, sessionId: 's', assignmentId: 'a', itemId: of, bpm: 60, verdict };
  const played = { rung: '60', agoMs: 0, bars: 8, seconds: 32 };
  return { kind: 'try' as const, body: { ...body, ...played } as TryInput };
}

function run(actions: readonly StandAction[], from: Stand = startStand(items, slots)): Stand {
  return actions.reduce(standReducer, from);
}

function play(of: string, verdict: TryInput['verdict']): readonly StandAction[] {
  const state = { ...startLadder({ course: USUAL_COURSE }), clean: 1 };
  return [
    { kind: 'start', places: [slots.findIndex((slot) => slot.key === keyOf(item(of)))] },
    { kind: 'part', played: played(of) },
    { kind: 'over' },
    { kind: 'send', entry: entry(of, verdict) },
    { kind: 'stored', answer: { state, reason: '1 of 3 clean at 60.', plays } },
  ];
}

describe('standReducer', () => {
  it('a clean try makes the next item ready, and its own rung new', () => {
    const stand = run(play('one', 'clean'));
    expect(stand.stage).toEqual({ kind: 'ready' });
    expect(itemOf(stand).item.id).toBe('two');
    expect(stand.items[0]).toMatchObject({ reason: '1 of 3 clean at 60.', today: { tries: 1 } });
  });

  it('asks what suffered only after the try is stored', () => {
    const sent = run(play('one', 'lost').slice(0, -1));
    expect(sent.stage.kind).toBe('storing');
    const broke = run(play('one', 'lost'));
    expect(broke.stage).toMatchObject({ kind: 'broke', options: [null, 0, 1, 2, 3] });
    const stored = run([{ kind: 'nowhere' }], broke);
    expect(stored.stage.kind).toBe('suffered');
    expect(itemOf(run([{ kind: 'suffered', what: null }], stored)).item.id).toBe('two');
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
    const body = { id: 'x', tryId: 'one', what: 'flam', limb: 'LF' } as unknown as SufferedInput;
    const asked = run([...play('one', 'shaky'), { kind: 'nowhere' }]);
    const send: StandAction = { kind: 'send', entry: { kind: 'suffered', body } };
    const stand = run([send, { kind: 'stored', answer: null }], asked);
    const cues = ['Keep the count.', 'The left foot comes late.'];
    expect(cueOf(stand, { ...item('one'), cues })).toBe(cues[1]);
    expect(cueOf(stand, { ...item('two'), cues })).toBe(cues[0]);
    expect(cueOf(stand, item('one'))).toBeNull();
  });

  it('a beat that is in the log leads on to what suffered', () => {
    const body = { id: 'b', tryId: 'one', beat: 2 } as unknown as BrokeInput;
    const stand = run([
      ...play('one', 'shaky'),
      { kind: 'send', entry: { kind: 'broke', body } },
      { kind: 'stored', answer: null },
    ]);
    expect(stand.stage).toMatchObject({ kind: 'suffered', tryId: 'one' });
  });

  it('a start that is looked for is found before the next item comes', () => {
    const climbing = { ...startLadder({ course: USUAL_COURSE }), climbing: true };
    const actions = play('one', 'clean').slice(0, -1);
    const answer = { state: climbing, reason: 'Looking for your start.', plays };
    const stand = run([...actions, { kind: 'stored', answer }]);
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
    expect(done.stored.map((one) => one.key)).toEqual(slots.map((slot) => slot.key));
    const again = run([{ kind: 'again', items, slots: slotsOf('two') }], done);
    expect(again).toMatchObject({ place: 0, stage: { kind: 'ready' }, stored: [] });
  });

  it('hands-free plays up to the break, then asks about each in turn', () => {
    const began = startStand(items, slotsOf('one two - three'));
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
    const passed = { ...startLadder({ course: USUAL_COURSE }), passed: true };
    const answer = { state: passed, reason: 'Target reached.', plays };
    const tries = [...play('one', 'clean').slice(0, -1), { kind: 'stored', answer } as const];
    const left = run(tries, startStand(items, slotsOf('one one two')));
    expect(itemOf(left).item.id).toBe('two');
    const again = run(tries, startStand(items, slotsOf('one one two', 'review')));
    expect(itemOf(again).item.id).toBe('one');
  });

  it('a round that was closed in the middle goes on there, with what waits for a verdict', () => {
    const asked = run([...play('one', 'clean'), ...play('two', 'clean').slice(0, 3)]);
    const kept = JSON.parse(JSON.stringify(keepOf(asked))) as Kept;
    const resumed = run([{ kind: 'resume', kept }]);
    expect(resumed).toMatchObject({ place: 1, stage: { kind: 'verdict' }, notice: 'resumed' });
    expect(resumed.judging[0]).toMatchObject({ bpm: 60, seconds: 32 });
    const playing = run([...play('one', 'clean'), ...play('two', 'clean').slice(0, 2)]);
    expect(playing.stage.kind).toBe('playing');
    expect(keepOf(playing)).toEqual(keepOf(asked));
    expect(keepOf(startStand(items, slots))).toBeNull();
    const sent = run(
      [{ kind: 'restore', entry: entry('two', 'clean') }, { kind: 'retry' }],
      resumed,
    );
    const answer = { state: startLadder({ course: USUAL_COURSE }), reason: '', plays };
    expect(run([{ kind: 'stored', answer }], sent).judging).toEqual([]);
    const older = run(
      [{ kind: 'restore', entry: entry('one', 'clean') }, { kind: 'retry' }],
      resumed,
    );
    expect(run([{ kind: 'stored', answer }], older).judging).toHaveLength(1);
    const gone = startStand(items.slice(2), slotsOf('three'));
    const less = run([{ kind: 'resume', kept }], gone);
    expect(less).toMatchObject({ place: 0, stage: { kind: 'ready' }, judging: [] });
  });

  it('an entry that was not stored is kept for the retry, until it is given up', () => {
    const sent = play('one', 'clean').slice(0, -1);
    const unstored = run([...sent, { kind: 'refused', issues: null }]);
    expect(unstored.stage).toMatchObject({ kind: 'unstored', entry: entry('one', 'clean') });
    const again = run([{ kind: 'retry' }], unstored);
    expect(again.stage).toEqual({ kind: 'storing', entry: entry('one', 'clean') });
    expect(run([{ kind: 'drop' }], unstored)).toMatchObject({ place: 1, stored: [] });
  });

  it('what does not belong to a stage changes nothing', () => {
    const stand = startStand(items, slots);
    for (const kind of ['retry', 'drop', 'step'] as const) {
      expect(standReducer(stand, { kind })).toBe(stand);
    }
    const playing = run([{ kind: 'start', places: [0] }]);
    expect(standReducer(playing, { kind: 'start', places: [0] })).toBe(playing);
    expect(standReducer(playing, { kind: 'skip' })).toBe(playing);
  });
});
