import type { BoxMm } from '@/core/geometry/box';
import { drawScaleSheet, OUTLINE_CODE } from '@/core/sheet/drawing';
import type { PaperId } from '@/core/sheet/paper';
import { scaleLayout } from '@/core/sheet/scale-layout';
import { execFileSync } from 'node:child_process';
import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { sheetsToPdf } from './sheet-pdf';

const DPI = 600;
const PER_MM = DPI / 25.4;

interface Grey {
  readonly width: number;
  at(xMm: number, yMm: number): number;
}

/** Rasterises a page with poppler to 8-bit grey, without smoothing, so that codes stay exact. */
function rasterise(pdf: Buffer): Grey {
  const folder = mkdtempSync(path.join(tmpdir(), 'fair-grey-pdf-'));
  const file = path.join(folder, 'sheet.pdf');
  writeFileSync(file, pdf);
  execFileSync('pdftoppm', [
    '-r',
    String(DPI),
    '-gray',
    '-aa',
    'no',
    '-aaVector',
    'no',
    file,
    path.join(folder, 'page'),
  ]);
  const pgm = readFileSync(path.join(folder, 'page-1.pgm'));
  const [, w, , offset] =
    /^P5\s+(\d+)\s+(\d+)\s+255\s/
      .exec(pgm.subarray(0, 40).toString('latin1'))
      ?.reduce<number[]>(
        (all, v, i) => (i === 0 ? [0, 0, 0, v.length] : all.map((a, k) => (k === i ? Number(v) : a))),
        [],
      ) ?? [];
  const width = w ?? 0;
  return { width, at: (x, y) => pgm[(offset ?? 0) + Math.floor(y * PER_MM) * width + Math.floor(x * PER_MM)] ?? -1 };
}

/** Where going outwards from the middle of a box leaves its code. */
function edges(page: Grey, box: BoxMm, code: number) {
  const [x, y] = [box.xMm + box.widthMm / 2, box.yMm + box.heightMm / 2];
  const run = (dx: number, dy: number) => {
    let d = 0;
    while (page.at(x + dx * d, y + dy * d) === code) d += 0.02;
    return d;
  };
  return [
    run(-1, 0) - box.widthMm / 2,
    run(1, 0) - box.widthMm / 2,
    run(0, -1) - box.heightMm / 2,
    run(0, 1) - box.heightMm / 2,
  ];
}

test.each([3, 9, 12, 15].flatMap((n) => (['a4', 'letter'] as PaperId[]).map((p) => [n, p] as const)))(
  'a sheet of %i steps on %s has every cell and patch in its place and every grey exact',
  async (steps, paper) => {
    const layout = scaleLayout(steps, paper);
    const labels = layout.cells.map((c) => String(c.index));
    const sheet = drawScaleSheet(layout, {
      title: 'Test',
      subtitle: '',
      name: '',
      labels,
      work: ['One'],
      care: 'Wash your hands.',
      exercise: 'e',
      student: 's',
    });
    const page = rasterise(await sheetsToPdf([sheet]));
    for (const patch of layout.patches) {
      expect(page.at(patch.xMm + patch.widthMm / 2, patch.yMm + patch.heightMm / 2)).toBe(patch.code);
      for (const off of edges(page, patch, patch.code)) expect(Math.abs(off)).toBeLessThan(0.1);
    }
    for (const cell of layout.cells) {
      // The outline is centred on the cell's edge; its inner half lies inside.
      for (const off of edges(page, cell, 255)) expect(Math.abs(off + 0.125)).toBeLessThan(0.1);
      expect(page.at(cell.xMm, cell.yMm + 10)).toBe(OUTLINE_CODE);
    }
  },
);
