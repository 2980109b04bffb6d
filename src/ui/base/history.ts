/** A draft with what came before and after it. */
export interface History<D> {
  readonly past: readonly D[];
  readonly draft: D;
  readonly future: readonly D[];
  /** The draft as it was last saved. */
  readonly saved: D | null;
  /** What the last edit was about; another one about the same joins it. */
  readonly about: string | null;
}

/** What an edit changes, perhaps by what is there at that moment. */
export type Change<T> = Partial<T> | ((now: T) => Partial<T>);

export type HistoryAction<D> =
  | { readonly kind: 'edit'; readonly change: Change<D>; readonly about?: string | undefined }
  | { readonly kind: 'undo' | 'redo' | 'settle' }
  | { readonly kind: 'saved'; readonly draft: D };

/** Steps that can be taken back. */
const DEEPEST = 200;

/** @param saved the draft as it is stored, when it is */
export function startHistory<D>({ draft, saved }: Pick<History<D>, 'draft' | 'saved'>): History<D> {
  return { past: [], draft, future: [], saved, about: null };
}

/** Edits, undo and redo. Letters typed into one field are one edit until it is settled. What is edited
 * while it is being saved stays.
 * @param named a draft with the id that a saved one got, where it is the same thing */
export function historyReducer<D>(
  history: History<D>,
  action: HistoryAction<D>,
  named: (one: D, saved: D) => D,
): History<D> {
  const { past, draft, future } = history;
  switch (action.kind) {
    case 'edit': {
      const { change } = action;
      const joins = action.about !== undefined && action.about === history.about;
      return {
        ...history,
        past: joins ? past : [...past, draft].slice(-DEEPEST),
        draft: { ...draft, ...(typeof change === 'function' ? change(draft) : change) },
        future: [],
        about: action.about ?? null,
      };
    }
    case 'settle':
      return history.about === null ? history : { ...history, about: null };
    case 'undo': {
      const before = past.at(-1);
      if (before === undefined) return history;
      const rest = { past: past.slice(0, -1), future: [draft, ...future] };
      return { ...history, ...rest, draft: before, about: null };
    }
    case 'redo': {
      const [after, ...later] = future;
      if (after === undefined) return history;
      return { ...history, past: [...past, draft], future: later, draft: after, about: null };
    }
    case 'saved': {
      const nameOne = (one: D) => named(one, action.draft);
      return {
        ...history,
        past: past.map(nameOne),
        draft: nameOne(draft),
        future: future.map(nameOne),
        saved: action.draft,
      };
    }
  }
}
