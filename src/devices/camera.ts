/**
 * The simulated phone camera: perspective, lens, lamps, stray light, blur, grain, tone curve,
 * sharpening and JPEG. Written apart from the reader of photographs, with which it shares nothing but
 * the sRGB curve; its lens term runs the other way round and its tone curve is of another family.
 */
import { linearToSrgb } from '@/core/colour/srgb';
import sharp from 'sharp';
import { blurInPlace } from './camera-blur';
import type { Shot } from './shot';
import { evenOut, senseWith } from './camera-toning';
import { irradiance } from './light';
import { project } from './optics';
import { chance, smoothNoise } from './random';
import type { Surface } from './reflectance';
import { waves } from './waves';

const GRID = 16;
const STRIDE_BITS = 3;
/** Light that the side of a raised canvas takes. */
const SIDE_SHADE = 0.3;
const STRIDE = 1 << STRIDE_BITS;

/** Sensor level to code: sRGB, an S about middle grey, a toe that sinks the shadows, shadows lifted. */
function toneCurve({ contrast, lift, gamma, toe }: Shot['curve']): (level: number) => number {
  return (level) => {
    const t = Math.min(1, Math.max(0, level));
    const v = linearToSrgb(t) ** gamma;
    const s = v * v * (3 - 2 * v);
    const curved = v + contrast * 0.6 * (s - v);
    const shaped = toe > 0 ? (curved * curved) / (curved + 0.12 * toe * (1 - curved)) : curved;
    return 255 * (shaped + lift * 0.25 * shaped * (1 - shaped) ** 3);
  };
}

/** Reflectance that each photo pixel looks at, one plane a channel: the sheet, or the table beside it. */
function trace(
  shot: Shot,
  surface: Surface,
  stage: { widthMm: number; heightMm: number },
  tableSeed: number,
): Float32Array[] {
  const { width, height } = shot;
  const perMm = surface.dpi / 25.4;
  const sheet = surface.reflectance;
  const twice = shot.sheets === 2;
  const place = twice ? { widthMm: 2 * stage.widthMm + 20, heightMm: stage.heightMm } : stage;
  const projection = project(shot.pose, { width, height }, place);
  const { eye } = projection;
  const wave = shot.ripple ? waves(shot.ripple) : null;
  const { raised } = shot;
  const [lightX, lightY] = shot.ripple?.light ?? [0, 0];
  const planes = [0, 1, 2].map(() => new Float32Array(width * height));
  const [red, green, blue] = planes as [Float32Array, Float32Array, Float32Array];
  const d = sheet.data;
  // The way through the lens is worked out at every eighth pixel; between, it is straight to a thousandth of one.
  const knots = Math.ceil(width / STRIDE) + 1;
  const [knotX, knotY, grainOfWood] = [new Float64Array(knots), new Float64Array(knots), new Float64Array(knots)];
  for (let y = 0; y < height; y++) {
    for (let k = 0; k < knots; k++) {
      const mm = projection.toMm(k * STRIDE + 0.5, y + 0.5);
      knotX[k] = mm[0];
      knotY[k] = mm[1];
      grainOfWood[k] = smoothNoise((k * STRIDE) / 90, y / 14, tableSeed);
    }
    for (let x = 0; x < width; x++) {
      const i = y * width + x;
      const k = x >> STRIDE_BITS;
      const along = (x & (STRIDE - 1)) / STRIDE;
      let xMm = (knotX[k] as number) + along * ((knotX[k + 1] as number) - (knotX[k] as number));
      let yMm = (knotY[k] as number) + along * ((knotY[k + 1] as number) - (knotY[k] as number));
      if (twice && xMm > stage.widthMm + 10) xMm -= stage.widthMm + 20;
      if (shot.sheets === 0 || xMm < 0 || xMm >= stage.widthMm || yMm < 0 || yMm >= stage.heightMm) {
        const band = Math.floor(x / (width / 5)) % 2 === 0 ? 1 : 0.8;
        const wood =
          band *
          (1 +
            0.25 *
              ((grainOfWood[k] as number) + along * ((grainOfWood[k + 1] as number) - (grainOfWood[k] as number))));
        red[i] = 0.16 * wood;
        green[i] = 0.14 * wood;
        blue[i] = 0.12 * wood;
        continue;
      }
      let shade = 1;
      if (raised) {
        const on = (a: number, b: number) =>
          a >= raised.from[0] && b >= raised.from[1] && a < raised.to[0] && b < raised.to[1];
        // Where the ray to this place of the table meets the plane of the raised face.
        const atX = xMm + ((eye[0] - xMm) * raised.heightMm) / eye[2];
        const atY = yMm + ((eye[1] - yMm) * raised.heightMm) / eye[2];
        // What lies under the face and is not hidden by it is its side, in the dark.
        if (!on(atX, atY) && on(xMm, yMm)) shade = SIDE_SHADE;
        if (on(atX, atY)) [xMm, yMm] = [atX, atY];
      }
      if (wave) {
        const { height: z, slopeX, slopeY } = wave(xMm, yMm);
        xMm += ((eye[0] - xMm) * z) / eye[2];
        yMm += ((eye[1] - yMm) * z) / eye[2];
        shade = Math.max(0.05, 1 - slopeX * lightX - slopeY * lightY);
      }
      const u = xMm * perMm - 0.5;
      const v = yMm * perMm - 0.5;
      const x0 = Math.min(sheet.width - 2, Math.max(0, Math.floor(u)));
      const y0 = Math.min(sheet.height - 2, Math.max(0, Math.floor(v)));
      const ax = Math.min(1, Math.max(0, u - x0));
      const ay = Math.min(1, Math.max(0, v - y0));
      const p = (y0 * sheet.width + x0) * 3;
      const q = p + sheet.width * 3;
      const a = shade * (1 - ax) * (1 - ay);
      const b = shade * ax * (1 - ay);
      const c = shade * (1 - ax) * ay;
      const e = shade * ax * ay;
      red[i] = a * (d[p] as number) + b * (d[p + 3] as number) + c * (d[q] as number) + e * (d[q + 3] as number);
      green[i] =
        a * (d[p + 1] as number) + b * (d[p + 4] as number) + c * (d[q + 1] as number) + e * (d[q + 4] as number);
      blue[i] =
        a * (d[p + 2] as number) + b * (d[p + 5] as number) + c * (d[q + 2] as number) + e * (d[q + 5] as number);
    }
  }
  return planes;
}

/** Share of the light that a shadow leaves at a place. */
function shadowAt({ shadow }: Shot, xMm: number, yMm: number): number {
  if (!shadow) return 1;
  const inside = (xMm - shadow.atMm[0]) * Math.cos(shadow.angle) + (yMm - shadow.atMm[1]) * Math.sin(shadow.angle);
  return 1 - shadow.share / (1 + Math.exp(-inside / (0.3 * shadow.softMm)));
}

/** Light times exposure, and glare, per channel on a coarse grid; everything there is smooth. */
function coarseLight(shot: Shot, stage: { widthMm: number; heightMm: number }) {
  const columns = Math.ceil(shot.width / GRID) + 2;
  const rows = Math.ceil(shot.height / GRID) + 2;
  const projection = project(shot.pose, shot, stage);
  const gain = [0, 1, 2].map(() => new Float32Array(columns * rows));
  const glare = new Float32Array(columns * rows);
  let peak = 0;
  const half = Math.hypot(shot.width, shot.height) / 2;
  for (let r = 0; r < rows; r++)
    for (let c = 0; c < columns; c++) {
      const [x, y] = projection.toMm(c * GRID, r * GRID);
      const e = irradiance(shot.light, x, y);
      const r2 = ((c * GRID - shot.width / 2) ** 2 + (r * GRID - shot.height / 2) ** 2) / half ** 2;
      const fall = (1 - shot.vignette * r2) * shadowAt(shot, x, y);
      const onSheet = x >= 0 && y >= 0 && x <= stage.widthMm && y <= stage.heightMm;
      for (let k = 0; k < 3; k++) {
        const level = (e[k] ?? 0) * fall;
        (gain[k] as Float32Array)[r * columns + c] = level;
        if (onSheet || shot.sheets !== 1) peak = Math.max(peak, level);
      }
      if (shot.glare) {
        const d2 = (x - shot.glare.atMm[0]) ** 2 + (y - shot.glare.atMm[1]) ** 2;
        glare[r * columns + c] =
          shot.glare.strength * shot.exposure * Math.exp(-d2 / (2 * (shot.glare.radiusMm / 1.7) ** 2));
      }
    }
  for (const plane of gain)
    for (let i = 0; i < plane.length; i++) plane[i] = ((plane[i] as number) * shot.exposure) / peak;
  return { columns, gain, glare };
}

/** One photo row of a coarse plane, interpolated between its two rows of the grid. */
function rowOf(coarse: Float32Array, columns: number, y: number, out: Float32Array): void {
  const r0 = Math.floor(y / GRID);
  const f = y / GRID - r0;
  for (let c = 0; c < columns; c++)
    out[c] = (coarse[r0 * columns + c] as number) * (1 - f) + (coarse[(r0 + 1) * columns + c] as number) * f;
}

/** Reflectance to sensor level: light, stray light and shine. A function of its own, as are the next two: one long one runs slower. */
function illuminate(plane: Float32Array, shot: Shot, light: Float32Array, glare: Float32Array, columns: number): void {
  const { width, height } = shot;
  const lightRow = new Float32Array(columns);
  const glareRow = new Float32Array(columns);
  const stray = shot.stray * shot.exposure;
  for (let y = 0; y < height; y++) {
    rowOf(light, columns, y, lightRow);
    if (shot.glare) rowOf(glare, columns, y, glareRow);
    for (let c = 0, x = 0; x < width; c++) {
      let lit = lightRow[c] as number;
      let shine = (glareRow[c] as number) + stray;
      const litStep = ((lightRow[c + 1] as number) - lit) / GRID;
      const shineStep = ((glareRow[c + 1] as number) - (glareRow[c] as number)) / GRID;
      for (const end = Math.min(width, x + GRID); x < end; x++) {
        const i = y * width + x;
        plane[i] = lit * (plane[i] as number) + shine;
        lit += litStep;
        shine += shineStep;
      }
    }
  }
}

/** Sensor level to code, with grain. */
function develop(plane: Float32Array, noise: number, table: Float32Array, normals: Float32Array, start: number): void {
  const last = table.length - 1;
  let n = start;
  for (let i = 0; i < plane.length; i++) {
    const level = plane[i] as number;
    n = (n * 1664525 + 1013904223) & 0xffff;
    const noisy = level + noise * Math.sqrt(0.04 + level) * (normals[n ^ ((i * 40503) & 0xffff)] as number);
    const at = (noisy * last + 0.5) | 0;
    plane[i] = table[at < 0 ? 0 : at > last ? last : at] as number;
  }
}

/** Codes of one channel, rounded and held to 0..255 by the array itself. The outermost pixels stay as they are. */
function sharpen(
  plane: Float32Array,
  width: number,
  height: number,
  strength: number,
  codes: Uint8ClampedArray,
  channel: number,
): void {
  for (let y = 0; y < height; y++) {
    const from = y * width;
    if (y === 0 || y === height - 1) {
      for (let i = from; i < from + width; i++) codes[i * 3 + channel] = plane[i] as number;
      continue;
    }
    const last = from + width - 1;
    codes[from * 3 + channel] = plane[from] as number;
    codes[last * 3 + channel] = plane[last] as number;
    for (let i = from + 1; i < last; i++) {
      const around =
        ((plane[i - 1] as number) +
          (plane[i + 1] as number) +
          (plane[i - width] as number) +
          (plane[i + width] as number)) /
        4;
      const here = plane[i] as number;
      codes[i * 3 + channel] = here + strength * (here - around);
    }
  }
}

/** 8-bit RGB of the photograph, upright. */
export function expose(
  surface: Surface,
  stage: { widthMm: number; heightMm: number },
  shot: Shot,
  seed: number,
): Uint8Array {
  const { width, height } = shot;
  const { columns, gain, glare } = coarseLight(shot, stage);
  const codes = new Uint8ClampedArray(width * height * 3);
  const curve = toneCurve(shot.curve);
  const table = Float32Array.from({ length: 4097 }, (_, i) => curve(i / 4096));
  const grain = chance(seed).fork('grain');
  const normals = Float32Array.from({ length: 65536 }, () => grain.gauss());
  const tableSeed = grain.whole(1, 1e9);
  const reflectance = trace(shot, surface, stage, tableSeed);
  senseWith(reflectance, shot.sensor);
  for (let c = 0; c < 3; c++) illuminate(reflectance[c] as Float32Array, shot, gain[c] as Float32Array, glare, columns);
  evenOut(reflectance, width, height, shot.localTone);
  for (let c = 0; c < 3; c++) {
    const plane = reflectance[c] as Float32Array;
    blurInPlace(plane, width, height, shot.blurPx);
    develop(plane, shot.noise, table, normals, grain.whole(0, 65535));
    sharpen(plane, width, height, shot.sharpen, codes, c);
  }
  return new Uint8Array(codes.buffer);
}

export interface FileOptions {
  /** EXIF orientation: 1 upright, 6 a phone held upright whose sensor lies on its side. */
  readonly orientation: 1 | 6;
  /** Whether the phone writes where it was. */
  readonly location: boolean;
}

/** JPEG bytes of a shot. */
export async function photograph(
  surface: Surface,
  stage: { widthMm: number; heightMm: number },
  shot: Shot,
  seed: number,
  file: FileOptions = { orientation: 1, location: false },
): Promise<Buffer> {
  const codes = expose(surface, stage, shot, seed);
  let image = sharp(codes, { raw: { width: shot.width, height: shot.height, channels: 3 } });
  if (file.orientation === 6) image = image.rotate(270);
  image = image.withMetadata({ orientation: file.orientation });
  if (file.location)
    image = image.withExifMerge({
      IFD0: { Make: 'Practice camera' },
      IFD3: { GPSLatitudeRef: 'N', GPSLatitude: '11/1 22/1 33/1', GPSLongitudeRef: 'W', GPSLongitude: '44/1 5/1 6/1' },
    });
  return image.jpeg({ quality: shot.quality, chromaSubsampling: '4:2:0' }).toBuffer();
}
