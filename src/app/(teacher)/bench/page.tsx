import type { Issue } from '@/core/issue';
import { blankRecipe, readLink } from '@/core/recipe';
import { parseId } from '@/core/studio';
import { bpm, parseBpm } from '@/core/time';
import { FULL_KIT } from '@/core/kit';
import { getExercise, listExerciseNames, listMaterials, listPrograms, listRoster } from '@/server';
import { Bench, type Draft } from '@/ui/bench';
import { teacherVisit } from '../../viewer';
import { addToProgram, archive, open, save, saveRules, twins } from './actions';
import { titled } from '../../language';

export const generateMetadata = titled('bench');

type Query = Readonly<Record<string, string | string[] | undefined>>;

/** `x` is a saved exercise, `r` a recipe that was not saved (yet), `t` the tempo. */
export default async function BenchPage({ searchParams }: { searchParams: Promise<Query> }) {
  const { me } = await teacherVisit();
  const query = await searchParams;
  const text = (key: string) => (typeof query[key] === 'string' ? query[key] : '');
  const issues: Issue[] = [];
  const draft: { -readonly [K in keyof Draft]: Draft[K] } = {
    id: null,
    sheet: 0,
    name: '',
    recipe: blankRecipe(),
  };
  const id = parseId<'exercise'>(text('x'));
  const saved = id && getExercise(me, id);
  if (saved?.ok) {
    Object.assign(draft, { id, name: saved.value.name, recipe: saved.value.recipe });
  } else if (text('x')) issues.push({ code: 'not-found', path: [], what: 'exercise' });
  const original = { ...draft };
  if (text('r')) {
    const linked = readLink(text('r'));
    if (linked.ok) draft.recipe = linked.value;
    else issues.push(...linked.issues);
  }
  const tempo = parseBpm(text('t') || '80');
  if (!tempo.ok) issues.push(...tempo.issues);
  const programs = listPrograms(me);
  const own = listMaterials(me);
  const roster = listRoster(me);
  const exercises = listExerciseNames(me);
  return (
    <Bench
      key={`${text('x')} ${text('r')}`}
      draft={draft}
      saved={original.id === null ? null : original}
      tempo={tempo.ok ? tempo.value : bpm(80)}
      issues={issues}
      programs={programs.ok ? programs.value : []}
      own={own.ok ? own.value : []}
      students={(roster.ok ? roster.value : []).map(({ id: student, name, kit }) => ({
        id: student,
        name,
        kit: kit ?? FULL_KIT,
      }))}
      exercises={(exercises.ok ? exercises.value : []).map(({ id: one, name }) => ({
        id: one,
        name,
      }))}
      actions={{ save, archive, addToProgram, open, saveRules, twins }}
    />
  );
}
