/** A feature cut out of its reference, laid anywhere on its painting before what lies about it, and what that costs. */
import { Matrix } from 'ml-matrix';
import { between } from '../../raster/between';
import { quickBlur } from '../../raster/blur';
import { type BoxOfPlaces, boxOfPlaces } from '../../raster/box-of-places';
import { type Affine, placed, undone } from '../registration/affine';
import { sloped, type SlopedPlane } from '../registration/align';
import { type Composition, lighterOf } from './composition';
import { middleOf } from './feature';

/** What is further off than this, L*, was painted otherwise. */
const LETS_GO = 4;
/** So many places say the same: a stroke is as large. Every other one is asked, either way. */
const TOGETHER = 10;
const EVERY = 2;
const WORTH = EVERY ** 2 / TOGETHER;
/** How far each parameter may be from the whole's before it costs as much as a stroke that is off: a lean is told as a slant, not as a turn. */
const REACH: Affine = [0.1, 0.1, 0.1, 0.004, 0.1, 0.1];
/** Its values go on so far beyond its outline, places. */
const RIM = 4;
/**
 * Outlines are as soft as this, places: softer ones were felt from further off, but drawn aside by what lies there. What is less
 * of a place than that is none of it.
 */
const SOFT = 0.8;
const NONE = 0.01;

/** Of each place the nearest one that is marked, about: found outwards from these, `most` steps far; -1 of what is further off. */
function nearestMarked(marked: Uint8Array, width: number, most: number): Int32Array {
  const from = Int32Array.from(marked, (is, i) => (is === 1 ? i : -1));
  const last = width - 1;
  let front = from.filter((i) => i >= 0);
  for (let step = 0; step < most && front.length > 0; step++) {
    const next: number[] = [];
    for (const i of front) {
      const column = i % width;
      for (const k of [column > 0 ? i - 1 : -1, column < last ? i + 1 : -1, i - width, i + width]) {
        if (from[k] !== -1) continue;
        from[k] = from[i] as number;
        next.push(k);
      }
    }
    front = Int32Array.from(next);
  }
  return from;
}

/** Geman and McClure's loss: nothing, to 1 of what was painted otherwise. */
function lossOf(off: number): number {
  const z = (off / LETS_GO) ** 2;
  return z / (1 + z);
}

/** Between four places, one of the three that are told of each. */
function trioAt(trios: Float32Array, i: number, width: number, p: number, q: number): number {
  const j = i + 3 * width;
  return (
    (1 - q) * ((1 - p) * (trios[i] as number) + p * (trios[i + 3] as number)) +
    q * ((1 - p) * (trios[j] as number) + p * (trios[j + 3] as number))
  );
}

/** What a step of a fit is made of: sums over all places at some parameters. */
class Sums {
  /** The lower half, row by row. */
  private readonly pairs = new Float64Array(36);
  private readonly downhill = new Float64Array(6);

  clear(): void {
    this.pairs.fill(0);
    this.downhill.fill(0);
  }

  /** A place that is off by so much; `row` says how much less it will be for each parameter. */
  add(row: Float64Array, off: number): void {
    const z = off / LETS_GO;
    const weight = WORTH / (LETS_GO * (1 + z * z)) ** 2;
    for (let j = 0; j < 6; j++) {
      const own = weight * (row[j] as number);
      this.downhill[j] = (this.downhill[j] as number) - own * off;
      for (let k = 0; k <= j; k++) this.pairs[6 * j + k] = (this.pairs[6 * j + k] as number) + own * (row[k] as number);
    }
  }

  step(parameters: Float64Array): { readonly normal: Matrix; readonly downhill: Matrix } {
    const tight = REACH.map((reach) => 1 / reach ** 2);
    const pair = (j: number, k: number) => this.pairs[6 * Math.max(j, k) + Math.min(j, k)] as number;
    const normal = tight.map((own, j) => tight.map((_, k) => pair(j, k) + (j === k ? own : 0)));
    const downhill = tight.map((own, j) => (this.downhill[j] as number) - own * (parameters[j] as number));
    return { normal: new Matrix(normal), downhill: Matrix.columnVector(downhill) };
  }
}

/** Maps are from the places of the reference to where they stand on the painting as the whole of it lies there, in widths. */
export class CutOut {
  private readonly middle: readonly [x: number, y: number];
  /** The part of the reference that it is cut out of: planes of its own are of that. */
  private readonly box: BoxOfPlaces;
  /** How much of a place is its own, and its values, which go on a little beyond. */
  private readonly soft: SlopedPlane;
  private readonly values: SlopedPlane;
  private readonly numbers: Uint8Array;
  /** What would be seen without it. */
  private readonly behind: Float32Array;
  /** By how much each part of it was painted lighter than was expected. */
  private lighter: readonly number[] = [];
  private readonly sums = new Sums();

  /** `places` are some of the reference's, one at the least. */
  constructor(
    private readonly of: Composition,
    private readonly places: Int32Array,
  ) {
    const { width, height, data } = of.expected;
    const around = boxOfPlaces(places, width);
    if (!around) throw new RangeError('Nothing can be cut out without a place of it.');
    const far = 2 * RIM;
    const [x0, y0] = [Math.max(0, around[0] - far), Math.max(0, around[1] - far)];
    const [x1, y1] = [Math.min(width, around[2] + far), Math.min(height, around[3] + far)];
    this.box = [x0, y0, x1, y1];
    const [wide, tall] = [x1 - x0, y1 - y0];
    const whole = Int32Array.from(
      { length: wide * tall },
      (_, k) => (y0 + Math.floor(k / wide)) * width + x0 + (k % wide),
    );
    const mask = new Uint8Array(wide * tall);
    for (const i of places) mask[(Math.floor(i / width) - y0) * wide + (i % width) - x0] = 1;
    const nearest = (marked: Uint8Array, most: number) =>
      nearestMarked(marked, wide, most).map((k, own) => whole[k < 0 ? own : k] as number);
    const beyond = nearest(mask, RIM);
    const beside = nearest(
      mask.map((is) => 1 - is),
      wide + tall,
    );
    this.soft = sloped({ width: wide, height: tall, data: quickBlur(Float32Array.from(mask), wide, tall, SOFT) });
    this.values = sloped({ width: wide, height: tall, data: Float32Array.from(beyond, (i) => data[i] as number) });
    this.numbers = Uint8Array.from(beyond, (i) => of.numbers[i] as number);
    this.behind = data.slice();
    beside.forEach((i, k) => {
      this.behind[whole[k] as number] = data[i] as number;
    });
    this.middle = middleOf(places, of.expected);
  }

  mapOf(parameters: Float64Array): Affine {
    const [a, b, x, c, d, y] = parameters as unknown as Affine;
    const [mx, my] = this.middle;
    return [1 + a, b, mx + x - (1 + a) * mx - b * my, c, 1 + d, my + y - c * mx - (1 + d) * my];
  }

  parametersOf(map: Affine): Float64Array {
    const [mx, my] = this.middle;
    const [x, y] = placed(map, mx, my);
    return Float64Array.of(map[0] - 1, map[1], x - mx, map[3], map[4] - 1, y - my);
  }

  /** Looks anew how light each part of it was painted, where it stands under a map. */
  lookAt(map: Affine): void {
    const { painted, expected, numbers } = this.of;
    const { width, height } = painted;
    const off: number[][] = [];
    for (const i of this.places) {
      const [x, y] = placed(map, ((i % width) + 0.5) / width - 0.5, (Math.floor(i / width) + 0.5 - height / 2) / width);
      const own = between(painted, (x + 0.5) * width, y * width + height / 2) - (expected.data[i] as number);
      if (!Number.isNaN(own)) (off[numbers[i] as number] ??= []).push(own);
    }
    this.lighter = lighterOf(off, 0);
  }

  /** What a step from the parameters that were asked for last is made of. */
  step = (parameters: Float64Array) => this.sums.step(parameters);

  /** What it costs to have it there, less what it costs to have only what lies behind. */
  costAt(parameters: Float64Array): number {
    const map = this.mapOf(parameters);
    this.sums.clear();
    return this.costOfPlaces(map) + parameters.reduce((s, by, j) => s + (by / (REACH[j] as number)) ** 2, 0);
  }

  /** Places that it could cover under a map. */
  private covered(map: Affine): BoxOfPlaces {
    const { width, height } = this.of.painted;
    const [x0, y0, x1, y1] = this.box;
    const corners = [x0, x1].flatMap((c) =>
      [y0, y1].map((r) => placed(map, c / width - 0.5, (r - height / 2) / width)),
    );
    const columns = corners.map(([x]) => (x + 0.5) * width);
    const rows = corners.map(([, y]) => y * width + height / 2);
    const even = (v: number) => EVERY * Math.floor(Math.max(0, v) / EVERY);
    return [
      even(Math.min(...columns)),
      even(Math.min(...rows)),
      Math.min(width, Math.max(...columns)),
      Math.min(height, Math.max(...rows)),
    ];
  }

  /** Thousands of places, dozens of times: one plain loop, and nothing made for any place. */
  private costOfPlaces(map: Affine): number {
    const { soft, values, numbers, behind, lighter, sums, box } = this;
    const { width, height, data: painted } = this.of.painted;
    const [mx, my] = this.middle;
    const [x0, y0, x1, y1] = this.covered(map);
    const [a, b, tx, c, d, ty] = undone(map);
    const wide = soft.width;
    // Slopes of a part of the reference are by its own width.
    const steeper = width / wide;
    const row = new Float64Array(6);
    const cost = new Float64Array(1);
    for (let y = y0; y < y1; y += EVERY)
      for (let x = x0; x < x1; x += EVERY) {
        const px = (x + 0.5) / width - 0.5;
        const py = (y + 0.5 - height / 2) / width;
        const qx = a * px + b * py + tx;
        const qy = c * px + d * py + ty;
        const u = (qx + 0.5) * width - 0.5 - box[0];
        const v = qy * width + height / 2 - 0.5 - box[1];
        if (!(u >= 0 && v >= 0 && u < wide - 1 && v < soft.height - 1)) continue;
        const at = Math.round(v) * wide + Math.round(u);
        if ((soft.data[at] as number) < NONE) continue;
        const seen = painted[y * width + x] as number;
        if (Number.isNaN(seen)) continue;
        const p = u - Math.floor(u);
        const q = v - Math.floor(v);
        const i = 3 * (Math.floor(v) * wide + Math.floor(u));
        const share = trioAt(soft.trios, i, wide, p, q);
        const without = behind[y * width + x] as number;
        const more = trioAt(values.trios, i, wide, p, q) + (lighter[numbers[at] as number] ?? 0) - without;
        const off = seen - without - share * more;
        cost[0] = (cost[0] as number) + lossOf(off) - lossOf(seen - without);
        // How what is expected changes along x and y of the reference, and from there by each parameter.
        const ex =
          steeper * (more * trioAt(soft.trios, i + 1, wide, p, q) + share * trioAt(values.trios, i + 1, wide, p, q));
        const ey =
          steeper * (more * trioAt(soft.trios, i + 2, wide, p, q) + share * trioAt(values.trios, i + 2, wide, p, q));
        const gx = a * ex + c * ey;
        const gy = b * ex + d * ey;
        row[0] = gx * (qx - mx);
        row[1] = gx * (qy - my);
        row[2] = gx;
        row[3] = gy * (qx - mx);
        row[4] = gy * (qy - my);
        row[5] = gy;
        sums.add(row, off);
      }
    return WORTH * (cost[0] as number);
  }
}
