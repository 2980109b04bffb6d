'use client';

import type { Issue } from '@/core/issue';
import type { ProgramSummary } from '@/core/studio';
import { Button, Field, useFormAction, useSpeech, Link } from '../base';
import { LibraryFiles, type FileActions } from '../imports';

import { StarterList, type CopyStarter, type ShownStarter } from './starter-list';

export function ProgramList({
  programs,
  starters,
  copy,
  create,
  files,
}: {
  programs: readonly ProgramSummary[];
  starters: readonly ShownStarter[];
  copy: CopyStarter;
  create: (before: readonly Issue[], form: FormData) => Promise<readonly Issue[]>;
  files: FileActions;
}) {
  const { say } = useSpeech();
  const ordered = [...programs].sort((a, b) => Number(b.template) - Number(a.template));
  const { answer: issues, pending, onSubmit } = useFormAction(create, []);
  return (
    <main className="mx-auto flex max-w-5xl flex-col gap-6 px-6 py-8">
      <div className="flex items-end gap-6">
        <h1 className="font-serif text-3xl">{say.t('screen.programs.programsCapital')}</h1>
        <form onSubmit={onSubmit} className="ml-auto flex items-end gap-2">
          <Field
            label={say.t('screen.programs.newProgram')}
            name="name"
            maxLength={80}
            issues={issues}
            className="w-64"
          />
          {programs.length > 0 && (
            <label className="flex flex-col">
              <span className="label">{say.t('screen.programs.asACopyOf')}</span>
              <select name="from" className="field w-44" defaultValue="">
                <option value="">{say.t('screen.common.nothing')}</option>
                {ordered.map((program) => (
                  <option key={program.id} value={program.id}>
                    {program.template
                      ? say.t('screen.programs.templateNamed', { name: program.name })
                      : program.name}
                  </option>
                ))}
              </select>
            </label>
          )}
          <Button look="main" type="submit">
            {pending ? say.t('screen.programs.making') : say.t('screen.programs.make')}
          </Button>
        </form>
      </div>
      {programs.length === 0 ? (
        <p className="text-soft">{say.t('screen.programs.noProgramsYetNameOneAbove')}</p>
      ) : (
        <table className="w-full text-left">
          <thead>
            <tr className="label border-b border-line">
              <th className="py-1 font-normal">{say.t('screen.programs.program')}</th>
              <th className="w-28 font-normal">{say.t('screen.programs.exercises')}</th>
              <th className="font-normal">{say.t('screen.programs.givenTo')}</th>
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
                  {program.template && (
                    <span className="text-sm text-soft">
                      {' '}
                      · {say.t('screen.programs.template')}
                    </span>
                  )}
                </td>
                <td>{program.items}</td>
                <td className="text-soft">
                  {program.students.join(', ') || say.t('screen.programs.nobodyYet')}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
      <StarterList starters={starters} copy={copy} />
      <LibraryFiles {...files} />
    </main>
  );
}
