'use client';

import { clsx } from 'clsx';
import { useRef, type KeyboardEvent } from 'react';
import type { PlannedDay } from '@/core/plan';
import { daysAfter, daysBetween, WEEKDAYS, weekdayOf, type Day, type DoneDay } from '@/core/studio';
import { sayDate, sayMinutes, sayEntryKind, sayDay, type Say } from '@/words';
import { DragGround, focusAfter, useDragged, useSpeech } from '../base';
import { rowsOf } from './rows';

/** What a date shows: what is planned, or what was done. */
export interface Shown {
  readonly day: Day;
  /** From today on. */
  readonly planned: PlannedDay | null;
  readonly done: DoneDay | null;
  /** Minutes that were, or are, meant for it. */
  readonly minutes: number;
  readonly off: boolean;
  readonly missed: boolean;
}

/** The Monday of a date's week. */
export function mondayOf(day: Day): Day {
  return daysAfter(day, -WEEKDAYS.indexOf(weekdayOf(day)));
}

const STEPS: Readonly<Record<string, number>> = {
  ArrowLeft: -1,
  ArrowRight: 1,
  ArrowUp: -7,
  ArrowDown: 7,
};

/** Weeks under each other, a column for each weekday. Arrows walk over the dates, Alt and an arrow moves
 * the session that is there; a session can be dragged too. */
export function Calendar({
  days,
  today,
  chosen,
  names,
  large,
  onChoose,
  onMove,
}: {
  days: readonly Shown[];
  today: Day;
  chosen: Day;
  /** Of the works, by place. */
  names: readonly string[];
  /** A single week, with more on each day. */
  large: boolean;
  onChoose: (day: Day) => void;
  onMove: (from: Day, to: Day) => void;
}) {
  const { say } = useSpeech();
  const place = useRef<HTMLDivElement>(null);

  function onKey(event: KeyboardEvent, day: Day) {
    const step = STEPS[event.key];
    if (step === undefined) return;
    event.preventDefault();
    const to = daysAfter(day, step);
    focusAfter(
      () => {
        if (event.altKey) onMove(day, to);
        onChoose(to);
      },
      () => place.current?.querySelector<HTMLElement>(`[data-day="${to}"]`),
    );
  }

  return (
    <div
      ref={place}
      className="border-t border-l border-line"
      role="group"
      aria-label={say.t('screen.plan.dates')}
    >
      <div className="grid grid-cols-7" aria-hidden>
        {WEEKDAYS.map((one) => (
          <span key={one} className="label border-r border-line px-2">
            {one}
          </span>
        ))}
      </div>
      <div className="grid grid-cols-7">
        <DragGround onDrop={onMove}>
          {days.map((shown) => (
            <DateCell
              key={shown.day}
              shown={shown}
              today={today}
              chosen={shown.day === chosen}
              names={names}
              large={large}
              onChoose={onChoose}
              onKey={onKey}
            />
          ))}
        </DragGround>
      </div>
    </div>
  );
}

function DateCell({
  shown,
  today,
  chosen,
  names,
  large,
  onChoose,
  onKey,
}: {
  shown: Shown;
  today: Day;
  chosen: boolean;
  names: readonly string[];
  large: boolean;
  onChoose: (day: Day) => void;
  onKey: (event: KeyboardEvent, day: Day) => void;
}) {
  const { say } = useSpeech();
  const { day, planned } = shown;
  const movable = planned !== null && planned.hours.minutes > 0;
  const { ref, grip, dragged, over, style } = useDragged(day, { movable, target: day >= today });
  return (
    <button
      ref={ref}
      type="button"
      data-day={day}
      data-dragged={dragged || undefined}
      style={style}
      tabIndex={chosen ? 0 : -1}
      aria-pressed={chosen}
      aria-label={sayShown(say, shown, names)}
      aria-keyshortcuts="Alt+ArrowLeft Alt+ArrowRight Alt+ArrowUp Alt+ArrowDown"
      onClick={() => onChoose(day)}
      {...grip}
      onKeyDown={(event) => onKey(event, day)}
      className={clsx(
        'relative flex touch-manipulation flex-col items-stretch gap-0.5 overflow-hidden border-r border-b border-line px-1 py-1 text-left align-top select-none sm:px-2',
        large ? 'min-h-[16rem]' : 'min-h-[6.1rem]',
        day < today && 'text-soft',
        chosen ? 'bg-sheet outline-2 -outline-offset-2 outline-ink' : '',
        over && 'bg-warm-wash',
        dragged && 'bg-sheet opacity-80',
        movable && 'cursor-grab',
      )}
    >
      <DayHead shown={shown} today={today} />
      <Blocks shown={shown} names={names} large={large} />
    </button>
  );
}

function DayHead({
  shown: { day, done, minutes, off, missed },
  today,
}: {
  shown: Shown;
  today: Day;
}) {
  const { say } = useSpeech();
  const number = Number(day.slice(-2));
  const first = number === 1 || daysBetween(today, day) === 0;
  return (
    <span className="flex flex-wrap items-baseline gap-x-1 max-sm:flex-col">
      <b className={clsx('max-w-full sm:whitespace-nowrap', day === today && 'text-warm')}>
        {first ? sayDay(say, day) : number}
      </b>
      <span className="max-w-full break-words max-sm:text-xs sm:ml-auto sm:text-sm">
        {off
          ? say.t('screen.plan.off')
          : missed
            ? say.t('screen.plan.missed')
            : sayTime(say, done, minutes, day <= today)}
      </span>
    </span>
  );
}

/** Done of planned, as far as it has come. */
function sayTime(say: Say, done: DoneDay | null, minutes: number, hasCome: boolean): string {
  if (done) return `${Math.round(done.seconds / 60)} / ${minutes}`;
  return minutes > 0
    ? hasCome
      ? `0 / ${minutes}`
      : say.t('screen.common.minutesShort', { minutes })
    : '';
}

/** In a month, so many lines fit. */
const LINES = 3;

function Blocks({
  shown: { planned, done },
  names,
  large,
}: {
  shown: Shown;
  names: readonly string[];
  large: boolean;
}) {
  const { say } = useSpeech();
  if (!planned)
    return (
      done && <span className="text-sm">{say.t('screen.plan.tries', { tries: done.tries })}</span>
    );
  const rows = rowsOf(planned);
  const few = large ? rows : rows.slice(0, rows.length > LINES ? LINES - 1 : LINES);
  return (
    <>
      {few.map(({ work, kind, tries, seconds, on }) => (
        <span
          key={`${work} ${kind} ${on}`}
          className={large ? 'text-sm' : 'truncate text-xs max-sm:hidden'}
        >
          {tries > 1 && <b>{tries}×</b>} {names[work] ?? ''}
          {kind !== 'new' && <span className="text-soft"> {sayEntryKind(say, kind)}</span>}
          {large && (
            <span className="text-soft">
              {' '}
              {sayMinutes(say, seconds)}
              {on === 'pad' && `, ${say.t('screen.plan.padSmall')}`}
            </span>
          )}
        </span>
      ))}
      {few.length < rows.length && (
        <span className="text-xs text-soft max-sm:hidden">
          {say.t('screen.plan.more', { count: rows.length - few.length })}
        </span>
      )}
      {!large && rows.length > 0 && (
        <span className="text-xs text-soft sm:hidden">
          {say.t('screen.plan.ex', { count: rows.length })}
        </span>
      )}
    </>
  );
}

function sayShown(
  say: Say,
  { day, planned, done, minutes, off, missed }: Shown,
  names: readonly string[],
) {
  const parts = [sayDate(say, day)];
  if (off) parts.push(say.t('screen.plan.off'));
  else if (missed) parts.push(say.t('screen.plan.missed'));
  else if (minutes > 0) parts.push(say.t('screen.plan.minutes', { minutes }));
  else parts.push(say.t('screen.plan.free'));
  if (done)
    parts.push(say.t('screen.plan.minutesDone', { minutes: Math.round(done.seconds / 60) }));
  for (const { work, tries } of planned ? rowsOf(planned) : []) {
    parts.push(`${tries} × ${names[work] ?? ''}`);
  }
  return parts.join(', ');
}
