import { index, integer, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import type { ExerciseId, ItemId, ProgramId, StudioId } from '@/core/studio';
import { exercise } from './exercise';
import { program } from './program';
import { studio } from './studio';

/** `position` orders a program's items; removed items stay for the log that points to them. */
export const programItem = sqliteTable(
  'program_item',
  {
    id: text().$type<ItemId>().primaryKey(),
    studioId: text('studio_id')
      .$type<StudioId>()
      .notNull()
      .references(() => studio.id),
    programId: text('program_id')
      .$type<ProgramId>()
      .notNull()
      .references(() => program.id),
    exerciseId: text('exercise_id')
      .$type<ExerciseId>()
      .notNull()
      .references(() => exercise.id),
    position: integer().notNull(),
    removedAt: integer('removed_at'),
  },
  (table) => [index('program_item_by_program').on(table.programId)],
);
