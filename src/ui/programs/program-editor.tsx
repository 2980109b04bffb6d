'use client';

import { ArrowDown, ArrowUp, X } from 'lucide-react';
import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { toast } from 'sonner';
import type { Issue, Result } from '@/core/issue';
import type { Course, TypedCourse } from '@/core/ladder';
import { must } from '@/core/issue';
import { sentenceText } from '@/core/recipe';
import { CAUTION_LINE } from '@/core/safety';
import type {
  AssignmentId,
  ExerciseId,
  ItemId,
  Person,
  PersonId,
  Program,
  ProgramId,
  ProgramItem,
} from '@/core/studio';
import { parseMeter, tempoBeatTicks } from '@/core/time';
import { attempt, attemptOrSay, Button, Choice, Trouble, Words } from '../base';
import { CourseFields } from './course-fields';

export interface ProgramActions {
  readonly rename: (id: ProgramId, name: string) => Promise<Result<null>>;
  readonly archive: (id: ProgramId, archived: boolean) => Promise<Result<null>>;
  readonly add: (id: ProgramId, exercise: ExerciseId) => Promise<Result<ItemId>>;
  readonly remove: (id: ItemId, removed: boolean) => Promise<Result<null>>;
  readonly move: (id: ItemId, by: -1 | 1) => Promise<Result<null>>;
  readonly course: (id: ItemId, typed: TypedCourse) => Promise<Result<Course>>;
  readonly give: (id: ProgramId, student: PersonId) => Promise<Result<AssignmentId>>;
  readonly take: (id: AssignmentId, ended: boolean) => Promise<Result<null>>;
}

export function ProgramEditor({
  program,
  exercises,
  students,
  actions,
}: {
  program: Program;
  exercises: readonly { readonly id: ExerciseId; readonly name: string }[];
  students: readonly Person[];
  actions: ProgramActions;
}) {
  const router = useRouter();

  async function archive() {
    const done = await attemptOrSay(() => actions.archive(program.id, true));
    if (!done) return;
    router.push('/programs');
    toast(`Archived ${program.name}.`, {
      action: {
        label: 'Undo',
        onClick: () => void attemptOrSay(() => actions.archive(program.id, false)),
      },
    });
  }

  async function remove(item: ProgramItem) {
    const done = await attemptOrSay(() => actions.remove(item.id, true));
    if (!done) return;
    toast(`Took out ${item.exercise.name}.`, {
      action: {
        label: 'Undo',
        onClick: () => void attemptOrSay(() => actions.remove(item.id, false)),
      },
    });
  }

  return (
    <main className="mx-auto grid max-w-6xl grid-cols-[minmax(0,1fr)_16rem] gap-x-10 px-6 py-8">
      <header className="col-span-2 mb-4 flex items-baseline gap-4">
        <Name key={program.name} program={program} rename={actions.rename} />
        <Button look="quiet" onClick={() => void archive()}>
          archive
        </Button>
      </header>
      <section aria-label="Exercises">
        {program.items.length === 0 && (
          <p className="mb-4 text-soft">Nothing to practise yet. Add a saved exercise.</p>
        )}
        <ol className="flex flex-col">
          {program.items.map((item, index) => (
            <li
              key={item.id}
              className="grid grid-cols-[2rem_minmax(0,1fr)_6.2rem] gap-x-2 border-t border-line py-3"
            >
              <span className="pt-1 font-serif text-lg text-soft">{index + 1}</span>
              <div className="min-w-0">
                <Link
                  href={`/bench?x=${item.exercise.id}`}
                  className="font-serif text-lg hover:underline"
                >
                  {item.exercise.name}
                </Link>
                <p className="mb-1.5 text-sm text-soft">
                  <Words text={sentenceText(item.exercise.recipe)} />
                </p>
                <CourseFields
                  course={item.course}
                  tempo={{ beatTicks: beatOf(item) }}
                  save={(typed) => actions.course(item.id, typed)}
                />
              </div>
              <div className="flex items-start justify-end">
                {index > 0 && (
                  <Button
                    look="quiet"
                    aria-label={`Move ${item.exercise.name} up`}
                    onClick={() => void attemptOrSay(() => actions.move(item.id, -1))}
                  >
                    <ArrowUp size={15} aria-hidden />
                  </Button>
                )}
                {index < program.items.length - 1 && (
                  <Button
                    look="quiet"
                    aria-label={`Move ${item.exercise.name} down`}
                    onClick={() => void attemptOrSay(() => actions.move(item.id, 1))}
                  >
                    <ArrowDown size={15} aria-hidden />
                  </Button>
                )}
                <Button
                  look="quiet"
                  aria-label={`Take out ${item.exercise.name}`}
                  onClick={() => void remove(item)}
                >
                  <X size={15} aria-hidden />
                </Button>
              </div>
            </li>
          ))}
        </ol>
        <div className="border-t border-line pt-3">
          {exercises.length > 0 ? (
            <Choice
              label="Exercise to add"
              options={exercises.map((one) => ({ value: one.id, text: one.name }))}
              className="inline-flex h-8 items-center rounded-sm border border-line bg-sheet px-3 hover:border-soft"
              onChoose={(id) => void attemptOrSay(() => actions.add(program.id, id))}
            >
              + exercise
            </Choice>
          ) : (
            <p>
              No exercises saved yet.{' '}
              <Link className="underline" href="/bench">
                Make one on the Bench
              </Link>
              .
            </p>
          )}
        </div>
        <p className="mt-8 max-w-xl text-xs text-soft">{CAUTION_LINE}</p>
      </section>
      <Given program={program} students={students} actions={actions} />
    </main>
  );
}

function beatOf(item: ProgramItem) {
  return tempoBeatTicks(must(parseMeter(item.exercise.recipe.meter)));
}

function Name({ program, rename }: { program: Program; rename: ProgramActions['rename'] }) {
  const [name, setName] = useState(program.name);
  const [issues, setIssues] = useState<readonly Issue[]>([]);

  async function store() {
    if (name === program.name) return setIssues([]);
    const answer = await attempt(() => rename(program.id, name));
    if (answer) setIssues(answer.ok ? [] : answer.issues);
    else toast.error('Not renamed: no connection. The name you typed is still here.');
  }

  return (
    <div className="min-w-0 flex-1">
      <h1 className="sr-only">{program.name}</h1>
      <input
        aria-label="Program name"
        className="title-field w-full font-serif text-3xl"
        value={name}
        maxLength={80}
        aria-invalid={issues.length > 0}
        onChange={(event) => setName(event.target.value)}
        onBlur={() => void store()}
        onKeyDown={(event) => event.key === 'Enter' && event.currentTarget.blur()}
      />
      <Trouble issues={issues} />
    </div>
  );
}

function Given({
  program,
  students,
  actions,
}: {
  program: Program;
  students: readonly Person[];
  actions: ProgramActions;
}) {
  const without = students.filter(
    (student) => !program.given.some((given) => given.student.id === student.id),
  );

  async function give(id: PersonId) {
    const done = await attemptOrSay(() => actions.give(program.id, id));
    const name = students.find((student) => student.id === id)?.name;
    if (done) toast.success(`${name} has ${program.name} now.`);
  }

  async function takeBack(given: Program['given'][number]) {
    const done = await attemptOrSay(() => actions.take(given.assignmentId, true));
    if (!done) return;
    toast(`Taken back from ${given.student.name}; the log stays.`, {
      action: {
        label: 'Undo',
        onClick: () => void attemptOrSay(() => actions.take(given.assignmentId, false)),
      },
    });
  }

  return (
    <aside aria-labelledby="given-title">
      <h2 id="given-title" className="label mb-2">
        given to
      </h2>
      <ul className="mb-3 border-t border-line">
        {program.given.map((given) => (
          <li key={given.assignmentId} className="flex items-center border-b border-line py-1">
            <Link href={`/students/${given.student.id}`} className="hover:underline">
              {given.student.name}
            </Link>
            <Button
              look="quiet"
              className="ml-auto"
              aria-label={`Take it back from ${given.student.name}`}
              onClick={() => void takeBack(given)}
            >
              <X size={15} aria-hidden />
            </Button>
          </li>
        ))}
      </ul>
      {program.given.length === 0 && <p className="mb-3 text-soft">Nobody has it yet.</p>}
      {without.length > 0 && (
        <Choice
          label="Student to give it to"
          options={without.map((student) => ({ value: student.id, text: student.name }))}
          className="inline-flex h-8 items-center rounded-sm border border-line bg-sheet px-3 hover:border-soft"
          onChoose={(id) => void give(id)}
        >
          give to…
        </Choice>
      )}
      {students.length === 0 && (
        <p>
          No students yet.{' '}
          <Link className="underline" href="/students">
            Add one
          </Link>
          .
        </p>
      )}
    </aside>
  );
}
