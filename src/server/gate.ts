/** Lets requests in a few a turn of the event loop, in the order in which they came, and then leaves as many turns
 * empty. Node accepts one new connection in each turn; where each turn is full of what is known already, whoever comes
 * later waits for all of them. */
export class Gate {
  readonly #waiting: (() => void)[] = [];
  #turning = false;

  /** @param most let in in one turn
   * @param nextTurn calls back in the next turn, after what has come in meanwhile */
  constructor(
    private readonly most: number,
    private readonly nextTurn: (run: () => void) => void = setImmediate,
  ) {}

  enter(run: () => void): void {
    this.#waiting.push(run);
    if (this.#turning) return;
    this.#turning = true;
    this.nextTurn(() => this.#turn());
  }

  #turn(): void {
    const now = this.#waiting.splice(0, this.most);
    for (const run of now) run();
    this.#rest(now.length);
  }

  #rest(turns: number): void {
    if (turns > 0) return this.nextTurn(() => this.#rest(turns - 1));
    this.#turning = this.#waiting.length > 0;
    if (this.#turning) this.nextTurn(() => this.#turn());
  }
}
