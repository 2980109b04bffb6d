import type { Issue, Result } from '@/core/issue';

/** How it stands with what is edited: nothing changed since it was opened, on its way, stored, refused with
 * issues, or waiting for the network. */
type SaverStatus = 'fresh' | 'saving' | 'saved' | 'refused' | 'unreached';

export interface SaverState<Draft> {
  readonly status: SaverStatus;
  /** What was wrong with the draft that was sent last. */
  readonly issues: readonly Issue[];
  /** As it was stored last. */
  readonly stored: Draft;
}

/** Stores a draft as it is edited: one save at a time, always the latest, in the order of its revisions.
 * What is refused or cannot be sent stays the draft’s: it is tried again with the next change, or by
 * `retry`.
 * @param save stores a draft over a revision; rejects where the server cannot be reached */
export class Saver<Draft, Stored extends { readonly revision: number }> {
  #state: SaverState<Draft>;
  #wanted: { readonly draft: Draft } | null = null;
  #sending = false;
  readonly #watchers = new Set<() => void>();

  constructor(
    first: Draft,
    private revision: number,
    private readonly save: (draft: Draft, revision: number) => Promise<Result<Stored>>,
    private readonly onStored: (stored: Stored) => void,
  ) {
    this.#state = { status: 'fresh', issues: [], stored: first };
  }

  readonly snapshot = (): SaverState<Draft> => this.#state;

  readonly subscribe = (watch: () => void): (() => void) => {
    this.#watchers.add(watch);
    return () => this.#watchers.delete(watch);
  };

  /** Stores a draft, after what is on its way. */
  change(draft: Draft): void {
    this.#wanted = { draft };
    void this.#flush();
  }

  /** Tries again what could not be sent. */
  readonly retry = (): void => void this.#flush();

  async #flush(): Promise<void> {
    if (this.#sending) return;
    this.#sending = true;
    while (this.#wanted) {
      const { draft } = this.#wanted;
      this.#wanted = null;
      this.#set({ ...this.#state, status: 'saving' });
      const answer = await this.save(draft, this.revision).catch(() => null);
      if (!answer) {
        this.#wanted ??= { draft };
        this.#set({ ...this.#state, status: 'unreached' });
        break;
      }
      if (answer.ok) {
        this.revision = answer.value.revision;
        this.#set({ status: 'saved', issues: [], stored: draft });
        this.onStored(answer.value);
      } else {
        this.#set({ ...this.#state, status: 'refused', issues: answer.issues });
      }
    }
    this.#sending = false;
  }

  #set(state: SaverState<Draft>): void {
    this.#state = state;
    for (const watch of this.#watchers) watch();
  }
}
