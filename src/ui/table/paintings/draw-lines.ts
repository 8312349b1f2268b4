/** Draws lines over two axes from 0 to 100. */
import { LineChart } from 'echarts/charts';
import { GridComponent } from 'echarts/components';
import { init, use } from 'echarts/core';
import { SVGRenderer } from 'echarts/renderers';

use([LineChart, GridComponent, SVGRenderer]);

const [LINE, SAME, GRID] = ['#1b1b1b', '#777777', '#c6c6c6'];

export interface LinesShown {
  /** Names of the axes. */
  readonly x: string;
  readonly y: string;
  /** The one that is looked at, and what it is held against. */
  readonly lines: readonly {
    readonly points: readonly (readonly [number, number])[];
    readonly as: 'looked-at' | 'held-against';
  }[];
}

const axis = (name: string, nameGap: number) => ({
  type: 'value' as const,
  name,
  nameLocation: 'middle' as const,
  nameGap,
  min: 0,
  max: 100,
  interval: 25,
  axisLabel: { color: LINE },
  nameTextStyle: { color: LINE },
  splitLine: { lineStyle: { color: GRID } },
});

const line = ({ points, as }: LinesShown['lines'][number]) => {
  const plain = as === 'looked-at';
  const color = plain ? LINE : SAME;
  return {
    type: 'line' as const,
    data: points.map(([x, y]) => [x, y]),
    showSymbol: plain && points.length < 12,
    symbolSize: 5,
    lineStyle: { color, type: plain ? ('solid' as const) : ('dashed' as const), width: plain ? 2 : 1 },
    itemStyle: { color },
  };
};

/** What is returned takes it away. */
export function drawLines(at: HTMLElement, { x, y, lines }: LinesShown): () => void {
  const chart = init(at, null, { renderer: 'svg' });
  chart.setOption({
    animation: false,
    grid: { left: 46, right: 8, top: 8, bottom: 40 },
    xAxis: axis(x, 22),
    yAxis: axis(y, 30),
    series: lines.map(line),
  });
  return () => chart.dispose();
}
