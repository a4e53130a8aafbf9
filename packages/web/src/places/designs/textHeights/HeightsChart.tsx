import ApexCharts from 'apexcharts';
import type { ApexOptions } from 'apexcharts';
import { useEffect, useRef } from 'react';
import { useColorScheme } from '@mui/material/styles';
import type { TextHeightsRecord } from '@mendrel/contract';
import type { WorkingUnit } from '@mendrel/core';
import { formatLength } from '@mendrel/core';
import { groundOf } from '../../../app/groupInks';
import { SCHEMES, theme } from '../../../app/theme';
import { chartSeries } from './chartSeries';

interface Props {
  heights: TextHeightsRecord['heights'];
  unit: WorkingUnit;
}

function chartOf({ heights, unit }: Props, scheme: keyof typeof SCHEMES): ApexOptions {
  const { text, divider } = SCHEMES[scheme].palette;
  const series = chartSeries(heights);
  return {
    series,
    chart: {
      type: 'bar',
      height: 280,
      stacked: true,
      toolbar: { show: false },
      zoom: { enabled: false },
      animations: { enabled: false },
      fontFamily: theme.typography.fontFamily ?? '',
      foreColor: text.primary,
      background: 'transparent',
    },
    theme: { mode: scheme },
    colors: series.map((_, i) => groundOf(i)),
    // An edge in the colour of words, so that every ground is told from the page.
    stroke: { show: true, width: 1, colors: [text.primary] },
    plotOptions: { bar: { columnWidth: '55%' } },
    dataLabels: { enabled: false },
    grid: { borderColor: divider },
    legend: { position: 'bottom', showForSingleSeries: true },
    tooltip: { theme: scheme, shared: true, intersect: false },
    xaxis: {
      categories: heights.map(({ height }) => formatLength(height, unit, true)),
      tooltip: { enabled: false },
    },
    yaxis: { title: { text: 'Texts' }, decimalsInFloat: 0 },
  };
}

/** How many texts there are of each height, by design. The table beside it says the same in figures. */
export function HeightsChart({ heights, unit }: Props) {
  const { mode, systemMode } = useColorScheme();
  const scheme = (mode === 'system' ? systemMode : mode) === 'dark' ? 'dark' : 'light';
  const place = useRef<HTMLDivElement>(null);
  useEffect(() => {
    const chart = new ApexCharts(place.current, chartOf({ heights, unit }, scheme));
    void chart.render();
    return () => chart.destroy();
  }, [heights, unit, scheme]);
  return <div ref={place} role="img" aria-label="Chart: texts by their height, for each design" />;
}
