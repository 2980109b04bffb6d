import { fetchLate } from '../base';
import type * as engraver from './engraver';

export type Engraver = typeof engraver;

const late = fetchLate<Engraver>(() => import('./engraver'));

/** What draws a staff, once it is there. @param wanted whether one is to be drawn */
export function useEngraver(wanted: boolean): {
  readonly engraver: Engraver | null;
  readonly failed: boolean;
} {
  const { value, failed } = late.useLate(wanted);
  return { engraver: wanted ? value : null, failed: wanted && failed !== null };
}
