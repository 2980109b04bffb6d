'use client';

import { clsx } from 'clsx';
import { GripVertical, TriangleAlert } from 'lucide-react';
import { useState, type KeyboardEvent } from 'react';
import { must } from '@/core/issue';
import { type Course, type PracticeStep } from '@/core/ladder';
import { buildSteps, type StepKind } from '@/core/path';
import type { OutlineItem } from '@/core/program';
import { type ClosedRecipe } from '@/core/recipe';
import type { ItemId } from '@/core/studio';
import { parseMeter, tempoBeatTicks } from '@/core/time';
import { type Key, type Say, sayList, sayLoad, sayStep } from '@/words';
import { SentenceText } from '../marks';
import { Button, Choice, focusAfter, useSpeech, useDragged, Link } from '../base';
import { CourseFields } from './course-fields';
import { sayCourse } from './say-course';
import { glanceAt } from './glance';
import { Cues } from './item-cues';

export interface ItemRowActions {
  readonly change: (id: ItemId, change: (item: OutlineItem) => OutlineItem) => void;
  readonly nudge: (id: ItemId, by: -1 | 1) => void;
  readonly remove: (id: ItemId) => void;
  readonly choose: (id: ItemId) => void;
  /** Gives every item this ladder, dosage and rule. */
  readonly courseForAll: (course: Course) => void;
}

/** An item of a program: what, how hard, how long, its ladder in a line; all of it behind a touch. */
export function ItemRow({
  number,
  item,
  recipe,
  stale,
  others,
  template,
  chosen,
  actions,
}: {
  number: number;
  item: OutlineItem;
  /** Undefined until a new item is stored. */
  recipe: ClosedRecipe | undefined;
  /** What its exercise plays by now, where that is another thing. */
  stale: string | undefined;
  others: readonly OutlineItem[];
  /** The studio's build order. */
  template: readonly StepKind[];
  chosen: boolean;
  actions: ItemRowActions;
}) {
  const { say } = useSpeech();
  const [open, setOpen] = useState(false);
  const glance = glanceAt(recipe, item.course);
  const after = others.filter((one) => item.after.includes(one.id));
  const { id } = item;

  function onKey(event: KeyboardEvent) {
    if (event.target !== event.currentTarget) return;
    const row = event.currentTarget;
    const rows = [...document.querySelectorAll<HTMLElement>('[data-item]')];
    const at = rows.indexOf(row as HTMLElement);
    if (event.key === 'ArrowUp' || event.key === 'ArrowDown') {
      event.preventDefault();
      const by = event.key === 'ArrowUp' ? -1 : 1;
      if (event.altKey) {
        // In another section the row is a new one.
        focusAfter(
          () => actions.nudge(id, by),
          () => document.querySelector<HTMLElement>(`[data-item="${id}"]`),
        );
      } else rows[at + by]?.focus();
    } else if (event.key === 'x' || event.key === ' ') {
      event.preventDefault();
      actions.choose(id);
    } else if (event.key === 'Delete') {
      (rows[at + 1] ?? rows[at - 1])?.focus();
      actions.remove(id);
    }
    if (event.key === 'Enter') setOpen(!open);
  }

  const { ref, grip, dragged, over, style } = useDragged(id);

  return (
    <li
      data-item={id}
      tabIndex={0}
      aria-label={`${number}: ${item.name}`}
      onKeyDown={onKey}
      ref={ref}
      style={style}
      className={clsx(
        'relative border-t',
        over ? 'border-warm bg-warm-wash' : 'border-line',
        chosen && 'bg-sheet',
        dragged && 'bg-sheet opacity-80',
      )}
    >
      <div className="grid grid-cols-[1.2rem_1.3rem_1.8rem_minmax(0,1fr)_5.6rem_4.5rem] items-baseline gap-x-2 py-1.5">
        <span
          {...grip}
          data-grip
          className="cursor-grab touch-manipulation self-center text-soft"
          title={say.t('screen.programs.dragOrAltAndTheArrow')}
        >
          <GripVertical size={15} aria-hidden />
        </span>
        <input
          type="checkbox"
          aria-label={say.t('screen.programs.choose', { item: item.name })}
          checked={chosen}
          onChange={() => actions.choose(id)}
        />
        <span className="font-serif text-lg text-soft">{number}</span>
        <div className="min-w-0">
          <Link href={`/bench?x=${item.exerciseId}`} className="font-serif text-lg hover:underline">
            {item.name}
          </Link>
          {item.kind === 'own' && (
            <span className="text-sm text-soft"> · {say.t('screen.programs.theirOwnVersion')}</span>
          )}
          {after.length > 0 && (
            <span className="text-sm text-soft">
              {' '}
              ·{' '}
              {say.t('screen.common.afterThese', {
                names: sayList(
                  say,
                  after.map((one) => one.name),
                ),
              })}
            </span>
          )}
          <p className="text-sm text-soft">
            {recipe && <SentenceText say={say} recipe={recipe} />}
          </p>
          <button
            type="button"
            aria-expanded={open}
            aria-label={say.t('screen.programs.ladderOf', {
              item: item.name,
              course: sayCourse(say, item.course),
            })}
            className="phrase text-left text-[0.95rem]"
            onClick={() => setOpen(!open)}
          >
            {sayCourse(say, item.course)}
          </button>
          {stale && (
            <p className="text-sm">
              {say.t('screen.programs.changedSince')}{' '}
              <Button
                look="quiet"
                onClick={() => actions.change(id, (one) => ({ ...one, hash: stale }))}
              >
                {say.t('screen.programs.takeTheNewOne')}
              </Button>
            </p>
          )}
        </div>
        <span
          className="text-right text-sm text-soft"
          title={say.t('screen.programs.howHardFromTheFirstRung')}
        >
          {glance && `${glance.points[0].toFixed(1)} → ${glance.points[1].toFixed(1)}`}
          {glance && glance.loads.length > 0 && (
            <TriangleAlert
              size={13}
              className="ml-1 inline text-warm"
              aria-label={glance.loads.map((load) => sayLoad(say, load, glance.fastest)).join(' ')}
            />
          )}
        </span>
        <span
          className="text-right text-sm"
          title={say.t('screen.programs.leastPracticeTimeToTheTarget')}
        >
          {glance && say.t('screen.common.minutesShort', { minutes: Math.ceil(glance.minutes) })}
        </span>
      </div>
      {open && (
        <Details
          item={item}
          recipe={recipe}
          others={others}
          template={template}
          loads={glance?.loads.map((load) => sayLoad(say, load, glance.fastest)) ?? []}
          actions={actions}
        />
      )}
    </li>
  );
}

function Details({
  item,
  recipe,
  others,
  template,
  loads,
  actions,
}: {
  item: OutlineItem;
  recipe: ClosedRecipe | undefined;
  others: readonly OutlineItem[];
  template: readonly StepKind[];
  loads: readonly string[];
  actions: ItemRowActions;
}) {
  const { say } = useSpeech();
  const { id } = item;
  const free = others.filter((one) => one.id !== id && !item.after.includes(one.id));
  const meter = must(parseMeter(recipe?.meter ?? '4/4'));
  return (
    <div className="mb-3 ml-[5.3rem] flex flex-col gap-2 border-l border-line pl-3">
      <CourseFields
        course={item.course}
        tempo={{ beatTicks: tempoBeatTicks(meter) }}
        steps={() => stagesOf(say, recipe, template)}
        waits={item.after.length > 0}
        onSet={(course) => actions.change(id, (one) => ({ ...one, course }))}
      />
      {others.length > 1 && item.course.ladder.kind !== 'stages' && (
        <Button
          look="quiet"
          className="self-start"
          onClick={() => actions.courseForAll(item.course)}
        >
          {say.t('screen.programs.sameForAll', { count: others.length })}
        </Button>
      )}
      {loads.map((text) => (
        <p key={text} className="text-sm">
          {text}
        </p>
      ))}
      <Cues item={item} recipe={recipe} actions={actions} />
      <div className="flex flex-wrap items-center gap-x-3 gap-y-1 text-sm">
        {item.after.map((waited) => {
          const name = others.find((one) => one.id === waited)?.name ?? '';
          return (
            <span key={waited}>
              {say.t('screen.common.afterThese', { names: name })}{' '}
              <Button
                look="quiet"
                aria-label={say.t('screen.programs.noLongerAfter', { name })}
                onClick={() =>
                  actions.change(id, (one) => ({
                    ...one,
                    after: one.after.filter((each) => each !== waited),
                  }))
                }
              >
                {say.t('screen.programs.noLonger')}
              </Button>
            </span>
          );
        })}
        {free.length > 0 && (
          <Choice
            label={say.t('screen.programs.whatComesFirst')}
            options={free.map((one) => ({ value: one.id, text: one.name }))}
            className="phrase"
            onChoose={(first) =>
              actions.change(id, (one) => ({ ...one, after: [...one.after, first] }))
            }
          >
            {say.t('screen.programs.addAfter')}
          </Choice>
        )}
        <label className="inline-flex items-center gap-1">
          <input
            type="checkbox"
            checked={item.kind === 'own'}
            onChange={(event) =>
              actions.change(id, (one) => ({
                ...one,
                kind: event.target.checked ? 'own' : 'exercise',
              }))
            }
          />
          {say.t('screen.programs.studentMakesOwn')}
        </label>
        <select
          aria-label={say.t('screen.programs.kitOrPadFor', { item: item.name })}
          className="field"
          value={item.place}
          onChange={(event) => {
            const place = PLACES.find((one) => one === event.target.value) ?? 'derived';
            actions.change(id, (one) => ({ ...one, place }));
          }}
        >
          {PLACES.map((place) => (
            <option key={place} value={place}>
              {say.t(PLACE_NAMES[place])}
            </option>
          ))}
        </select>
        <Button look="quiet" onClick={() => actions.remove(id)}>
          {say.t('screen.programs.takeOut')}
        </Button>
      </div>
    </div>
  );
}

/** The steps of an exercise as rungs. */
function stagesOf(
  say: Say,
  recipe: ClosedRecipe | undefined,
  template: readonly StepKind[],
): readonly PracticeStep[] {
  if (!recipe) return [];
  return buildSteps(recipe, template).map((step) => ({
    kind: 'step',
    says: sayStep(say, step.facts),
    recipe: step.recipe,
    ...(step.facts.plays === 'part' && step.facts.untimed && { untimed: true }),
  }));
}

const PLACES = ['derived', 'kit', 'pad'] as const;

const PLACE_NAMES = {
  derived: 'screen.programs.kitOrPadAutomatic',
  kit: 'screen.programs.atTheKitOnly',
  pad: 'screen.programs.onThePadToo',
} as const satisfies Record<(typeof PLACES)[number], Key>;
