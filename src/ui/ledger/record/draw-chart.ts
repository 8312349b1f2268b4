/** Draws the charts of the record, in greys: what differs is told by lightness, dashes and marks, never by colour. */
import type { RecordTable } from '@/core/record/table';
import { BarChart, HeatmapChart, LineChart } from 'echarts/charts';
import { GridComponent, LegendComponent, VisualMapComponent } from 'echarts/components';
import { init, use } from 'echarts/core';
import { SVGRenderer } from 'echarts/renderers';

use([BarChart, HeatmapChart, LineChart, GridComponent, LegendComponent, VisualMapComponent, SVGRenderer]);

export type ChartAs = 'lines' | 'stacked' | 'map' | 'bars';

const [INK, GRID] = ['#1b1b1b', '#c6c6c6'];
/** Lines one after the other: first tries dashed and open, last tries solid and filled; the class light, a student dark. */
const LINES = [
  { color: '#777777', type: 'dashed', symbol: 'emptyCircle' },
  { color: '#777777', type: 'solid', symbol: 'circle' },
  { color: INK, type: 'dashed', symbol: 'emptyRect' },
  { color: INK, type: 'solid', symbol: 'rect' },
] as const;
/** Parts of a bar, from the first to the last. */
const PARTS = [INK, '#777777', '#b4b4b4', '#f7f7f7'] as const;
/** Right is light, far off is dark. */
const MAP = { colors: ['#f7f7f7', '#5e5e5e'], most: 2 } as const;

const axisLabel = { color: INK, fontSize: 13 };
const short = (words: string) => (words.length > 24 ? `${words.slice(0, 23)}…` : words);
const value = { type: 'value' as const, axisLabel, splitLine: { lineStyle: { color: GRID } } };
const names = (rows: RecordTable['rows']) => rows.map(([name]) => short(name));
const column = (rows: RecordTable['rows'], k: number) => rows.map((row) => row[k] ?? null);

function linesOf({ columns, rows }: RecordTable) {
  return {
    legend: { top: 0, textStyle: axisLabel, itemWidth: 34 },
    grid: { left: 52, right: 16, top: 34, bottom: 84 },
    xAxis: {
      type: 'category' as const,
      data: names(rows),
      axisLabel: { ...axisLabel, rotate: 28, interval: 0, hideOverlap: true },
    },
    yAxis: value,
    series: columns.slice(1).map((name, k) => {
      const { color, type, symbol } = LINES[k % LINES.length] ?? LINES[0];
      return {
        ...{ type: 'line' as const, name, data: column(rows, k + 1), symbol, symbolSize: 8, connectNulls: true },
        ...{ lineStyle: { color, type, width: 2 }, itemStyle: { color } },
      };
    }),
  };
}

function stackedOf({ columns, rows }: RecordTable) {
  return {
    legend: { top: 0, textStyle: axisLabel },
    grid: { left: 180, right: 16, top: 34, bottom: 28 },
    xAxis: { ...value, minInterval: 1 },
    yAxis: { type: 'category' as const, inverse: true, data: names(rows), axisLabel },
    series: columns.slice(1).map((name, k) => ({
      ...{ type: 'bar' as const, name, stack: 'all', data: column(rows, k + 1), barMaxWidth: 22 },
      itemStyle: { color: PARTS[k % PARTS.length], borderColor: INK, borderWidth: 1 },
    })),
  };
}

function mapOf({ columns, rows }: RecordTable) {
  const labels = columns.slice(1);
  const data = rows.flatMap((row, y) =>
    labels.flatMap((_, x) => {
      const error = row[x + 1];
      return typeof error === 'number' ? [[x, y, Math.abs(error), error]] : [];
    }),
  );
  const said = ({ data: d }: { data: unknown }) =>
    (d as number[])[3]
      ?.toFixed(1)
      .replace(/^-0\.0$/, '0.0')
      .replace('-', '\u2212') ?? '';
  return {
    grid: { left: 180, right: 16, top: 28, bottom: 10 },
    xAxis: { type: 'category' as const, position: 'top' as const, data: labels, axisLabel },
    yAxis: { type: 'category' as const, inverse: true, data: names(rows), axisLabel },
    visualMap: { show: false, min: 0, max: MAP.most, dimension: 2, inRange: { color: [...MAP.colors] } },
    series: [
      {
        ...{ type: 'heatmap' as const, data, itemStyle: { borderColor: '#ebebeb', borderWidth: 2 } },
        label: {
          show: true,
          fontSize: 13,
          color: INK,
          textBorderColor: '#f7f7f7',
          textBorderWidth: 3,
          formatter: said,
        },
      },
    ],
  };
}

function barsOf({ columns, rows }: RecordTable) {
  // The last two columns are the figures; the one before counts.
  const shown = [columns.length - 2, columns.length - 1];
  return {
    legend: { top: 0, textStyle: axisLabel },
    grid: { left: 150, right: 16, top: 34, bottom: 28 },
    xAxis: value,
    yAxis: { type: 'category' as const, inverse: true, data: names(rows), axisLabel },
    series: shown.map((k, i) => ({
      ...{ type: 'bar' as const, name: columns[k] ?? '', data: column(rows, k), barMaxWidth: 18 },
      itemStyle: { color: i === 0 ? INK : PARTS[2], borderColor: INK, borderWidth: 1 },
    })),
  };
}

const OPTIONS: Record<ChartAs, (table: RecordTable) => object> = {
  lines: linesOf,
  stacked: stackedOf,
  map: mapOf,
  bars: barsOf,
};

/** What is returned takes it away. */
export function drawChart(at: HTMLElement, table: RecordTable, as: ChartAs): () => void {
  const chart = init(at, null, { renderer: 'svg' });
  const { fontFamily } = getComputedStyle(at);
  chart.setOption({ animation: false, textStyle: { fontFamily }, ...OPTIONS[as](table) });
  const follow = new ResizeObserver(() => chart.resize());
  follow.observe(at);
  return () => {
    follow.disconnect();
    chart.dispose();
  };
}
