import { describe, expect, it } from 'vitest';
import { rungAt, startLadder, USUAL_COURSE, whyOf } from '@/core/ladder';
import { blankRecipe, recipeHash, toggleOstinato } from '@/core/recipe';
import type { Posted, Verdict } from '@/core/log';
import {
  itemKey,
  type EntryId,
  type RoundSlot,
  type StandItem,
  type Standing,
} from '@/core/studio';
import { ENGLISH } from '@/words';
import {
  itemAt,
  itemOf,
  keepOf,
  standReducer,
  startStand,
  type RoundState,
  type Played,
  type Stand,
  type StandAction,
} from './machine';
import { cueOf } from './cue';
import { placesFrom } from './places';

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
    whole: recipe,
    plays: recipe,
    recent: { late: [], lowest: [] },
    state: startLadder({ course: USUAL_COURSE }),
    why: whyOf(startLadder({ course: USUAL_COURSE }), USUAL_COURSE),
    cues: [],
    waitsFor: [],
    resting: false,
    today: { tries: 0, seconds: 0 },
  };
}

const items = [item('one'), item('two'), item('three')];

const REST: RoundSlot = { key: null, kind: 'break', on: 'kit', cutTo: null };

/** Slots by the items' names; `-` is a break. */
function slotsOf(names: string, kind: RoundSlot['kind'] = 'new'): readonly RoundSlot[] {
  return names.split(' ').map((name) => {
    return name === '-' ? REST : { key: itemKey(item(name)), kind, on: 'kit', cutTo: null };
  });
}

const DAY = '2026-03-02';

const slots = slotsOf('one two three');

function begin(of: readonly RoundSlot[]): Stand {
  return startStand(items, of, DAY);
}

function played(name: string, seconds = 32): Played {
  const id = name as Played['id'];
  return { id, item: item(name), rung: 'tempo:60', bpm: 60, bars: 8, seconds };
}

function entry(of: string, verdict: Verdict): Posted<'try'> {
  const body = { bpm: 60, rung: 'tempo:60', verdict, bars: 8, seconds: 32 };
  const { assignmentId } = item(of);
  const id = of as EntryId;
  return {
    kind: 'try',
    id,
    agoMs: 0,
    sessionId: null,
    assignmentId,
    itemId: item(of).item.id,
    body,
  };
}

/** What the server says of an item. */
function standing(of: string, own: Partial<Standing> = {}): Standing {
  return { ...item(of), ...own };
}

/** Something about the try of the first item. */
function said<Kind extends 'broke' | 'suffered'>(kind: Kind, body: Posted<Kind>['body']): Posted {
  const id = `${kind} one` as EntryId;
  return { kind, id, agoMs: 0, about: 'one' as EntryId, body } as unknown as Posted;
}

function tryOf(id: string) {
  const played = { bpm: 60, rung: 'tempo:60', verdict: 'clean' as const };
  return { kind: 'try' as const, id, day: DAY, ...played, suffered: [], broke: [] };
}

function run(actions: readonly StandAction[], from: Stand = startStand(items, slots, DAY)): Stand {
  return actions.reduce(standReducer, from);
}

function play(of: string, verdict: Verdict): readonly StandAction[] {
  return [
    { kind: 'start', places: [slots.findIndex((slot) => slot.key === itemKey(item(of)))] },
    { kind: 'part', played: played(of) },
    { kind: 'over' },
    { kind: 'log', entry: entry(of, verdict) },
  ];
}

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
          ];
    case 'break':
      return [{ kind: 'skip' }];
    case 'verdict':
      return (['clean', 'shaky', 'lost'] as const).map((verdict) => ({
        kind: 'log',
        entry: entry('one', verdict),
      }));
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
      return [{ kind: 'again', items, slots }];
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
    ];
    const fits: Readonly<Record<string, readonly string[]>> = {
      start: ['ready'],
      over: ['playing'],
      nowhere: ['broke'],
      suffered: ['suffered'],
      step: ['verdict', 'broke', 'suffered', 'limb'],
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
