'use client';

import { useEffect, useMemo, useState } from 'react';
import {
  axisAt,
  orderAsWritten,
  standsAsWritten,
  type Family,
  type OpenedFamily,
} from '@/core/family';
import type { FamilyWork } from './use-family-work';
import type { Members, Standing } from './use-members';

/** The members of the path in order: as the worker puts them, or by difficulty while it has not yet.
 * @returns `waiting` while a new order is made */
export function usePath(
  work: FamilyWork,
  { path }: Standing,
  family: Family,
  opened: OpenedFamily | null,
  { keyOf }: Members,
): { readonly order: readonly number[]; readonly waiting: boolean } {
  const { state, order: ask } = work;
  const { first, last, order } = family;
  const wanted = useMemo(() => {
    const byKey = new Map(path.map(({ index }) => [keyOf(index), index]));
    return {
      members: path.map((one) => one.index),
      first: first.flatMap((key) => byKey.get(key) ?? []),
      last: last.flatMap((key) => byKey.get(key) ?? []),
      own: order?.flatMap((key) => byKey.get(key) ?? []) ?? null,
    };
  }, [path, first, last, order, keyOf]);
  const [made, setMade] = useState<{ of: object; order: readonly number[] } | null>(null);
  const done = state === 'done';
  const asWritten = standsAsWritten(family);
  const passes = axisAt(family.axes, family.passes);

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
    if (asWritten && opened) {
      const ends = new Set([...wanted.first, ...wanted.last]);
      const between = wanted.members.filter((index) => !ends.has(index));
      const last = wanted.last.filter((index) => !wanted.first.includes(index));
      return [...wanted.first, ...orderAsWritten(opened, between, passes), ...last];
    }
    if (made && fresh) return made.order;
    const points = new Map(path.map((one) => [one.index, one.points]));
    const before = (made?.order ?? []).filter((index) => points.has(index));
    const known = new Set(before);
    const rest = wanted.members
      .filter((index) => !known.has(index))
      .sort((a, b) => (points.get(a) ?? 0) - (points.get(b) ?? 0));
    return [...before, ...rest];
  }, [made, fresh, path, wanted, asWritten, opened, passes]);
  return { order: shown, waiting: done && !fresh && !asWritten };
}
