'use client';

import { BarChart, LineChart } from 'echarts/charts';
import {
  GridComponent,
  LegendComponent,
  MarkLineComponent,
  TooltipComponent,
} from 'echarts/components';
import { init, use as register } from 'echarts/core';
import { SVGRenderer } from 'echarts/renderers';
import { useCallback } from 'react';
import type { Forecast } from '@/core/plan';
import { type Day, type StudentPlan } from '@/core/studio';
import { sayDay, type Say } from '@/words';
import { useSpeech } from '../base';
import { useChart } from '../charts';

register([
  BarChart,
  LineChart,
  GridComponent,
  LegendComponent,
  MarkLineComponent,
  TooltipComponent,
  SVGRenderer,
]);

/** Minutes of one week. */
export interface WeekMinutes {
  readonly monday: Day;
  readonly planned: number;
  readonly done: number;
}

interface Drawn {
  readonly way: StudentPlan['way'];
  readonly forecast: Forecast;
  readonly weeks: readonly WeekMinutes[];
  readonly target: Day | null;
}

/** The way to the targets, done and ahead with its range; under it the minutes of each week, planned
 * against done. */
export default function ForecastChart(drawn: Drawn) {
  const { way, forecast, weeks, target } = drawn;
  const { say } = useSpeech();
  const option = useCallback(
    (style: CSSStyleDeclaration) => optionFor(say, { way, forecast, weeks, target }, style),
    [say, way, forecast, weeks, target],
  );
  const place = useChart(openChart, option);
  const [now] = forecast.way;
  const percent = Math.round(100 * (now?.middle ?? 0));
  return (
    <div
      ref={place}
      role="img"
      aria-label={say.t('screen.plan.theWayToTheTargetsDone', { percent })}
      className="h-80 w-full"
    />
  );
}

function openChart(node: HTMLElement) {
  return init(node, null, { renderer: 'svg' });
}

const percentOf = (share: number) => Math.round(1000 * share) / 10;

function optionFor(say: Say, { way, forecast, weeks, target }: Drawn, style: CSSStyleDeclaration) {
  const of = (name: string) => style.getPropertyValue(name);
  const label = { color: of('--soft'), fontFamily: style.fontFamily };
  const line = { lineStyle: { color: of('--line') } };
  const last = Math.max(
    forecast.way.findIndex((point) => point.low >= 1),
    forecast.way.findIndex((point) => point.day >= (target ?? '')),
  );
  const ahead = last < 0 ? forecast.way : forecast.way.slice(0, last + 2);
  const from = weeks[0]?.monday;
  const until = ahead.at(-1)?.day;
  const xAxis = (gridIndex: number, shows: boolean) => ({
    type: 'time',
    gridIndex,
    min: from,
    max: until,
    axisLabel: {
      ...label,
      show: shows,
      hideOverlap: true,
      formatter: (at: number) => sayTick(say, at),
    },
    axisTick: { show: false },
    axisLine: line,
    splitLine: { show: false },
  });
  const split = { lineStyle: { color: of('--faint') } };
  const band = { type: 'line', stack: 'band', symbol: 'none', silent: true };
  return {
    animation: false,
    grid: [
      { left: 40, right: 12, top: 28, height: 150 },
      { left: 40, right: 12, top: 206, height: 84 },
    ],
    legend: {
      top: 0,
      left: 36,
      itemHeight: 8,
      textStyle: label,
      data: [
        say.t('screen.plan.done'),
        say.t('screen.plan.expected'),
        say.t('screen.plan.minutesPlanned'),
        say.t('screen.plan.minutesDoneByWeek'),
      ],
    },
    tooltip: {
      trigger: 'axis',
      backgroundColor: of('--sheet'),
      borderColor: of('--soft'),
      textStyle: { color: of('--ink'), fontFamily: style.fontFamily },
    },
    xAxis: [xAxis(0, false), xAxis(1, true)],
    yAxis: [
      {
        type: 'value',
        min: 0,
        max: 100,
        interval: 25,
        axisLabel: { ...label, formatter: '{value} %' },
        splitLine: split,
      },
      { type: 'value', gridIndex: 1, splitNumber: 2, axisLabel: label, splitLine: split },
    ],
    series: [
      {
        ...band,
        lineStyle: { opacity: 0 },
        data: ahead.map(({ day, low }) => [day, percentOf(low)]),
        tooltip: { show: false },
      },
      {
        ...band,
        lineStyle: { opacity: 0 },
        areaStyle: { color: of('--soft'), opacity: 0.25 },
        data: ahead.map(({ day, low, high }) => [day, percentOf(high - low)]),
        tooltip: { show: false },
      },
      {
        name: say.t('screen.plan.done'),
        type: 'line',
        step: 'end',
        symbol: 'none',
        color: of('--ink'),
        lineStyle: { width: 2.5 },
        data: way.map(({ day, share }) => [day, percentOf(share)]),
      },
      {
        name: say.t('screen.plan.expected'),
        type: 'line',
        symbol: 'none',
        color: of('--warm'),
        lineStyle: { width: 2, type: 'dashed' },
        data: ahead.map(({ day, middle }) => [day, percentOf(middle)]),
        markLine: {
          symbol: 'none',
          silent: true,
          label: { ...label, formatter: say.t('screen.plan.target'), position: 'insideEndTop' },
          lineStyle: { color: of('--ink'), type: 'solid', width: 1 },
          data: target ? [{ xAxis: target }] : [],
        },
      },
      {
        name: say.t('screen.plan.minutesPlanned'),
        type: 'bar',
        xAxisIndex: 1,
        yAxisIndex: 1,
        color: of('--line'),
        barWidth: 9,
        data: weeks.map(({ monday, planned }) => [monday, planned]),
      },
      {
        name: say.t('screen.plan.minutesDoneByWeek'),
        type: 'bar',
        xAxisIndex: 1,
        yAxisIndex: 1,
        color: of('--ink'),
        barWidth: 9,
        barGap: '0%',
        data: weeks.map(({ monday, done }) => [monday, done]),
      },
    ],
  };
}

function sayTick(say: Say, at: number): string {
  return sayDay(say, new Date(at).toISOString().slice(0, 10));
}
