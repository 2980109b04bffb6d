import { describe, expect, it } from 'vitest';
import { ENGLISH, sayBeat, sayStep, sayVariation } from '@/words';
import { must } from '../issue';
import { buildSteps } from '../path';
import { blankRecipe, expand, startOf, toggleOstinato } from '../recipe';
import type { Variation } from '../log';
import { stageSchema } from './stage-schema';
import { factsOf, recipeOnRung, rungAt, rungsOf, varyRecipe, type Ladder } from '.';

const recipe = {
  ...toggleOstinato(blankRecipe(), 'hats-2-4'),
  play: { content: { text: '4. 4 8 4' } },
  as: startOf('phrase-cells'),
};
const whole = must(expand(recipe));
const facts = factsOf(whole, recipe);

function strokes(variation: Variation) {
  return must(expand(must(varyRecipe(recipe, variation)))).strokes;
}

describe('factsOf', () => {
  it('knows limbs with their voices, who reads the line, and the step into every beat', () => {
    expect(facts.limbs.map(({ plays, voice }) => `${plays} ${voice}`)).toEqual([
      'RH snare',
      'LH snare',
      'RF bass',
      'LF hat-foot',
    ]);
    expect(facts).toMatchObject({ ornaments: false, halves: true, twist: { kind: 'displaced' } });
    expect(facts.bridges).toHaveLength(4);
    const [bridge] = facts.bridges;
    expect(bridge && sayVariation(ENGLISH, bridge)).toBe('the bridge a of 4 → 1 as a loop');
  });
});

describe('sayBeat', () => {
  it('counts beats within their bars', () => {
    const line = (text: string) => must(expand({ ...blankRecipe(), play: { content: { text } } }));
    expect(sayBeat(ENGLISH, whole, 2)).toBe('beat 3');
    expect(sayBeat(ENGLISH, line('4 4 4 4 | 2 2'), 6)).toBe('bar 2, beat 3');
  });
});

describe('varyRecipe', () => {
  it('without a limb, that limb is silent and the others play on', () => {
    const left = strokes({ kind: 'without', limb: 'LF', plays: 'LF', voice: 'hat-foot' });
    expect(left).toEqual(whole.strokes.filter((stroke) => stroke.limb !== 'LF'));
  });

  it('halves share the whole between them', () => {
    const halves = (['first', 'second'] as const).map((half) => strokes({ kind: 'half', half }));
    expect(halves.flat()).toHaveLength(whole.strokes.length);
    expect(halves.every((half) => half.length > 0)).toBe(true);
  });

  it('a twist keeps as many strokes, elsewhere or in other hands', () => {
    for (const kind of ['displaced', 'other-lead'] as const) {
      expect(strokes({ kind })).toHaveLength(whole.strokes.length);
      expect(strokes({ kind })).not.toEqual(whole.strokes);
    }
  });

  it('every bridge of the facts can be played', () => {
    for (const bridge of facts.bridges)
      if (bridge) expect(strokes(bridge).length).toBeGreaterThan(1);
  });

  it('refuses to leave nothing', () => {
    const bass = { ...blankRecipe(), play: { content: { text: '4 4 4 4' } } };
    const alone = varyRecipe(bass, { kind: 'without', limb: 'LH', plays: 'LH', voice: 'snare' });
    expect(alone).toMatchObject({ issues: [{ code: 'nothing-to-play' }] });
  });
});

describe('recipeOnRung', () => {
  it('a step rung plays its own recipe, on the kit of whoever plays', () => {
    const steps = buildSteps(recipe, ['limbs']);
    const ladder: Ladder = {
      kind: 'stages',
      bpm: 60,
      stages: steps.map(({ facts, recipe: own }) => ({
        kind: 'step',
        says: sayStep(ENGLISH, facts),
        recipe: own,
      })),
    };
    const rungs = rungsOf(ladder);
    expect(rungs.at(-1)?.asks).toEqual({ kind: 'step', name: 'all of it' });
    const kit = { content: { ...recipe.kit.content, handedness: 'mirrored' as const } };
    const first = must(recipeOnRung({ ...recipe, kit }, rungAt(rungs, 0), null));
    expect(first.kit).toEqual(kit);
    const limbs = new Set(must(expand(first)).strokes.map((stroke) => stroke.limb));
    expect(limbs.size).toBe(1);
  });

  it('on the pad and on the lap the hands share one surface, and the feet tap', () => {
    for (const manner of ['pad', 'lap'] as const) {
      const rung = { stage: { kind: 'manner', manner } } as const;
      const { strokes } = must(expand(must(recipeOnRung(recipe, rung, null))));
      const hands = strokes.filter(({ limb }) => limb === 'RH' || limb === 'LH');
      expect(new Set(hands.map(({ voice }) => voice))).toEqual(new Set(['pad']));
      expect(strokes).toHaveLength(whole.strokes.length);
    }
    const sung = { stage: { kind: 'manner', manner: 'voice' } } as const;
    expect(must(recipeOnRung(recipe, sung, null))).toEqual(recipe);
  });

  it('a damaged step is kept as it is, and says so', () => {
    const stored = { kind: 'step', says: 'broken', recipe: { kind: 'nothing' } };
    const stage = stageSchema.parse(stored);
    expect(stage).toMatchObject({ recipe: { damaged: stored.recipe } });
    expect(stageSchema.parse(stage)).toEqual(stage);
    const broken = recipeOnRung(recipe, { stage }, null);
    expect(broken.ok ? [] : broken.issues.map((issue) => issue.code)).toEqual(['recipe-shape']);
  });
});
