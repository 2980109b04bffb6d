'use client';

import Link from 'next/link';
import type { Issue } from '@/core/issue';
import type { ProgramSummary } from '@/core/studio';
import { Button, Field, useFormAction } from '../base';

export function ProgramList({
  programs,
  create,
}: {
  programs: readonly ProgramSummary[];
  create: (before: readonly Issue[], form: FormData) => Promise<readonly Issue[]>;
}) {
  const ordered = [...programs].sort((a, b) => Number(b.template) - Number(a.template));
  const { answer: issues, pending, onSubmit } = useFormAction(create, []);
  return (
    <main className="mx-auto flex max-w-5xl flex-col gap-6 px-6 py-8">
      <div className="flex items-end gap-6">
        <h1 className="font-serif text-3xl">Programs</h1>
        <form onSubmit={onSubmit} className="ml-auto flex items-end gap-2">
          <Field label="New program" name="name" maxLength={80} issues={issues} className="w-64" />
          {programs.length > 0 && (
            <label className="flex flex-col">
              <span className="label">as a copy of</span>
              <select name="from" className="field w-44" defaultValue="">
                <option value="">nothing</option>
                {ordered.map((program) => (
                  <option key={program.id} value={program.id}>
                    {program.name}
                    {program.template ? ' (template)' : ''}
                  </option>
                ))}
              </select>
            </label>
          )}
          <Button look="main" type="submit">
            {pending ? 'Making…' : 'Make'}
          </Button>
        </form>
      </div>
      {programs.length === 0 ? (
        <p className="text-soft">
          No programs yet. Name one above, or add an exercise to a new one from the Bench.
        </p>
      ) : (
        <table className="w-full text-left">
          <thead>
            <tr className="label border-b border-line">
              <th className="py-1 font-normal">program</th>
              <th className="w-28 font-normal">exercises</th>
              <th className="font-normal">given to</th>
            </tr>
          </thead>
          <tbody>
            {programs.map((program) => (
              <tr key={program.id} className="border-b border-line hover:bg-sheet">
                <td className="py-2">
                  <Link
                    href={`/programs/${program.id}`}
                    className="font-serif text-lg hover:underline"
                  >
                    {program.name}
                  </Link>
                  {program.template && <span className="text-sm text-soft"> · template</span>}
                </td>
                <td>{program.items}</td>
                <td className="text-soft">{program.students.join(', ') || 'nobody yet'}</td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
    </main>
  );
}
