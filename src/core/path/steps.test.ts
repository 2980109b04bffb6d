import { describe, expect, it } from 'vitest';
import { ENGLISH, sayStep } from '@/words';
import { must } from '../issue';
import { findShipped, SHIPPED_STICKINGS } from '../materials';
import {
  blankRecipe,
  expand,
  startOf,
  toggleOstinato,
  withParts,
  type ClosedRecipe,
} from '../recipe';
import { stickingStart } from '../sticking';
import { slotTicks } from '../time';
import { buildSteps, STEP_KINDS, type StepKind } from '.';

const fourLimbs: ClosedRecipe = {
  ...toggleOstinato(toggleOstinato(blankRecipe(), 'rock-8ths'), 'hats-2-4'),
  feel: { kind: 'straight' },
};

function says(recipe: ClosedRecipe, ...kinds: StepKind[]): string[] {
  return buildSteps(recipe, kinds).map((step) => sayStep(ENGLISH, step.facts));
}

/** Slots of 16ths on which a limb plays. */
function places(recipe: ClosedRecipe, limb: string): number[] {
  return must(expand(recipe))
    .strokes.filter((one) => one.limb === limb)
    .map((one) => one.at / slotTicks('16'));
}

describe('buildSteps', () => {
  it('four limbs: four alone, six pairs, four threes, all of it', () => {
    const steps = buildSteps(fourLimbs, ['limbs', 'pairs', 'threes']);
    expect(steps).toHaveLength(4 + 6 + 4 + 1);
    expect(steps[0]?.facts).toEqual({ plays: 'limbs', limbs: ['RH'], voices: ['hat'] });
    expect(steps[4]?.facts).toMatchObject({ plays: 'limbs', limbs: ['RH', 'LH'] });
    expect(steps.at(-1)).toMatchObject({ kind: 'whole', facts: { plays: 'whole' } });
    for (const { recipe } of steps) expect(expand(recipe).ok).toBe(true);
    const [alone] = steps;
    expect(new Set(must(expand(alone?.recipe ?? fourLimbs)).strokes.map((s) => s.limb))).toEqual(
      new Set(['RH']),
    );
  });

  it('of two limbs each alone, and no pair, for that is the whole; of one nothing', () => {
    const two = { ...toggleOstinato(blankRecipe(), 'hats-2-4') };
    const limbs = (recipe: ClosedRecipe) =>
      new Set(must(expand(recipe)).strokes.map(({ limb }) => limb)).size;
    const pair: ClosedRecipe = { ...two, play: { content: { text: '4 4 4 4' } } };
    expect([limbs(two), limbs(pair)]).toEqual([1, 2]);
    const kinds = (recipe: ClosedRecipe) =>
      buildSteps(recipe, ['limbs', 'pairs', 'threes', 'away']).map(({ kind }) => kind);
    expect(kinds(pair)).toEqual(['limbs', 'limbs', 'whole']);
    expect(kinds(two)).toEqual(['whole']);
  });

  it('names the limbs that play on a mirrored kit', () => {
    const kit = findShipped('kit', 'mirrored-kit')?.content;
    if (!kit) throw new Error('no kit');
    const mirrored = { ...fourLimbs, kit: { content: { ...kit, voices: [...kit.voices] } } };
    const [first] = buildSteps(mirrored, ['limbs']);
    const limb = must(expand(first?.recipe ?? mirrored)).strokes[0]?.limb;
    expect(first?.facts).toMatchObject({ plays: 'limbs', limbs: [limb] });
  });

  it('a line is replaced by its pulse first; 7/8 by its groups', () => {
    const line = { ...blankRecipe(), play: { content: { text: '4. 4 8 4' } } };
    expect(says(line, 'pulse')).toEqual(['the pulse for the line', 'all of it']);
    expect(places(buildSteps(line, ['pulse'])[0]?.recipe ?? line, 'LH')).toEqual([0, 4, 8, 12]);
    const seven = { ...line, meter: '7/8', play: { content: { text: '4. 4 8 8' } } };
    expect(places(buildSteps(seven, ['pulse'])[0]?.recipe ?? seven, 'LH')).toEqual([0, 4, 8]);
  });

  it('halves lie on either side of the middle beat, and join to the whole', () => {
    const [first, second] = buildSteps(fourLimbs, ['halves']);
    const hands = (recipe = fourLimbs) => places(recipe, 'RH');
    expect(hands(first?.recipe)).toEqual([0, 2, 4, 6]);
    expect(hands(second?.recipe)).toEqual([8, 10, 12, 14]);
    const waltz = { ...toggleOstinato({ ...blankRecipe(), meter: '3/4' }, 'waltz') };
    const [before, after] = buildSteps(waltz, ['halves']).map(
      ({ recipe }) => must(expand(recipe)).strokes.length,
    );
    expect((before ?? 0) + (after ?? 0)).toBe(must(expand(waltz)).strokes.length);
  });

  it('every-nth rules come one after the other', () => {
    const bass = { limb: 'RF', voice: 'bass' } as const;
    const of = { limb: 'RH', voice: null } as const;
    const rule = { kind: 'every-nth', of, nth: 2, first: 1, to: bass, dynamic: 'normal' } as const;
    const snare = { ...rule, first: 2, to: { limb: 'LH', voice: 'snare' } } as const;
    const recipe: ClosedRecipe = { ...fourLimbs, over: fourLimbs.over.slice(0, 1) };
    const ruled: ClosedRecipe = { ...recipe, over: [typedRide()], changes: [rule, snare] };
    expect(says(ruled, 'nth')).toEqual(['without the added notes', 'the first of 2', 'all of it']);
  });

  it('a ride with a skip note is plain first', () => {
    const jazz = toggleOstinato(blankRecipe(), 'jazz-ride');
    const [plain] = buildSteps(jazz, ['beats']);
    expect(plain?.facts).toEqual({ plays: 'beats' });
    expect(places(plain?.recipe ?? jazz, 'RH')).toEqual([0, 4, 8, 12]);
  });

  it('ornaments: the skeleton, then grace notes from triplets to 16ths where there is room', () => {
    const flams = { ...blankRecipe(), play: { content: stickingStart('fR L R L fR L R L') } };
    const steps = buildSteps(flams, ['skeleton', 'graces']);
    expect(steps.map((step) => sayStep(ENGLISH, step.facts))).toEqual([
      'without ornaments',
      'all of it',
    ]);
    const plain = must(expand(steps[0]?.recipe ?? flams));
    expect(plain.strokes.some((one) => one.ornament)).toBe(false);
    const wide = { ...blankRecipe(), play: { content: stickingStart('fR - - - fL - - -') } };
    const tightened = buildSteps(wide, ['skeleton', 'graces']);
    expect(tightened.map((step) => sayStep(ENGLISH, step.facts))).toEqual([
      'without ornaments',
      'grace notes as triplets',
      'grace notes as 16ths',
      'all of it',
    ]);
    const opened = tightened[2]?.recipe ?? wide;
    expect(places(opened, 'LH')).toContain(15);
    expect(places(opened, 'RH')).toContain(3);
  });

  it('a filled grid gives each hand its share between the full grids', () => {
    const filled = {
      ...blankRecipe(),
      play: { content: { text: '4. 4 8 4' } },
      as: startOf('accents-16ths'),
    };
    expect(says(filled, 'shares')).toEqual([
      'the full grid',
      'the right hand’s share',
      'the full grid',
      'the left hand’s share',
      'all of it',
    ]);
    expect(says(fourLimbs, 'shares')).toEqual(['all of it']);
  });

  it('speaks of voices where each limb has its own, of limbs where one moves', () => {
    expect(says(toggleOstinato(blankRecipe(), 'rock-8ths'), 'limbs', 'pairs')).toEqual([
      'hi-hat',
      'snare',
      'bass drum',
      'hi-hat and snare',
      'hi-hat and bass drum',
      'snare and bass drum',
      'all of it',
    ]);
    const paradiddle = { ...blankRecipe(), play: { content: stickingStart('RLRRLRLL') } };
    expect(says(paradiddle, 'limbs').slice(0, 2)).toEqual(['right hand', 'left hand']);
  });

  it('one side alone, a pulse of the other over it, what that plays, its second limb', () => {
    expect(says(fourLimbs, 'sides')).toEqual([
      'left side alone',
      'left side, a plain pulse of the right hand over it',
      'left side, the right hand over it',
      'all of it',
    ]);
    const [alone, pulse, lead] = buildSteps(fourLimbs, ['sides']);
    const limbs = (recipe = fourLimbs) => [
      ...new Set(must(expand(recipe)).strokes.map((one) => one.limb)),
    ];
    expect(limbs(alone?.recipe).sort()).toEqual(['LF', 'LH']);
    expect(places(pulse?.recipe ?? fourLimbs, 'RH')).toEqual([0, 4, 8, 12]);
    expect(places(lead?.recipe ?? fourLimbs, 'RH')).toEqual(places(fourLimbs, 'RH'));
    expect(limbs(lead?.recipe)).not.toContain('RF');
  });

  it('the pulse of 6/8 is its dotted beat; uneven beats have none', () => {
    const six = toggleOstinato({ ...blankRecipe(), meter: '6/8' }, 'six-eight');
    const steps = buildSteps(six, ['sides']);
    const pulse = steps.find(({ facts }) => facts.plays === 'side' && facts.with === 'pulse');
    expect(places(pulse?.recipe ?? six, 'RH')).toEqual([0, 6]);
  });

  it('each voice is taken away and put back', () => {
    expect(says(toggleOstinato(blankRecipe(), 'rock-8ths'), 'away')).toEqual([
      'without hi-hat',
      'without snare',
      'without bass drum',
      'all of it',
    ]);
  });

  it('a phrase that is placed in time is cut into its own halves', () => {
    const fill: ClosedRecipe = {
      ...toggleOstinato(blankRecipe(), 'rock-8ths'),
      play: { content: stickingStart('RLRLRLRL') },
      changes: [
        { kind: 'aim', bars: 4, times: 1, lands: 0, slot: '16', by: 'end', over: 'goes on' },
      ],
    };
    const [first, second] = buildSteps(fill, ['halves']);
    const made = must(expand(first?.recipe ?? fill));
    expect(made.bars).toBe(1);
    const hands = (recipe = fill) =>
      must(expand(recipe))
        .strokes.filter((one) => one.from.source !== 'over')
        .map((one) => one.at / slotTicks('16'));
    expect(hands(first?.recipe)).toEqual([8, 9, 10, 11]);
    expect(hands(second?.recipe)).toEqual([12, 13, 14, 15]);
  });

  it('a placing without a phrase has no halves of its own', () => {
    const aim = { kind: 'aim', bars: 4, times: 1, lands: 0, slot: '16', by: 'end' } as const;
    const groove: ClosedRecipe = {
      ...toggleOstinato(blankRecipe(), 'rock-8ths'),
      changes: [{ ...aim, over: 'goes on' }],
    };
    expect(says(groove, 'halves')).toEqual(['all of it']);
  });

  it('a solo: part 1, part 2, both, part 3, all three; the joins play what their parts play', () => {
    const part = (name: string, sticking: string, untimed = false) => ({
      ...{ name, bars: untimed ? null : 1, untimed },
      recipe: { ...blankRecipe(), play: { content: stickingStart(sticking) } },
    });
    const parts = [part('call', 'RLRRLRLL'), part('answer', 'RRLLRRLL'), part('', 'RLRL', true)];
    const [first, ...others] = parts;
    if (!first) throw new Error('no part');
    const solo = withParts([first, ...others]);
    expect(says(solo, 'limbs')).toEqual([
      'call',
      'answer',
      'parts 1 to 2 joined',
      'part 3, no click',
      'all of it',
    ]);
    const steps = buildSteps(solo, []);
    expect(must(expand(steps[2]?.recipe ?? solo)).bars).toBe(2);
    expect(steps.at(-1)?.recipe).toEqual(solo);
  });

  it('never lists a stage twice, but for the full grid between its shares', () => {
    for (const recipe of [fourLimbs, toggleOstinato(blankRecipe(), 'jazz-ride')]) {
      const kinds = STEP_KINDS.filter((kind) => kind !== 'shares');
      const steps = buildSteps(recipe, kinds).map(({ recipe: one }) =>
        JSON.stringify(must(expand(one)).strokes.map(({ at, limb, voice }) => [at, limb, voice])),
      );
      expect(new Set(steps).size).toBe(steps.length);
    }
  });

  it('one limb has no parts; what cannot be played has no steps', () => {
    const one = toggleOstinato(blankRecipe(), 'bass-quarters');
    expect(says(one, 'limbs', 'pairs', 'threes')).toEqual(['all of it']);
    expect(buildSteps(blankRecipe(), [...STEP_KINDS])).toEqual([]);
  });

  it('every step of every rudiment can be played', () => {
    for (const { sticking } of Object.values(SHIPPED_STICKINGS)) {
      const recipe = { ...blankRecipe(), play: { content: stickingStart(sticking) } };
      for (const step of buildSteps(recipe, [...STEP_KINDS])) {
        expect(expand(step.recipe).ok).toBe(true);
      }
    }
  });
});

/** 8ths on the ride. */
function typedRide(): ClosedRecipe['over'][number] {
  const lane = { limb: 'RH', voice: 'ride', slot: '8', grid: 'xxxxxxxx' } as const;
  return { content: { name: 'ride 8ths', meter: '4/4', swung: false, lanes: [lane] } };
}
