import { index, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import type { ExerciseId, ItemId, ProgramId, StudioId } from '@/core/studio';
import { exercise } from './exercise';
import { program } from './program';
import { studio } from './studio';

/** Names an item for the log that points to it; what it is stands in the versions of its program. */
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
  },
  (table) => [index('program_item_by_program').on(table.programId)],
);
