import { MOST_MINUTES, SURFACES, type Surface } from '@/core/plan';
import type { Now } from '@/server';

/** How the address says what there is time for: `?minutes=15&on=pad`. */
export interface NowQuery {
  readonly minutes?: string | string[];
  readonly on?: string | string[];
}

/** @returns null where the address says nothing, or nothing that makes sense */
export function readNow({ minutes: typed, on }: NowQuery): Now | null {
  const minutes = Number(typed);
  if (!Number.isInteger(minutes) || minutes < 1 || minutes > MOST_MINUTES) return null;
  const surface = SURFACES.find((one) => one === on) ?? ('kit' satisfies Surface);
  return { minutes, on: surface };
}
