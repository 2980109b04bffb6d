'use client';

import { X } from 'lucide-react';
import { useState } from 'react';
import type { Result } from '@/core/issue';
import type {
  AssignmentId,
  Given as GivenTo,
  Person,
  PersonId,
  Program,
  ProgramId,
  StudentVersion,
} from '@/core/studio';
import { sayDifference, sayWarning } from '@/words';
import { attemptOrSay, Button, Choice, toast, useSpeech, useUndo, Link } from '../base';

export interface GivingActions {
  readonly give: (id: ProgramId, student: PersonId) => Promise<Result<Program>>;
  readonly take: (
    id: ProgramId,
    assignment: AssignmentId,
    ended: boolean,
  ) => Promise<Result<Program>>;
  readonly follow: (
    id: ProgramId,
    assignments: readonly AssignmentId[],
    version: number | null,
  ) => Promise<Result<Program>>;
  readonly preview: (id: ProgramId, student: PersonId) => Promise<Result<StudentVersion>>;
}

/** Who has the program and in which version; handing it out, after a look at what may break. */
export function Given({
  program,
  students,
  actions,
  onProgram,
}: {
  program: Program;
  students: readonly Person[];
  actions: GivingActions;
  onProgram: (program: Program) => void;
}) {
  const { say } = useSpeech();
  const undoable = useUndo();
  const [asked, setAsked] = useState<StudentVersion | null>(null);
  const without = students.filter(
    (student) => !program.given.some((given) => given.student.id === student.id),
  );

  async function run(change: () => Promise<Result<Program>>): Promise<Program | null> {
    const done = await attemptOrSay(change);
    if (done) onProgram(done.value);
    return done?.value ?? null;
  }

  async function give(id: PersonId) {
    setAsked(null);
    const done = await run(() => actions.give(program.id, id));
    const name = students.find((student) => student.id === id)?.name ?? '';
    if (done)
      toast.success(say.t('screen.common.hasNow', { student: name, program: program.name }));
  }

  /** Asks first where the student's weak places lie in it. */
  async function offer(id: PersonId) {
    const seen = await attemptOrSay(() => actions.preview(program.id, id));
    if (!seen) return;
    const warned = seen.value.items.some((item) => item.warnings.length > 0 || !item.recipe);
    if (warned) setAsked(seen.value);
    else await give(id);
  }

  async function takeBack(given: GivenTo) {
    const { assignmentId, student } = given;
    if (!(await run(() => actions.take(program.id, assignmentId, true)))) return;
    undoable(say.t('screen.programs.takenBackFromTheLogStays', { student: student.name }), () =>
      run(() => actions.take(program.id, assignmentId, false)),
    );
  }

  return (
    <aside aria-labelledby="given-title">
      <h2 id="given-title" className="label mb-2">
        {say.t('screen.programs.givenTo')}
      </h2>
      <Behind
        program={program}
        follow={(ids, to) => run(() => actions.follow(program.id, ids, to))}
      />
      <ul className="mb-3 border-t border-line">
        {program.given.map((given) => (
          <li key={given.assignmentId} className="flex items-center border-b border-line py-1">
            <Link href={`/students/${given.student.id}`} className="hover:underline">
              {given.student.name}
            </Link>
            {given.version < program.version && (
              <span className="ml-2 text-sm text-soft">
                {say.t('screen.programs.beforeYourChanges')}
              </span>
            )}
            <Link
              href={`/students/${given.student.id}/plan`}
              aria-label={say.t('screen.common.planOf', { student: given.student.name })}
              className="ml-auto px-2 text-sm text-soft hover:underline"
            >
              {say.t('screen.common.plan')}
            </Link>
            <Button
              look="quiet"
              aria-label={say.t('screen.programs.takeItBackFrom', { student: given.student.name })}
              onClick={() => void takeBack(given)}
            >
              <X size={15} aria-hidden />
            </Button>
          </li>
        ))}
      </ul>
      {program.given.length === 0 && (
        <p className="mb-3 text-soft">{say.t('screen.programs.nobodyHasItYet')}</p>
      )}
      {asked && (
        <Warned version={asked} onGive={(id) => void give(id)} onLeave={() => setAsked(null)} />
      )}
      <div className="flex flex-col items-start gap-2">
        {without.length > 0 && (
          <Choice
            label={say.t('screen.programs.studentToGiveItTo')}
            options={without.map((student) => ({ value: student.id, text: student.name }))}
            className="inline-flex h-8 items-center rounded-sm border border-line bg-sheet px-3 hover:border-soft"
            onChoose={(id) => void offer(id)}
          >
            {say.t('screen.programs.giveTo')}
          </Choice>
        )}
        {students.length > 0 && (
          <Link className="underline" href={`/programs/${program.id}/class`}>
            {say.t('screen.programs.eachStudentsVersions')}
          </Link>
        )}
      </div>
      {students.length === 0 && (
        <p>
          {say.t.rich('screen.programs.noStudentsAddOne', {
            link: (text) => (
              <Link className="underline" href="/students">
                {text}
              </Link>
            ),
          })}
        </p>
      )}
    </aside>
  );
}

/** Those who still play what was there before the changes. */
function Behind({
  program,
  follow,
}: {
  program: Program;
  follow: (ids: readonly AssignmentId[], version: number | null) => Promise<Program | null>;
}) {
  const { say } = useSpeech();
  const undoable = useUndo();
  const behind = program.given.filter((given) => given.version < program.version);
  if (behind.length === 0) return null;
  const names = behind.map((given) => given.student.name).join(', ');

  async function all() {
    const done = await follow(
      behind.map((given) => given.assignmentId),
      null,
    );
    if (!done) return;
    undoable(say.t('screen.programs.haveChangesNow', { names, count: behind.length }), () =>
      Promise.all(behind.map((one) => follow([one.assignmentId], one.version))),
    );
  }

  return (
    <div role="status" className="mb-3 border-l-3 border-warm pl-2">
      <p className="mb-1">
        {say.t('screen.programs.haveOldVersion', { names, count: behind.length })}
      </p>
      <Button onClick={() => void all()}>
        {say.t('screen.programs.update', { count: behind.length })}
      </Button>
    </div>
  );
}

/** What of a program may break for a student, the likeliest first, before it is handed out. */
function Warned({
  version,
  onGive,
  onLeave,
}: {
  version: StudentVersion;
  onGive: (id: PersonId) => void;
  onLeave: () => void;
}) {
  const { say } = useSpeech();
  const { student } = version.given;
  const warned = version.items
    .filter((item) => item.warnings.length > 0 || !item.recipe)
    .sort((a, b) => b.risk - a.risk);
  return (
    <div
      role="alertdialog"
      aria-label={say.t('screen.programs.beforeGetsIt', { student: student.name })}
      className="mb-3 border-l-3 border-warm pl-2"
    >
      <p className="mb-1">
        {say.t('screen.programs.mayBreak', { student: student.name, count: warned.length })}
      </p>
      <ul className="mb-2 text-sm">
        {warned.map((item) => (
          <li key={item.item} className="mb-1">
            <b>{item.name}</b>
            {(item.recipe
              ? item.warnings.map((one) => sayWarning(say, one))
              : item.differs.map((one) => sayDifference(say, one))
            ).map((text) => (
              <span key={text} className="block text-soft">
                {text}
              </span>
            ))}
          </li>
        ))}
      </ul>
      <span className="flex gap-2">
        <Button look="main" onClick={() => onGive(student.id)}>
          {say.t('screen.programs.giveIt')}
        </Button>
        <Button onClick={onLeave}>{say.t('screen.programs.notYet')}</Button>
      </span>
    </div>
  );
}
