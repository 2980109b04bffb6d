'use client';

import { useEffect, useRef, useState } from 'react';
import type { Issue, Result } from '@/core/issue';
import type { Backup, Backups, PersonId, ProgramSummary, StudentSummary } from '@/core/studio';
import { sayDay, sayNeed, type StarterItems } from '@/words';
import {
  attemptOrSay,
  Button,
  Field,
  issuesAt,
  saveFile,
  useFormAction,
  useSpeech,
  Link,
} from '../base';
import { ImportFile, type ArchiveFile } from '../imports';
import { BackupLine } from './backup-line';
import { FirstLink, FirstProgram, type FirstActions } from './first-steps';
import type { Reached } from './shown-link';

interface Answer {
  readonly issues: readonly Issue[];
  readonly added: { readonly id: PersonId; readonly link: string | null } | null;
}

const NONE: Answer = { issues: [], added: null };

/** Most reasons that stand beside a student. */
const MOST_NEEDS = 3;

/** What a student is given from the roster. */
interface Offered {
  readonly programs: readonly ProgramSummary[];
  readonly starters: readonly StarterItems[];
  readonly reached: Reached;
  /** Whether nobody gets in without a way of their own, as in a demo. */
  readonly needsLinks: boolean;
  readonly actions: FirstActions;
}

/** The roster: the one who needs the teacher most first, with the reason. */
export function StudentList({
  students,
  add,
  files,
  backups,
  backUp,
  offered,
}: {
  students: readonly StudentSummary[];
  add: (before: Answer, form: FormData) => Promise<Answer>;
  files: { readonly rosterOf: () => Promise<Result<string>>; readonly archiveFile: ArchiveFile };
  backups: Backups;
  backUp: () => Promise<Result<Backup>>;
  offered: Offered;
}) {
  const { say } = useSpeech();
  const { answer, pending, onSubmit } = useFormAction<Answer>(add, NONE);
  const form = useRef<HTMLFormElement>(null);
  useEffect(() => {
    if (answer.added !== null) form.current?.reset();
  }, [answer]);
  async function saveRoster() {
    const done = await attemptOrSay(files.rosterOf);
    if (!done) return;
    const name = say.t('screen.students.students');
    saveFile(new Blob([done.value], { type: 'text/csv' }), `${name}.csv`);
  }
  return (
    <main className="in-hand mx-auto flex max-w-6xl flex-col gap-6 px-4 py-5 sm:px-6 sm:py-8">
      <div className="flex flex-wrap items-end gap-x-6 gap-y-3">
        <h1 className="font-serif text-3xl">{say.t('screen.students.students')}</h1>
        <form
          ref={form}
          onSubmit={onSubmit}
          className="flex flex-wrap items-start gap-3 sm:ml-auto"
        >
          <Field
            label={say.t('screen.students.newStudent')}
            name="name"
            autoFocus={students.length === 0}
            maxLength={80}
            issues={issuesAt(answer.issues, 'name')}
            className="w-52"
          />
          <Field
            label={say.t('screen.students.levelGoalKit')}
            name="about"
            maxLength={200}
            className="w-52 sm:w-72"
          />
          <Button look="main" type="submit" className="mt-4">
            {pending ? say.t('screen.students.adding') : say.t('screen.common.add')}
          </Button>
          {offered.needsLinks && (
            <Button type="submit" name="link" value="made" disabled={pending} className="mt-4">
              {say.t('screen.students.addWithLink')}
            </Button>
          )}
        </form>
      </div>
      {students.length === 0 ? (
        <p className="text-soft">
          {say.t('screen.students.noStudentsYetAddOneAbove')}{' '}
          <Button onClick={() => form.current?.querySelector('input')?.focus()}>
            {say.t('screen.students.addAStudent')}
          </Button>
        </p>
      ) : (
        <table className="w-full text-left max-md:block">
          <thead className="max-md:hidden">
            <tr className="label border-b border-line">
              <th className="w-64 py-1 font-normal">{say.t('screen.students.student')}</th>
              <th className="font-normal">{say.t('screen.students.needsYouFor')}</th>
              <th className="w-44 font-normal">{say.t('screen.students.programs')}</th>
              <th className="w-28 font-normal">{say.t('screen.students.lastPractised')}</th>
              <th className="w-36 font-normal">{say.t('screen.students.lastSevenDays')}</th>
            </tr>
          </thead>
          <tbody className="max-md:block">
            {students.map((row) => (
              <Row
                key={row.student.id}
                row={row}
                offered={offered}
                link={answer.added?.id === row.student.id ? answer.added.link : null}
              />
            ))}
          </tbody>
        </table>
      )}
      <section aria-label={say.t('screen.students.files')} className="flex flex-wrap gap-4">
        <Button onClick={() => void saveRoster()}>{say.t('screen.students.rosterAsCsv')}</Button>
        <ImportFile archive={files.archiveFile} />
      </section>
      <BackupLine backups={backups} backUp={backUp} />
    </main>
  );
}

function Row({
  row,
  offered,
  link,
}: {
  row: StudentSummary;
  offered: Offered;
  /** The private link, where it was made just now. */
  link: string | null;
}) {
  const { say } = useSpeech();
  // The link stays in sight when it has been made.
  const [newcomer] = useState(!row.getsIn || link !== null);
  const { student, needs } = row;
  return (
    <tr className="border-b border-line align-top hover:bg-sheet max-md:flex max-md:flex-wrap max-md:py-1.5 max-md:[&>td]:py-0.5 max-md:[&>td:nth-child(-n+2)]:basis-full max-md:[&>td:nth-child(n+3)]:pr-4">
      <td className="py-2 pr-4">
        <Link href={`/students/${student.id}`} className="font-serif text-lg hover:underline">
          {student.name}
        </Link>
        <p className="text-sm text-soft">{student.about}</p>
        {newcomer && (
          <div className="flex flex-wrap items-center gap-3 text-sm">
            <FirstLink
              student={student}
              made={link}
              actions={offered.actions}
              {...offered.reached}
            />
            <Link href={`/students/${student.id}/access`} className="underline">
              {say.t('screen.students.waysIn')}
            </Link>
          </div>
        )}
      </td>
      <td className="py-2.5 pr-6 text-sm">
        {needs.slice(0, MOST_NEEDS).map((need) => (
          <p
            key={`${need.code} ${need.item ?? ''}`}
            className={need.kind === 'stuck' ? 'border-l-3 border-warm pl-2' : 'pl-2.75'}
          >
            {sayNeed(say, need)}
          </p>
        ))}
        {needs.length > MOST_NEEDS && (
          <p className="pl-2.75 text-soft">
            {say.t('screen.students.andMore', { count: needs.length - MOST_NEEDS })}
          </p>
        )}
        {needs.length === 0 && (
          <span className="pl-2.75 text-soft">{say.t('screen.students.nothingRightNow')}</span>
        )}
      </td>
      <td className="py-2.5 pr-4">
        {row.programs.join(', ') || <FirstProgram student={student} {...offered} />}
      </td>
      <td className="py-2.5">
        {row.lastDay ? (
          sayDay(say, row.lastDay)
        ) : (
          <span className="text-soft">{say.t('screen.students.never')}</span>
        )}
      </td>
      <td className="py-2.5">
        {row.triesThisWeek === 0 ? (
          <span className="text-soft">{say.t('screen.common.nothing')}</span>
        ) : (
          say.t('screen.students.thisWeek', {
            tries: row.triesThisWeek,
            open: row.openThisWeek,
            minutes: row.minutesThisWeek,
          })
        )}
      </td>
    </tr>
  );
}
