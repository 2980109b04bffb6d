import type { InterpretationKind } from '@/core/interpret';
import type { AxisName } from '@/core/issue';
import type { Say } from './say';

/** @example sayReadAs(ENGLISH, 'short-long') // => 'short / long' */
export function sayReadAs({ t }: Say, kind: InterpretationKind | 'sticking'): string {
  return t(`sentence.as.${kind}`);
}

/** What an axis is called, as in the sentence. @example sayAxis(ENGLISH, { at: 'over', nth: 2 }) // => 'over 2' */
export function sayAxis({ t }: Say, { at, nth }: AxisName): string {
  const axis = t(`family.axis.${at}`);
  return nth === null ? axis : t('family.axisNth', { axis, nth });
}
