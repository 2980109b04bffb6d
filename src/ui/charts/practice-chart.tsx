'use client';

import { BarChart } from 'echarts/charts';
import { GridComponent, TooltipComponent } from 'echarts/components';
import { init, use as register } from 'echarts/core';
import { SVGRenderer } from 'echarts/renderers';
import { useCallback } from 'react';
import { sayDay, type Say } from '@/words';
import { useSpeech } from '../base';
import { useChart } from './use-chart';

register([BarChart, GridComponent, TooltipComponent, SVGRenderer]);

interface DayMinutes {
  readonly day: string;
  readonly minutes: number;
}

/** Minutes of practice, a bar for each day. */
export default function PracticeChart({ days }: { days: readonly DayMinutes[] }) {
  const { say } = useSpeech();
  const option = useCallback(
    (style: CSSStyleDeclaration) => optionFor(say, days, style),
    [say, days],
  );
  const place = useChart(openChart, option);
  const total = Math.round(days.reduce((sum, one) => sum + one.minutes, 0));
  return (
    <div
      ref={place}
      role="img"
      aria-label={say.t('screen.common.practiceByDayMinutesInDays', { total, days: days.length })}
      className="h-32 w-full"
    />
  );
}

function openChart(node: HTMLElement) {
  return init(node, null, { renderer: 'svg' });
}

function optionFor(say: Say, days: readonly DayMinutes[], style: CSSStyleDeclaration) {
  const soft = style.getPropertyValue('--soft');
  const label = { color: soft, fontFamily: style.fontFamily };
  return {
    animation: false,
    grid: { left: 32, right: 8, top: 10, bottom: 22 },
    tooltip: {
      trigger: 'item',
      backgroundColor: style.getPropertyValue('--sheet'),
      borderColor: soft,
      textStyle: { color: style.getPropertyValue('--ink'), fontFamily: style.fontFamily },
      formatter: ({ dataIndex }: { dataIndex: number }) => {
        const one = days[dataIndex];
        return one
          ? say.t('screen.common.min', { day: sayDay(say, one.day), minutes: one.minutes })
          : '';
      },
    },
    xAxis: {
      type: 'category',
      data: days.map((one) => sayDay(say, one.day)),
      axisLabel: { ...label, hideOverlap: true },
      axisTick: { show: false },
      axisLine: { lineStyle: { color: style.getPropertyValue('--line') } },
    },
    yAxis: {
      type: 'value',
      minInterval: 10,
      axisLabel: label,
      splitLine: { lineStyle: { color: style.getPropertyValue('--faint') } },
    },
    series: [
      {
        type: 'bar',
        data: days.map((one) => one.minutes),
        itemStyle: { color: style.getPropertyValue('--ink') },
        barCategoryGap: '30%',
      },
    ],
  };
}
