/** Charts of the accuracy report, as SVG drawn without a browser. */
import * as echarts from 'echarts';

const GREYS = ['#303030', '#8a8a8a', '#c4c4c4'];
const SIZE = { width: 760, height: 360 };

function draw(option: echarts.EChartsCoreOption): string {
  const chart = echarts.init(null, null, { renderer: 'svg', ssr: true, ...SIZE });
  chart.setOption({
    animation: false,
    color: GREYS,
    backgroundColor: '#fff',
    textStyle: { fontFamily: 'sans-serif', fontSize: 13 },
    grid: { left: 60, right: 20, top: 60, bottom: 40 },
    legend: { top: 28 },
    ...option,
  });
  const svg = chart.renderToSVGString();
  chart.dispose();
  return svg;
}

export function barChart(
  title: string,
  categories: readonly string[],
  series: readonly { readonly name: string; readonly values: readonly number[] }[],
): string {
  return draw({
    title: { text: title, textStyle: { fontSize: 15 } },
    xAxis: { type: 'category', data: [...categories] },
    yAxis: { type: 'value' },
    series: series.map((s) => ({ name: s.name, type: 'bar', data: s.values.map((v) => Number(v.toFixed(3))) })),
  });
}

/** One line of points, each axis with a name; a dashed line across where half of it lies. */
export function lineChart(title: string, x: string, points: readonly (readonly [number, number])[]): string {
  return draw({
    title: { text: title, textStyle: { fontSize: 15 } },
    legend: { show: false },
    xAxis: { type: 'value', min: 0, name: x, nameLocation: 'middle', nameGap: 24 },
    yAxis: { type: 'value', min: 0, max: 1 },
    series: [
      {
        type: 'line',
        symbolSize: 7,
        data: points.map(([at, found]) => [at, Number(found.toFixed(3))]),
        markLine: { symbol: 'none', data: [{ yAxis: 0.5 }], lineStyle: { type: 'dashed' }, label: { show: false } },
      },
    ],
  });
}

export function scatterChart(
  title: string,
  series: readonly { readonly name: string; readonly points: readonly (readonly [number, number])[] }[],
): string {
  return draw({
    title: { text: title, textStyle: { fontSize: 15 } },
    xAxis: { type: 'value', min: 15, max: 100 },
    yAxis: { type: 'value' },
    series: series.map((s) => ({
      name: s.name,
      type: 'scatter',
      symbolSize: 4,
      data: s.points.map(([x, y]) => [Number(x.toFixed(1)), Number(y.toFixed(2))]),
    })),
  });
}
