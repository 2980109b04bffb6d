/** Edits come faster than a browser likes new addresses: the first of a burst is taken at once, the
 * others no sooner than this after one another, or when a press or Enter may lead away. */
const AFTER_MS = 120;

/** Some browsers take only so many addresses in a while; a refused one is tried again. */
const AGAIN_MS = 1000;

/** Takes the addresses of a screen one after another; the newest one wins. */
export class AddressKeeper {
  #taken = -Infinity;
  #timer: ReturnType<typeof setTimeout> | undefined;
  #waiting: (() => string | null) | null = null;

  /** @param set gives an address to the browser; false when it refuses for now */
  constructor(private readonly set: (address: string) => boolean) {}

  /** An address that is to be taken, in place of the one that waits.
   * @param make called late; null leaves the address as it is */
  keep(make: () => string | null): void {
    this.#waiting = make;
    const since = performance.now() - this.#taken;
    this.#after(Math.max(0, AFTER_MS - since));
  }

  /** Takes what waits now, because something may lead away. */
  take(): void {
    const make = this.#waiting;
    if (!make) return;
    this.#taken = performance.now();
    const address = make();
    if (address === null || this.set(address)) this.forget();
    else this.#after(AGAIN_MS);
  }

  /** What waits is taken no more. */
  forget(): void {
    this.#waiting = null;
    clearTimeout(this.#timer);
  }

  #after(ms: number): void {
    clearTimeout(this.#timer);
    this.#timer = setTimeout(() => this.take(), ms);
  }
}
