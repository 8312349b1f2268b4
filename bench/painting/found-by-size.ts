/** How large a fault of a painting is before half of its kind are told, put into docs/paintings.md with a picture each. */
import { USABLE } from '@/devices/condition-names';
import { mkdirSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { lineChart } from '../charts';
import { openPaintingTrials } from '../trials';
import { meet, THIN } from './boxes';
import type { PaintingOutcome, PaintingTrial } from './painting-trial';

interface Fault {
  readonly size: number;
  readonly told: boolean;
}

interface FaultKind {
  readonly name: string;
  readonly file: string;
  /** What its size is told in. */
  readonly unit: string;
  readonly sizes: readonly number[];
  readonly trial: (size: number) => Partial<PaintingTrial>;
  /** Size of each fault that was planted, and whether it is told. */
  readonly faults: (outcome: PaintingOutcome) => readonly Fault[];
}

/** Nearer than this, share of a shape's width, nobody draws. */
const STRAYS = 0.02;

const KINDS: readonly FaultKind[] = [
  {
    ...{ name: 'A shape too light or too dark', file: 'found-value', unit: 'L*', sizes: [2, 4, 6, 8, 12] },
    trial: (mistaken) => ({ mistaken }),
    faults: ({ shapes, regions }) =>
      shapes
        .filter((s) => s.by !== 0)
        .map((s) => ({
          size: Math.abs(s.by),
          told: regions.some((r) => Math.sign(r.residual) === Math.sign(s.by) && meet(r.box, s.box)),
        })),
  },
  {
    name: 'A thing that stands elsewhere',
    ...{ file: 'found-shift', unit: 'widths of the picture', sizes: [0.006, 0.01, 0.015, 0.02, 0.03] },
    trial: (far) => ({ moved: true, far }),
    faults: ({ moved, findings }) => {
      if (!moved) return [];
      const names = new Set(moved.parts.map((p) => p.name));
      const told = findings.some((f) => f.code === 'feature_moved' && names.has(f.where.shape ?? ''));
      return [{ size: Math.hypot(moved.made.dx, moved.made.dy), told }];
    },
  },
  {
    name: 'A light or a shadow too wide or too narrow',
    ...{ file: 'found-width', unit: 'of its own width', sizes: [0.3, 0.7, 1, 1.5] },
    trial: (size) => ({ small: 'extents', size }),
    faults: ({ extents }) =>
      // As they were painted: a hand that strays moves edges too.
      extents.painted
        .filter((p) => !p.tiny && Math.abs(p.by) > STRAYS)
        .map(({ name, by }) => {
          const kind = by > 0 ? 'wide' : 'narrow';
          return { size: Math.abs(by), told: extents.told.some((t) => t.name === name && t.kind === kind) };
        }),
  },
  {
    name: 'A thin line that is missing',
    ...{ file: 'found-line', unit: 'times the usual 20 to 32 L*', sizes: [0.2, 0.4, 0.6, 1] },
    trial: (size) => ({ small: 'accents', size }),
    faults: ({ accents, trial }) =>
      accents.planted
        .filter((p) => p.fate === 'missing')
        .map((p) => ({
          size: trial.size ?? 1,
          told: accents.told.some((t) => t.kind === 'missing' && t.light === p.light && meet(t.box, p.box, THIN)),
        })),
  },
];

/** Faults in so many groups of as many each, the smallest first: their size, and the share of them that is told. */
function grouped(faults: readonly Fault[], groups: number): (readonly [size: number, told: number])[] {
  const sorted = faults.toSorted((a, b) => a.size - b.size);
  return Array.from({ length: groups }, (_, g) =>
    sorted.slice(Math.round((g * sorted.length) / groups), Math.round(((g + 1) * sorted.length) / groups)),
  ).flatMap((own) =>
    own.length === 0
      ? []
      : [[own.reduce((s, f) => s + f.size, 0) / own.length, own.filter((f) => f.told).length / own.length] as const],
  );
}

/** Where a rising line first reaches a half; null where it does not. */
function halfOf(points: readonly (readonly [number, number])[]): number | null {
  for (const [k, [x, y]] of points.entries()) {
    if (y < 0.5) continue;
    const [px, py] = points[k - 1] ?? [x, y];
    return y === py ? x : px + ((0.5 - py) / (y - py)) * (x - px);
  }
  return null;
}

const two = (v: number) => v.toPrecision(2);

/** Writes the page; what is found at what size is told, not promised. */
export async function benchFoundBySize(seed: number, each: number, megapixels: number): Promise<void> {
  const trials = openPaintingTrials();
  mkdirSync('docs/accuracy', { recursive: true });
  const parts: string[] = [];
  for (const [n, { name, file, unit, sizes, trial, faults }] of KINDS.entries()) {
    const outcomes = await trials.run(
      sizes.flatMap((size, s) =>
        Array.from({ length: each }, (_, k): PaintingTrial => ({
          ...{ seed: seed + 1000 * n + 100 * s + k, scene: seed + k, camera: USABLE[k % USABLE.length] ?? 'studio' },
          ...{ way: 'sheet', card: 'measured', megapixels, mistaken: 0, moved: false },
          ...trial(size),
        })),
      ),
    );
    const planted = outcomes.filter((o) => o.accepted).flatMap(faults);
    const points = grouped(planted, sizes.length);
    const half = halfOf(points);
    const told = half === null ? 'fewer than half were told at any size' : `half are told from ${two(half)} ${unit} on`;
    console.log(`${name}: ${told} (${planted.length} planted)`);
    writeFileSync(path.join('docs/accuracy', `${file}.svg`), lineChart(`${name}: share that is told`, unit, points));
    parts.push(
      `## ${name}`,
      '',
      `${told.charAt(0).toUpperCase()}${told.slice(1)}; ${planted.length} planted.`,
      '',
      `| ${unit} | told |`,
      '|---|---|',
      ...points.map(([x, y]) => `| ${two(x)} | ${Math.round(100 * y)} of 100 |`),
      '',
      `![${name}](accuracy/${file}.svg)`,
      '',
    );
  }
  await trials.close();
  const head = [
    '# How small a fault of a painting is told',
    '',
    'Written by `npm run bench -- --only found-by-size`; nothing in it is typed.',
    `Seed ${seed}, ${each} paintings a size, ${megapixels} megapixels, on sheets beside a measured card, by the simulated painter and camera.`,
    '',
  ];
  writeFileSync('docs/paintings.md', [...head, ...parts].join('\n'));
}
