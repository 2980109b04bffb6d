'use client';

import dynamic from 'next/dynamic';
import { useMemo } from 'react';
import { hoursOn, type Forecasting, type Planning } from '@/core/plan';
import { daysAfter, type DoneDay, type StudentPlan } from '@/core/studio';
import { sayHelp, sayRange, sayRung } from '@/words';
import { Loading, Button, useSpeech } from '../base';
import { mondayOf } from './calendar';
import type { WeekMinutes } from './forecast-chart';
import { useForecast } from './use-forecast';

const ForecastChart = dynamic(() => import('./forecast-chart'), {
  ssr: false,
  loading: () => (
    <div className="h-80 text-soft">
      <Loading />
    </div>
  ),
});

/** Chosen once, so that the same log always looks ahead the same way. */
const SEED = 20160;

/** Weeks that are looked back on, and ahead. */
const WEEKS_BACK = 6;
const WEEKS_AHEAD = 8;

/** When each ladder and all of them reach their targets, why that is thought, and what would help. */
export function ForecastPanel({ plan, planning }: { plan: StudentPlan; planning: Planning }) {
  const { say } = useSpeech();
  const { way, done, items } = plan;
  const asked = useMemo((): Forecasting => ({ ...planning, seed: SEED }), [planning]);
  const { forecast, help, stage, stop, again } = useForecast(asked);
  const weeks = useMemo(() => weeksOf(done, planning), [done, planning]);
  const { schedule, today, works } = planning;
  return (
    <section aria-labelledby="forecast-title">
      <h2 id="forecast-title" className="flex items-baseline gap-3 font-serif text-xl">
        {say.t('screen.plan.forecast')}
        {stage === 'working' && (
          <span role="status" className="font-sans text-sm text-soft">
            {say.t('screen.plan.calculating')}{' '}
            <Button look="quiet" onClick={stop}>
              {say.t('screen.common.stopCapital')}
            </Button>
          </span>
        )}
        {(stage === 'stopped' || stage === 'failed') && (
          <span role="status" className="font-sans text-sm text-soft">
            {stage === 'failed' && <>{say.t('screen.plan.notCalculated')} </>}
            <Button look="quiet" onClick={again}>
              {say.t('screen.common.tryAgainCapital')}
            </Button>
          </span>
        )}
      </h2>
      {forecast && (
        <>
          <p className="mt-1 text-lg" data-testid="forecast">
            {say.t.rich('screen.plan.allTargets', {
              b: (text) => <b>{text}</b>,
              range: forecast.works.some(Boolean)
                ? sayRange(say, forecast.program, today)
                : say.t('screen.plan.reached'),
            })}
            {forecast.program.inTime !== null && schedule.target && (
              <span className="text-soft">
                {' '}
                ·{' '}
                {say.t('screen.plan.onTime', {
                  count: Math.round(100 * forecast.program.inTime),
                })}
              </span>
            )}
          </p>
          <ForecastChart way={way} forecast={forecast} weeks={weeks} target={schedule.target} />
          <table
            className="mt-2 w-full text-left text-sm"
            aria-label={say.t('screen.plan.targets')}
          >
            <tbody>
              {items.map(({ item, rung }, index) => {
                const range = forecast.works[index];
                return (
                  <tr key={works[index]?.id ?? index} className="border-b border-faint">
                    <td className="py-0.5">{item.name}</td>
                    <td className="text-soft">
                      {range ? say.t('screen.plan.at', { rung: sayRung(say, rung) }) : ''}
                    </td>
                    <td className="text-right">
                      {range ? sayRange(say, range, today) : say.t('screen.plan.reached')}
                    </td>
                  </tr>
                );
              })}
            </tbody>
          </table>
          <p className="mt-2 text-sm text-soft">
            {say.t('screen.plan.basedOn', {
              futures: forecast.futures,
              fresh: Math.round(100 * forecast.clean.fresh),
              known: Math.round(100 * forecast.clean.known),
              kept: Math.round(100 * forecast.keeps),
            })}
          </p>
          {help && help.length > 0 && (
            <>
              <h3 className="label mt-3">{say.t('screen.plan.whatWouldHelpMost')}</h3>
              <ol
                aria-label={say.t('screen.plan.whatWouldHelpMostCapital')}
                className="border-t border-line"
              >
                {help.map((one) => (
                  <li key={one.kind} className="border-b border-faint py-0.5">
                    {sayHelp(say, one, works)}
                  </li>
                ))}
              </ol>
            </>
          )}
        </>
      )}
    </section>
  );
}

function weeksOf(done: readonly DoneDay[], { schedule, today }: Planning): readonly WeekMinutes[] {
  const first = daysAfter(mondayOf(today), -7 * WEEKS_BACK);
  return Array.from({ length: WEEKS_BACK + WEEKS_AHEAD }, (_, week) => {
    const monday = daysAfter(first, 7 * week);
    const next = daysAfter(monday, 7);
    const seconds = done
      .filter(({ day }) => day >= monday && day < next)
      .reduce((sum, one) => sum + one.seconds, 0);
    let planned = 0;
    for (let day = monday; day < next; day = daysAfter(day, 1)) {
      planned += hoursOn(schedule, day).minutes;
    }
    return { monday, planned, done: Math.round(seconds / 60) };
  });
}
