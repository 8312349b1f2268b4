/** What a phone does to the light before its curve: a sensor of its own primaries, large light and dark parts evened out. */
import { blurInPlace } from './camera-blur';
import { PLAIN_SENSOR, type Shot } from './shot';

/** What a sensor of other primaries makes of linear sRGB. */
export function senseWith(planes: readonly Float32Array[], sensor: Shot['sensor']): void {
  if (sensor === PLAIN_SENSOR) return;
  const [red, green, blue] = planes as [Float32Array, Float32Array, Float32Array];
  for (let i = 0; i < red.length; i++) {
    const [r, g, b] = [red[i] as number, green[i] as number, blue[i] as number];
    sensor.forEach((row, c) => ((planes[c] as Float32Array)[i] = Math.max(0, row[0] * r + row[1] * g + row[2] * b)));
  }
}

/** Block of pixels over which a camera that evens out light and dark takes its means. */
const BLOCK = 32;

/** Evens out large parts that are lighter or darker than the whole, as phones do to show more of a scene. */
export function evenOut(planes: readonly Float32Array[], width: number, height: number, strength: number): void {
  if (strength === 0) return;
  const [columns, rows] = [Math.ceil(width / BLOCK) + 1, Math.ceil(height / BLOCK) + 1];
  const means = new Float32Array(columns * rows);
  const counts = new Float32Array(columns * rows);
  const green = planes[1] as Float32Array;
  for (let y = 0; y < height; y += 2)
    for (let x = 0; x < width; x += 2) {
      const at = Math.floor(y / BLOCK) * columns + Math.floor(x / BLOCK);
      means[at] = (means[at] as number) + Math.log(0.02 + (green[y * width + x] as number));
      counts[at] = (counts[at] as number) + 1;
    }
  for (let i = 0; i < means.length; i++)
    means[i] = (counts[i] as number) > 0 ? (means[i] as number) / (counts[i] as number) : 0;
  for (let r = 0; r < rows; r++) means[r * columns + columns - 1] = means[r * columns + columns - 2] as number;
  for (let c = 0; c < columns; c++) means[(rows - 1) * columns + c] = means[(rows - 2) * columns + c] as number;
  blurInPlace(means, columns, rows, width / BLOCK / 12);
  const middle = means.reduce((s, v) => s + v, 0) / means.length;
  for (let y = 0; y < height; y++) {
    const [r0, fy] = [Math.floor(y / BLOCK), (y % BLOCK) / BLOCK];
    for (let x = 0; x < width; x++) {
      const [c0, fx] = [Math.floor(x / BLOCK), (x % BLOCK) / BLOCK];
      const at = r0 * columns + c0;
      const local =
        (1 - fy) * ((1 - fx) * (means[at] as number) + fx * (means[at + 1] as number)) +
        fy * ((1 - fx) * (means[at + columns] as number) + fx * (means[at + columns + 1] as number));
      const gain = Math.exp(-strength * (local - middle));
      for (const plane of planes) plane[y * width + x] = (plane[y * width + x] as number) * gain;
    }
  }
}
