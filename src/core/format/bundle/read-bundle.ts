import { fail, misfitsOf, ok, type Issue, type Result } from '../../issue';
import type { Bundle } from './bundle';
import { bundleSchema } from './bundle-schema';
import { closeBundle } from './close-bundle';
import { upgradeBundle } from './upgrade';
import { BUNDLE_VERSION } from './version';

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
  const issues: Issue[] = [];
  const bundle = closeBundle(read.data, issues);
  return issues.length > 0 ? fail(...issues.slice(0, MOST_ISSUES)) : ok(bundle);
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
