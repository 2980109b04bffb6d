import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { ENGLISH, saySentence } from '@/words';
import { must, type Result } from '../issue';
import { SHIPPED } from '../materials';
import {
  blankRecipe,
  close,
  expand,
  INTERPRETATION_STARTS,
  readRecipe,
  recipeHash,
  recipeOfMaterial,
  startOf,
  toggleOstinato,
  type Change,
  type ClosedRecipe,
} from '.';

function line(text: string, more: Partial<ClosedRecipe> = {}): ClosedRecipe {
  return { ...blankRecipe(), play: { content: { text } }, ...more };
}

function codes(result: Result<unknown>): string[] {
  return result.ok ? [] : result.issues.map((issue) => issue.code);
}

describe('readRecipe', () => {
  it('refuses a newer format and what is no recipe', () => {
    expect(readRecipe({ ...blankRecipe(), version: 3 })).toMatchObject({
      issues: [{ code: 'recipe-newer', version: 3, known: 2 }],
    });
    expect(codes(readRecipe(null))).toEqual(['recipe-shape']);
    expect(codes(readRecipe({ ...blankRecipe(), clash: 'shrug' }))).toEqual(['recipe-shape']);
  });
});

/** What a file or a link makes of it: JSON, and back. */
function again(recipe: ClosedRecipe): unknown {
  return JSON.parse(JSON.stringify(recipe));
}

const CHANGES = [
  { kind: 'displace', what: 'accents', part: 'line', by: -3, slot: '16' },
  { kind: 'mirror', what: 'hands', part: 'all' },
  { kind: 'push', part: 'line', note: 2, by: 1, slot: '8t' },
  { kind: 'footing', part: 'all', school: 'groups' },
  { kind: 'give', part: 'over', from: 'LH', to: { limb: 'LF', voice: 'hat-foot' } },
  { kind: 'turn', part: 'all', voices: ['bass', 'tom-high'], turn: 1, reversed: true },
  { kind: 'place', to: { limb: 'RF', voice: 'bass' }, slot: '16', grid: 'x-X-' },
  { kind: 'thin', part: 'over', limb: 'RH', keep: 'beats' },
  { kind: 'only', limbs: ['RH', 'LF'] },
  { kind: 'plain' },
] as const satisfies readonly Change[];

const changed = fc.subarray([...CHANGES], { maxLength: 10 });

describe('a recipe in a file', () => {
  it.each(SHIPPED.map((one) => [one.kind, one.id, one] as const))(
    'of the %s %s reads back as it is',
    (_kind, _id, material) => {
      const recipe = recipeOfMaterial(material);
      expect(must(readRecipe(again(recipe)))).toEqual(recipe);
    },
  );

  it.each(INTERPRETATION_STARTS.map(({ id }) => id))('read by %s, does', (id) => {
    const recipe = line('4. 4 8 4', { as: startOf(id) });
    expect(must(readRecipe(again(recipe)))).toEqual(recipe);
  });

  it('with any changes, does', () => {
    fc.assert(
      fc.property(
        changed,
        fc.option(fc.integer({ min: 1, max: 64 }), { nil: undefined }),
        (changes, cut) => {
          const recipe = line('8 8 4 4', { changes, ...(cut && { cut }) });
          expect(must(readRecipe(again(recipe)))).toEqual(recipe);
        },
      ),
    );
  });

  it('with any one value replaced by nonsense is refused, with its place', () => {
    const recipe = toggleOstinato(line('4 4', { changes: CHANGES }), 'rock-8ths');
    const paths = pathsOf(again(recipe));
    fc.assert(
      fc.property(fc.constantFrom(...paths), (path) => {
        const broken = again(recipe);
        setAt(broken, path, { nonsense: true });
        const read = readRecipe(broken);
        expect(codes(read)).toContain('recipe-shape');
      }),
      { numRuns: paths.length },
    );
  });

  it('with a field that nobody knows is refused, never half read', () => {
    const recipe = toggleOstinato(line('4 4'), 'rock-8ths');
    for (const more of [{ tempo: 80 }, { then: { bars: 1, members: [], loop: true } }]) {
      expect(codes(readRecipe({ ...recipe, ...more }))).toContain('recipe-shape');
    }
  });
});

type Path = readonly (string | number)[];

/** Places of all values that are no lists or records. */
function pathsOf(json: unknown, path: Path = []): readonly Path[] {
  if (typeof json !== 'object' || json === null) return [path];
  return Object.entries(json).flatMap(([key, value]) => pathsOf(value, [...path, key]));
}

function setAt(json: unknown, [key = '', ...rest]: Path, value: unknown): void {
  const record = json as Record<string, unknown>;
  if (rest.length === 0) record[key] = value;
  else setAt(record[key], rest, value);
}

describe('close', () => {
  it('embeds contents once and names what is missing', () => {
    const open = { ...blankRecipe(), over: [{ id: 'jazz-ride', version: 1 }] };
    const closed = must(close(open));
    expect(closed.over[0]?.content.name).toBe('jazz ride, hats on 2 and 4');
    expect(must(close(closed))).toEqual(closed);
    expect(codes(close({ ...open, over: [{ id: 'jazz-ride', version: 7 }] }))).toEqual([
      'ingredient-missing',
    ]);
  });
});

describe('recipeHash', () => {
  it('hears the music, not names or ids', () => {
    const shipped = line('', {
      play: { id: 'line-5', version: 1, content: { name: 'line 5', text: '4. 4 8 4' } },
    });
    expect(recipeHash(shipped)).toBe(recipeHash(line('4. 4 8 4')));
    expect(recipeHash(shipped)).not.toBe(recipeHash(line('4. 4 4 8')));
  });
});

describe('a cycle that is cut', () => {
  const sevens = {
    ...blankRecipe(),
    over: [3, 5, 7, 11].map((slots) => ({
      content: {
        name: `every ${slots}`,
        meter: '4/4',
        swung: false,
        lanes: [
          {
            limb: 'RF' as const,
            voice: 'bass' as const,
            slot: '16' as const,
            grid: 'x'.padEnd(slots, '-'),
          },
        ],
      },
    })),
  };

  it('over 64 bars is refused with its length, and played once it is cut', () => {
    const refused = expand(sevens);
    expect(refused).toMatchObject({ ok: false, issues: [{ code: 'cycle-too-long', bars: 1155 }] });
    const cut = must(expand({ ...sevens, cut: 4 }));
    expect(cut.bars).toBe(4);
    const places = [3, 5, 7, 11].flatMap((slots) =>
      Array.from({ length: Math.ceil(64 / slots) }, (_, index) => index * slots),
    );
    expect(cut.strokes).toHaveLength(places.length);
    expect(cut.strokes.every((stroke) => stroke.at < cut.cycleTicks)).toBe(true);
    expect(saySentence(ENGLISH, { ...sevens, cut: 4 })).toContain('cut to 4 bars');
  });

  it('a shorter cycle stays as it is', () => {
    const recipe = { ...toggleOstinato(blankRecipe(), 'rock-8ths'), cut: 4 };
    expect(must(expand(recipe)).bars).toBe(1);
  });
});
