'use client';

import { MOST_MINUTES, SURFACES, type Hours, type Schedule } from '@/core/plan';
import { WEEKDAYS } from '@/core/studio';
import { Button, TypedField, useSpeech } from '../base';

/** The usual week: minutes, kit or pad, from when, and the quiet hours. */
export function HoursTable({
  week,
  onSet,
}: {
  week: Schedule['week'];
  onSet: (week: Schedule['week']) => void;
}) {
  const { say } = useSpeech();
  return (
    <table className="w-full text-left text-sm" aria-label={say.t('screen.plan.theWeek')}>
      <thead>
        <tr className="label border-b border-line">
          <th className="w-10 py-1 font-normal">{say.t('screen.common.day')}</th>
          <th className="font-normal">{say.t('screen.plan.minutesColumn')}</th>
          <th className="font-normal">{say.t('screen.common.on')}</th>
          <th className="font-normal">{say.t('screen.common.from')}</th>
          <th className="font-normal">{say.t('screen.plan.quiet')}</th>
        </tr>
      </thead>
      <tbody>
        {WEEKDAYS.map((day) => (
          <tr key={day} className="border-b border-faint">
            <th scope="row" className="font-normal">
              {day}
            </th>
            <HoursCells
              name={day}
              hours={week[day]}
              onSet={(hours) => onSet({ ...week, [day]: hours })}
            />
          </tr>
        ))}
      </tbody>
    </table>
  );
}

const QUIET = { from: '20:00', to: '08:00' };

/** One day's hours, cell by cell. */
function HoursCells({
  name,
  hours,
  onSet,
}: {
  name: string;
  hours: Hours;
  onSet: (hours: Hours) => void;
}) {
  const { say } = useSpeech();
  const { quiet } = hours;
  return (
    <>
      <td className="py-0.5">
        <Minutes
          label={say.t('screen.plan.minutesOnWeekday', { name })}
          value={hours.minutes}
          onSet={(minutes) => onSet({ ...hours, minutes })}
        />
      </td>
      <td>
        <Surfaces name={name} on={hours.on} onSet={(on) => onSet({ ...hours, on })} />
      </td>
      <td>
        <Clock
          label={say.t('screen.plan.from', { name })}
          value={hours.at}
          onSet={(at) => onSet({ ...hours, at })}
        />
      </td>
      <td className="whitespace-nowrap">
        {quiet ? (
          <>
            <Clock
              label={say.t('screen.plan.quietFrom', { name })}
              value={quiet.from}
              onSet={(from) => onSet({ ...hours, quiet: { ...quiet, from } })}
            />
            –
            <Clock
              label={say.t('screen.plan.quietTo', { name })}
              value={quiet.to}
              onSet={(to) => onSet({ ...hours, quiet: { ...quiet, to } })}
            />
            <Button
              look="quiet"
              className="!h-6 !px-1"
              aria-label={say.t('screen.plan.noQuietHoursOn', { name })}
              onClick={() => onSet({ ...hours, quiet: null })}
            >
              ×
            </Button>
          </>
        ) : (
          <Button
            look="quiet"
            className="!h-6"
            aria-label={say.t('screen.plan.quietHoursOn', { name })}
            onClick={() => onSet({ ...hours, quiet: QUIET })}
          >
            {say.t('screen.common.none')}
          </Button>
        )}
      </td>
    </>
  );
}

/** Whole minutes of a day. */
export function Minutes({
  label,
  value,
  onSet,
}: {
  label: string;
  value: number;
  onSet: (minutes: number) => void;
}) {
  const { say } = useSpeech();
  return (
    <TypedField
      label={label}
      value={value}
      write={String}
      read={readMinutes}
      trouble={say.t('screen.plan.minutesRange', { most: MOST_MINUTES })}
      onTake={onSet}
      className="field w-14 text-right"
    />
  );
}

function readMinutes(text: string): number | undefined {
  const minutes = Number(text.trim() || NaN);
  return Number.isInteger(minutes) && minutes >= 0 && minutes <= MOST_MINUTES ? minutes : undefined;
}

export function Surfaces({
  name,
  on,
  onSet,
}: {
  name: string;
  on: Hours['on'];
  onSet: (on: Hours['on']) => void;
}) {
  const { say } = useSpeech();
  return (
    <select
      aria-label={say.t('screen.plan.kitOrPadOn', { name })}
      className="field"
      value={on}
      onChange={(event) => onSet(event.target.value === 'pad' ? 'pad' : 'kit')}
    >
      {SURFACES.map((one) => (
        <option key={one} value={one}>
          {say.t(`screen.common.surface.${one}`)}
        </option>
      ))}
    </select>
  );
}

const CLOCK = /^([01]?\d|2[0-3])[:.]?([0-5]\d)?$/;

/** @example clockOf('8') // => '08:00'; clockOf('1830') // => '18:30' */
function clockOf(typed: string): string | undefined {
  const found = CLOCK.exec(typed.trim());
  return found ? `${(found[1] ?? '').padStart(2, '0')}:${found[2] ?? '00'}` : undefined;
}

/** A time of day, typed: 18:30, or 8 for the full hour. */
function Clock({
  label,
  value,
  onSet,
}: {
  label: string;
  value: string;
  onSet: (clock: string) => void;
}) {
  const { say } = useSpeech();
  return (
    <TypedField
      label={label}
      value={value}
      write={(clock) => clock}
      read={clockOf}
      trouble={say.t('screen.plan.clockRange')}
      onTake={onSet}
      className="field w-[3.4rem] text-right"
    />
  );
}
