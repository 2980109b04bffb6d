import { describe, expect, it } from 'vitest';
import { startLadder, USUAL_COURSE } from '@/core/ladder';
import { blankRecipe, recipeHash, toggleOstinato } from '@/core/recipe';
import type { BrokeInput, StandItem, TryInput } from '@/core/studio';
import { itemOf, standReducer, startStand, type Stand, type StandAction } from './machine';

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

function entry(of: string, verdict: TryInput['verdict']) {
  const body = { id: 'e', sessionId: 's', assignmentId: 'a', itemId: of, bpm: 60, verdict };
  const played = { rung: '60', agoMs: 0, bars: 8, seconds: 32 };
  return { kind: 'try' as const, body: { ...body, ...played } as TryInput };
}

function run(actions: readonly StandAction[], from: Stand = startStand(items, 0)): Stand {
  return actions.reduce(standReducer, from);
}

function play(of: string, verdict: TryInput['verdict']): readonly StandAction[] {
  const state = { ...startLadder({ course: USUAL_COURSE }), clean: 1 };
  return [
    { kind: 'start' },
    { kind: 'over', bars: 8, seconds: 32 },
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
  });

  it('a beat that is in the log leads on to what suffered', () => {
    const body = { id: 'b', tryId: 'e', beat: 2 } as unknown as BrokeInput;
    const stand = run([
      ...play('one', 'shaky'),
      { kind: 'send', entry: { kind: 'broke', body } },
      { kind: 'stored', answer: null },
    ]);
    expect(stand.stage).toMatchObject({ kind: 'suffered', tryId: 'e' });
  });

  it('a start that is looked for is found before the next item comes', () => {
    const climbing = { ...startLadder({ course: USUAL_COURSE }), climbing: true };
    const actions = play('one', 'clean').slice(0, -1);
    const answer = { state: climbing, reason: 'Looking for your start.', plays };
    const stand = run([...actions, { kind: 'stored', answer }]);
    expect(stand).toMatchObject({ index: 0, left: 3, stage: { kind: 'ready' } });
  });

  it('steps through the answers and round again, past the first', () => {
    const asked = run([{ kind: 'start' }, { kind: 'over', bars: 8, seconds: 32 }]);
    const cursors = [1, 2, 3, 4].map((steps) => {
      const stand = run(
        Array.from({ length: steps }, () => ({ kind: 'step' }) as const),
        asked,
      );
      return stand.stage.kind === 'verdict' ? stand.stage.cursor : null;
    });
    expect(cursors).toEqual([1, 2, 0, 1]);
  });

  it('is done after every item once, wherever it began, and begins again', () => {
    const all = [...play('two', 'clean'), ...play('three', 'clean'), ...play('one', 'clean')];
    const done = run(all, startStand(items, 1));
    expect(done.stage.kind).toBe('done');
    expect(done.stored.map((one) => one.item.item.id)).toEqual(['two', 'three', 'one']);
    expect(run([{ kind: 'again' }], done)).toMatchObject({ left: 3, stage: { kind: 'ready' } });
  });

  it('an entry that was not stored is kept for the retry, until it is given up', () => {
    const sent = play('one', 'clean').slice(0, -1);
    const unstored = run([...sent, { kind: 'refused', issues: null }]);
    expect(unstored.stage).toMatchObject({ kind: 'unstored', entry: entry('one', 'clean') });
    const again = run([{ kind: 'retry' }], unstored);
    expect(again.stage).toEqual({ kind: 'storing', entry: entry('one', 'clean') });
    expect(run([{ kind: 'drop' }], unstored)).toMatchObject({ index: 1, stored: [] });
  });

  it('what does not belong to a stage changes nothing', () => {
    const stand = startStand(items, 0);
    for (const kind of ['stop', 'retry', 'drop', 'step'] as const) {
      expect(standReducer(stand, { kind })).toBe(stand);
    }
    const playing = run([{ kind: 'start' }]);
    expect(standReducer(playing, { kind: 'start' })).toBe(playing);
    expect(standReducer(playing, { kind: 'skip' })).toBe(playing);
  });
});
