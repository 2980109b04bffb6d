import type { Family } from '../../family';
import type { ItemId } from '../../id';
import type { Held } from '../../materials';
import type { StepKind } from '../../path';
import type { Outline } from '../../program';
import type { ClosedRecipe } from '../../recipe';
import type { Speech } from '../../time';
import type { BundledStudent } from './read-students';

/** A bundle that was read: all of it can be played. */
export interface Bundle {
  readonly materials: readonly {
    readonly id: string;
    readonly version: number;
    readonly name: string;
    readonly trains: string;
    readonly meter: string | null;
    readonly held: Held;
  }[];
  readonly exercises: readonly {
    readonly id: string;
    readonly name: string;
    readonly archived: boolean;
    readonly recipe: ClosedRecipe;
  }[];
  readonly families: readonly { readonly name: string; readonly family: Family }[];
  readonly programs: readonly BundledProgram[];
  readonly students: readonly BundledStudent[];
  readonly settings: StudioSettings | null;
}

/** What a studio chose for itself; null where it has not said. */
export interface StudioSettings {
  readonly speech: Speech | null;
  readonly steps: readonly StepKind[] | null;
}

export interface BundledProgram {
  readonly id: string;
  readonly name: string;
  readonly template: boolean;
  readonly archived: boolean;
  /** The latest last; at least one. */
  readonly versions: readonly BundledVersion[];
  /** Items that no version holds any more, by the exercise that they were. */
  readonly gone: readonly { readonly id: ItemId; readonly exercise: string }[];
}

export interface BundledVersion {
  readonly version: number;
  readonly outline: Outline;
  /** By item. */
  readonly recipes: Readonly<Record<string, ClosedRecipe>>;
}

/** What a program holds now. */
export function latestOf({ versions }: Pick<BundledProgram, 'versions'>): BundledVersion {
  const latest = versions.at(-1);
  if (!latest) throw new RangeError('a program without a version');
  return latest;
}
