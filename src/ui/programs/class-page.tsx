'use client';

import type { Result } from '@/core/issue';
import type {
  AssignmentId,
  ItemId,
  PersonId,
  Program,
  ProgramId,
  StudentVersion,
  VersionItem,
} from '@/core/studio';
import { FASTEST, SLOWEST } from '@/core/time';
import { sayDifference, sayRung, sayWarning } from '@/words';
import { attemptOrSay, Button, toast, TypedField, useSpeech, Link } from '../base';
import { readTempo } from '../play';

/** One program, each student's own version: what differs, from where they start, where they stand,
 * and what may break. */
export function ClassPage({
  program,
  versions,
  actions,
}: {
  program: Pick<Program, 'id' | 'name'>;
  versions: readonly StudentVersion[];
  actions: {
    readonly give: (id: ProgramId, student: PersonId) => Promise<Result<Program>>;
    readonly start: (
      assignment: AssignmentId,
      item: ItemId,
      bpm: number | null,
    ) => Promise<Result<null>>;
  };
}) {
  const { say } = useSpeech();
  const items = versions[0]?.items ?? [];
  const without = versions.filter((one) => !hasIt(one));

  async function give(all: readonly StudentVersion[]) {
    for (const { given } of all) {
      const done = await attemptOrSay(() => actions.give(program.id, given.student.id));
      if (!done) return;
    }
    toast.success(
      say.t('screen.programs.haveItNow', {
        names: all.map((one) => one.given.student.name).join(', '),
        count: all.length,
        program: program.name,
      }),
    );
  }

  return (
    <main className="px-6 py-8">
      <header className="mb-4 flex items-baseline gap-4">
        <h1 className="font-serif text-3xl">
          {say.t('screen.programs.eachStudentVersion', { program: program.name })}
        </h1>
        <Link className="underline" href={`/programs/${program.id}`}>
          {say.t('screen.programs.toTheProgram')}
        </Link>
        {items.length > 0 && without.length > 1 && (
          <Button className="ml-auto" onClick={() => void give(without)}>
            {say.t('screen.programs.giveToAllWithoutIt', { without: without.length })}
          </Button>
        )}
      </header>
      {items.length === 0 ? (
        <p className="text-soft">
          {versions.length === 0
            ? say.t('screen.programs.noStudentsYet')
            : say.t('screen.programs.thisProgramHasNoExercisesYet')}
        </p>
      ) : (
        <div className="overflow-x-auto">
          <table className="w-full text-left">
            <thead>
              <tr className="border-b border-line align-baseline">
                <th className="label w-56 py-1 font-normal">{say.t('screen.common.exercise')}</th>
                {versions.map((version) => (
                  <th key={version.given.student.id} className="px-3 py-1 font-normal">
                    <Link
                      href={`/students/${version.given.student.id}`}
                      className="font-serif text-lg hover:underline"
                    >
                      {version.given.student.name}
                    </Link>
                    {!hasIt(version) && (
                      <Button
                        className="ml-2"
                        aria-label={say.t('screen.programs.giveItTo', {
                          student: version.given.student.name,
                        })}
                        onClick={() => void give([version])}
                      >
                        {say.t('screen.programs.give')}
                      </Button>
                    )}
                  </th>
                ))}
              </tr>
            </thead>
            <tbody>
              {items.map((item, index) => (
                <tr key={item.item} className="border-b border-line align-top">
                  <th className="py-2 pr-3 font-serif text-lg leading-5 font-normal">
                    {item.name}
                  </th>
                  {versions.map((version) => {
                    const own = version.items[index];
                    return (
                      <td key={version.given.student.id} className="min-w-44 px-3 py-2 text-sm">
                        {own && <Cell item={own} version={version} start={actions.start} />}
                      </td>
                    );
                  })}
                </tr>
              ))}
            </tbody>
          </table>
        </div>
      )}
    </main>
  );
}

function hasIt({ given }: StudentVersion): boolean {
  return given.assignmentId !== '';
}

function Cell({
  item,
  version,
  start,
}: {
  item: VersionItem;
  version: StudentVersion;
  start: (assignment: AssignmentId, item: ItemId, bpm: number | null) => Promise<Result<null>>;
}) {
  const { say } = useSpeech();
  const { assignmentId, student } = version.given;
  return (
    <>
      {hasIt(version) ? (
        <label className="mb-1 flex items-baseline gap-1">
          {say.t('screen.programs.startsAt')}
          <TypedField
            label={say.t('screen.programs.start', { student: student.name, item: item.name })}
            value={item.startBpm}
            write={String}
            read={(text) => (text.trim() === '' ? null : readTempo(text))}
            trouble={say.t('screen.common.tempoRange', { least: SLOWEST, most: FASTEST })}
            onTake={(tempo) => void attemptOrSay(() => start(assignmentId, item.item, tempo))}
            inputMode="decimal"
            className="field w-12 text-center font-semibold"
          />
          {item.now !== null && (
            <span className="text-soft">
              · {say.t('screen.programs.now', { rung: sayRung(say, item.now) })}
            </span>
          )}
        </label>
      ) : (
        <span className="mb-1 block text-soft">
          {say.t('screen.programs.wouldStartAt', { startBpm: item.startBpm })}
        </span>
      )}
      {item.differs
        .map((one) => sayDifference(say, one))
        .map((text) => (
          <span key={text} className="block">
            {text}
          </span>
        ))}
      {item.warnings
        .map((one) => sayWarning(say, one))
        .map((text) => (
          <span key={text} className="block border-l-3 border-warm pl-1.5">
            {text}
          </span>
        ))}
    </>
  );
}
