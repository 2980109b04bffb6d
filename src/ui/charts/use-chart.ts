'use client';

import { useEffect, useRef, type RefObject } from 'react';
import type { ECharts, EChartsCoreOption } from 'echarts/core';

/** Draws a chart into its place, and again when place or theme change.
 * @param open makes the chart; ECharts is loaded where it draws
 * @param optionFor gets the colours of the place */
export function useChart(
  open: (node: HTMLElement) => ECharts,
  optionFor: (style: CSSStyleDeclaration) => EChartsCoreOption,
): RefObject<HTMLDivElement | null> {
  const place = useRef<HTMLDivElement>(null);
  useEffect(() => {
    const node = place.current;
    if (!node) return;
    const chart = open(node);
    const draw = () => chart.setOption(optionFor(getComputedStyle(node)), true);
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
  }, [open, optionFor]);
  return place;
}
