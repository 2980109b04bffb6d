import type { KitProfile } from '@/core/kit';
import { addTo, eventOf, foldItem, isAbout, takenBackIds, type Logged } from '@/core/log';
import { fittedOf, ItemProgress, type Fitted, type ItemSums } from '@/core/progress';
import type { ClosedRecipe } from '@/core/recipe';
import type { Day, DoneDay, EntryId, ItemId, ItemRecord, Note, ProgramId } from '@/core/studio';
import type { Assigned, StudentStore } from '@/db';
import { sharedProjection } from './projection';

/** An item of a program that a student has. */
interface ItemPlace {
  readonly given: Assigned;
  readonly program: string;
  readonly section: string;
  readonly item: ItemRecord['item'];
  readonly recipe: ClosedRecipe;
  /** Which state of its program it comes from. */
  readonly revision: number;
}

/** What a student holds, where that is known already. */
export interface Held {
  readonly given: readonly Assigned[];
  readonly names: ReadonlyMap<ProgramId, string>;
}

/** Everything that a student has to do, in the order of programs, sections and items. */
function placesOf(store: StudentStore, held?: Held): readonly ItemPlace[] {
  const all = held?.given ?? store.given();
  const names = held?.names ?? store.programNames(all.map((one) => one.programId));
  return all.flatMap((given) => {
    const content = store.content(given.programId, given.version);
    if (!content) return [];
    const { outline, recipes, revision } = content;
    const program = names.get(given.programId) ?? '';
    return outline.sections.flatMap((section) =>
      section.items.flatMap((item): readonly ItemPlace[] => {
        const recipe = recipes[item.id];
        if (!recipe) return [];
        return [{ given, program, section: section.name, item, recipe, revision }];
      }),
    );
  });
}

/** What the progress of an item is worked out from, besides the log, which only grows. */
interface ItemFrom {
  readonly programId: ProgramId;
  readonly version: number;
  readonly revision: number;
  readonly kit: KitProfile | null;
  readonly startBpm: number | undefined;
}

const ITEMS = sharedProjection<ItemFrom, ItemProgress>('items', 5000);
const STUDENTS = sharedProjection<null, StudentLog>('students', 1000);

/** What a student's whole log comes to, whichever program it belongs to. */
class StudentLog {
  /** The last entry that is counted in. */
  seq = 0;
  readonly #days = new Map<Day, DoneDay>();
  readonly #notes: Logged<'note'>[] = [];
  readonly #away: Logged<'taken-back'>[] = [];

  /** @param gone tries that do not count */
  constructor(private readonly gone: ReadonlySet<EntryId>) {}

  count(entry: Logged): void {
    this.seq = entry.seq;
    if (entry.kind === 'note') this.#notes.push(entry);
    if (entry.kind === 'taken-back' && entry.itemId === null) this.#away.push(entry);
    if (entry.kind !== 'try' || this.gone.has(entry.id)) return;
    const { day, body } = entry;
    const { tries, seconds } = this.#days.get(day) ?? { tries: 0, seconds: 0 };
    this.#days.set(day, { day, tries: tries + 1, seconds: seconds + body.seconds });
  }

  days(): readonly DoneDay[] {
    return [...this.#days.values()].sort((a, b) => (a.day < b.day ? -1 : 1));
  }

  notes(): readonly Note[] {
    const away = takenBackIds(this.#away);
    return this.#notes
      .filter((one) => !away.has(one.id))
      .map(({ id, at, day, body }) => ({ id, at, day, text: body.text }))
      .sort((a, b) => b.at - a.at || (a.id < b.id ? 1 : -1));
  }
}

/** An item of a student with what its log comes to. */
export interface PlacedProgress extends ItemPlace {
  readonly fitted: Fitted;
  readonly sums: ItemSums;
}

/** What a student's log comes to. */
export interface Progress {
  readonly items: readonly PlacedProgress[];
  /** The dates on which the student practised, in order, whatever it was. */
  readonly days: readonly DoneDay[];
  /** What the teacher wrote to the student, latest first. */
  readonly notes: readonly Note[];
}

/** Forgets what a student's log came to, where what was read is not there after all. */
export function forgetProgress({ file, id }: Pick<StudentStore, 'file' | 'id'>): void {
  STUDENTS.drop(file, id);
}

/** A student's log, read on from where it was read last: each entry is counted once, and only what it
 * touches is worked out anew.
 * @param held what the student has; asked for when left out */
export function progressOf(store: StudentStore, held?: Held): Progress {
  const { file, log, person, id } = store;
  // Only erasing somebody takes entries out of a log; then all of it is read anew, as where tries are taken back.
  if ((STUDENTS.peek(file, id)?.seq ?? 0) > log.latest()) forgetProgress(store);
  let entries = log.since(STUDENTS.peek(file, id)?.seq ?? 0);
  if (STUDENTS.peek(file, id) && takesTriesBack(store, entries)) {
    forgetProgress(store);
    entries = log.since(0);
  }
  const mine = STUDENTS.get(file, id, null, () => new StudentLog(goneOf(entries)));
  const first = mine.seq === 0;
  const fresh = byItem(entries, mine);
  const nameOf = (item: ItemId) => `${id} ${item}`;
  for (const [item, entries] of fresh) {
    const known = ITEMS.peek(file, nameOf(item));
    if (known && !entries.every((one) => takes(known, one))) ITEMS.drop(file, nameOf(item));
  }
  const places = placesOf(store, held);
  if (first) for (const { item } of places) ITEMS.drop(file, nameOf(item.id));
  const items = places.map((place): PlacedProgress => {
    const { given, item, recipe, revision } = place;
    const startBpm = given.starts[item.id];
    const fitted = fittedOf(recipe, person.kit);
    const { programId, version } = given;
    const from = { programId, version, revision, kit: person.kit, startBpm };
    const { sums } = ITEMS.get(file, nameOf(item.id), from, () => {
      const own = first ? (fresh.get(item.id) ?? []) : log.ofItem(item.id);
      const following = { course: item.course, facts: fitted.facts, startBpm };
      return new ItemProgress({ item: item.id, recipe, fitted, following }, foldItem(own));
    });
    return { ...place, fitted, sums };
  });
  return { items, days: mine.days(), notes: mine.notes() };
}

function goneOf(entries: readonly Logged[]): ReadonlySet<EntryId> {
  return takenBackIds(entries.filter((one) => one.kind === 'taken-back'));
}

/** Whether tries are taken back, or stand again: how long somebody practised is then counted anew. */
function takesTriesBack({ log }: StudentStore, entries: readonly Logged[]): boolean {
  const abouts = entries.flatMap(({ kind, itemId, about }) =>
    kind === 'taken-back' && itemId !== null && about !== null ? [about] : [],
  );
  return log.find(abouts).some(({ kind }) => kind !== 'decided');
}

function byItem(
  entries: readonly Logged[],
  counted: StudentLog,
): ReadonlyMap<ItemId, readonly Logged[]> {
  const found = new Map<ItemId, Logged[]>();
  for (const one of entries) {
    counted.count(one);
    if (one.itemId === null) continue;
    const known = found.get(one.itemId);
    if (known) known.push(one);
    else found.set(one.itemId, [one]);
  }
  return found;
}

/** @returns false where an entry cannot be taken without working the item out anew */
function takes(progress: ItemProgress, entry: Logged): boolean {
  const event = eventOf(entry);
  if (event) return progress.add(event);
  const { about } = entry;
  if (about === null || entry.kind === 'taken-back' || !isAbout(entry.kind, 'try')) return false;
  return progress.change(about, (to) => addTo(to, entry));
}
