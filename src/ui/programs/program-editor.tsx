'use client';

import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { useMemo, useState } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import type { Issue, Result } from '@/core/issue';
import { USUAL_COURSE } from '@/core/ladder';
import type { StepKind } from '@/core/path';
import { changeItems, itemsOf, nudgeItem, placeItem, withItem, withoutItems } from '@/core/program';
import {
  type ExerciseName,
  type ItemId,
  type Person,
  type Program,
  type ProgramId,
} from '@/core/studio';
import { type Say, sayCaution } from '@/words';
import {
  attempt,
  attemptOrSay,
  Button,
  Choice,
  DragGround,
  newId,
  toast,
  Trouble,
  useSpeech,
  useUndo,
} from '../base';
import { SheetButton } from '../sheets';
import { EmptySection, SectionHead } from './section-head';
import { BulkBar } from './bulk-bar';
import { Given, type GivingActions } from './given';
import { glanceAt } from './glance';
import { ItemRow, type ItemRowActions } from './item-row';
import { useProgram, type ProgramDesk, type SaveOutline } from './use-program';

export interface ProgramActions extends GivingActions {
  readonly save: SaveOutline;
  readonly rename: (id: ProgramId, name: string) => Promise<Result<null>>;
  readonly archive: (id: ProgramId, archived: boolean) => Promise<Result<null>>;
  readonly template: (id: ProgramId, template: boolean) => Promise<Result<null>>;
}

export function ProgramEditor({
  program: first,
  exercises,
  students,
  template,
  actions,
}: {
  program: Program;
  exercises: readonly ExerciseName[];
  students: readonly Person[];
  /** The studio's build order. */
  template: readonly StepKind[];
  actions: ProgramActions;
}) {
  const { say } = useSpeech();
  const undoable = useUndo();
  const desk = useProgram(first, actions.save);
  const { outline, program, edit } = desk;
  const [chosen, setChosen] = useState<ReadonlySet<ItemId>>(new Set());
  const items = useMemo(() => itemsOf(outline), [outline]);
  const picked = items.filter((item) => chosen.has(item.id));

  const elsewhere = {
    enableOnFormTags: true,
    preventDefault: true,
    ignoreEventWhen: isTyping,
  } as const;
  useHotkeys('mod+z', () => desk.undo?.(), elsewhere);
  useHotkeys('mod+shift+z, mod+y', () => desk.redo?.(), elsewhere);

  function remove(ids: ReadonlySet<ItemId>) {
    const gone = items.filter((item) => ids.has(item.id));
    edit((now) => withoutItems(now, ids));
    setChosen((now) => new Set([...now].filter((id) => !ids.has(id))));
    const what =
      gone.length === 1
        ? (gone[0]?.name ?? '')
        : say.t('screen.programs.items', { count: gone.length });
    undoable(say.t('screen.programs.tookOut', { what }), desk.back);
  }

  const rowActions: ItemRowActions = {
    change: (id, change) => edit((now) => changeItems(now, new Set([id]), change)),
    nudge: (id, by) => edit((now) => nudgeItem(now, id, by)),
    remove: (id) => remove(new Set([id])),
    choose: (id) => setChosen((now) => toggled(now, id)),
    courseForAll: (course) => {
      const all = new Set(items.map((item) => item.id));
      edit((now) => changeItems(now, all, (one) => ({ ...one, course })));
      undoable(say.t('screen.programs.sameLadderFor', { count: all.size }), desk.back);
    },
  };

  /** Puts an item where another one is, or into a section that has none. */
  function drop(id: ItemId, onto: string) {
    edit((now) => {
      const section = now.sections.find(
        (one) => one.id === onto || one.items.some((item) => item.id === onto),
      );
      const index = section?.items.findIndex((item) => item.id === onto) ?? -1;
      return section ? placeItem(now, id, section.id, Math.max(0, index)) : now;
    });
  }

  function add(sectionId: string, exerciseId: string) {
    const exercise = exercises.find((one) => one.id === exerciseId);
    if (!exercise) return;
    const { hash, name } = exercise;
    const made = { id: newId<'item'>(), exerciseId: exercise.id, hash, name };
    const course = items.at(-1)?.course ?? USUAL_COURSE;
    const usual = course.ladder.kind === 'stages' ? USUAL_COURSE : course;
    edit((now) => withItem(now, made, usual, sectionId));
  }

  const numbers = new Map(items.map((item, index) => [item.id, index + 1]));
  return (
    <main className="mx-auto grid max-w-6xl grid-cols-[minmax(0,1fr)_16rem] gap-x-10 px-6 py-8">
      <Head desk={desk} actions={actions} />
      <section aria-label={say.t('screen.common.exercisesCapital')}>
        <Trouble issues={desk.issues} />
        {items.length === 0 && (
          <p className="mb-4 text-soft">{say.t('screen.programs.nothingToPractiseYetAddA')}</p>
        )}
        {items.length > 0 && (
          <p className="label flex justify-end gap-6" aria-hidden>
            <span>{say.t('screen.programs.howHardFirstToLastRung')}</span>
            <span>{say.t('screen.programs.atLeast')}</span>
          </p>
        )}
        <DragGround<ItemId> onDrop={drop}>
          {outline.sections.map((section) => (
            <section
              key={section.id}
              aria-label={section.name || say.t('screen.programs.itemsWord')}
              className="mb-4"
            >
              <SectionHead section={section} desk={desk} alone={outline.sections.length === 1} />
              {section.items.length === 0 && <EmptySection id={section.id} />}
              <ol className="flex flex-col">
                {section.items.map((item) => (
                  <ItemRow
                    key={item.id}
                    number={numbers.get(item.id) ?? 0}
                    item={item}
                    recipe={program.recipes[item.id]}
                    stale={
                      program.stale[item.id] === item.hash ? undefined : program.stale[item.id]
                    }
                    others={items}
                    template={template}
                    chosen={chosen.has(item.id)}
                    actions={rowActions}
                  />
                ))}
              </ol>
              <div className="border-t border-line pt-2">
                {exercises.length > 0 && (
                  <Choice
                    label={
                      section.name
                        ? say.t('screen.programs.exerciseToAddTo', { section: section.name })
                        : say.t('screen.programs.exerciseToAdd')
                    }
                    options={exercises.map((one) => ({ value: one.id as string, text: one.name }))}
                    className="inline-flex h-8 items-center rounded-sm border border-line bg-sheet px-3 hover:border-soft"
                    onChoose={(id) => add(section.id, id)}
                  >
                    {say.t('screen.programs.addExercise')}
                  </Choice>
                )}
              </div>
            </section>
          ))}
        </DragGround>
        {exercises.length === 0 && (
          <p>
            {say.t.rich('screen.programs.noExercisesYet', {
              link: (text) => (
                <Link className="underline" href="/bench">
                  {text}
                </Link>
              ),
            })}
          </p>
        )}
        <Button
          look="quiet"
          onClick={() =>
            edit((now) => ({
              sections: [
                ...now.sections,
                { id: newId<'section'>(), name: say.t('screen.programs.newSection'), items: [] },
              ],
            }))
          }
        >
          {say.t('screen.programs.addSection')}
        </Button>
        {picked.length > 0 && (
          <BulkBar
            chosen={picked}
            items={items}
            sections={outline.sections}
            onCourse={(course) =>
              edit((now) => changeItems(now, chosen, (one) => ({ ...one, course })))
            }
            onMove={(to) =>
              edit((now) =>
                picked.reduce((made, item) => {
                  const end = made.sections.find((one) => one.id === to)?.items.length ?? 0;
                  return placeItem(made, item.id, to, end);
                }, now),
              )
            }
            onRemove={() => remove(chosen)}
            onClear={() => setChosen(new Set())}
          />
        )}
        <p className="mt-8 max-w-xl text-xs text-soft">{sayCaution(say)}</p>
      </section>
      <Given program={program} students={students} actions={actions} onProgram={desk.setProgram} />
    </main>
  );
}

function toggled(now: ReadonlySet<ItemId>, id: ItemId): ReadonlySet<ItemId> {
  const next = new Set(now);
  if (!next.delete(id)) next.add(id);
  return next;
}

const STATUS = {
  refused: 'screen.programs.notSaved',
  saving: 'screen.common.saving',
  saved: 'screen.common.saved',
  unreached: 'screen.common.notSavedNoConnection',
} as const;

function Head({ desk, actions }: { desk: ProgramDesk; actions: ProgramActions }) {
  const { say } = useSpeech();
  const undoable = useUndo();
  const router = useRouter();
  const { program, outline } = desk;
  const minutes = itemsOf(outline).reduce((sum, item) => {
    return sum + (glanceAt(program.recipes[item.id], item.course)?.minutes ?? 0);
  }, 0);

  async function archive() {
    const done = await attemptOrSay(() => actions.archive(program.id, true));
    if (!done) return;
    router.push('/programs');
    undoable(say.t('screen.programs.archived', { program: program.name }), () =>
      attemptOrSay(() => actions.archive(program.id, false)),
    );
  }

  async function mark() {
    const { template } = program;
    const done = await attemptOrSay(() => actions.template(program.id, !template));
    if (done) desk.setProgram({ ...program, template: !template });
  }

  return (
    <header className="col-span-2 mb-4">
      <div className="flex items-baseline gap-4">
        <Name key={program.name} program={program} rename={actions.rename} />
        <span role="status" className="text-sm text-soft">
          {desk.status !== 'fresh' && say.t(STATUS[desk.status])}{' '}
          {desk.status === 'unreached' && (
            <Button onClick={desk.retry}>{say.t('screen.programs.retry')}</Button>
          )}
        </span>
        {desk.undo && (
          <Button look="quiet" onClick={desk.undo}>
            {say.t('screen.common.undo')}
          </Button>
        )}
        {desk.redo && (
          <Button look="quiet" onClick={desk.redo}>
            {say.t('screen.common.redo')}
          </Button>
        )}
        <SheetButton
          look="quiet"
          name={program.name}
          whatOf={() => ({ kind: 'program', program: program.id })}
        />
        {program.given.length > 0 && (
          <SheetButton
            look="quiet"
            name={program.name}
            whatOf={() => ({ kind: 'class', program: program.id })}
          >
            {say.t('screen.programs.weekForEach', { count: program.given.length })}
          </SheetButton>
        )}
        <Button look="quiet" aria-pressed={program.template} onClick={() => void mark()}>
          {program.template
            ? say.t('screen.programs.template')
            : say.t('screen.programs.makeATemplate')}
        </Button>
        <Button look="quiet" onClick={() => void archive()}>
          {say.t('screen.common.archive')}
        </Button>
      </div>
      {minutes > 0 && (
        <p className="text-sm text-soft">
          {say.t('screen.programs.atLeastToAllTargets', { hours: sayHours(say, minutes) })}
        </p>
      )}
    </header>
  );
}

/** @example sayHours(ENGLISH, 135) // => '2 h 15 min' */
function sayHours(say: Say, minutes: number): string {
  const whole = Math.ceil(minutes);
  return whole < 60
    ? say.t('screen.common.minutesShort', { minutes: whole })
    : say.t('screen.programs.hMin', { hours: Math.floor(whole / 60), minutes: whole % 60 });
}

/** A section's name, edited in place; an only section without a name shows none. */
function Name({ program, rename }: { program: Program; rename: ProgramActions['rename'] }) {
  const { say } = useSpeech();
  const [name, setName] = useState(program.name);
  const [issues, setIssues] = useState<readonly Issue[]>([]);

  async function store() {
    if (name === program.name) return setIssues([]);
    const answer = await attempt(() => rename(program.id, name));
    if (answer) setIssues(answer.ok ? [] : answer.issues);
    else toast.error(say.t('screen.programs.notRenamedNoConnectionTheName'));
  }

  return (
    <div className="min-w-0 flex-1">
      <h1 className="sr-only">{program.name}</h1>
      <input
        aria-label={say.t('screen.programs.programName')}
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

/** Where a text is typed, undoing is the field's own. */
function isTyping({ target }: KeyboardEvent): boolean {
  return (
    target instanceof Element &&
    target.closest('input:not([type=checkbox]), select, textarea') !== null
  );
}
