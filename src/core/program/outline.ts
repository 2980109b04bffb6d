import * as z from 'zod/mini';
import { text, typedText, list } from '../shape';
import { fail, ok, type Issue, type Result } from '../issue';
import { courseSchema, type Course } from '../ladder';
import { idSchema, makeId, type ItemId } from '../id';

const name = typedText(80);

/** `exercise`: as it is. `own`: the student makes a version of it. */
const itemKind = z.enum(['exercise', 'own']);

/** Where an item can be practised: `derived` by whether a hand moves between surfaces, or as the teacher
 * says. */
const itemPlace = z.enum(['derived', 'kit', 'pad']);

const item = z.strictObject({
  id: idSchema<'item'>(),
  kind: itemKind,
  exerciseId: idSchema<'exercise'>(),
  /** What it plays, by the recipe's hash when it was put in. */
  hash: text(80),
  name,
  course: courseSchema,
  /** What to watch for, as the teacher wrote it; empty leaves it to what is derived. */
  cues: list(typedText(160), 0, 3),
  /** `kit`: nowhere else; `pad`: on the pad too. */
  place: z._default(itemPlace, 'derived'),
  /** Items whose ladders come first. */
  after: list(idSchema<'item'>(), 0, 20),
});

const section = z.strictObject({
  id: z.string().check(z.minLength(1), z.maxLength(40)),
  /** Empty where a program has no sections. */
  name: z.string().check(z.trim(), z.maxLength(80)),
  items: list(item, 0, 200),
});

/** Tempi from which a student starts, by item, in bpm. */
export const startsSchema = z.record(idSchema<'item'>(), z.number());

export type Starts = z.infer<typeof startsSchema>;

/** What a program holds, without the recipes of its items. */
export const outlineSchema = z.strictObject({ sections: list(section, 1, 40) });

export type Outline = z.infer<typeof outlineSchema>;
export type OutlineItem = Outline['sections'][number]['items'][number];
export type OutlineSection = Outline['sections'][number];

export const EMPTY_OUTLINE: Outline = { sections: [{ id: 'first', name: '', items: [] }] };

/** All items in order. */
export function itemsOf(outline: Outline): readonly OutlineItem[] {
  return outline.sections.flatMap((section) => section.items);
}

/** A new item at the end of a section; the last one when left out.
 * @param made its id */
export function withItem(
  outline: Outline,
  made: Pick<OutlineItem, 'id' | 'exerciseId' | 'hash' | 'name'> &
    Partial<Pick<OutlineItem, 'after' | 'cues'>>,
  course: Course,
  sectionId = outline.sections.at(-1)?.id,
): Outline {
  const item: OutlineItem = {
    after: [],
    cues: [],
    ...made,
    kind: 'exercise',
    course,
    place: 'derived',
  };
  return inSection(outline, sectionId ?? '', (items) => [...items, item]);
}

function inSection(
  outline: Outline,
  id: string,
  change: (items: readonly OutlineItem[]) => OutlineItem[],
): Outline {
  const sections = outline.sections.map((one) =>
    one.id === id ? { ...one, items: change(one.items) } : one,
  );
  return { sections };
}

/** Changes some items, wherever they stand. */
export function changeItems(
  outline: Outline,
  ids: ReadonlySet<ItemId>,
  change: (item: OutlineItem) => OutlineItem,
): Outline {
  const sections = outline.sections.map((section) => ({
    ...section,
    items: section.items.map((item) => (ids.has(item.id) ? change(item) : item)),
  }));
  return { sections };
}

/** Takes items out; nothing else waits for them any more. */
export function withoutItems(outline: Outline, ids: ReadonlySet<ItemId>): Outline {
  const sections = outline.sections.map((section) => ({
    ...section,
    items: section.items
      .filter((item) => !ids.has(item.id))
      .map((item) => ({ ...item, after: item.after.filter((id) => !ids.has(id)) })),
  }));
  return { sections };
}

/** Moves an item one place up (-1) or down (+1), over the edge of a section too; at either end it
 * stays. */
export function nudgeItem(outline: Outline, id: ItemId, by: -1 | 1): Outline {
  const at = outline.sections.findIndex(({ items }) => items.some((item) => item.id === id));
  const section = outline.sections[at];
  const index = section?.items.findIndex((item) => item.id === id) ?? -1;
  if (!section || index < 0) return outline;
  const to = index + by;
  if (to >= 0 && to < section.items.length) return placeItem(outline, id, section.id, to);
  const next = outline.sections[at + by];
  return next ? placeItem(outline, id, next.id, by < 0 ? next.items.length : 0) : outline;
}

/** Puts an item at a place of a section, counted without the item itself. */
export function placeItem(outline: Outline, id: ItemId, sectionId: string, index: number): Outline {
  const item = itemsOf(outline).find((one) => one.id === id);
  if (!item) return outline;
  const sections = outline.sections.map((section) => {
    const items = section.items.filter((one) => one.id !== id);
    if (section.id !== sectionId) return { ...section, items };
    return { ...section, items: [...items.slice(0, index), item, ...items.slice(index)] };
  });
  return { sections };
}

/** A copy whose items have ids of their own; what waits for what is kept.
 * @param nowMs epoch ms  @param random twelve bytes each time */
export function copyOutline(outline: Outline, nowMs: number, random: () => Uint8Array): Outline {
  const ids = new Map(itemsOf(outline).map((item) => [item.id, makeId<'item'>(nowMs, random())]));
  return renameItems(outline, ids);
}

/** The same outline with its items under other ids; what waits for what is kept.
 * @param ids by the ids of now; what is none of them keeps its own */
export function renameItems(outline: Outline, ids: ReadonlyMap<ItemId, ItemId>): Outline {
  const sections = outline.sections.map((section) => ({
    ...section,
    items: section.items.map((item) => ({
      ...item,
      id: ids.get(item.id) ?? item.id,
      after: item.after.flatMap((id) => ids.get(id) ?? []),
    })),
  }));
  return { sections };
}

/** Checks what no single field can tell.
 * @returns issues `after-circle` naming the items that wait for each other, `after-missing`,
 * `item-twice` */
export function checkOutline(outline: Outline): Result<Outline> {
  const items = itemsOf(outline);
  const byId = new Map(items.map((item) => [item.id, item]));
  const issues: Issue[] = [];
  if (byId.size < items.length) issues.push({ code: 'item-twice', path: ['sections'] });
  for (const item of items) {
    if (item.after.some((id) => !byId.has(id))) {
      issues.push({ code: 'after-missing', path: [item.id, 'after'], name: item.name });
    }
  }
  const circle = findCircle(items);
  if (circle) {
    const names = circle.map((id) => byId.get(id)?.name ?? '');
    issues.push({ code: 'after-circle', path: [circle[0] ?? '', 'after'], names });
  }
  return issues.length > 0 ? fail(...issues) : ok(outline);
}

/** Items that wait for each other in a circle, in the order of waiting; null where none do. */
function findCircle(items: readonly OutlineItem[]): readonly ItemId[] | null {
  const after = new Map(items.map((item) => [item.id, item.after]));
  const done = new Set<ItemId>();
  const trail: ItemId[] = [];
  const visit = (id: ItemId): readonly ItemId[] | null => {
    const at = trail.indexOf(id);
    if (at >= 0) return trail.slice(at);
    if (done.has(id)) return null;
    trail.push(id);
    for (const next of after.get(id) ?? []) {
      const found = visit(next);
      if (found) return found;
    }
    trail.pop();
    done.add(id);
    return null;
  };
  for (const { id } of items) {
    const found = visit(id);
    if (found) return found;
  }
  return null;
}
