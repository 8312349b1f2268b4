import { loadOpenCv } from '@/workers/opencv';
import { readQr } from '@/workers/read-qr';
import { decodePhoto } from '@/workers/decode';
import { measureScale } from '@/core/scale/measure';
import { defaultScale } from '@/core/exercise/scale';
import { planFor } from '@/devices/paint-conditions';
import { jpegOf, paintedSheet } from './stage';
import sharp from 'sharp';
import { existsSync, readFileSync, writeFileSync } from 'node:fs';
const { cv } = await loadOpenCv();
if (!existsSync('/tmp/prof.jpg')) { const sheet = await paintedSheet(9, 'a4', planFor('random', 9, 3), 3); writeFileSync('/tmp/prof.jpg', await jpegOf(sheet, 'window', 3)); }
const jpg = readFileSync('/tmp/prof.jpg');
for (let i = 0; i < 8; i++) {
  let t = performance.now(); await sharp(jpg).removeAlpha().raw().toBuffer(); const d = performance.now() - t;
  t = performance.now(); const photo = await decodePhoto(jpg); const d2 = performance.now() - t;
  t = performance.now(); const st: string[] = []; let last = t;
  await measureScale(photo, { terms: defaultScale('gouache', 9), expected: { exercise: null, student: null } }, { cv, readQr, onStage: () => { st.push((performance.now() - last).toFixed(0)); last = performance.now(); } });
  st.push((performance.now() - last).toFixed(0));
  console.log('decode', d.toFixed(0), d2.toFixed(0), 'measure', (performance.now() - t).toFixed(0), st.join('/'));
}
