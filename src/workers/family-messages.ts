import type { CoverOf, Family, Impossible, Played } from '@/core/family';
import type { Issue } from '@/core/issue';
import type { Bpm } from '@/core/time';

/** A member as the screen gets it: what ordering needs stays with the worker. */
export type ShownMember = Omit<Played, 'events'>;

export type ToFamilyWorker =
  | {
      readonly kind: 'open';
      /** Numbers the families that are asked for; the last one counts. */
      readonly job: number;
      readonly family: Pick<Family, 'base' | 'axes'>;
      readonly tempo: Bpm;
    }
  | {
      readonly kind: 'order';
      readonly ask: number;
      /** Members by their index. */
      readonly members: readonly number[];
      /** Those that stand at the ends, in this order. */
      readonly first: readonly number[];
      readonly last: readonly number[];
      /** The teacher’s own order, by index; null leaves it to the path. */
      readonly own: readonly number[] | null;
    }
  | {
      readonly kind: 'cover';
      readonly ask: number;
      readonly members: readonly number[];
      readonly of: CoverOf;
      readonly count: number | null;
    };

export type FromFamilyWorker =
  | { readonly kind: 'refused'; readonly job: number; readonly issues: readonly Issue[] }
  | {
      readonly kind: 'part';
      readonly job: number;
      readonly played: readonly ShownMember[];
      readonly impossible: readonly Impossible[];
      readonly done: number;
      readonly size: number;
    }
  | { readonly kind: 'ordered'; readonly ask: number; readonly order: readonly number[] }
  | {
      readonly kind: 'covered';
      readonly ask: number;
      /** Members by their index, the best first. */
      readonly chosen: readonly number[];
    };
