'use client';

import { useMemo, useState } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import { USUAL_COURSE } from '@/core/ladder';
import type { StepKind } from '@/core/path';
import { changeItems, itemsOf, nudgeItem, placeItem, withItem, withoutItems } from '@/core/program';
import { type ExerciseName, type ItemId, type Person, type Program } from '@/core/studio';
import { sayCaution } from '@/words';
import { Button, Choice, DragGround, newId, Trouble, useSpeech, useUndo, Link } from '../base';
import { ProgramHead, type HeadActions } from './program-head';
import { EmptySection, SectionHead } from './section-head';
import { BulkBar } from './bulk-bar';
import { Given, type GivingActions } from './given';
import { ItemRow, type ItemRowActions } from './item-row';
import type { SharedAt } from './share-pop';
import { useProgram, type SaveOutline } from './use-program';

export interface ProgramActions extends GivingActions, HeadActions {
  readonly save: SaveOutline;
}

export function ProgramEditor({
  program: first,
  shared,
  exercises,
  students,
  template,
  actions,
}: {
  program: Program;
  /** The address at which it is shared; null where it is not. */
  shared: SharedAt | null;
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
      <ProgramHead desk={desk} shared={shared} actions={actions} />
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

/** Where a text is typed, undoing is the field's own. */
function isTyping({ target }: KeyboardEvent): boolean {
  return (
    target instanceof Element &&
    target.closest('input:not([type=checkbox]), select, textarea') !== null
  );
}
