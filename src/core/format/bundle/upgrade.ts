import { BUNDLE_VERSION } from './version';

type Json = Readonly<Record<string, unknown>>;

/** From each format of old to the next one. */
const STEPS: Readonly<Record<number, (bundle: Json) => Json>> = {
  /** There were no families. */
  1: (bundle) => ({ ...bundle, families: [] }),
  /** There were no students. Exercises had no ids, and a program was its latest version. */
  2: (bundle) => ({
    ...bundle,
    exercises: eachOf(bundle.exercises, (one, at) => ({
      id: `exercise ${at}`,
      archived: false,
      ...one,
    })),
    programs: eachOf(bundle.programs, ({ outline, recipes, ...one }, at) => ({
      ...{ id: `program ${at}`, ...one, template: false, archived: false },
      versions: [{ version: 1, outline, recipes }],
      gone: [],
    })),
    students: [],
    settings: null,
  }),
};

function eachOf(all: unknown, change: (one: Json, at: number) => Json): unknown {
  if (!Array.isArray(all)) return all;
  return all.map((one: unknown, at) =>
    typeof one === 'object' && one !== null ? change(one as Json, at) : one,
  );
}

/** A bundle of an earlier format as one of today's; what is none stays as it is, for the schema to say so. */
export function upgradeBundle(json: unknown): unknown {
  let bundle = json as Json;
  for (let version = Number(bundle.version); version < BUNDLE_VERSION; version += 1) {
    const step = STEPS[version];
    if (!step) return bundle;
    bundle = { ...step(bundle), version: version + 1 };
  }
  return bundle;
}
