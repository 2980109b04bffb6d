'use client';

import { LineChart, ScatterChart } from 'echarts/charts';
import { GridComponent, MarkLineComponent, TooltipComponent } from 'echarts/components';
import { init, use as register } from 'echarts/core';
import { SVGRenderer } from 'echarts/renderers';
import { useCallback } from 'react';
import { VERDICTS, type VerdictKey } from '@/core/log';
import { type ItemRecord } from '@/core/studio';
import { sayDay, sayVerdict, type Say } from '@/words';
import { useSpeech } from '../base';
import { useChart } from '../charts';

register([
  LineChart,
  ScatterChart,
  GridComponent,
  TooltipComponent,
  MarkLineComponent,
  SVGRenderer,
]);

/** Verdicts are told apart without colour: solid, open, crossed. */
const SYMBOLS: Readonly<Record<VerdictKey, string>> = {
  clean: 'circle',
  shaky: 'emptyCircle',
  lost: 'path://M0,1L1,0L5,4L9,0L10,1L6,5L10,9L9,10L5,6L1,10L0,9L4,5Z',
  open: 'path://M0,4L10,4L10,6L0,6Z',
};

/** Tempo over time: the last tries one by one, those long before as the fastest of each week; the target
 * as a line. */
export default function TempoChart({ record }: { record: ItemRecord }) {
  const { say } = useSpeech();
  const option = useCallback(
    (style: CSSStyleDeclaration) => optionFor(say, record, style),
    [say, record],
  );
  const place = useChart(openChart, option);
  return (
    <div
      ref={place}
      role="img"
      aria-label={say.t('screen.students.tempoOverTimeTheTriesAre', { item: record.item.name })}
      className="h-56 w-full"
    />
  );
}

function openChart(node: HTMLElement) {
  return init(node, null, { renderer: 'svg' });
}

function optionFor(say: Say, { curve: tries, state }: ItemRecord, style: CSSStyleDeclaration) {
  const ink = style.getPropertyValue('--ink');
  const soft = style.getPropertyValue('--soft');
  const line = style.getPropertyValue('--line');
  const warm = style.getPropertyValue('--warm');
  const sheet = style.getPropertyValue('--sheet');
  const tempi = state.rungs.map((rung) => rung.ramp?.to ?? rung.bpm);
  const target = tempi.at(-1) ?? 0;
  const all = [...tempi, ...tries.map((one) => one.bpm)];
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
      min: Math.floor((Math.min(...all) - 5) / 10) * 10,
      max: Math.ceil((Math.max(...all) + 5) / 10) * 10,
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
          label: {
            formatter: say.t('screen.students.target', { target }),
            color: warm,
            fontFamily: style.fontFamily,
          },
          data: [{ yAxis: target }],
        },
      },
      ...([...VERDICTS, null] as const).map((verdict) => ({
        type: 'scatter',
        name: sayVerdict(say, verdict),
        symbol: SYMBOLS[verdict ?? 'open'],
        symbolSize: verdict === 'lost' ? 9 : 8,
        itemStyle: { color: verdict === 'lost' ? warm : verdict ? ink : soft, opacity: 1 },
        tooltip: {
          formatter: ({ dataIndex }: { dataIndex: number }) => {
            const one = tries.filter((entry) => entry.verdict === verdict)[dataIndex];
            return one ? `${sayDay(say, one.day)}: ${one.bpm}, ${sayVerdict(say, verdict)}` : '';
          },
        },
        data: tries.filter((one) => one.verdict === verdict).map((one) => [one.at, one.bpm]),
      })),
    ],
  };
}
