import type { FileChoices } from '@/core/format';
import { ok, type Result } from '@/core/issue';
import { recipeHash } from '@/core/recipe';
import {
  NOTHING_IMPORTED,
  type ExerciseId,
  type FileLook,
  type Imported,
  type MaterialId,
} from '@/core/studio';
import type { Teacher } from './authority';
import { importBundle, lookIntoBundle } from './bundles';
import { newId } from './context';
import { saveMaterial } from './materials';
import { importLog, placeLog } from './log-tables';
import { readFile, type FileRead, type SentFile } from './read-file';
import { importRoster, newcomersOf } from './rosters';

/** Most that is shown of what a part becomes. */
const MOST_DRAFTS = 12;

/** What a file would bring: a bundle, a table of students or of tries, or music with what its parts would become. Nothing
 * is stored.
 * @param read what it holds, where that was read elsewhere
 * @returns issues of whatever reads it */
export function lookIntoFile(
  me: Teacher,
  file: SentFile,
  choices: FileChoices,
  read: Result<FileRead> = readFile(file, choices),
): Result<FileLook> {
  if (!read.ok) return read;
  const { value } = read;
  if (value.kind === 'bundle') {
    const summary = lookIntoBundle(me, value.bundle);
    return summary.ok ? ok({ kind: 'bundle', summary: summary.value }) : summary;
  }
  if (value.kind === 'log') {
    const log = placeLog(me, value.rows, choices.student);
    return log.ok ? ok(log.value.look) : log;
  }
  if (value.kind === 'roster') {
    const roster = newcomersOf(me, value.rows);
    return roster.ok ? ok({ kind: 'roster', ...roster.value }) : roster;
  }
  const shown = value.parts.map((one) => ({ ...one, drafts: one.drafts.slice(0, MOST_DRAFTS) }));
  return ok({ ...value, parts: shown });
}

/** Takes a file in, whole or not at all, as it was looked at with the same choices.
 * @param read what it holds, where that was read elsewhere */
export function importFile(
  me: Teacher,
  file: SentFile,
  choices: FileChoices,
  read: Result<FileRead> = readFile(file, choices),
): Result<Imported> {
  if (!read.ok) return read;
  const { value } = read;
  if (value.kind === 'bundle') return importBundle(me, value.bundle);
  if (value.kind === 'roster') {
    const roster = newcomersOf(me, value.rows);
    if (!roster.ok) return roster;
    const people = importRoster(me, roster.value.coming);
    return people.ok ? ok({ ...NOTHING_IMPORTED, people: people.value }) : people;
  }
  if (value.kind === 'log') {
    const log = placeLog(me, value.rows, choices.student);
    if (!log.ok) return log;
    const tries = importLog(me, log.value);
    return tries.ok ? ok({ ...NOTHING_IMPORTED, tries: tries.value }) : tries;
  }
  const drafts = value.parts.flatMap((one) => one.drafts);
  return me.store.together(() => {
    const materials: MaterialId[] = [];
    const exercises: ExerciseId[] = [];
    for (const draft of drafts) {
      const { name, meter } = draft;
      if (draft.kind === 'exercise') {
        const id = newId<'exercise'>(me);
        const { recipe } = draft;
        const hash = recipeHash(recipe);
        me.store.exercises.insert({ id, name, recipe, hash, updatedAt: me.now() });
        exercises.push(id);
        continue;
      }
      const content = draft.kind === 'line' ? { text: draft.text } : draft.ostinato;
      const { kind } = draft;
      const saved = saveMaterial(me, { id: null, kind, name, trains: '', meter, content });
      if (!saved.ok) return saved;
      materials.push(saved.value.id);
    }
    return ok({ ...NOTHING_IMPORTED, materials, exercises });
  });
}
