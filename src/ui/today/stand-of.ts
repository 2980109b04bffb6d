import type { Surface } from '@/core/plan';
import type { StandItem } from '@/core/studio';

/** What a student has time for just now. */
export interface Now {
  readonly minutes: number;
  readonly on: Surface;
}

/** The Stand, with what there is time for; an item comes first. */
export function standOf(now: Now | null, item?: StandItem): string {
  const query = new URLSearchParams({
    ...(item && { item: item.item.id }),
    ...(now && { minutes: String(now.minutes), on: now.on }),
  }).toString();
  return query ? `/stand?${query}` : '/stand';
}
