'use client';

import { sayCount } from '@/core/issue';
import Link from 'next/link';
import { useEffect, useRef } from 'react';
import type { Issue } from '@/core/issue';
import { sayDay, type StudentSummary } from '@/core/studio';
import { Button, Field, issuesAt, useFormAction } from '../base';

interface Answer {
  readonly issues: readonly Issue[];
  readonly added: string | null;
}

const NONE: Answer = { issues: [], added: null };

export function StudentList({
  students,
  add,
}: {
  students: readonly StudentSummary[];
  add: (before: Answer, form: FormData) => Promise<Answer>;
}) {
  const { answer, pending, onSubmit } = useFormAction<Answer>(add, NONE);
  const form = useRef<HTMLFormElement>(null);
  useEffect(() => {
    if (answer.added !== null) form.current?.reset();
  }, [answer]);
  return (
    <main className="mx-auto flex max-w-6xl flex-col gap-6 px-6 py-8">
      <div className="flex items-end gap-6">
        <h1 className="font-serif text-3xl">Students</h1>
        <form ref={form} onSubmit={onSubmit} className="ml-auto flex items-start gap-3">
          <Field
            label="New student"
            name="name"
            maxLength={80}
            issues={issuesAt(answer.issues, 'name')}
            className="w-52"
          />
          <Field label="Level, goal, kit" name="about" maxLength={200} className="w-72" />
          <Button look="main" type="submit" className="mt-4">
            {pending ? 'Adding…' : 'Add'}
          </Button>
        </form>
      </div>
      {students.length === 0 ? (
        <p className="text-soft">No students yet. Add one above.</p>
      ) : (
        <table className="w-full text-left">
          <thead>
            <tr className="label border-b border-line">
              <th className="w-72 py-1 font-normal">student</th>
              <th className="w-52 font-normal">programs</th>
              <th className="w-28 font-normal">last practised</th>
              <th className="w-40 font-normal">these seven days</th>
              <th className="font-normal">stuck on</th>
            </tr>
          </thead>
          <tbody>
            {students.map((row) => (
              <tr key={row.student.id} className="border-b border-line align-top hover:bg-sheet">
                <td className="py-2 pr-4">
                  <Link
                    href={`/students/${row.student.id}`}
                    className="font-serif text-lg hover:underline"
                  >
                    {row.student.name}
                  </Link>
                  <p className="text-sm text-soft">{row.student.about}</p>
                </td>
                <td className="py-2.5 pr-4">
                  {row.programs.join(', ') || <span className="text-soft">none</span>}
                </td>
                <td className="py-2.5">
                  {row.lastDay ? sayDay(row.lastDay) : <span className="text-soft">never</span>}
                </td>
                <td className="py-2.5">
                  {row.triesThisWeek === 0 ? (
                    <span className="text-soft">nothing</span>
                  ) : (
                    `${sayCount(row.triesThisWeek, 'try', 'tries')}, ${row.minutesThisWeek} min`
                  )}
                </td>
                <td className="py-2.5 text-sm">
                  {row.stuck.map((text) => (
                    <p key={text}>{text}</p>
                  ))}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
    </main>
  );
}
