import { foldItem, type Author, type EntryKind, type Logged } from '@/core/log';
import { onDay } from '@/core/ladder';
import {
  dayOf,
  instantOf,
  type Day,
  type EntryId,
  type LogLook,
  type PersonId,
} from '@/core/studio';
import type { NewEntry, StudentStore } from '@/db';
import type { Teacher } from './authority';
import { newId } from './context';
import { bpmAfter, LadderThen } from './ladder-then';
import type { ReadTry } from './log-row';
import { progressOf, type PlacedProgress } from './progress';

type Left = LogLook['left'][number];

/** What comes into an item of a student. */
interface ItemComing {
  readonly student: string;
  readonly placed: PlacedProgress;
  readonly log: readonly Logged[];
  readonly ladder: LadderThen;
  readonly entries: NewEntry[];
  readonly days: Day[];
}

/** What is asked of a student's log again and again. */
interface OfStudent {
  readonly items: readonly PlacedProgress[];
  /** Tries and decisions that stand. */
  readonly stands: ReadonlySet<EntryId>;
}

/** Names count alike in capitals. */
export function keyOf(name: string): string {
  return name.trim().toLowerCase();
}

/** Puts tries where they belong. They come by time. */
export class Placing {
  readonly #entries = new Map<PersonId, NewEntry[]>();
  readonly #coming = new Map<string, ItemComing>();
  readonly #students = new Map<PersonId, OfStudent>();
  readonly #left = new Map<
    string,
    { readonly of: Omit<Left, 'lines'>; readonly lines: number[] }
  >();
  /** Ids that rows before came with. */
  readonly #seen = new Set<EntryId>();
  #known = 0;

  constructor(
    private readonly me: Teacher,
    private readonly zone: string,
  ) {}

  leave(why: Left['why'], name: string, line: number): void {
    const key = `${why} ${keyOf(name)}`;
    const known = this.#left.get(key);
    if (known) known.lines.push(line);
    else this.#left.set(key, { of: { why, name }, lines: [line] });
  }

  place(store: StudentStore, one: ReadTry): void {
    const { items, stands } = this.#studentOf(store);
    if (one.id && (stands.has(one.id) || this.#seen.has(one.id))) {
      this.#known += 1;
      return;
    }
    const found = items.filter(
      ({ item, program }) =>
        keyOf(item.name) === keyOf(one.exercise) &&
        (one.program === '' || keyOf(program) === keyOf(one.program)),
    );
    const [placed] = found;
    if (!placed) return this.leave('exercise', one.exercise, one.line);
    if (found.length > 1) return this.leave('several', one.exercise, one.line);
    if (one.id) this.#seen.add(one.id);
    const coming = this.#comingOf(store, placed);
    const made = this.#entriesOf(store, one, coming);
    coming.entries.push(...made);
    coming.days.push(one.day);
    const all = this.#entries.get(store.id);
    if (all) all.push(...made);
    else this.#entries.set(store.id, made);
  }

  /** By student, in the order in which they are stored. */
  get entries(): ReadonlyMap<PersonId, readonly NewEntry[]> {
    return this.#entries;
  }

  look(): Pick<LogLook, 'coming' | 'known' | 'left'> {
    const today = dayOf(this.me.now(), this.zone);
    const coming = [...this.#coming.values()].map(({ student, placed, log, entries, days }) => {
      const first = log.reduce((most, { seq }) => Math.max(most, seq), 0) + 1;
      const more = entries.map((one, nth) => ({ ...one, seq: first + nth }) as Logged);
      return {
        ...{ student, exercise: placed.item.name, tries: days.length },
        ...{ from: days[0] ?? '', to: days.at(-1) ?? '' },
        bpm: onDay(placed.sums.followed.state, placed.item.course, today).bpm,
        thenBpm: bpmAfter(placed, foldItem([...log, ...more]), today),
      };
    });
    const left = [...this.#left.values()].map(({ of, lines }) => ({ ...of, lines }));
    return { coming, known: this.#known, left };
  }

  /** A try, and what is said about it. */
  #entriesOf(store: StudentStore, one: ReadTry, { placed, ladder }: ItemComing): NewEntry[] {
    const { item, given } = placed;
    const { day, by, suffered, broke, remark } = one;
    const id = one.id && store.log.isMine(one.id) === null ? one.id : newId<'entry'>(this.me);
    const at = instantOf(day, one.clock, this.zone);
    const place = { at, day, assignmentId: given.assignmentId, itemId: item.id, sessionId: null };
    const said = (kind: EntryKind, author: Author, body: NewEntry['body']): NewEntry => {
      const own = newId<'entry'>(this.me);
      return { ...place, kind, id: own, by: author, about: id, hash: null, body };
    };
    const body = ladder.try(id, day, one.said);
    return [
      { ...place, kind: 'try', id, by, about: null, hash: item.hash, body },
      ...suffered.map((what) => said('suffered', by, what)),
      ...broke.map((beat) => said('broke', by, { beat })),
      // Nobody but the student writes one.
      ...(remark === '' ? [] : [said('remark', 'student', { text: remark })]),
    ];
  }

  #studentOf(store: StudentStore): OfStudent {
    let found = this.#students.get(store.id);
    if (!found) {
      const stands = foldItem(store.log.since(0)).map(({ id }) => id);
      found = { items: progressOf(store).items, stands: new Set(stands) };
      this.#students.set(store.id, found);
    }
    return found;
  }

  #comingOf(store: StudentStore, placed: PlacedProgress): ItemComing {
    const key = `${store.id} ${placed.given.assignmentId} ${placed.item.id}`;
    let found = this.#coming.get(key);
    if (!found) {
      const log = store.log.ofItem(placed.item.id);
      const ladder = new LadderThen(placed, foldItem(log));
      found = { student: store.person.name, placed, log, ladder, entries: [], days: [] };
      this.#coming.set(key, found);
    }
    return found;
  }
}
