import { riskOf, weakCrossings } from '@/core/breaks';
import { must, ok, type Result } from '@/core/issue';
import type { KitProfile } from '@/core/kit';
import { rungAt, type RungFacts } from '@/core/ladder';
import { itemsOf } from '@/core/program';
import { fittedOf } from '@/core/progress';
import type { Exercise } from '@/core/recipe';
import type {
  BreakWarning,
  Difference,
  Given,
  PersonId,
  Program,
  ProgramId,
  StudentVersion,
  VersionItem,
} from '@/core/studio';
import { bpm, formatMeter, parseMeter, tempoFor } from '@/core/time';
import type { Teacher } from './authority';
import { getProgram } from './programs';
import { progressOf } from './progress';
import { crossingCounts, startBpmOf } from './standing';

/** Most weak crossings that are named for one item. */
const MOST_WARNINGS = 3;

/** Every student's own version of the latest program: handedness, kit, starting tempo, and what of
 * their weak crossings lies in it. Those who do not have it yet come as they would get it.
 * @param only one student alone
 * @returns in the order of the roster */
export function listVersions(
  me: Teacher,
  id: ProgramId,
  only?: PersonId,
): Result<readonly StudentVersion[]> {
  const program = getProgram(me, id);
  if (!program.ok) return program;
  const students = me.store.students().filter((one) => only === undefined || one.id === only);
  return ok(
    students.map((store) => {
      const { person: student } = store;
      const given = program.value.given.find((one) => one.student.id === student.id);
      const progress = progressOf(store);
      const weak = weakCrossings(crossingCounts(progress));
      const now = new Map(
        progress.items.flatMap(({ item, sums }): readonly (readonly [string, RungFacts])[] => {
          const { rungs, rung } = sums.followed.state;
          return sums.count > 0 ? [[item.id, rungAt(rungs, rung).asks]] : [];
        }),
      );
      return {
        given: given ?? notYet(program.value, student),
        kit: student.kit,
        items: versionItems(program.value, given, student.kit, weak, now),
      };
    }),
  );
}

function notYet(program: Program, student: Given['student']): Given {
  const { id, name } = student;
  return {
    assignmentId: '' as Given['assignmentId'],
    student: { id, name },
    version: program.version,
    starts: {},
  };
}

function versionItems(
  program: Program,
  given: Given | undefined,
  kit: KitProfile | null,
  weak: Parameters<typeof riskOf>[2],
  now: ReadonlyMap<string, RungFacts>,
): readonly VersionItem[] {
  return itemsOf(program.outline).flatMap((item): VersionItem[] => {
    const recipe = program.recipes[item.id];
    if (!recipe) return [];
    const { whole, exercise } = fittedOf(recipe, kit);
    const startBpm = startBpmOf(item, given?.starts[item.id]);
    const base = { item: item.id, name: item.name, startBpm, now: now.get(item.id) ?? null };
    if (!exercise) {
      return [{ ...base, recipe: null, differs: [{ kind: 'unplayable' }], warnings: [], risk: 0 }];
    }
    const meter = must(parseMeter(recipe.meter));
    const risk = riskOf(exercise, tempoFor(meter, bpm(startBpm)), weak);
    const warnings = risk.at.slice(0, MOST_WARNINGS).map((one): BreakWarning => {
      const place = { meter: formatMeter(meter), bar: null, from: one.fromAt, to: one.toAt };
      return {
        place,
        from: one.from,
        to: one.to,
        breaks: one.breaks,
        tries: one.breaks + one.passes,
      };
    });
    return [
      { ...base, recipe: whole, differs: differencesOf(exercise), warnings, risk: risk.chance },
    ];
  });
}

function differencesOf({ kit, replaced }: Exercise): readonly Difference[] {
  const { handedness } = kit;
  const voices = replaced.map(({ voice, by }): Difference =>
    by === null ? { kind: 'no-voice', voice } : { kind: 'voice-for', voice, by },
  );
  return handedness === 'right' ? voices : [{ kind: 'handedness', handedness }, ...voices];
}
