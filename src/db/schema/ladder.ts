import { sqliteTable, text } from 'drizzle-orm/sqlite-core';
import type { AdvanceRule, Dosage, Ladder } from '@/core/ladder';
import type { ItemId, StudioId } from '@/core/studio';
import { programItem } from './program-item';
import { studio } from './studio';

/** An item's ladder, dosage and advance rule, each checked by its schema in core on reading. */
export const ladder = sqliteTable('ladder', {
  itemId: text('item_id')
    .$type<ItemId>()
    .primaryKey()
    .references(() => programItem.id),
  studioId: text('studio_id')
    .$type<StudioId>()
    .notNull()
    .references(() => studio.id),
  ladder: text({ mode: 'json' }).$type<Ladder>().notNull(),
  dosage: text({ mode: 'json' }).$type<Dosage>().notNull(),
  rule: text({ mode: 'json' }).$type<AdvanceRule>().notNull(),
});
