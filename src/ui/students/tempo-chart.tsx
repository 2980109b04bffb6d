'use client';

import { LineChart, ScatterChart } from 'echarts/charts';
import { GridComponent, MarkLineComponent, TooltipComponent } from 'echarts/components';
import { init, use as register } from 'echarts/core';
import { SVGRenderer } from 'echarts/renderers';
import { useEffect, useRef } from 'react';
import type { Verdict } from '@/core/ladder';
import { sayDay, type ItemRecord } from '@/core/studio';

register([
  LineChart,
  ScatterChart,
  GridComponent,
  TooltipComponent,
  MarkLineComponent,
  SVGRenderer,
]);

/** Verdicts are told apart without colour: solid, open, crossed. */
const SYMBOLS: Readonly<Record<Verdict, string>> = {
  clean: 'circle',
  shaky: 'emptyCircle',
  lost: 'path://M0,1L1,0L5,4L9,0L10,1L6,5L10,9L9,10L5,6L1,10L0,9L4,5Z',
};

/** Tempo over time: every try where it was played, the target as a line. */
export default function TempoChart({ record }: { record: ItemRecord }) {
  const place = useRef<HTMLDivElement>(null);
  useEffect(() => {
    const node = place.current;
    if (!node) return;
    const chart = init(node, null, { renderer: 'svg' });
    const draw = () => chart.setOption(optionFor(record, getComputedStyle(node)), true);
    draw();
    const resized = new ResizeObserver(() => chart.resize());
    resized.observe(node);
    const themed = new MutationObserver(draw);
    themed.observe(document.documentElement, { attributeFilter: ['data-theme'] });
    const system = matchMedia('(prefers-color-scheme: dark)');
    system.addEventListener('change', draw);
    return () => {
      resized.disconnect();
      themed.disconnect();
      system.removeEventListener('change', draw);
      chart.dispose();
    };
  }, [record]);
  return (
    <div
      ref={place}
      role="img"
      aria-label={`Tempo over time, ${record.item.exercise.name}; the tries are listed below`}
      className="h-64 w-full"
    />
  );
}

function optionFor({ tries, item }: ItemRecord, style: CSSStyleDeclaration) {
  const ink = style.getPropertyValue('--ink');
  const soft = style.getPropertyValue('--soft');
  const line = style.getPropertyValue('--line');
  const warm = style.getPropertyValue('--warm');
  const sheet = style.getPropertyValue('--sheet');
  const { start, target } = item.course.ladder;
  const label = { color: soft, fontFamily: style.fontFamily };
  return {
    animation: false,
    grid: { left: 40, right: 64, top: 14, bottom: 26 },
    tooltip: {
      trigger: 'item',
      backgroundColor: sheet,
      borderColor: soft,
      textStyle: { color: ink, fontFamily: style.fontFamily },
    },
    xAxis: {
      type: 'time',
      axisLabel: {
        ...label,
        hideOverlap: true,
        formatter: { month: '{d} {MMM}', day: '{d} {MMM}' },
      },
      axisLine: { lineStyle: { color: line } },
      splitLine: { show: false },
    },
    yAxis: {
      type: 'value',
      min: Math.floor((Math.min(start, target) - 5) / 10) * 10,
      max: Math.ceil((Math.max(start, target) + 5) / 10) * 10,
      axisLabel: label,
      splitLine: { lineStyle: { color: style.getPropertyValue('--faint') } },
    },
    series: [
      {
        type: 'line',
        step: 'end',
        showSymbol: false,
        silent: true,
        lineStyle: { color: line, width: 2 },
        data: tries.map((one) => [one.at, one.bpm]),
        markLine: {
          symbol: 'none',
          silent: true,
          lineStyle: { color: warm, type: 'dashed' },
          label: { formatter: `target ${target}`, color: warm, fontFamily: style.fontFamily },
          data: [{ yAxis: target }],
        },
      },
      ...(['clean', 'shaky', 'lost'] as const).map((verdict) => ({
        type: 'scatter',
        name: verdict,
        symbol: SYMBOLS[verdict],
        symbolSize: verdict === 'lost' ? 9 : 8,
        itemStyle: { color: verdict === 'lost' ? warm : ink, opacity: 1 },
        tooltip: {
          formatter: ({ dataIndex }: { dataIndex: number }) => {
            const one = tries.filter((entry) => entry.verdict === verdict)[dataIndex];
            return one ? `${sayDay(one.day)}: ${one.bpm}, ${verdict}` : '';
          },
        },
        data: tries.filter((one) => one.verdict === verdict).map((one) => [one.at, one.bpm]),
      })),
    ],
  };
}
