import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { must, type Result } from '../issue';
import { letterOf } from '../kit';
import { SHIPPED_KITS, SHIPPED_LINES, SHIPPED_OSTINATOS } from '../materials';
import { quarters } from '../time';
import {
  blankRecipe,
  expand,
  INTERPRETATION_STARTS,
  readAs,
  readLink,
  recipeHash,
  startOf,
  toggleOstinato,
  writeLink,
  type Change,
  type ClosedRecipe,
} from '.';
import {
  ENGLISH,
  sayChange,
  sayIn,
  sayMaterial,
  sayPolicy,
  saySentence,
  suggestName,
} from '@/words';
import { PLAIN_SPEECH } from '../studio';

const sixteenth = quarters(1, 4);

function recipe(
  over: readonly string[],
  text: string,
  more: Partial<ClosedRecipe> = {},
): ClosedRecipe {
  const blank = over.reduce((one: ClosedRecipe, id) => toggleOstinato(one, id), blankRecipe());
  return { ...blank, play: text ? { content: { text } } : null, ...more };
}

function letters(closed: ClosedRecipe): string {
  const { strokes, cycleTicks } = must(expand(closed));
  const slots = Array.from({ length: cycleTicks / sixteenth }, () => '-');
  for (const stroke of strokes.filter((s) => s.from.source !== 'over')) {
    slots[stroke.at / sixteenth] = letterOf(stroke.limb);
  }
  return slots.join('');
}

function codes(result: Result<unknown>): string[] {
  return result.ok ? [] : result.issues.map((issue) => issue.code);
}

describe('changes', () => {
  const bassLine = { kind: 'verbatim', on: { limb: 'RF', voice: 'bass' } } as const;
  const change = (...changes: Change[]) => recipe([], '4. 4 8 4', { as: bassLine, changes });

  it.each([
    [{ kind: 'reverse', part: 'line', slot: '8' }, 'line backwards in 8ths', '--K-K---K-----K-'],
    [
      { kind: 'push', part: 'line', note: 2, by: 1, slot: '16' },
      'line, note 2 pushed one 16th',
      'K----K----K-K---',
    ],
    [{ kind: 'swap-feet', part: 'all' }, 'everything, feet swapped', 'F-----F---F-F---'],
    [
      { kind: 'footing', part: 'all', school: 'groups' },
      'everything, double pedal, right leads each group',
      'K-----K---K-K---',
    ],
    [
      { kind: 'give', part: 'line', from: 'RF', to: { limb: 'LF', voice: 'hat-foot' } },
      'line, right foot given to hi-hat foot',
      'F-----F---F-F---',
    ],
    [
      { kind: 'revoice', part: 'line', from: 'bass', to: 'tom-floor' },
      'line, bass drum to floor tom',
      'K-----K---K-K---',
    ],
  ] as [Change, string, string][])('%j is said as “%s” and plays %s', (one, said, plays) => {
    expect(sayChange(ENGLISH, one)).toBe(said);
    expect(letters(change(one))).toBe(plays);
    expect(must(readLink(writeLink(change(one)))).changes).toEqual([one]);
  });

  it('a reversed line is reversed back', () => {
    const one: Change = { kind: 'reverse', part: 'line', slot: '8' };
    expect(letters(change(one, one))).toBe('K-----K---K-K---');
  });

  it('a note pushed from the first beat goes over the seam', () => {
    const push: Change = { kind: 'push', part: 'line', note: 1, by: 1, slot: '16' };
    expect(letters(change(push))).toBe('------K---K-K--K');
  });

  it('footing sees the feet of ostinato and line together', () => {
    const one: Change = { kind: 'footing', part: 'all', school: 'grid' };
    const exercise = must(expand(recipe(['double-bass-16ths'], '', { changes: [one] })));
    expect(exercise.strokes.map((stroke) => letterOf(stroke.limb)).join('')).toBe(
      'KFKFKFKFKFKFKFKF',
    );
  });

  it('feet that change roles double the cycle', () => {
    const one: Change = { kind: 'footing', part: 'line', school: 'grid' };
    const text = '3(8 8 8) 3(8 8 8) 3(8 8 8)';
    const closed = recipe([], text, { meter: '3/4', as: bassLine, changes: [one] });
    const exercise = must(expand(closed));
    expect(exercise.bars).toBe(2);
    for (const layer of exercise.layers) expect(layer.lengthTicks).toBe(exercise.cycleTicks);
  });

  it('a limb that a part is given to is claimed', () => {
    const give: Change = {
      kind: 'give',
      part: 'line',
      from: 'RF',
      to: { limb: 'LF', voice: 'hat-foot' },
    };
    const closed = recipe(['hats-2-4'], '4 4 4 4', { as: bassLine, changes: [give] });
    expect(codes(expand({ ...closed, clash: 'refuse' }))).toEqual(['limb-claimed']);
  });
});

describe('expand', () => {
  it('combines left-foot hi-hat on 2 and 4 with phrase cells', () => {
    const closed = recipe(['hats-2-4'], '4. 4 8 4', { as: startOf('phrase-cells') });
    expect(letters(closed)).toBe('RLLKKLRLLKRLRLLK');
    const exercise = must(expand(closed));
    const chicks = exercise.strokes.filter((s) => s.voice === 'hat-foot');
    expect(chicks.map((s) => s.at / quarters(1))).toEqual([1, 3]);
    expect(exercise.bars).toBe(1);
  });

  it('the same line over jazz ride as short / long reads K K S K', () => {
    const closed = recipe(['jazz-ride'], '4. 4 8 4', { as: startOf('short-long') });
    expect(letters(closed).replaceAll('-', '').replaceAll('L', 'S')).toBe('KKSK');
    expect(must(expand(closed)).shared).toEqual([]);
  });

  it('lets the ostinato’s part rest on a claimed limb, or refuses', () => {
    const closed = recipe(['jazz-ride-feathered'], '4. 4 8 4', { as: startOf('short-long') });
    const bass = must(expand(closed)).strokes.filter((s) => s.voice === 'bass');
    expect(bass.every((s) => s.from.source === 'line')).toBe(true);
    expect(codes(expand({ ...closed, clash: 'refuse' }))).toEqual(['limb-claimed']);
    const merged = must(expand({ ...closed, clash: 'merge' })).strokes;
    expect(
      merged.filter((s) => s.voice === 'bass').map((s) => [s.at / sixteenth, s.dynamic]),
    ).toEqual([
      [0, 'normal'],
      [4, 'ghost'],
      [6, 'normal'],
      [8, 'ghost'],
      [12, 'normal'],
    ]);
  });

  it('what fills triplets meets a swung ride on the page', () => {
    const ride = recipe(['jazz-ride'], '8 4. 8 4.');
    expect(ride.feel).toEqual({ kind: 'swung', long: 2, short: 1 });
    const read = readAs(ride, 'left-triplets');
    expect(read.feel).toEqual({ kind: 'triplets' });
    const triplets = must(expand(read)).strokes.map((one) => (one.at / quarters(1, 3)) % 1);
    expect(new Set(triplets)).toEqual(new Set([0]));
    expect(saySentence(ENGLISH, read)).toContain(
      'As short = snare, long = bass drum, snare fills the 8th triplets',
    );
  });

  it.each(INTERPRETATION_STARTS)('$id plays, says itself, and comes back from a link', (start) => {
    const closed = readAs(recipe(['hats-2-4'], '4. 4 8 4'), start.id);
    expect(must(expand(closed)).strokes.length).toBeGreaterThan(5);
    expect(saySentence(ENGLISH, closed)).toContain('As ');
    expect(must(readLink(writeLink(closed)))).toEqual(closed);
  });

  it('a mirrored line claims the limbs of the other side', () => {
    const mirror: Change = { kind: 'mirror', what: 'hands', part: 'line' };
    const closed = recipe(['jazz-ride'], '4 4 4 4', { changes: [mirror], clash: 'refuse' });
    expect(codes(expand(closed))).toEqual(['limb-claimed']);
  });

  it('loops parts until they realign: a bar of 3/4 under 4/4 takes 3 bars', () => {
    const exercise = must(expand(recipe(['waltz'], '4 4 4 4', { meter: '4/4' })));
    expect(exercise.bars).toBe(3);
    for (const layer of exercise.layers) expect(layer.lengthTicks).toBe(exercise.cycleTicks);
  });

  it('a cycle over 64 bars is said, not cut', () => {
    const seven = {
      id: 'x',
      version: 1,
      content: {
        name: 'long',
        meter: '4/4',
        swung: false,
        lanes: [
          {
            limb: 'LF' as const,
            voice: 'hat-foot' as const,
            slot: '32' as const,
            grid: `x${'-'.repeat(66)}`,
          },
        ],
      },
    };
    expect(expand({ ...recipe([], '4 4 4 4'), over: [seven] })).toMatchObject({
      issues: [{ code: 'cycle-too-long', bars: 67, most: 64 }],
    });
  });

  it('gathers the issues of all ingredients', () => {
    const bad = toggleOstinato(blankRecipe(), 'samba-feet');
    const broken = bad.over.map((one) => ({
      content: {
        ...one.content,
        lanes: one.content.lanes.map((lane) => ({ ...lane, grid: 'xo' })),
      },
    }));
    const result = expand({ ...bad, over: broken, play: { content: { text: '4 4 | 4' } } });
    expect(codes(result)).toEqual(['grid-token', 'grid-token', 'bar-length']);
    expect(codes(expand(blankRecipe()))).toEqual(['nothing-to-play']);
  });

  it.each(Object.keys(SHIPPED_OSTINATOS))('%s expands in its own meter', (id) => {
    const exercise = must(expand(toggleOstinato(blankRecipe(), id)));
    expect(exercise.strokes.length).toBeGreaterThan(0);
    expect(exercise.strokes.every((s) => s.at >= 0 && s.at < exercise.cycleTicks)).toBe(true);
  });

  it.each(Object.entries(SHIPPED_LINES))('%s is a whole line of its meter', (_, line) => {
    expect(expand({ ...recipe([], line.text), meter: line.meter }).ok).toBe(true);
  });

  it('swaps hands in three different ways', () => {
    const cells = recipe(['rock-8ths-hands'], '4. 4 8 4', { as: startOf('phrase-cells') });
    const play = (id: string) =>
      letters({
        ...cells,
        kit: {
          id,
          version: 1,
          content: {
            ...(SHIPPED_KITS[id] ?? cells.kit.content),
            voices: [...cells.kit.content.voices],
          },
        },
      });
    expect(play('mirrored-kit')).toBe('LRRFFRLRRFLRLRRF');
    expect(play('left-lead')).toBe('LRRKKRLRRKLRLRRK');
    expect(play('open-handed')).toBe('RLLKKLRLLKRLRLLK');
  });
});

const anyRecipe: fc.Arbitrary<ClosedRecipe> = fc
  .record({
    over: fc.subarray(Object.keys(SHIPPED_OSTINATOS), { maxLength: 2 }),
    line: fc.constantFrom('4. 4 8 4', '8r 4 4 8 4', '4 8 8 4 4', '8 4. 8 4.'),
    as: fc.constantFrom('verbatim' as const, 'short-long' as const, 'phrase-cells' as const),
    clash: fc.constantFrom('limbs' as const, 'groove' as const, 'merge' as const),
    by: fc.integer({ min: -16, max: 16 }),
    what: fc.constantFrom('pattern' as const, 'accents' as const, 'sticking' as const),
  })
  .map(({ over, line, as, clash, by, what }) =>
    recipe(over, line, {
      meter: '4/4',
      as: startOf(as),
      clash,
      changes: [{ kind: 'displace', what, part: 'all', by, slot: '16' }],
    }),
  );

describe('expand, for any recipe', () => {
  it('gives the same exercise twice, with no limb doubled by policy', () => {
    fc.assert(
      fc.property(anyRecipe, (closed) => {
        const once = expand(closed);
        expect(expand(closed)).toEqual(once);
        if (!once.ok) return;
        for (const stroke of once.value.strokes) {
          expect(Number.isInteger(stroke.at)).toBe(true);
        }
      }),
    );
  });

  it('a displacement and its reverse leave the sound as it was', () => {
    fc.assert(
      fc.property(anyRecipe, fc.integer({ min: 1, max: 15 }), (closed, by) => {
        const change = (slots: number): Change => ({
          kind: 'displace',
          what: 'pattern',
          part: 'line',
          by: slots,
          slot: '16',
        });
        const plain = expand({ ...closed, changes: [] });
        expect(expand({ ...closed, changes: [change(by), change(-by)] })).toEqual(plain);
      }),
    );
  });

  it('a link gives the same recipe back', () => {
    fc.assert(
      fc.property(anyRecipe, (closed) => {
        const back = must(readLink(writeLink(closed)));
        expect(back).toEqual(JSON.parse(JSON.stringify(closed)));
        expect(recipeHash(back)).toBe(recipeHash(closed));
      }),
    );
  });

  it('an altered link is refused, whichever letter changed', () => {
    const link = writeLink(recipe(['jazz-ride'], '4. 4 8 4'));
    fc.assert(
      fc.property(fc.nat(link.length - 1), (at) => {
        const other = link[at] === 'A' ? 'B' : 'A';
        const altered = link.slice(0, at) + other + link.slice(at + 1);
        expect(codes(readLink(altered))).toEqual(['link-altered']);
      }),
    );
    expect(codes(readLink(link.slice(0, -4)))).toEqual(['link-altered']);
    expect(codes(readLink(''))).toEqual(['link-altered']);
  });
});

describe('sentence', () => {
  it('says the recipe in fixed short lines', () => {
    const closed = recipe(['jazz-ride'], '4. 4 8 4', {
      as: startOf('short-long'),
      changes: [{ kind: 'displace', what: 'pattern', part: 'line', by: 1, slot: '8' }],
    });
    expect(saySentence(ENGLISH, closed).split(' · ')).toEqual([
      'Over jazz ride, hats on 2 and 4',
      'Play 4. 4 8 4',
      'As short = snare, long = bass drum',
      'Changed by line one 8th later',
      'At 4/4, swung 2:1',
    ]);
    expect(sayPolicy(ENGLISH, closed.clash)).toBe('the groove’s part rests while the line plays');
  });

  it('is said in the note names of the studio', () => {
    const british = sayIn('en-GB', { ...PLAIN_SPEECH, notes: 'british' });
    const closed = recipe(['rock-8ths'], '4. 4 8 4', {
      as: startOf('accents-16ths'),
      changes: [{ kind: 'displace', what: 'pattern', part: 'line', by: 1, slot: '8' }],
    });
    expect(saySentence(british, closed)).toBe(
      'Over rock in quavers · Play 4. 4 8 4 · As accents in semiquavers on the snare, RL · Changed by line one quaver later · At 4/4, straight',
    );
    expect(suggestName(british, closed)).toBe(
      'rock in quavers · 4. 4 8 4 · accents in a filled grid',
    );
  });

  it('calls what is a studio’s own as it is named, note values and all', () => {
    const british = sayIn('en-GB', { ...PLAIN_SPEECH, notes: 'british' });
    const [over] = recipe(['rock-8ths'], '').over;
    const own = { id: '01own', content: { ...over?.content, name: 'my 8ths' } };
    expect(sayMaterial(british, own)).toBe('my 8ths');
  });

  it('hides what is empty and speaks the cells', () => {
    expect(
      saySentence(ENGLISH, recipe(['hats-2-4'], '4. 4 8 4', { as: startOf('phrase-cells') })),
    ).toBe(
      'Over foot hi-hat on 2 and 4 · Play 4. 4 8 4 · As phrase cells by gap: RLLKKL RLLK RL RLLK · At 4/4, straight',
    );
  });
});
