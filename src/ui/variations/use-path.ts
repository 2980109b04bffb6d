'use client';

import { useEffect, useMemo, useState } from 'react';
import type { Family } from '@/core/family';
import type { FamilyWork } from './use-family-work';
import type { Members, Standing } from './use-members';

/** The members of the path in order: as the worker puts them, or by difficulty while it has not yet.
 * @returns `waiting` while a new order is made */
export function usePath(
  work: FamilyWork,
  { path }: Standing,
  { first, last, order, written = false }: Family,
  { keyOf }: Members,
): { readonly order: readonly number[]; readonly waiting: boolean } {
  const { state, order: ask } = work;
  const wanted = useMemo(() => {
    const byKey = new Map(path.map(({ index }) => [keyOf(index), index]));
    return {
      members: path.map((one) => one.index),
      first: first === null ? null : (byKey.get(first) ?? null),
      last: last === null ? null : (byKey.get(last) ?? null),
      own: order?.flatMap((key) => byKey.get(key) ?? []) ?? null,
    };
  }, [path, first, last, order, keyOf]);
  const [made, setMade] = useState<{ of: object; order: readonly number[] } | null>(null);
  const done = state === 'done';
  /** What the teacher ordered by hand goes before either order. */
  const asWritten = written && order === null;

  useEffect(() => {
    if (!done || asWritten) return;
    let over = false;
    void ask(wanted).then((next) => {
      if (!over) setMade({ of: wanted, order: next });
    });
    return () => {
      over = true;
    };
  }, [ask, wanted, done, asWritten]);

  const fresh = made?.of === wanted;
  const shown = useMemo(() => {
    if (asWritten) return pinned(wanted);
    if (made && fresh) return made.order;
    const points = new Map(path.map((one) => [one.index, one.points]));
    const before = (made?.order ?? []).filter((index) => points.has(index));
    const known = new Set(before);
    const rest = wanted.members
      .filter((index) => !known.has(index))
      .sort((a, b) => (points.get(a) ?? 0) - (points.get(b) ?? 0));
    return [...before, ...rest];
  }, [made, fresh, path, wanted, asWritten]);
  return { order: shown, waiting: done && !fresh && !asWritten };
}

/** In the order of their values, but for what stands at the ends. */
function pinned({
  members,
  first,
  last,
}: {
  members: readonly number[];
  first: number | null;
  last: number | null;
}): readonly number[] {
  const between = members.filter((one) => one !== first && one !== last).sort((a, b) => a - b);
  return [
    ...(first === null ? [] : [first]),
    ...between,
    ...(last === null || last === first ? [] : [last]),
  ];
}
