import { describe, expect, it } from 'vitest';
import { standReducer, type StandAction } from './machine';
import { itemOf, startStand, type Stand } from './round';

import { items, slotsOf, DAY, slots, played, judged, said } from './machine.fixture';

const ROUND = slotsOf('one two - three');

/** What a student, the clock and the server can do where a round stands. */
function waysOn(stand: Stand): readonly StandAction[] {
  const { stage } = stand;
  switch (stage.kind) {
    case 'ready':
      return [{ kind: 'skip' }, { kind: 'start', places: [stand.place] }];
    case 'playing':
      return stage.played.length > 0
        ? [{ kind: 'over' }]
        : [
            { kind: 'over' },
            { kind: 'over', slept: true },
            { kind: 'part', played: { ...played('one'), item: itemOf(stand) } },
            { kind: 'part', played: { ...played('one'), item: itemOf(stand), stopped: true } },
          ];
    case 'break':
      return [{ kind: 'skip' }];
    case 'verdict':
      return [
        { kind: 'silent' },
        ...(['clean', 'shaky', 'lost'] as const).map((verdict) => ({
          kind: 'log' as const,
          entry: judged('one', verdict),
        })),
      ];
    case 'broke':
      return [{ kind: 'nowhere' }, { kind: 'log', entry: said('broke', { beat: 1 }) }];
    case 'suffered':
      return [
        { kind: 'suffered', what: null },
        { kind: 'suffered', what: 'flam' },
        { kind: 'log', entry: said('suffered', { what: 'count', limb: null }) },
      ];
    case 'limb':
      return [{ kind: 'log', entry: said('suffered', { what: 'flam', limb: 'RH' }) }];
    case 'done':
      return [{ kind: 'more', items, slots }];
  }
}

/** Where a round stands, as far as it decides what can come: how often something was played does not. */
function whereIs(stand: Stand): string {
  const { stage, place, judging, slots: left } = stand;
  const parts = stage.kind === 'playing' ? stage.played.length : 0;
  return [stage.kind, place, left.length, judging.length, parts].join(' ');
}

/** Every place that a round can come to, each with those that it leads to. */
function roundsFrom(first: Stand): ReadonlyMap<string, readonly string[]> {
  const found = new Map<string, readonly string[]>();
  const open = [first];
  for (let stand = open.pop(); stand; stand = open.pop()) {
    if (found.has(whereIs(stand))) continue;
    const next = waysOn(stand).map((action) => standReducer(stand as Stand, action));
    found.set(whereIs(stand), next.map(whereIs));
    open.push(...next);
  }
  return found;
}

describe('the stages of a round', () => {
  const rounds = roundsFrom(startStand(items, ROUND, DAY));
  const kinds = new Set([...rounds.keys()].map((one) => one.split(' ')[0]));

  it('are all reached', () => {
    expect([...kinds].sort()).toEqual(
      ['break', 'broke', 'done', 'limb', 'playing', 'ready', 'suffered', 'verdict'].sort(),
    );
  });

  it('all lead on to the end: none is left where nothing can be done', () => {
    const ends = new Set([...rounds.keys()].filter((one) => one.startsWith('done')));
    for (let before = -1; before < ends.size;) {
      before = ends.size;
      for (const [at, next] of rounds) if (next.some((one) => ends.has(one))) ends.add(at);
    }
    expect([...rounds.keys()].filter((one) => !ends.has(one))).toEqual([]);
  });

  it('take what belongs to another stage for nothing', () => {
    const all = roundsStands();
    const answers: readonly StandAction[] = [
      { kind: 'start', places: [0] },
      { kind: 'over' },
      { kind: 'nowhere' },
      { kind: 'suffered', what: null },
      { kind: 'step' },
      { kind: 'silent' },
      { kind: 'again' },
    ];
    const fits: Readonly<Record<string, readonly string[]>> = {
      start: ['ready'],
      over: ['playing'],
      nowhere: ['broke'],
      suffered: ['suffered'],
      step: ['verdict', 'broke', 'suffered', 'limb'],
      silent: ['verdict'],
      again: ['ready', 'break', 'done'],
    };
    for (const stand of all) {
      for (const action of answers) {
        if (fits[action.kind]?.includes(stand.stage.kind)) continue;
        expect(standReducer(stand, action), `${action.kind} at ${stand.stage.kind}`).toBe(stand);
      }
    }
  });
});

/** One stand for each stage. */
function roundsStands(): readonly Stand[] {
  const found = new Map<string, Stand>();
  const open = [startStand(items, ROUND, DAY)];
  for (let stand = open.shift(); stand; stand = open.shift()) {
    if (found.has(stand.stage.kind)) continue;
    found.set(stand.stage.kind, stand);
    open.push(...waysOn(stand).map((action) => standReducer(stand as Stand, action)));
  }
  return [...found.values()];
}
