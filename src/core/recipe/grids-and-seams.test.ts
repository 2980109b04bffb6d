import { describe, expect, it } from 'vitest';
import { ENGLISH, sayIssue } from '@/words';
import { hatBeforeFoot, hindrances, leadsOf, limbLoads, lineReading } from '../analysis';
import { must } from '../issue';
import type { Limb, VoiceId } from '../kit';
import { eventsBetween, scoreOf } from '../playing';
import { stickingStart } from '../sticking';
import { bpm, quarters, slotTicks, tempoFor, type SubdivisionId } from '../time';
import {
  blankRecipe,
  editByHand,
  expand,
  soundsAt,
  startOf,
  toggleOstinato,
  type Change,
  type ClosedRecipe,
  type Exercise,
} from '.';

/** Cases in which grids, swing and seams meet, worked by hand from common practice (no source). */

type LaneParts = readonly [Limb, VoiceId, SubdivisionId, string];

function over(lanes: readonly LaneParts[], more: Partial<ClosedRecipe> = {}): ClosedRecipe {
  const made = lanes.map(([limb, voice, slot, grid]) => ({ limb, voice, slot, grid }));
  const content = { name: 'lanes', meter: '4/4', swung: false, lanes: made };
  return { ...blankRecipe(), over: [{ content }], ...more };
}

function sticks(sticking: string, slot: SubdivisionId, more: Partial<ClosedRecipe> = {}) {
  const content = { ...stickingStart(sticking), slot };
  return { ...blankRecipe(), play: { content }, ...more } satisfies ClosedRecipe;
}

function reads(text: string, id: Parameters<typeof startOf>[0], more: Partial<ClosedRecipe> = {}) {
  return {
    ...blankRecipe(),
    play: { content: { text } },
    as: startOf(id),
    ...more,
  } satisfies ClosedRecipe;
}

function play(recipe: ClosedRecipe): Exercise {
  return must(expand(recipe));
}

/** Slots of a grid on which a limb plays. */
function places(exercise: Exercise, slot: SubdivisionId, limb?: Limb): readonly number[] {
  return exercise.strokes
    .filter((one) => limb === undefined || one.limb === limb)
    .map(({ at }) => at / slotTicks(slot));
}

function letters(exercise: Exercise, until = Infinity): string {
  return exercise.strokes
    .filter(({ at }) => at < until)
    .map(({ limb }) => ({ RH: 'R', LH: 'L', RF: 'K', LF: 'F' })[limb])
    .join('');
}

const at = (beats: number, exercise: Exercise) => tempoFor(exercise.meter, bpm(beats));
const TRIPLETS = { kind: 'triplets' } as const;
const SWUNG = { kind: 'swung', long: 2, short: 1 } as const;

describe('swing', () => {
  it('leaves a sextuplet where it is written, heard or written in triplets', () => {
    for (const feel of [TRIPLETS, SWUNG]) {
      const exercise = play(sticks('RLRLRL', '16t', { feel }));
      expect(places(exercise, '16t').slice(0, 6)).toEqual([0, 1, 2, 3, 4, 5]);
      const heard = exercise.strokes.map((one) => soundsAt(one, exercise) / slotTicks('16t'));
      expect(heard.slice(0, 6)).toEqual([0, 1, 2, 3, 4, 5]);
    }
  });

  it('leaves doubled taps in triplets apart: beat 1 in sixths is R0 L2 L3 R4', () => {
    const { over: ride } = toggleOstinato(blankRecipe(), 'jazz-ride');
    const as = startOf('accents-triplets');
    const doubled = as.kind === 'accent-grid' ? { ...as, doubled: true } : as;
    const exercise = play({
      ...reads('8 4 4 4 8', 'verbatim', { feel: TRIPLETS }),
      over: ride,
      as: doubled,
    });
    const beat = exercise.strokes.filter((one) => one.voice === 'snare' && one.at < quarters(1));
    const said = beat.map((one) => `${one.limb[0]}${one.at / slotTicks('16t')}`);
    expect(said).toEqual(['R0', 'L2', 'L3', 'R4']);
  });

  it('16ths swing as 16ths, hands that share them too', () => {
    for (const recipe of [
      sticks('RLRL', '16', { feel: TRIPLETS }),
      { ...toggleOstinato(blankRecipe(), 'hand-to-hand-right'), feel: TRIPLETS },
    ]) {
      const sixths = [...new Set(places(play(recipe), '16t'))];
      expect(sixths.slice(0, 4)).toEqual([0, 2, 3, 5]);
    }
  });

  it('a line swings beat by beat: 8ths as 8ths, 16ths as 16ths, tuplets not at all', () => {
    const exercise = play(
      reads('8 8 16 16 16 16 6(16 16 16 16 16 16) 4', 'verbatim', { feel: TRIPLETS }),
    );
    expect(places(exercise, '16t')).toEqual([0, 4, 6, 8, 9, 11, 12, 13, 14, 15, 16, 17, 18]);
  });

  it('a line moved by an 8th is swung where it then lies; by a triplet it moves as written', () => {
    const moved = (slot: SubdivisionId) => {
      const change: Change = { kind: 'displace', what: 'pattern', part: 'line', by: 1, slot };
      return places(play(reads('8 8 2.', 'verbatim', { feel: TRIPLETS, changes: [change] })), '8t');
    };
    expect(moved('8')).toEqual([2, 3, 5]);
    expect(moved('8t')).toEqual([1, 3, 4]);
  });

  it('what is written together and sounds apart is said', () => {
    const mixed = over([['RH', 'ride', '8', 'xx']], {
      feel: SWUNG,
      play: { content: { ...stickingStart('LLLL'), slot: '16' } },
    });
    const exercise = play(mixed);
    const apart = hindrances(exercise, at(60, exercise)).filter(
      (one) => one.rule === 'swung-apart',
    );
    expect(apart[0]).toMatchObject({ at: quarters(1, 2) });
    expect(apart[0] && 'gapMs' in apart[0] ? Math.round(apart[0].gapMs) : 0).toBe(167);
  });
});

describe('milliseconds are of what sounds', () => {
  it('swung 2:1, hat 8ths and a chick on 2 and 4 at 80: 250 ms, a warning', () => {
    const lanes: LaneParts[] = [
      ['RH', 'hat', '8', 'xxxxxxxx'],
      ['LF', 'hat-foot', '4', '-x-x'],
    ];
    const exercise = play(over(lanes, { feel: SWUNG }));
    const [first] = hatBeforeFoot(exercise, at(80, exercise));
    expect(first && 'gapMs' in first ? Math.round(first.gapMs) : 0).toBe(250);
    expect(hatBeforeFoot(play(over(lanes)), at(80, exercise))).toEqual([]);
    const [hand] = limbLoads(exercise, at(80, exercise));
    expect(Math.round(hand?.shortestGapMs ?? 0)).toBe(250);
  });
});

describe('retrograde', () => {
  const back: Change = { kind: 'reverse', part: 'line', slot: '16' };

  it('of RLRRLRLL plays and reads LLRLRRLR, from the first time round on', () => {
    const exercise = play(sticks('RLRRLRLL', '16', { changes: [back] }));
    expect(letters(exercise, quarters(2))).toBe('LLRLRRLR');
    expect(lineReading(exercise)).toBe('LLRLRRLR');
    const score = scoreOf(exercise, { click: 'off', countInBars: 0 });
    expect(eventsBetween(score, 0, quarters(2))).toHaveLength(8);
  });

  it('a phrase moved earlier, and a note pushed, sound from the first time round on', () => {
    const changes: Change[] = [
      { kind: 'displace', what: 'pattern', part: 'line', by: -1, slot: '16' },
      { kind: 'push', part: 'line', note: 3, by: 1, slot: '16' },
    ];
    for (const change of changes) {
      const exercise = play(sticks('RLLK', '16', { changes: [change] }));
      expect(exercise.strokes.filter((one) => one.tail)).toEqual([]);
    }
  });
});

describe('footing', () => {
  const feet = (school: 'grid' | 'groups') => {
    const recipe = over([['RF', 'bass', '16', 'xxxx 8t: xxx']], {
      meter: '2/4',
      changes: [{ kind: 'footing', part: 'all', school }],
    });
    const exercise = play(recipe);
    return exercise.strokes.map(({ limb }) => (limb === 'RF' ? 'r' : 'l')).join('');
  };

  it('each stretch has its own grid; a group is judged by the gap between neighbours', () => {
    expect(feet('grid')).toBe('rlrlrlr');
    expect(feet('groups')).toBe('rlrlrlrlrlrlrl');
  });
});

describe('n bars of groove, then the phrase', () => {
  const aimed = (slots: number, bars: number) => {
    const aim: Change = {
      kind: 'aim',
      bars,
      times: 1,
      lands: 0,
      slot: '16',
      by: 'end',
      over: 'goes on',
    };
    const recipe = sticks('R'.padEnd(slots, 'L'), '16', { changes: [aim] });
    return play({ ...recipe, over: toggleOstinato(blankRecipe(), 'hats-2-4').over });
  };

  it.each([
    [12, 4],
    [10, 4],
    [7, 16],
  ])('a phrase of %i slots in %i bars makes that many bars', (slots, bars) => {
    const exercise = aimed(slots, bars);
    expect(exercise.bars).toBe(bars);
    const phrase = exercise.strokes.filter((one) => one.voice === 'snare');
    expect(phrase).toHaveLength(slots);
    expect(phrase[0]?.at).toBe(exercise.cycleTicks - slots * slotTicks('16'));
  });

  it('the end of its last cell follows it over the landing', () => {
    const recipe = reads('8r 4 4 8 4', 'phrase-cells', {
      changes: [
        { kind: 'aim', bars: 2, times: 1, lands: 0, slot: '16', by: 'end', over: 'goes on' },
      ],
    });
    const exercise = play(recipe);
    const tail = exercise.strokes.filter((one) => one.tail);
    expect(tail.map((one) => one.at / slotTicks('16'))).toEqual([0, 1]);
    expect(exercise.strokes.find((one) => !one.tail)?.at).toBe(quarters(9, 2));
  });
});

describe('every nth', () => {
  const third: Change = {
    kind: 'every-nth',
    of: { limb: 'RH', voice: null },
    nth: 3,
    first: 1,
    to: { limb: 'RF', voice: 'bass' },
    dynamic: 'normal',
  };

  it('counts on inside one grid: a 3-bar cycle beginning 0 4 9 14', () => {
    const exercise = play(over([['RH', 'hat', '16', 'xx-xx-x-xx-xx-x-']], { changes: [third] }));
    expect(exercise.bars).toBe(3);
    expect(places(exercise, '16', 'RF').slice(0, 4)).toEqual([0, 4, 9, 14]);
  });

  it('begins anew where the subdivision changes', () => {
    const exercise = play(
      over([['RH', 'ride', '8', 'xxxxxxxx 8t: xxxxxxxxxxxx']], { changes: [{ ...third, nth: 2 }] }),
    );
    const bars = [0, 1].map((bar) =>
      exercise.strokes
        .filter((one) => one.limb === 'RF' && Math.floor(one.at / quarters(4)) === bar)
        .map((one) => (one.at % quarters(4)) / slotTicks(bar === 0 ? '8' : '8t')),
    );
    expect(bars).toEqual([
      [0, 2, 4, 6],
      [0, 2, 4, 6, 8, 10],
    ]);
  });
});

describe('the seams of a run', () => {
  const alone = (text: string) => reads(text, 'phrase-cells');
  const run = (first: string, second: string) =>
    play({
      ...alone(first),
      then: { bars: null, members: [{ name: 'b', bars: null, recipe: alone(second) }] },
    });
  const bar = (exercise: Exercise, nth: number) =>
    exercise.strokes
      .filter((one) => Math.floor(one.at / exercise.barTicks) === nth)
      .map((one) => (one.limb === 'RH' ? 'R' : one.limb === 'LH' ? 'L' : 'K'))
      .join('');

  it('no member opens with the end of a cell that never began', () => {
    const exercise = run('4 4 4 4', '8r 4 4 8 4');
    expect(bar(exercise, 1)).toBe('RLLKRLLKRLRLLK');
    // The L of the tail is the first member's own second stroke.
    expect(exercise.strokes.filter((one) => one.tail).map((one) => one.at)).toEqual([0]);
  });

  it('the end of a cell belongs to the member it began in', () => {
    const exercise = run('8r 4 4 8 4', '4 4 4 4');
    expect(bar(exercise, 0)).toBe('RLLKRLLKRLRLLK');
    const next = exercise.strokes.filter((one) => one.at >= quarters(4)).slice(0, 3);
    expect(next.map((one) => `${(one.at - quarters(4)) / slotTicks('16')}${one.limb}`)).toEqual([
      '0RH',
      '0RF',
      '1LH',
    ]);
    expect(exercise.strokes.some((one) => one.tail)).toBe(false);
  });

  it('an edit of such an end is kept with the member it began in', () => {
    const recipe: ClosedRecipe = {
      ...alone('8r 4 4 8 4'),
      then: { bars: null, members: [{ name: 'b', bars: null, recipe: alone('4 4 4 4') }] },
    };
    const exercise = play(recipe);
    const foot = exercise.strokes.find((one) => one.limb === 'RF' && one.at === quarters(4));
    const edited = play(editByHand(recipe, exercise, [{ from: foot ?? null, to: null }]));
    expect(edited.stale).toBe(0);
    expect(edited.strokes).toHaveLength(exercise.strokes.length - 1);
  });
});

describe('diddles, rolls and graces are strokes', () => {
  const loads = (text: string, slot: SubdivisionId) => {
    const exercise = play(sticks(text, slot));
    return limbLoads(exercise, at(120, exercise));
  };

  it('diddled 8ths at 120 load a hand as their doubles written out: 4 a second, 125 ms', () => {
    const diddled = loads('iRiL', '8');
    expect(diddled).toMatchObject(loads('RRLL', '16'));
    expect(diddled[0]).toMatchObject({ limb: 'RH', perSecond: 4, shortestGapMs: 125 });
  });

  it('letters for a diddle, a roll, a drag and a ruff read back as typed', () => {
    expect(lineReading(play(sticks('iRoLdRuL fRzL', '8')))).toBe('iRoLdRuL fRzL');
  });

  it('a grace note is a stroke of the other hand', () => {
    const exercise = play(sticks('fR---', '16'));
    expect(limbLoads(exercise, at(60, exercise)).map((one) => [one.limb, one.strokes])).toEqual([
      ['RH', 4],
      ['LH', 4],
    ]);
  });
});

describe('leads and feet', () => {
  it('8r 4 4 8 4 is led R R R R', () => {
    expect(leadsOf(play(reads('8r 4 4 8 4', 'phrase-cells')))?.cells).toEqual(['R', 'R', 'R', 'R']);
  });

  it('a cell of odd length on a double pedal is read for its whole cycle, in one alphabet', () => {
    const exercise = play(
      sticks('RKK', '16', { changes: [{ kind: 'footing', part: 'all', school: 'grid' }] }),
    );
    const words = lineReading(exercise).split(' ');
    expect(words.slice(0, 2)).toEqual(['Rlr', 'Rrl']);
    expect(words.join('')).not.toContain('K');
    expect(words).toHaveLength(new Set(words).size);
  });
});

describe('what falls on a rest, foot into foot, lines of any length', () => {
  it('an accent moved onto a rest is said', () => {
    const content = { ...stickingStart('>R->L->R--R'), accents: 'none' as const };
    const change: Change = { kind: 'displace', what: 'accents', part: 'line', by: 1, slot: '16' };
    const exercise = play({ ...blankRecipe(), play: { content }, changes: [change] });
    const lost = hindrances(exercise, at(60, exercise)).filter(
      (one) => one.rule === 'accent-on-rest',
    );
    expect(lost.map((one) => one.at / slotTicks('16'))).toEqual([1, 3, 5]);
  });

  it('foot into foot is seen when a hand plays with the chick', () => {
    const exercise = play(
      over([
        ['RF', 'bass', '16', '---x------------'],
        ['LF', 'hat-foot', '16', '----x-----------'],
        ['LH', 'snare', '16', '----x-----------'],
      ]),
    );
    expect(hindrances(exercise, at(100, exercise)).map((one) => one.rule)).toContain(
      'foot-to-foot',
    );
  });

  it('a gap of more than 32 slots takes a cell, and is offered some', () => {
    const line = reads('1 | 1r | 4 4 4 4', 'phrase-cells');
    const none = expand(line);
    expect(none.ok ? '' : none.issues.map((one) => sayIssue(ENGLISH, one))[0]).toMatch(
      /is 32 16ths away.*Take RLLKKL/,
    );
    const as = line.as.kind === 'phrase-cells' ? line.as : null;
    if (!as) throw new Error('no cells');
    const cell = 'RLLK'.repeat(12);
    const longer = reads('1 | 1r | 1r | 4 4 4 4', 'phrase-cells', {
      as: { ...as, chosen: { 48: cell } },
    });
    expect(lineReading(play(longer)).split(' ')[0]).toBe(cell);
  });

  it('rests alone are said, in a line and in a sticking', () => {
    for (const recipe of [reads('1r', 'verbatim'), sticks('----', '16')]) {
      expect(expand(recipe)).toMatchObject({ ok: false, issues: [{ code: 'only-rests' }] });
    }
  });

  it('a line of 3 quarters goes round in 4/4 after 3 bars', () => {
    const exercise = play(reads('4. 4 8', 'verbatim'));
    expect(exercise.bars).toBe(3);
    expect(places(exercise, '8').slice(0, 6)).toEqual([0, 3, 5, 6, 9, 11]);
  });
});
