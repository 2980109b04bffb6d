'use client';

import { memberAt, type Family, type OpenedFamily } from '@/core/family';
import { sayMember } from '@/words';
import { toast, useSpeech, useUndo } from '../base';
import type { EditFamily } from './use-family';

/** Most members whose decisions are kept one by one. */
export const MOST_DECIDED = 2000;

/** What a teacher decides about members, kept by their keys so that it stays when the family grows. */
export function useDecisions({
  opened,
  keyOf,
  order,
  family,
  edit,
}: {
  opened: OpenedFamily;
  keyOf: (index: number) => string;
  /** The path as it is shown. */
  order: readonly number[];
  family: Family;
  edit: EditFamily;
}) {
  const { say } = useSpeech();
  const undoable = useUndo();
  function refuse(count: number): boolean {
    if (count <= MOST_DECIDED) return false;
    toast.error(say.t('screen.variations.decisionsAreKeptForAtMost', { most: MOST_DECIDED }));
    return true;
  }

  function keep(rows: readonly number[]) {
    const keys = rows.map(keyOf);
    edit(({ dropped, kept }) => ({
      dropped: dropped.filter((one) => !keys.includes(one)),
      kept: kept && [...kept, ...keys.filter((one) => !kept.includes(one))],
    }));
  }

  function drop(rows: readonly number[]) {
    const [first] = rows;
    const keys = rows.map(keyOf);
    if (first === undefined) return;
    if (!family.kept && refuse(family.dropped.length + keys.length)) return;
    edit(({ kept, dropped }) =>
      kept
        ? { kept: kept.filter((one) => !keys.includes(one)) }
        : { dropped: [...dropped, ...keys] },
    );
    undoable(
      say.t('screen.variations.dropped', {
        member: sayMember(say, opened, memberAt(opened, first)),
        more: rows.length - 1,
      }),
      () => keep(rows),
    );
  }

  /** Gives the path another order, which is the teacher’s own from then on. */
  function arrange(next: readonly number[]) {
    const moved = next.some((one, place) => one !== order[place]);
    if (moved && !refuse(next.length)) edit({ order: next.map(keyOf) });
  }

  /** Pins rows to an end, after those that are there; all of them off it, where all are. */
  function pin(rows: readonly number[], end: 'first' | 'last') {
    const keys = rows.map(keyOf);
    const off = keys.every((key) => family[end].includes(key));
    const other = end === 'first' ? 'last' : 'first';
    const without = (all: readonly string[]) => all.filter((key) => !keys.includes(key));
    const there = without(family[end]);
    const pinned = off ? there : end === 'first' ? [...there, ...keys] : [...keys, ...there];
    edit((family) => ({
      [end]: pinned,
      [other]: without(family[other]),
      ...(family.order !== null && !off && { order: atEnds(order.map(keyOf), pinned, end) }),
    }));
  }

  function stopHere(index: number) {
    const key = keyOf(index);
    edit(({ stop }) => ({ stop: stop === key ? null : key }));
  }

  function keepOnly(indexes: readonly number[]) {
    if (!refuse(indexes.length)) edit({ kept: indexes.map(keyOf), dropped: [] });
  }

  const keepAll = () => edit({ kept: null, dropped: [] });

  return { drop, keep, arrange, pin, stopHere, keepOnly, keepAll };
}

/** An order made by hand, with what is pinned at its end. */
function atEnds(
  order: readonly string[],
  pinned: readonly string[],
  end: 'first' | 'last',
): readonly string[] {
  const rest = order.filter((key) => !pinned.includes(key));
  return end === 'first' ? [...pinned, ...rest] : [...rest, ...pinned];
}
