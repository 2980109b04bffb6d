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

  function keep(index: number) {
    const key = keyOf(index);
    edit(({ dropped, kept }) => ({
      dropped: dropped.filter((one) => one !== key),
      kept: kept && !kept.includes(key) ? [...kept, key] : kept,
    }));
  }

  function drop(index: number) {
    const key = keyOf(index);
    if (!family.kept && refuse(family.dropped.length + 1)) return;
    edit(({ kept, dropped }) =>
      kept ? { kept: kept.filter((one) => one !== key) } : { dropped: [...dropped, key] },
    );
    undoable(
      say.t('screen.variations.dropped', {
        member: sayMember(say, opened, memberAt(opened, index)),
      }),
      () => keep(index),
    );
  }

  /** Moves a member to a place of the path, which is the teacher’s own from then on. */
  function put(index: number, to: number) {
    const next = order.filter((one) => one !== index);
    next.splice(Math.max(0, Math.min(next.length, to)), 0, index);
    const moved = next.some((one, place) => one !== order[place]);
    if (moved && !refuse(next.length)) edit({ order: next.map(keyOf) });
  }

  function pin(index: number, end: 'first' | 'last') {
    const key = keyOf(index);
    if (family.order !== null) put(index, end === 'first' ? 0 : order.length - 1);
    edit((family) => ({ [end]: family[end] === key ? null : key }));
  }

  function stopHere(index: number) {
    const key = keyOf(index);
    edit(({ stop }) => ({ stop: stop === key ? null : key }));
  }

  function keepOnly(indexes: readonly number[]) {
    if (!refuse(indexes.length)) edit({ kept: indexes.map(keyOf), dropped: [] });
  }

  const keepAll = () => edit({ kept: null, dropped: [] });

  return { drop, keep, put, pin, stopHere, keepOnly, keepAll };
}
