import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { advanceRuleSchema } from '../ladder/rule-schema';
import { USUAL_COURSE, makeCourse, rungsOf, typeCourse } from '../ladder';
import { makeId, type ItemId } from '../id';
import { must } from '../issue';
import {
  changeItems,
  checkOutline,
  copyOutline,
  COURSE_TEMPLATES,
  itemsOf,
  nudgeItem,
  outlineSchema,
  placeItem,
  withItem,
  withoutItems,
  type Outline,
} from '.';

let seed = 0;
const random = () => Uint8Array.from({ length: 12 }, () => (seed += 1) % 32);
const id = () => makeId<'item'>(1, random());
const exerciseId = makeId<'exercise'>(1, random());

function outline(...sizes: number[]): Outline {
  const empty = {
    sections: sizes.map((_, at) => ({ id: `s${at}`, name: `Part ${at}`, items: [] })),
  };
  return sizes.reduce<Outline>((made, size, at) => {
    return Array.from({ length: size }).reduce<Outline>((now, _, index) => {
      const item = { id: id(), exerciseId, hash: 'h', name: `${at}.${index}` };
      return withItem(now, item, USUAL_COURSE, `s${at}`);
    }, made);
  }, empty);
}

function names(of: Outline): string {
  return of.sections.map((one) => one.items.map((item) => item.name).join(' ')).join(' | ');
}

function idOf(of: Outline, name: string): ItemId {
  const found = itemsOf(of).find((item) => item.name === name);
  if (!found) throw new Error(name);
  return found.id;
}

describe('moving items', () => {
  it('one place at a time, over the edge of a section, and no further than the ends', () => {
    const two = outline(2, 2);
    expect(names(nudgeItem(two, idOf(two, '0.1'), -1))).toBe('0.1 0.0 | 1.0 1.1');
    expect(names(nudgeItem(two, idOf(two, '0.1'), 1))).toBe('0.0 | 0.1 1.0 1.1');
    expect(names(nudgeItem(two, idOf(two, '1.0'), -1))).toBe('0.0 0.1 1.0 | 1.1');
    expect(nudgeItem(two, idOf(two, '0.0'), -1)).toBe(two);
    expect(nudgeItem(two, idOf(two, '1.1'), 1)).toBe(two);
  });

  it('to any place of any section', () => {
    const two = outline(2, 2);
    expect(names(placeItem(two, idOf(two, '0.0'), 's1', 1))).toBe('0.1 | 1.0 0.0 1.1');
    expect(placeItem(two, id(), 's1', 1)).toBe(two);
  });

  it('loses and doubles nothing, whatever is moved', () => {
    const moves = fc.array(
      fc.tuple(fc.nat(5), fc.constantFrom('s0', 's1', 's2'), fc.nat(6), fc.boolean()),
    );
    const three = outline(2, 3, 1);
    fc.assert(
      fc.property(moves, (all) => {
        const moved = all.reduce((now, [index, to, at, nudge]) => {
          const item = itemsOf(three)[index];
          if (!item) return now;
          return nudge ? nudgeItem(now, item.id, at % 2 ? 1 : -1) : placeItem(now, item.id, to, at);
        }, three);
        const ids = (of: Outline) =>
          itemsOf(of)
            .map((item) => item.id)
            .sort();
        expect(ids(moved)).toEqual(ids(three));
        expect(outlineSchema.parse(moved)).toEqual(moved);
      }),
    );
  });
});

describe('what comes after what', () => {
  function waiting(pairs: readonly (readonly [string, string])[]): Outline {
    return pairs.reduce((now, [waits, first]) => {
      const ids = new Set([idOf(now, waits)]);
      const before = idOf(now, first);
      return changeItems(now, ids, (item) => ({ ...item, after: [...item.after, before] }));
    }, outline(4));
  }

  it('a chain and a fork are fine', () => {
    const fine = waiting([
      ['0.1', '0.0'],
      ['0.2', '0.0'],
      ['0.3', '0.1'],
      ['0.3', '0.2'],
    ]);
    expect(checkOutline(fine).ok).toBe(true);
  });

  it('a circle is named in the order of waiting', () => {
    const circle = waiting([
      ['0.0', '0.1'],
      ['0.1', '0.2'],
      ['0.2', '0.0'],
    ]);
    expect(checkOutline(circle)).toMatchObject({
      issues: [{ code: 'after-circle', names: ['0.0', '0.1', '0.2'] }],
    });
    expect(checkOutline(waiting([['0.3', '0.3']]))).toMatchObject({
      issues: [{ code: 'after-circle', names: ['0.3'] }],
    });
  });

  it('what is taken out is waited for no longer', () => {
    const chain = waiting([['0.1', '0.0']]);
    const left = withoutItems(chain, new Set([idOf(chain, '0.0')]));
    expect(itemsOf(left)[0]?.after).toEqual([]);
    expect(checkOutline(left).ok).toBe(true);
  });

  it('a copy has ids of its own, and waits for its own', () => {
    const chain = waiting([['0.1', '0.0']]);
    const copy = copyOutline(chain, 2, random);
    expect(names(copy)).toBe(names(chain));
    expect(itemsOf(copy)[1]?.after).toEqual([idOf(copy, '0.0')]);
    const all = [...itemsOf(chain), ...itemsOf(copy)].map((item) => item.id);
    expect(new Set(all).size).toBe(8);
  });

  it('a stranger and a twin are refused', () => {
    const one = outline(1);
    const lost = changeItems(one, new Set([idOf(one, '0.0')]), (item) => ({
      ...item,
      after: [id()],
    }));
    expect(checkOutline(lost)).toMatchObject({ issues: [{ code: 'after-missing', name: '0.0' }] });
    const [item] = itemsOf(one);
    const twice = { sections: [{ id: 's', name: '', items: item ? [item, item] : [] }] };
    expect(checkOutline(twice)).toMatchObject({ issues: [{ code: 'item-twice' }] });
  });
});

describe('a rule of the last tries', () => {
  const typed = (of: string) => ({ ...typeCourse(USUAL_COURSE), clean: '3', of });

  it('is typed as more tries than have to be clean, or left out', () => {
    const made = makeCourse(typed('4'));
    expect(made).toMatchObject({ value: { rule: { clean: 3, of: 4 } } });
    expect(made.ok && makeCourse(typeCourse(made.value))).toEqual(made);
    expect(makeCourse(typed(''))).toMatchObject({ value: { rule: { clean: 3 } } });
    expect(must(makeCourse(typed(''))).rule).not.toHaveProperty('of');
  });

  it('is refused from elsewhere, too, where it could never be won', () => {
    const read = (of: number) => advanceRuleSchema.safeParse({ clean: 3, lost: 2, of }).success;
    expect([2, 3, 4, 12, 13].map(read)).toEqual([false, false, true, true, false]);
  });

  it.each(['3', '2', '13', '4.5', 'x'])('refuses %s', (of) => {
    expect(makeCourse(typed(of))).toMatchObject({
      issues: [{ code: 'rule', what: 'of', text: of, path: ['of'] }],
    });
  });
});

describe('templates', () => {
  it.each(COURSE_TEMPLATES.map((one) => [one.id, one.course] as const))(
    '%s can be typed, and leads somewhere',
    (_, course) => {
      expect(makeCourse(typeCourse(course))).toEqual({ ok: true, value: course });
      expect(rungsOf(course.ladder).length).toBeGreaterThan(0);
    },
  );
});
