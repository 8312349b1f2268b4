/** A chart of one curve beside the line on which both axes are the same; what draws it is large, and comes when it is wanted. */
import { LineChart } from 'echarts/charts';
import { GridComponent } from 'echarts/components';
import { init, use } from 'echarts/core';
import { SVGRenderer } from 'echarts/renderers';

use([LineChart, GridComponent, SVGRenderer]);

const [LINE, SAME, GRID] = ['#1b1b1b', '#777777', '#c6c6c6'];

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

const line = (data: readonly (readonly [number, number])[], color: string, type: 'solid' | 'dashed') => ({
  type: 'line' as const,
  data: data.map(([x, y]) => [x, y]),
  showSymbol: type === 'solid',
  symbolSize: 5,
  lineStyle: { color, type, width: type === 'solid' ? 2 : 1 },
  itemStyle: { color },
});

/** Draws L* painted against L* wanted; what is returned takes it away. */
export function drawCurve(at: HTMLElement, curve: readonly (readonly [wanted: number, painted: number])[]): () => void {
  const chart = init(at, null, { renderer: 'svg' });
  chart.setOption({
    animation: false,
    grid: { left: 46, right: 8, top: 8, bottom: 40 },
    xAxis: axis('wanted, L*', 22),
    yAxis: axis('painted, L*', 30),
    series: [
      line(
        [
          [0, 0],
          [100, 100],
        ],
        SAME,
        'dashed',
      ),
      line(curve, LINE, 'solid'),
    ],
  });
  return () => chart.dispose();
}
