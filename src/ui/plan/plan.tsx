'use client';

import { useEffect, useMemo, useRef, useState } from 'react';
import { type Issue, type Result } from '@/core/issue';
import {
  checkSchedule,
  findUnfit,
  hoursOn,
  isOff,
  moveSession,
  planDays,
  type Plan as PlannedDays,
  type Planning,
  type Schedule,
} from '@/core/plan';
import { daysAfter, daysBetween, type Day, type StudentPlan } from '@/core/studio';
import { sayDate, sayMissed, sayUnfit, sayCaution } from '@/words';
import {
  Button,
  buttonLook,
  IssueWords,
  toastIssues,
  useKept,
  useSpeech,
  useUndo,
  Link,
} from '../base';
import { SheetButton } from '../sheets';
import { Calendar, mondayOf, type Shown } from './calendar';
import { CalendarPop, type CalendarActions } from './calendar-pop';
import { DayPanel } from './day-panel';
import { ForecastPanel } from './forecast-panel';
import { HoursTable } from './hours-table';
import { ScheduleFields } from './schedule-fields';

/** Weeks of a month's view, the last one that has passed included. */
const MONTH_WEEKS = 5;

/** The first date that is shown, so that a date is in sight. */
function firstOf(day: Day, view: 'month' | 'week'): Day {
  return view === 'week' ? mondayOf(day) : daysAfter(mondayOf(day), -7);
}

/** When a student practises and what on which date, spread anew at every change; what does not fit, and
 * when the targets are reached. */
export function Plan({
  plan,
  back,
  onSet,
  calendar,
}: {
  plan: StudentPlan;
  /** Where this was opened from; null for the student's own. */
  back: string | null;
  onSet: (schedule: Schedule) => Promise<Result<null>>;
  calendar: CalendarActions;
}) {
  const { say } = useSpeech();
  const undoable = useUndo();
  const { student, planning: stored, items, missed, scheduled } = plan;
  const { today, works } = stored;
  const [schedule, keep] = useKept(stored.schedule, onSet);
  const [draft, setDraft] = useState<Schedule | null>(null);
  const [issues, setIssues] = useState<readonly Issue[]>([]);
  const [view, setView] = useState<'month' | 'week'>('month');
  const [first, setFirst] = useState(firstOf(today, 'month'));
  const [chosen, setChosen] = useState<Day>(today);
  const planning = useMemo((): Planning => ({ ...stored, schedule }), [stored, schedule]);
  const planned = useMemo(() => planDays(planning), [planning]);
  const unfit = useMemo(() => findUnfit(planning, planned), [planning, planned]);
  const fields = draft ?? schedule;
  const latest = useRef(fields);
  useEffect(() => {
    latest.current = fields;
  });

  /** What is wrong stays in its field and is said; the plan goes by what was right last. An undo may come
   * after other changes, and takes none of them back. */
  function set(change: Partial<Schedule>): boolean {
    const next = { ...latest.current, ...change };
    const checked = checkSchedule(next, today, schedule.target);
    setDraft(checked.ok ? null : next);
    setIssues(checked.ok ? [] : checked.issues);
    if (checked.ok) keep(next);
    return checked.ok;
  }

  function move(from: Day, to: Day) {
    const before = schedule;
    const moved = moveSession(schedule, from, to, today);
    if (!moved.ok) return void toastIssues(moved.issues);
    if (moved.value === before || !set(moved.value)) return;
    undoable(
      say.t('screen.plan.andHaveChangedPlaces', {
        from: sayDate(say, from),
        to: sayDate(say, to),
      }),
      () => set({ days: before.days }),
    );
    setChosen(to);
  }

  function show(day: Day) {
    setChosen(day);
    const weeks = view === 'week' ? 1 : MONTH_WEEKS;
    if (day < first) setFirst(mondayOf(day));
    if (daysBetween(first, day) >= 7 * weeks) {
      setFirst(daysAfter(mondayOf(day), view === 'week' ? 0 : -7 * (MONTH_WEEKS - 1)));
    }
  }

  const weeks = view === 'week' ? 1 : MONTH_WEEKS;
  const days = Array.from({ length: 7 * weeks }, (_, index) =>
    shownOf(daysAfter(first, index), plan, planned, planning),
  );
  return (
    <main className="mx-auto max-w-[86rem] px-6 py-5">
      <header className="mb-3 flex flex-wrap items-baseline gap-x-4 gap-y-2">
        <h1 className="font-serif text-3xl">
          {back
            ? say.t('screen.common.planOf', { student: student.name })
            : say.t('screen.plan.planCapital')}
        </h1>
        {back && (
          <Link href={back} className={buttonLook('quiet')}>
            {say.t('screen.common.toTheRecord')}
          </Link>
        )}
        <span className="ml-auto flex flex-wrap gap-2">
          <CalendarPop name={student.name} {...calendar} />
          <SheetButton
            look="quiet"
            name={student.name}
            whatOf={() => ({ kind: 'week', student: student.id, program: null })}
          >
            {say.t('screen.common.weekOnPaper')}
          </SheetButton>
          <Button
            aria-label={say.t('screen.plan.earlier')}
            onClick={() => setFirst(daysAfter(first, -7 * weeks))}
          >
            ←
          </Button>
          <Button onClick={() => [setFirst(firstOf(today, view)), setChosen(today)]}>
            {say.t('screen.plan.today')}
          </Button>
          <Button
            aria-label={say.t('screen.plan.laterCapital')}
            onClick={() => setFirst(daysAfter(first, 7 * weeks))}
          >
            →
          </Button>
          <Button aria-pressed={view === 'week'} onClick={() => switchTo('week')}>
            {say.t('screen.plan.week')}
          </Button>
          <Button aria-pressed={view === 'month'} onClick={() => switchTo('month')}>
            {say.t('screen.plan.month')}
          </Button>
        </span>
      </header>
      {missed.length > 0 && (
        <p role="status" className="mb-2 border-l-3 border-warm pl-3">
          {sayMissed(say, missed)}
        </p>
      )}
      <div className="grid grid-cols-1 gap-x-8 gap-y-6 xl:grid-cols-[minmax(0,1fr)_23rem] xl:grid-rows-[auto_1fr]">
        <div className="min-w-0">
          <Calendar
            days={days}
            today={today}
            chosen={chosen}
            names={works.map((work) => work.name)}
            large={view === 'week'}
            onChoose={show}
            onMove={move}
          />
          {works.length === 0 && (
            <p className="mt-3 text-lg">
              {back
                ? say.t('screen.plan.giveAProgramFirst')
                : say.t('screen.plan.yourTeacherGivesYouAProgram')}
            </p>
          )}
          {unfit.map((one) => {
            const text = sayUnfit(say, one, works);
            return (
              <p key={text} className="mt-2 border-l-3 border-warm pl-3">
                {text}
              </p>
            );
          })}
        </div>
        <div className="flex flex-col gap-5 xl:row-span-2">
          <DayPanel
            shown={shownOf(chosen, plan, planned, planning)}
            planning={planning}
            items={items}
            onSet={set}
            onMove={move}
          />
          <section aria-labelledby="week-title">
            <h2 id="week-title" className="font-serif text-xl">
              {say.t('screen.plan.theWeek')}
            </h2>
            {!scheduled && (
              <p className="text-sm text-soft">{say.t('screen.plan.noScheduleSetAssuming30Min')}</p>
            )}
            <HoursTable week={fields.week} onSet={(week) => set({ week })} />
          </section>
          <ScheduleFields schedule={fields} today={today} onSet={set} />
          {issues.length > 0 && (
            <div role="alert" className="border-l-3 border-warm pl-3 text-sm">
              {issues.map((issue) => (
                <p key={issue.code}>
                  <IssueWords issues={[issue]} />
                </p>
              ))}
              <Button
                look="quiet"
                onClick={() => {
                  setDraft(null);
                  setIssues([]);
                }}
              >
                {say.t('screen.common.asItWas')}
              </Button>
            </div>
          )}
          <p className="text-sm text-soft">{sayCaution(say)}</p>
        </div>
        {works.length > 0 && <ForecastPanel plan={plan} planning={planning} />}
      </div>
    </main>
  );

  function switchTo(next: 'month' | 'week') {
    setView(next);
    setFirst(firstOf(chosen, next));
  }
}

function shownOf(
  day: Day,
  { done, missed }: StudentPlan,
  { days }: PlannedDays,
  { schedule, today }: Planning,
): Shown {
  const planned = days[daysBetween(today, day)] ?? null;
  return {
    day,
    planned: day >= today ? planned : null,
    done: done.find((one) => one.day === day) ?? null,
    minutes: hoursOn(schedule, day).minutes,
    off: isOff(schedule, day) && !schedule.days[day],
    missed: missed.includes(day),
  };
}
