import { isDeepStrictEqual } from 'node:util';

/** Keeps what was worked out, by name, as long as what it was worked out from stays the same. A source
 * says all of that: whoever asks gives it, and it is compared as a whole, so that no key has to be put
 * together by hand. What was kept of a file goes with the file. */
class Projection<Source, Value> {
  readonly #kept = new WeakMap<object, Map<string, { source: Source; value: Value }>>();

  /** @param most values that are kept of a file; then all are worked out anew */
  constructor(private readonly most: number) {}

  /** @param make works it out anew */
  get(file: object, name: string, source: Source, make: () => Value): Value {
    return this.find(file, name, source) ?? this.put(file, name, source, make());
  }

  /** What is kept of just this source. */
  find(file: object, name: string, source: Source): Value | undefined {
    const found = this.#of(file).get(name);
    return found && isDeepStrictEqual(found.source, source) ? found.value : undefined;
  }

  put(file: object, name: string, source: Source, value: Value): Value {
    const kept = this.#of(file);
    if (!kept.has(name) && kept.size >= this.most) kept.clear();
    kept.set(name, { source, value });
    return value;
  }

  /** What is kept under a name, whatever it was worked out from. */
  peek(file: object, name: string): Value | undefined {
    return this.#of(file).get(name)?.value;
  }

  drop(file: object, name: string): void {
    this.#of(file).delete(name);
  }

  #of(file: object): Map<string, { source: Source; value: Value }> {
    let kept = this.#kept.get(file);
    if (!kept) this.#kept.set(file, (kept = new Map()));
    return kept;
  }
}

const held = globalThis as { mivvelProjections?: Map<string, unknown> };

/** The projection of a name that all of this process share: pages, routes and what runs at the start are loaded apart,
 * each with modules of its own, and would work the same out one after the other.
 * @param most values that are kept of a file */
export function sharedProjection<Source, Value>(
  name: string,
  most: number,
): Projection<Source, Value> {
  const all = (held.mivvelProjections ??= new Map<string, unknown>());
  const found = all.get(name) as Projection<Source, Value> | undefined;
  if (found) return found;
  const made = new Projection<Source, Value>(most);
  // Code that is changed while it runs works everything out anew.
  if (process.env.NODE_ENV === 'production') all.set(name, made);
  return made;
}
