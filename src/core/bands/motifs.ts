/**
 * Banded pictures: shapes that lie behind each other, from the lightest to the darkest, and the silhouettes
 * in front. Coordinates are millimetres in the frame, origin top left.
 */
import type { Motif } from '../exercise/terms';
import { circle, type Corner, inside, polygon, rectangle, type Shape, together, without } from './shapes';

export interface Frame {
  readonly widthMm: number;
  readonly heightMm: number;
}

export interface MotifRequest {
  readonly frame: Frame;
  readonly bands: number;
  readonly brushMm: number;
  /** Lamp or far opening, as shares of the frame. */
  readonly lamp: { readonly x: number; readonly y: number };
}

/** The wish can't be drawn; `message` says what to change. */
export class DoesNotFit extends RangeError {
  override readonly name = 'DoesNotFit';
}

function tooMany({ bands, brushMm }: MotifRequest, room: number): DoesNotFit {
  const most = Math.max(2, Math.floor(room / brushMm));
  return new DoesNotFit(
    `${bands} bands of at least ${brushMm} mm do not fit here: take up to ${most} bands, a smaller brush, or move the light.`,
  );
}

const whole = ({ widthMm, heightMm }: Frame): Shape => rectangle(0, 0, widthMm, heightMm);

/**
 * Layers in the order in which they are drawn, each inside the one before: what shows of one is what the next
 * leaves free.
 */
type Layers = Shape[];

/** Rings round a lamp; the innermost is the lamp itself. */
function glow(request: MotifRequest): Layers {
  const { frame, bands, brushMm, lamp } = request;
  const [cx, cy] = [lamp.x * frame.widthMm, lamp.y * frame.heightMm];
  const reach = Math.hypot(Math.max(cx, frame.widthMm - cx), Math.max(cy, frame.heightMm - cy));
  // The last band fills what lies outside the last ring, so that its corner must be wide enough too.
  const outermost = 0.82 * reach - brushMm;
  const first = Math.max(0.75 * brushMm, 0.06 * reach);
  const each = (outermost - first) / (bands - 2 || 1);
  if (bands > 2 && each < brushMm) throw tooMany(request, outermost - first + 2 * brushMm);
  // Rings widen outwards: light falls off fast near the lamp.
  const radii = Array.from({ length: bands - 1 }, (_, k) => {
    const t = bands === 2 ? 0 : k / (bands - 2);
    const even = first + (outermost - first) * t;
    const free = (outermost - first) * (1 - brushMm / Math.max(brushMm, each));
    return even - Math.min(0.3, free / (outermost - first)) * (outermost - first) * t * (1 - t) * 0.8;
  });
  return [whole(frame), ...radii.reverse().map((r) => circle(cx, cy, r))];
}

const RIDGE_STEP_MM = 1.5;

/** A ridge's rise and fall, -1 to 1; farther ridges are calmer. */
function ridge(x: number, k: number): number {
  return (
    0.6 * Math.sin(x * (0.021 + 0.006 * k) + 1.7 * k) +
    0.28 * Math.sin(x * (0.051 + 0.009 * k) + 2.9 * k + 1) +
    0.12 * Math.sin(x * 0.13 + 4.1 * k)
  );
}

/** Hills behind hills: the sky first, the nearest last. */
function ranges(request: MotifRequest): Layers {
  const { frame, bands, brushMm } = request;
  const { widthMm, heightMm } = frame;
  // Measured straight down; on a slope a band is thinner across than down.
  const least = 1.35 * brushMm;
  if (heightMm < (bands + 1) * least) throw tooMany(request, heightMm / 1.35 - brushMm);
  const columns = Math.ceil(widthMm / RIDGE_STEP_MM);
  const lines: Corner[][] = [];
  for (let k = 1; k < bands; k++) {
    const base = heightMm * (0.24 + (0.6 * (k - 1)) / Math.max(1, bands - 2));
    const swing = heightMm * Math.min(0.09, 0.4 / bands) * (0.5 + (0.5 * k) / bands);
    lines.push(
      Array.from({ length: columns + 1 }, (_, i): Corner => {
        const x = (i * widthMm) / columns;
        const above = lines[k - 2]?.[i]?.[1] ?? 0;
        const wanted = base + swing * ridge(x, k);
        return [x, Math.min(heightMm - (bands - k) * least, Math.max(above + least, wanted))];
      }),
    );
  }
  const ground: Corner[] = [
    [widthMm, heightMm],
    [0, heightMm],
  ];
  return [whole(frame), ...lines.map((line) => polygon([...line, ...ground]))];
}

/** Walls within walls: the far opening first, the nearest wall last. */
function stairwell(request: MotifRequest): Layers {
  const { frame, bands, brushMm, lamp } = request;
  const { widthMm, heightMm } = frame;
  const [halfW, halfH] = [Math.max(brushMm, 0.07 * widthMm), Math.max(brushMm, 0.1 * heightMm)];
  const [cx, cy] = [lamp.x * widthMm, lamp.y * heightMm];
  const sides = { left: cx - halfW, right: widthMm - cx - halfW, top: cy - halfH, bottom: heightMm - cy - halfH };
  const room = Math.min(...Object.values(sides));
  if (room < (bands - 1) * brushMm) throw tooMany(request, room + brushMm);
  const walls = Array.from({ length: bands }, (_, k) => {
    const t = k / (bands - 1);
    return rectangle(
      cx - halfW - t * sides.left,
      cy - halfH - t * sides.top,
      cx + halfW + t * sides.right,
      cy + halfH + t * sides.bottom,
    );
  });
  return walls.reverse();
}

const scaled = ({ widthMm, heightMm }: Frame, corners: readonly Corner[]): Shape =>
  polygon(corners.map(([x, y]): Corner => [x * widthMm, y * heightMm]));

/** What stands in front: a bench with a can and pots, a breakwater with its light, a banister. */
function silhouette(motif: Motif, frame: Frame): Shape {
  switch (motif) {
    case 'glow':
      return together(
        scaled(frame, [
          [0, 0.9],
          [1, 0.9],
          [1, 1],
          [0, 1],
        ]),
        scaled(frame, [
          [0.62, 0.7],
          [0.78, 0.7],
          [0.8, 0.91],
          [0.6, 0.91],
        ]),
        scaled(frame, [
          [0.78, 0.84],
          [0.9, 0.68],
          [0.94, 0.7],
          [0.8, 0.91],
        ]),
        scaled(frame, [
          [0.1, 0.76],
          [0.22, 0.76],
          [0.19, 0.91],
          [0.13, 0.91],
        ]),
        scaled(frame, [
          [0.28, 0.8],
          [0.38, 0.8],
          [0.36, 0.91],
          [0.3, 0.91],
        ]),
      );
    case 'ranges':
      return together(
        scaled(frame, [
          [0, 0.94],
          [0.55, 0.92],
          [0.72, 0.9],
          [0.74, 1],
          [0, 1],
        ]),
        scaled(frame, [
          [0.6, 0.66],
          [0.66, 0.66],
          [0.68, 0.92],
          [0.58, 0.92],
        ]),
        scaled(frame, [
          [0.59, 0.6],
          [0.63, 0.54],
          [0.67, 0.6],
          [0.67, 0.67],
          [0.59, 0.67],
        ]),
      );
    case 'stairwell':
      return together(
        scaled(frame, [
          [0, 0.56],
          [0.5, 0.9],
          [0.5, 0.96],
          [0, 0.62],
        ]),
        ...[0.05, 0.17, 0.29, 0.41].map((x) =>
          scaled(frame, [
            [x, 0.56 + 0.68 * x],
            [x + 0.035, 0.56 + 0.68 * x + 0.02],
            [x + 0.035, 1],
            [x, 1],
          ]),
        ),
      );
  }
}

const MAKERS: Record<Motif, (request: MotifRequest) => Layers> = { glow, ranges, stairwell };

export interface Sketch {
  /** To be drawn one over the other, in this order. `band` is 1 for the lightest. */
  readonly layers: readonly { readonly band: number; readonly shape: Shape }[];
  readonly silhouette: Shape;
}

/** A motif as layers that cover each other: quick to draw while something is dragged. Throws DoesNotFit. */
export function sketchMotif(motif: Motif, request: MotifRequest): Sketch {
  const layers = MAKERS[motif](request);
  // Hills begin with the sky, which is light; the others with what is farthest from the light.
  const band = (k: number) => (motif === 'ranges' ? k + 1 : layers.length - k);
  return { layers: layers.map((shape, k) => ({ band: band(k), shape })), silhouette: silhouette(motif, request.frame) };
}

/** The bands of a motif as they show, lightest first, and what stands in front of them. Throws DoesNotFit. */
export function drawMotif(
  motif: Motif,
  request: MotifRequest,
): { readonly bands: Shape[]; readonly silhouette: Shape } {
  const { layers, silhouette: front } = sketchMotif(motif, request);
  const shown = layers.map(({ band, shape }, k) => {
    const next = layers[k + 1];
    const inFrame = inside(shape, whole(request.frame));
    return { band, shape: next ? without(inFrame, next.shape) : inFrame };
  });
  return { bands: shown.sort((a, b) => a.band - b.band).map((s) => s.shape), silhouette: front };
}
