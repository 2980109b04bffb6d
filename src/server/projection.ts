import { isDeepStrictEqual } from 'node:util';
import type { Db } from '@/db';

/** Keeps what was worked out, by name, as long as what it was worked out from stays the same. A source
 * says all of that: whoever asks gives it, and it is compared as a whole, so that no key has to be put
 * together by hand. What was kept of a file goes with the file. */
export class Projection<Source, Value> {
  readonly #kept = new WeakMap<Db, Map<string, { source: Source; value: Value }>>();

  /** @param most values that are kept of a file; then all are worked out anew */
  constructor(private readonly most: number) {}

  /** @param make works it out anew */
  get(db: Db, name: string, source: Source, make: () => Value): Value {
    return this.find(db, name, source) ?? this.put(db, name, source, make());
  }

  /** What is kept of just this source. */
  find(db: Db, name: string, source: Source): Value | undefined {
    const found = this.#of(db).get(name);
    return found && isDeepStrictEqual(found.source, source) ? found.value : undefined;
  }

  put(db: Db, name: string, source: Source, value: Value): Value {
    const kept = this.#of(db);
    if (!kept.has(name) && kept.size >= this.most) kept.clear();
    kept.set(name, { source, value });
    return value;
  }

  /** What is kept under a name, whatever it was worked out from. */
  peek(db: Db, name: string): Value | undefined {
    return this.#of(db).get(name)?.value;
  }

  drop(db: Db, name: string): void {
    this.#of(db).delete(name);
  }

  #of(db: Db): Map<string, { source: Source; value: Value }> {
    let kept = this.#kept.get(db);
    if (!kept) this.#kept.set(db, (kept = new Map()));
    return kept;
  }
}
