/** One painting by many cameras: a camera's own curve must not become a fault of the painting. */
import type { Finding } from '@/core/critique/finding';
import { type CameraCondition, CURVES, USABLE } from '@/devices/condition-names';
import { row } from '../tally';
import { openPaintingTrials } from '../trials';
import { meet } from './boxes';
import type { PaintingTrial } from './painting-trial';

const CAMERAS: readonly CameraCondition[] = [...USABLE, ...CURVES, 'other-primaries'];
const PHOTOGRAPHS = 20;
/** A finding that most photographs lack may weigh so much. */
const MOST_WEIGHT = 0.2;
/** A finding belongs to the painting where this share of its photographs have it. */
const SHARED = 0.5;

/** Two that say the same of the same place. */
function same(a: Finding, b: Finding): boolean {
  if (a.code !== b.code) return false;
  if (a.where.shape !== undefined && a.where.shape === b.where.shape) return true;
  return !a.where.box || !b.where.box || meet(a.where.box, b.where.box);
}

/** Findings of each photograph that most of the others lack, and how much each weighs beyond what lies near the limit. */
function odd(photographs: readonly (readonly Finding[])[]): Finding[] {
  return photographs.flatMap((own, k) => {
    const others = photographs.filter((_, j) => j !== k);
    return own.filter(
      (f) =>
        f.kind === 'fix' &&
        others.filter((o) => o.some((g) => same(f, g))).length < SHARED * Math.max(1, others.length),
    );
  });
}

/** Returns whether no photograph of any painting adds a finding of weight that the others lack. */
export async function benchCameras(seed: number, paintings: number, megapixels: number): Promise<boolean> {
  const trials = openPaintingTrials();
  console.log(`\n${paintings} paintings a way, each by ${PHOTOGRAPHS} cameras, ${megapixels} megapixels`);
  row('', 'read', 'findings', 'odd ones', 'the heaviest', 'beyond 0.2');
  let good = true;
  for (const way of ['sheet', 'brackets', 'corners'] as const)
    for (let k = 0; k < paintings; k++) {
      const outcomes = await trials.run(
        Array.from({ length: PHOTOGRAPHS }, (_, shot): PaintingTrial => ({
          ...{ seed: seed + 17 * k, scene: seed + k, shot: seed + 100 * k + shot, way, megapixels, card: 'measured' },
          camera: CAMERAS[shot % CAMERAS.length] ?? 'studio',
          mistaken: k % 2 === 0 ? 12 : 0,
          moved: false,
        })),
      );
      const read = outcomes.filter((o) => o.accepted);
      const found = odd(read.map((o) => o.findings));
      const heavy = found.filter((f) => f.weight > MOST_WEIGHT);
      const most = found.reduce((m, f) => Math.max(m, f.weight), 0);
      const all = read.reduce((s, o) => s + o.findings.length, 0);
      row(`${way} ${k + 1}`, read.length, all, found.length, most, heavy.length);
      for (const f of heavy) console.log(`    ${f.weight.toFixed(2)} ${f.key}: ${f.say}`);
      good &&= heavy.length === 0;
    }
  await trials.close();
  return good;
}
