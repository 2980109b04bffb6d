import * as z from 'zod/mini';
import { keptFamilySchema } from '../../family';
import { idSchema } from '../../id';
import { kitSchema } from '../../kit';
import { heldSchema } from '../../materials';
import { stepKindsSchema } from '../../path';
import { scheduleSchema } from '../../plan';
import { outlineSchema, startsSchema } from '../../program';
import { keptRecipeSchema } from '../../recipe';
import { list, text, typedText, whole } from '../../shape';
import { speechSchema } from '../../time';
import { entrySchema, instant, localId } from './entry-schema';
import { BUNDLE_VERSION } from './version';

const name = typedText(80);

/** What a program held at a time. */
const programVersion = z.strictObject({
  version: whole(1),
  outline: outlineSchema,
  /** By the ids of the outline's items. */
  recipes: z.record(text(60), keptRecipeSchema),
});

/** A program as a student was given it. */
const given = z.strictObject({
  id: localId,
  program: localId,
  version: whole(1),
  givenAt: instant,
  /** When it was taken back; null while they have it. */
  endedAt: z.nullable(instant),
  starts: startsSchema,
});

const student = z.strictObject({
  name,
  about: text(2000),
  /** Null until somebody says so, as the schedule. */
  kit: z.nullable(kitSchema),
  schedule: z.nullable(scheduleSchema),
  /** Oldest first, as the entries. */
  given: list(given, 0, 1000),
  entries: list(entrySchema, 0, 500_000),
});

/** What a studio made: exercises, families of variations, programs and own materials; and, where it is a whole studio,
 * its students with what they were given and their logs. Recipes are closed, so that a bundle plays the same wherever
 * it is opened. Ids are names inside of the bundle. */
export const bundleSchema = z.strictObject({
  format: z.literal('mivvel'),
  version: z.literal(BUNDLE_VERSION),
  materials: list(
    z.strictObject({
      id: localId,
      version: whole(1),
      name,
      trains: text(80),
      meter: z.nullable(text(20)),
      held: heldSchema,
    }),
    0,
    5000,
  ),
  exercises: list(
    z.strictObject({
      id: localId,
      name,
      /** Taken out of the list; a program that was given holds it. */
      archived: z.boolean(),
      recipe: keptRecipeSchema,
    }),
    0,
    20_000,
  ),
  families: list(z.strictObject({ name, family: keptFamilySchema }), 0, 1000),
  programs: list(
    z.strictObject({
      id: localId,
      name,
      /** Kept as a start for others. */
      template: z.boolean(),
      /** Taken out of the list; students keep what they were given. */
      archived: z.boolean(),
      /** The latest last. */
      versions: list(programVersion, 1, 1000),
      /** Items that no version holds any more, which the log still names. */
      gone: list(z.strictObject({ id: idSchema<'item'>(), exercise: localId }), 0, 10_000),
    }),
    0,
    1000,
  ),
  students: list(student, 0, 1000),
  /** What a studio chose for itself; null where it is none, or has not said. */
  settings: z.nullable(
    z.strictObject({
      /** How note values are named and counted. */
      speech: z.nullable(speechSchema),
      /** Kinds of steps in which exercises are built, in order. */
      steps: z.nullable(stepKindsSchema),
    }),
  ),
});
