import type * as z from 'zod/mini';
import type { ItemId } from '../../id';
import { openFamily, readFamily, type Family } from '../../family';
import { fail, misfitsOf, ok, type Issue, type Result } from '../../issue';
import type { StepKind } from '../../path';
import { checkOutline, itemsOf, type Outline } from '../../program';
import { close, expand, type ClosedRecipe, type Recipe } from '../../recipe';
import type { Speech } from '../../time';
import type { Held } from '../../materials';
import { bundleSchema } from './bundle-schema';
import { readStudents, type BundledStudent } from './read-students';
import { upgradeBundle } from './upgrade';
import { BUNDLE_VERSION } from './version';

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

/** Largest bundle, in characters: a studio of some thousand exercises. */
export const MOST_CHARACTERS = 20_000_000;

/** Deepest nesting; a recipe needs a dozen. */
const DEEPEST = 60;

/** Most faults that are told at once. */
const MOST_ISSUES = 10;

/** Reads a bundle, whole or not at all.
 * @returns issues `file-large`; `file-unreadable` for what is no JSON, with its line; `file-other` for another kind of
 * file; `bundle-newer`; `bundle-part` for each part that is damaged, with its place in the file */
export function readBundle(text: string): Result<Bundle> {
  if (text.length > MOST_CHARACTERS) {
    return fail({ code: 'file-large', path: [], most: MOST_CHARACTERS / 1_000_000 });
  }
  if (depthOf(text) > DEEPEST) return fail({ code: 'file-other', path: [] });
  const json = parse(text);
  if (!json.ok) return json;
  const { format, version } = (json.value ?? {}) as { format?: unknown; version?: unknown };
  if (format !== 'mivvel') return fail({ code: 'file-other', path: [] });
  if (typeof version === 'number' && version > BUNDLE_VERSION) {
    return fail({ code: 'bundle-newer', path: ['version'], version, known: BUNDLE_VERSION });
  }
  const read = bundleSchema.safeParse(upgradeBundle(json.value));
  if (!read.success) {
    return fail(
      ...read.error.issues.slice(0, MOST_ISSUES).map((issue): Issue => {
        const path = issue.path.map((key) => (typeof key === 'symbol' ? String(key) : key));
        const place = { part: placeOf(path), name: nameAt(json.value, path) };
        return { code: 'bundle-part', path, ...place, misfits: misfitsOf([issue]) };
      }),
    );
  }
  return closed(read.data);
}

/** Closes every recipe, and sees that it can be played and that programs are whole. */
function closed(read: z.output<typeof bundleSchema>): Result<Bundle> {
  const issues: Issue[] = [];
  const closeAt = (recipe: Recipe, path: readonly (string | number)[]): ClosedRecipe | null => {
    const made = close(recipe);
    const played = made.ok ? expand(made.value) : made;
    if (played.ok && made.ok) return made.value;
    if (!played.ok)
      issues.push(...played.issues.map((one) => ({ ...one, path: [...path, ...one.path] })));
    return null;
  };
  const exercises = read.exercises.flatMap(({ recipe, ...one }, index) => {
    const made = closeAt(recipe, ['exercises', index]);
    return made ? [{ ...one, recipe: made }] : [];
  });
  const families = read.families.flatMap(({ name, family }, index) => {
    const made = readFamily(family);
    const opened = made.ok ? openFamily(made.value) : made;
    if (made.ok && opened.ok) return [{ name, family: made.value }];
    const path = ['families', index];
    if (!opened.ok) issues.push(...opened.issues.map((one) => ({ ...one, path })));
    return [];
  });
  const ids = new Set(exercises.map(({ id }) => id));
  for (const [index, { name, gone }] of read.programs.entries()) {
    for (const { exercise } of gone.filter((one) => !ids.has(one.exercise))) {
      const misfits = [{ at: exercise, problem: 'kind' as const }];
      const path = ['programs', index, 'gone'];
      issues.push({ code: 'bundle-part', path, part: 'programs', name, misfits });
    }
  }
  const programs = read.programs.map(({ versions, ...program }, index) => ({
    ...program,
    versions: versions.map(({ version, outline, recipes }) => {
      const path = ['programs', index, 'versions', version];
      const checked = checkOutline(outline);
      if (!checked.ok) issues.push(...checked.issues);
      const own: Record<string, ClosedRecipe> = {};
      for (const item of itemsOf(outline)) {
        const recipe = recipes[item.id];
        const made = recipe && closeAt(recipe, [...path, item.id]);
        if (made) own[item.id] = made;
        if (!recipe) {
          const misfits = [{ at: item.name, problem: 'kind' as const }];
          const missing = { part: 'programs' as const, name: program.name, misfits };
          issues.push({ code: 'bundle-part', path: [...path, item.id], ...missing });
        }
      }
      return { version, outline, recipes: own };
    }),
  }));
  const students = readStudents(read.students, programs, issues);
  if (issues.length > 0) return fail(...issues.slice(0, MOST_ISSUES));
  const { materials, settings } = read;
  return ok({ materials, exercises, families, programs, students, settings });
}

type Part = Extract<Issue, { code: 'bundle-part' }>['part'];

function placeOf([first]: readonly (string | number)[]): Part {
  const parts = ['materials', 'exercises', 'families', 'programs', 'students'] as const;
  return parts.find((one) => one === first) ?? 'file';
}

/** What the damaged part calls itself. */
function nameAt(json: unknown, [list, index]: readonly (string | number)[]): string {
  const part = (json as Record<string, unknown>)[String(list)];
  const one: unknown = Array.isArray(part) ? part[Number(index)] : undefined;
  const { name } = (one ?? {}) as { name?: unknown };
  return typeof name === 'string' ? name.slice(0, 80) : String(Number(index ?? 0) + 1);
}

function parse(text: string): Result<unknown> {
  try {
    return ok(JSON.parse(text) as unknown);
  } catch (error) {
    const place = /position (\d+)/.exec(String(error))?.[1];
    const before = text.slice(0, Number(place ?? text.length));
    const line = before.split('\n').length;
    return fail({ code: 'file-unreadable', path: [], line });
  }
}

/** How deep brackets nest, those in strings included: never less than the file is deep. */
function depthOf(text: string): number {
  let depth = 0;
  let deepest = 0;
  for (let at = 0; at < text.length; at += 1) {
    const one = text.charCodeAt(at);
    if (one === 91 || one === 123) deepest = Math.max(deepest, (depth += 1));
    else if (one === 93 || one === 125) depth -= 1;
  }
  return deepest;
}
