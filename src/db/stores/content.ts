import { and, desc, eq } from 'drizzle-orm';
import { must } from '@/core/issue';
import { outlineSchema, type Outline } from '@/core/program';
import { close, readRecipe, type ClosedRecipe } from '@/core/recipe';
import type { ItemId, ProgramId, StudioId } from '@/core/studio';
import type { Connection } from '../connection';
import { programVersion } from '../schema';

/** A version of a program, its recipes taken out of the outline. */
export interface Content {
  readonly version: number;
  readonly revision: number;
  readonly outline: Outline;
  readonly recipes: Readonly<Record<ItemId, ClosedRecipe>>;
}

/** Contents are long and seldom change: each is read once for its revision. */
const READ = new WeakMap<Connection, Map<string, Content>>();
const MOST_READ = 400;

/** A version of a program; the latest when none is named. Stored contents were checked before they
 * were stored: one that cannot be read is a broken file, and throws. */
export function readContent(
  db: Connection,
  studioId: StudioId,
  of: ProgramId,
  version?: number,
): Content | null {
  const which = and(
    eq(programVersion.studioId, studioId),
    eq(programVersion.programId, of),
    version === undefined ? undefined : eq(programVersion.version, version),
  );
  const row = db
    .select({ version: programVersion.version, revision: programVersion.revision })
    .from(programVersion)
    .where(which)
    .orderBy(desc(programVersion.version))
    .limit(1)
    .get();
  if (!row) return null;
  const read = READ.get(db) ?? new Map<string, Content>();
  READ.set(db, read);
  const key = `${of} ${row.version} ${row.revision}`;
  let content = read.get(key);
  if (!content) {
    const { content: text } =
      db
        .select({ content: programVersion.content })
        .from(programVersion)
        .where(and(which, eq(programVersion.version, row.version)))
        .get() ?? {};
    content = { ...row, ...contentOf(text ?? '') };
    if (read.size >= MOST_READ) read.clear();
    read.set(key, content);
  }
  return content;
}

interface StoredItem {
  readonly id: ItemId;
  readonly recipe: unknown;
}

function contentOf(text: string): Pick<Content, 'outline' | 'recipes'> {
  const stored = JSON.parse(text) as { sections: { items: StoredItem[] }[] };
  const recipes: Record<ItemId, ClosedRecipe> = {};
  const sections = stored.sections.map((section) => ({
    ...section,
    items: section.items.map(({ recipe, ...item }) => {
      recipes[item.id] = must(close(must(readRecipe(recipe))));
      return item;
    }),
  }));
  return { outline: outlineSchema.parse({ sections }), recipes };
}

/** As it is stored. */
export function contentText({ outline, recipes }: Content): string {
  const sections = outline.sections.map((section) => ({
    ...section,
    items: section.items.map((item) => ({ ...item, recipe: recipes[item.id] })),
  }));
  return JSON.stringify({ sections });
}
