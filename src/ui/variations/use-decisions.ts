'use client';

import { memberAt, MOST_DECIDED, type Family, type OpenedFamily } from '@/core/family';
import { sayMember } from '@/words';
import { toast, useSpeech, useUndo } from '../base';
import { canDecide, dropped, keptAgain, pinned } from './decisions';
import type { EditFamily } from './use-family';

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
  function refuse() {
    toast.error(say.t('screen.variations.decisionsAreKeptForAtMost', { most: MOST_DECIDED }));
  }

  function keep(rows: readonly number[]) {
    const keys = rows.map(keyOf);
    edit((now) => keptAgain(now, keys));
  }

  function drop(rows: readonly number[]) {
    const [first] = rows;
    const keys = rows.map(keyOf);
    if (first === undefined) return;
    if (!dropped(family, keys)) return refuse();
    edit((now) => dropped(now, keys) ?? {});
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
    if (!moved) return;
    if (!canDecide(next.length)) return refuse();
    edit({ order: next.map(keyOf) });
  }

  function pin(rows: readonly number[], end: 'first' | 'last') {
    edit((now) => pinned(now, rows.map(keyOf), end, order.map(keyOf)));
  }

  function stopHere(index: number) {
    const key = keyOf(index);
    edit(({ stop }) => ({ stop: stop === key ? null : key }));
  }

  function keepOnly(indexes: readonly number[]) {
    if (!canDecide(indexes.length)) return refuse();
    edit({ kept: indexes.map(keyOf), dropped: [] });
  }

  const keepAll = () => edit({ kept: null, dropped: [] });

  return { drop, keep, arrange, pin, stopHere, keepOnly, keepAll };
}
