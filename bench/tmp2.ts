import { loadOpenCv } from '@/workers/opencv';
import { readQr } from '@/workers/read-qr';
import { measureScale } from '@/core/scale/measure';
import { critiqueScale } from '@/core/critique/scale-critique';
import { defaultScale } from '@/core/exercise/scale';
import { planFor, PAINT_CONDITIONS } from '@/devices/paint-conditions';
import { pixelsOf, paintedSheet } from './stage';
import { USABLE } from '@/devices/camera-conditions';
const { cv } = await loadOpenCv();
const conds = process.argv[2] ? process.argv[2].split(',') as any : PAINT_CONDITIONS;
const seed0 = Number(process.argv[3] ?? 7), n = Number(process.argv[4] ?? 1);
for (let k = 0; k < n; k++) for (const c of conds) {
  const seed = seed0 + 101 * k; const steps = [9,7,12,5][k % 4]!; const cam = USABLE[(k + seed) % 6]!;
  const sheet = await paintedSheet(steps, k % 2 ? 'letter' : 'a4', planFor(c, steps, seed), seed);
  const terms = { ...defaultScale('gouache', steps) };
  const r = await measureScale(pixelsOf(sheet, cam, seed, 12), { terms, expected: { exercise: 'ex1', student: 'st1' } }, { cv, readQr });
  console.log(c, steps, cam, r.capture.accepted, r.capture.issues.map(i => i.code + i.value).join());
  if (process.env.V) console.log(r.steps.map((s,i) => `  ${s.lightness.toFixed(1)} t${s.target.toFixed(0)} sp${s.spread.toFixed(2)} b${s.bareGround?.toFixed(3)}(${sheet.truth.steps[i]!.bareGround.toFixed(3)}) o${s.overflow?.toFixed(3)} ${s.flags}`).join('\n'), '\n', r.gaps.map(g=>g.gap.toFixed(1)+g.flags).join(' '));
  for (const f of critiqueScale(r, terms, 'white-is-one')) console.log('   ', f.kind, f.code, f.weight, f.where.steps.join(), '|', f.say, '|', f.do);
}
