/** A value finder for a printer nobody has seen: chart printed and read, bars printed, read, corrected, printed again. */
import { defaultScale } from '@/core/exercise/scale';
import { targetLightnesses } from '@/core/exercise/targets';
import { chartPatches, drawChart, drawFinder, finderBars } from '@/core/finder/finder-sheet';
import { type Bar, barsFor, printerCurve } from '@/core/finder/printer-curve';
import type { Reading } from '@/core/formats/readings-csv';
import { print } from '@/devices/printer';
import { readLightness } from '@/devices/reader';
import { sheetToPng } from '@/print/sheet-png';

const DPI = 150;

export interface FinderOutcome {
  readonly seed: number;
  readonly bars: readonly Bar[];
  /** Read less target of each bar: printed with codes as they are, after the chart, after the correction. */
  readonly plain: readonly number[];
  readonly first: readonly number[];
  readonly corrected: readonly number[];
}

/** Nine bars on the printer that a seed draws. */
export async function findOn(seed: number): Promise<FinderOutcome> {
  const { ends } = defaultScale('acrylic');
  const targets = targetLightnesses(9, ends, 'light-first', 'lightness');
  const places = finderBars(targets.length, 'a4');
  // The same machine each time; the instrument's error is new on every page.
  const printed = async (page: Parameters<typeof sheetToPng>[0]) =>
    (await print(await sheetToPng(page, DPI), 'office', seed)).surface;
  const readBars = async (bars: readonly Bar[], page: number) =>
    readLightness(await printed(drawFinder(bars, [], [], 'a4')), places, seed * 10 + page);

  const chart = chartPatches();
  const chartRead = readLightness(await printed(drawChart('a4')), chart, seed * 10);
  const readings = chart.map((p, i): Reading => ({ code: p.code, lightness: chartRead[i] ?? 0 }));
  const nominal = printerCurve(chart.map((p) => ({ code: p.code, lightness: 16 + (p.code / 255) * 79 })));
  const plain = await readBars(barsFor(nominal, targets), 1);
  const bars = barsFor(printerCurve(readings), targets);
  const first = await readBars(bars, 2);
  const again = barsFor(
    printerCurve([...readings, ...bars.map((b, i) => ({ code: b.code, lightness: first[i] ?? 0 }))]),
    targets,
  );
  const corrected = await readBars(again, 3);
  const off = (read: readonly number[]) => read.map((l, i) => l - (targets[i] ?? 0));
  return { seed, bars: again, plain: off(plain), first: off(first), corrected: off(corrected) };
}
