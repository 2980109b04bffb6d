'use client';

import { hoursOn, withDay, type Planning, type Schedule } from '@/core/plan';
import type { Day, PlanItem } from '@/core/studio';
import { sayDate, sayMinutes, sayEntryKind } from '@/words';
import { Button, DateField, useSpeech } from '../base';
import type { Shown } from './calendar';
import { cautionsOf } from './cautions';
import { Minutes, Surfaces } from './hours-table';
import { rowsOf } from './rows';

/** One date: what is played and for how long, and its own minutes; or what was done. */
export function DayPanel({
  shown,
  planning,
  items,
  onSet,
  onMove,
}: {
  shown: Shown;
  planning: Planning;
  items: readonly PlanItem[];
  onSet: (schedule: Schedule) => void;
  onMove: (from: Day, to: Day) => void;
}) {
  const { say } = useSpeech();
  const { day, planned, done } = shown;
  const { schedule, today } = planning;
  const hours = hoursOn(schedule, day);
  const cautions = planned ? cautionsOf(say, planned.entries, items, planning) : [];
  return (
    <section aria-labelledby="day-title">
      <h2 id="day-title" className="font-serif text-xl">
        {sayDate(say, day)}
      </h2>
      {done && (
        <p>
          {say.t('screen.plan.doneTries', {
            minutes: sayMinutes(say, done.seconds),
            tries: done.tries,
          })}
        </p>
      )}
      {planned && (
        <p className="mt-1 flex flex-wrap items-center gap-2 text-sm">
          <Minutes
            key={`${day} ${hours.minutes}`}
            label={say.t('screen.plan.minutesOn', { date: sayDate(say, day) })}
            value={hours.minutes}
            onSet={(minutes) => onSet(withDay(schedule, day, { ...hours, minutes }))}
          />
          {say.t('screen.plan.minUnit')}
          <Surfaces
            name={sayDate(say, day)}
            on={hours.on}
            onSet={(on) => onSet(withDay(schedule, day, { ...hours, on }))}
          />
          {hours.minutes > 0 && (
            <label className="flex items-center gap-1">
              <span className="label">{say.t('screen.plan.moveTo')}</span>
              <DateField
                key={day}
                label={say.t('screen.plan.moveTo')}
                value={null}
                min={today}
                onTake={(to) => to !== null && onMove(day, to)}
              />
            </label>
          )}
          {schedule.days[day] && (
            <Button
              look="quiet"
              onClick={() => {
                const { [day]: _, ...days } = schedule.days;
                onSet({ ...schedule, days });
              }}
            >
              {say.t('screen.plan.asUsual')}
            </Button>
          )}
        </p>
      )}
      {planned && planned.entries.length > 0 && (
        <ol className="mt-2 border-t border-line text-sm">
          {rowsOf(planned).map(({ work, kind, tries, seconds, on }) => (
            <li
              key={`${work} ${kind} ${on}`}
              className="flex items-baseline gap-2 border-b border-faint py-0.5"
            >
              <span className="w-6 text-right font-semibold">{tries}×</span>
              <span className="min-w-0 flex-1 truncate">
                {items[work]?.item.name}
                {kind !== 'new' && <span className="text-soft"> {sayEntryKind(say, kind)}</span>}
              </span>
              <span className="text-soft">
                {sayMinutes(say, seconds)}
                {on === 'pad' && `, ${say.t('screen.plan.padSmall')}`}
              </span>
            </li>
          ))}
        </ol>
      )}
      {cautions.map((text) => (
        <p key={text} className="mt-2 border-l-3 border-warm pl-2 text-sm">
          {text}
        </p>
      ))}
    </section>
  );
}
