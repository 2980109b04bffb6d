import { openFamily, type Family } from '@/core/family';
import { fail, must, ok, type Result } from '@/core/issue';
import { rungAt, rungsOf, USUAL_COURSE, type Course } from '@/core/ladder';
import { expand, type ClosedRecipe } from '@/core/recipe';
import type { FamilyId, FamilyName, ProgramId, SavedFamily } from '@/core/studio';
import type { Teacher } from './authority';
import { newId } from './context';
import { saveExercise } from './exercises';
import { readName } from './names';
import { addItems, createProgram, getProgram } from './programs';

const WHAT = 'family';

/** The studio's families, latest first. */
export function listFamilies(me: Teacher): Result<readonly FamilyName[]> {
  return ok(me.store.families.list());
}

export function getFamily(me: Teacher, id: FamilyId): Result<SavedFamily> {
  const found = me.store.families.find(id);
  return found ? ok(found) : fail({ code: 'not-found', path: ['id'], what: WHAT });
}

/** Saves a family: over the one with this id, or as a new one.
 * @returns issues of `openFamily` for one that is too large or has an empty axis */
export function saveFamily(
  me: Teacher,
  input: { id: FamilyId | null; name: string; family: Family },
): Result<SavedFamily> {
  const name = readName(input.name, WHAT);
  if (!name.ok) return name;
  const opened = openFamily(input.family);
  if (!opened.ok) return opened;
  const saved = { name: name.value, family: input.family };
  const updatedAt = me.now();
  if (input.id === null) {
    const id = newId<'family'>(me);
    me.store.families.insert({ id, ...saved, updatedAt });
    return ok({ id, ...saved });
  }
  const found = getFamily(me, input.id);
  if (!found.ok) return found;
  me.store.families.update(input.id, { ...saved, updatedAt });
  return ok({ id: input.id, ...saved });
}

/** Takes a family out of the list, or back in. */
export function archiveFamily(me: Teacher, id: FamilyId, archived: boolean): Result<null> {
  const found = getFamily(me, id);
  if (!found.ok) return found;
  me.store.families.update(id, { archivedAt: archived ? me.now() : null });
  return ok(null);
}

/** Most exercises that go into a program at once. */
const MOST_SENT = 200;

/** An exercise on its way into a program; with steps, these are the rungs of its ladder. */
export interface SentExercise {
  readonly name: string;
  readonly recipe: ClosedRecipe;
  readonly steps?: readonly SentStep[];
  /** How it is worked on; as usual when left out. With steps, its first tempo is theirs. */
  readonly course?: Course;
  /** Whether it waits until the one before it is done. */
  readonly follows?: boolean;
  /** What to watch for, in words. */
  readonly cues?: readonly string[];
}

interface SentStep {
  readonly says: string;
  readonly recipe: ClosedRecipe;
  readonly untimed?: boolean;
}

function courseOf({ steps, course = USUAL_COURSE }: SentExercise): Course {
  if (!steps) return course;
  const bpm = rungAt(rungsOf(course.ladder), 0).bpm;
  const stages = steps.map((step) => ({ kind: 'step' as const, ...step }));
  return { ...course, ladder: { kind: 'stages', bpm, stages } };
}

/** Saves exercises and puts them at the end of a program, in their order: all of them, or none.
 * @param to a program, or the name of a new one
 * @returns issues of `saveExercise`, and `members-too-many` */
export function sendToProgram(
  me: Teacher,
  to: { readonly id: ProgramId } | { readonly name: string },
  exercises: readonly SentExercise[],
): Result<ProgramId> {
  const count = exercises.length;
  if (count > MOST_SENT) {
    return fail({ code: 'members-too-many', path: [], count, most: MOST_SENT });
  }
  for (const { name, recipe } of exercises) {
    const named = readName(name, 'exercise');
    if (!named.ok) return named;
    const played = expand(recipe);
    if (!played.ok) return played;
  }
  const program = 'id' in to ? getProgram(me, to.id) : readName(to.name, 'program');
  if (!program.ok) return program;
  return me.store.together(() => {
    const id = 'id' in to ? to.id : must(createProgram(me, to.name));
    const saved = exercises.map((one) => {
      const { name, recipe } = one;
      const exerciseId = must(saveExercise(me, { id: null, name, recipe })).id;
      return {
        exerciseId,
        course: courseOf(one),
        follows: one.follows ?? false,
        cues: one.cues ?? [],
      };
    });
    must(addItems(me, id, saved));
    return ok(id);
  });
}

/** What anybody of the studio practised, by recipe hash. */
export function listPractised(me: Teacher): Result<readonly string[]> {
  return ok(me.store.practised());
}
