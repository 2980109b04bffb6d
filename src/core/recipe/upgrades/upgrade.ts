/** A recipe of one format as one of the next. It gets what was read, unchecked but for its version, and
 * leaves what it does not know as it is: the schema has the last word. The version is raised for it. */
export type Upgrade = (recipe: Readonly<Record<string, unknown>>) => Record<string, unknown>;

export function isRecord(json: unknown): json is Record<string, unknown> {
  return typeof json === 'object' && json !== null && !Array.isArray(json);
}

/** Format of what was read; 0 where it has none. */
export function versionOf(json: unknown): number {
  return isRecord(json) && typeof json.version === 'number' ? json.version : 0;
}

/** Brings a recipe up to the newest format, with the members of a sequence.
 * @param steps the first makes format 2 of format 1
 * @returns what it was given where that is new, or has no format that a step begins with
 * @example upgrade({ version: 1, slow: true }, [({ slow, ...rest }) => ({ ...rest, tempo: 40 })])
 * // => { version: 2, tempo: 40 } */
export function upgrade(json: unknown, steps: readonly Upgrade[]): unknown {
  const version = versionOf(json);
  const step = steps[version - 1];
  if (!isRecord(json) || !step) return json;
  const next = { ...step(json), version: version + 1 };
  return upgrade(
    membersOf(next, (one) => upgrade(one, steps)),
    steps,
  );
}

/** The same with each member of its sequence changed; a recipe without one as it is. */
function membersOf(
  recipe: Record<string, unknown>,
  change: (member: unknown) => unknown,
): Record<string, unknown> {
  const { then } = recipe;
  if (!isRecord(then) || !Array.isArray(then.members)) return recipe;
  const members = then.members.map((one: unknown) =>
    isRecord(one) ? { ...one, recipe: change(one.recipe) } : one,
  );
  return { ...recipe, then: { ...then, members } };
}
