/**
 * The simulated student who paints from a picture: draws it by hand, mixes greys for what is seen, some shapes mistaken,
 * and paints from large brushes to small. Each fault is planted with its place and size; what came to stand where is told
 * beside the painted surface.
 */
import { labToLinearRgb } from '@/core/colour/lab';
import { raster } from '@/core/raster/raster';
import { type Accent, coverOf } from './accents';
import { type Brushes, paintStrokes } from './brushwork';
import { draw, type Drawing, type Hand, type SeenPicture } from './drawing-hand';
import type { PaintedFrameMm } from './notan-painter';
import { chance, smoothNoise } from './random';
import type { Surface } from './reflectance';

type Hue = readonly [a: number, b: number];

export interface PicturePlan extends Hand, Brushes {
  /** From the L* of the picture to the L* that is meant on the canvas. */
  readonly value: (lightness: number) => number;
  /** L* by which shapes are mistaken, by their number. */
  readonly mistaken: ReadonlyMap<number, number>;
  /** Where a shape that should be quiet is full of marks: by how much L*, and how large they are (widths). */
  readonly busy?: { readonly shape: number; readonly by: number; readonly size: number } | undefined;
  /** Thin lines, painted last with a small brush. */
  readonly accents?: readonly Accent[];
  /** L* of the ground. */
  readonly ground: number;
  /** Strength of the strokes' own texture, L*. */
  readonly streaks: number;
  /** a* and b* that all of the paint has besides; grey unless said. */
  readonly hue?: Hue;
}

export interface PaintedPicture {
  readonly surface: Surface;
  /** Of the canvas, row by row: what was drawn where, what was meant there and what came to stand, L*; and whose shape shows. */
  readonly canvas: {
    readonly width: number;
    readonly height: number;
    readonly drawing: Drawing;
    readonly meant: Float32Array;
    readonly painted: Float32Array;
    readonly shows: Uint8Array;
  };
}

/** No paint sends less light back, in any part of the spectrum. */
const DARKEST = 0.002;

/** The canvas is worked on this fine, places across. */
const ACROSS = 900;

/** L* between places of the picture; places count from their middles. */
function lightnessAt({ lightness, width, height }: SeenPicture, x: number, y: number): number {
  const u = Math.min(width - 1, Math.max(0, x - 0.5));
  const v = Math.min(height - 1, Math.max(0, y - 0.5));
  const c = Math.min(width - 2, Math.floor(u));
  const r = Math.min(height - 2, Math.floor(v));
  const [a, b] = [u - c, v - r];
  const i = r * width + c;
  const above = (1 - a) * (lightness[i] as number) + a * (lightness[i + 1] as number);
  const below = (1 - a) * (lightness[i + width] as number) + a * (lightness[i + width + 1] as number);
  return (1 - b) * above + b * below;
}

/** A line over what was painted, as light as the picture has it there. */
function paintAccent(
  painted: Float32Array,
  { x, y }: Drawing,
  picture: SeenPicture,
  { value }: PicturePlan,
  accent: Accent,
  across: number,
): void {
  const cover = coverOf(accent, 1 / across);
  for (let i = 0; i < painted.length; i++) {
    const [px, py] = [x[i] as number, y[i] as number];
    const share = cover(px / picture.width - 0.5, (py - picture.height / 2) / picture.width);
    if (share > 0) {
      const wanted = value(lightnessAt(picture, px, py) + accent.by);
      painted[i] = (1 - share) * (painted[i] as number) + share * wanted;
    }
  }
}

/** A stroke that lies over an outline moves it where it differs by this from what was meant there, L*. */
const LAPS_OVER = 4;

/** The shape that each place of a canvas shows: strokes of one lie over the outline of another. */
const shapesThatShow = (
  { shapeOf }: Drawing,
  meant: Float32Array,
  painted: Float32Array,
  mixedFor: Int32Array,
): Uint8Array =>
  shapeOf.map((own, i) => {
    const from = mixedFor[i] as number;
    const laps = from >= 0 && Math.abs((painted[i] as number) - (meant[i] as number)) > LAPS_OVER;
    return laps ? (shapeOf[from] as number) : own;
  });

/** Paints a copy of the surface inside the frame. */
export function paintPicture(
  printed: Surface,
  frame: PaintedFrameMm,
  picture: SeenPicture,
  plan: PicturePlan,
  seed: number,
): PaintedPicture {
  const own = chance(seed).fork('picture');
  const [across, down] = [ACROSS, Math.round((ACROSS * frame.heightMm) / frame.widthMm)];
  const drawing = draw(picture, plan, across, down, own.fork('hand'));
  const marks = own.fork('marks').whole(1, 1e9);
  const meant = Float32Array.from(drawing.x, (x, i) => {
    const [y, shape] = [drawing.y[i] as number, drawing.shapeOf[i] as number];
    const { busy } = plan;
    const mark =
      busy?.shape === shape
        ? busy.by * smoothNoise(x / (busy.size * picture.width), y / (busy.size * picture.width), marks)
        : 0;
    return plan.value(lightnessAt(picture, x, y)) + (plan.mistaken.get(shape) ?? 0) + mark;
  });
  const { painted, mixedFor } = paintStrokes(meant, across, down, plan.ground, plan, own.fork('brushes'));
  const shows = shapesThatShow(drawing, meant, painted, mixedFor);
  for (const accent of plan.accents ?? []) paintAccent(painted, drawing, picture, plan, accent, across);
  const { width, height } = printed.reflectance;
  const data = Float32Array.from(printed.reflectance.data);
  const perMm = printed.dpi / 25.4;
  const strokes = own.whole(1, 1e9);
  const { hue = [0, 0] } = plan;
  const hueAt = (x: number, y: number): Hue => {
    const { hues, width: wide, height: tall } = picture;
    if (!hues) return hue;
    const i = Math.floor(y * down) * across + Math.floor(x * across);
    const column = Math.min(wide - 1, Math.max(0, Math.floor(drawing.x[i] as number)));
    const row = Math.min(tall - 1, Math.max(0, Math.floor(drawing.y[i] as number)));
    const at = 2 * (row * wide + column);
    return [hue[0] + (hues[at] as number), hue[1] + (hues[at + 1] as number)];
  };
  const canvas: SeenPicture = { width: across, height: down, lightness: painted, shapeOf: drawing.shapeOf };
  const [x0, y0] = [Math.round(frame.xMm * perMm), Math.round(frame.yMm * perMm)];
  const [x1, y1] = [
    Math.min(width, Math.round((frame.xMm + frame.widthMm) * perMm)),
    Math.min(height, Math.round((frame.yMm + frame.heightMm) * perMm)),
  ];
  for (let py = y0; py < y1; py++)
    for (let px = x0; px < x1; px++) {
      const x = (px + 0.5 - x0) / (x1 - x0);
      const y = (py + 0.5 - y0) / (y1 - y0);
      const value = lightnessAt(canvas, x * across, y * down);
      const stroke = smoothNoise((x * frame.widthMm) / 1.3, (y * frame.heightMm) / 14, strokes);
      const [a, b] = hueAt(x, y);
      const [red, green, blue] = labToLinearRgb([value + (0.4 + plan.streaks) * stroke, a, b]);
      const i = (py * width + px) * 3;
      data[i] = Math.max(DARKEST, red);
      data[i + 1] = Math.max(DARKEST, green);
      data[i + 2] = Math.max(DARKEST, blue);
    }
  return {
    surface: { reflectance: raster('linear', width, height, 3, data), dpi: printed.dpi },
    canvas: { width: across, height: down, drawing, meant, painted, shows },
  };
}
