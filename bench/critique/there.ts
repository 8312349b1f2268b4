/** Whether something that is said of a painting is there: planted, or seen on the canvas itself. */
import type { Drawing } from '@/devices/drawing-hand';
import type { PaintedPicture } from '@/devices/picture-painter';
import { meet, THIN } from '../painting/boxes';
import { acrossOf } from '../painting/modelling-faults';
import { movedParts } from '../painting/moved-parts';
import { nameOf } from '../painting/named-of-scene';
import { keptOf } from '../painting/own-lines';
import type { Reference } from '../painting/references';
import { paintedExtents } from '../painting/small-faults';
import { type Fault, STEP, TOLERANCE_STEPS } from './faults';
import { inRange, type Sitting } from './faulty-painting';
import type { ToldFix } from './told-fix';

const names = (shapes: readonly number[]): string[] =>
  shapes.flatMap((s) => [nameOf(s), nameOf(s).split(' >')[0] as string]);

/** Whether a fix is about a planted fault. */
export function isAbout(fault: Fault, { code, key, shape, box }: ToldFix): boolean {
  const of = (shapes: readonly number[]) =>
    names(shapes).some((name) => shape === name || key.includes(`${name} and `) || key.endsWith(` and ${name}`));
  switch (fault.kind) {
    case 'value':
      return ['part_off', 'contrast_off', 'gradient_off', 'extent_off'].includes(code) && of([fault.shape]);
    case 'move':
      return ['feature_moved', 'gap_off'].includes(code) && of(fault.move.shapes);
    case 'reach':
      return ['extent_off', 'feature_moved'].includes(code) && of([fault.spread.grows, fault.spread.gives]);
    case 'busy':
      return code === 'extent_off' && of([fault.busy.shape]);
    case 'line':
      return code === 'line_off' && box !== undefined && meet(box, fault.planted.box, THIN);
    case 'range':
      return ['range_short', 'all_lighter', 'all_darker', 'middle_crowded'].includes(code);
  }
}

/** What can be asked of a painted canvas itself, whatever was measured on its photograph. */
export interface Canvas {
  readonly sitting: Sitting;
  readonly picture: PaintedPicture;
  readonly faults: readonly Fault[];
}

/** Place of the picture that a place of the canvas looks at. */
function placeOf({ x, y }: Drawing, i: number, { width, height }: Reference): number {
  const [column, row] = [Math.floor(x[i] as number), Math.floor(y[i] as number)];
  return Math.min(height - 1, Math.max(0, row)) * width + Math.min(width - 1, Math.max(0, column));
}

/** How much lighter each place of a canvas was painted than its own on the curve of the whole, L*. */
function differences({ sitting: { reference, value }, picture: { canvas }, faults }: Canvas): Float32Array {
  return canvas.painted.map(
    (l, i) => l - inRange(faults, value(reference.lightness[placeOf(canvas.drawing, i, reference)] as number)),
  );
}

/** The mean of that over some places, whose middles are shares of the picture; null of none. */
function offAt(canvas: Canvas, isOne: (shape: number, x: number, y: number) => boolean): number | null {
  const { width, height } = canvas.sitting.reference;
  const { drawing } = canvas.picture.canvas;
  const off = differences(canvas).filter((_, i) =>
    isOne(drawing.shapeOf[i] as number, (drawing.x[i] as number) / width, (drawing.y[i] as number) / height),
  );
  return off.length === 0 ? null : off.reduce((s, v) => s + v, 0) / off.length;
}

const offOf = (canvas: Canvas, name: string): number | null => offAt(canvas, (shape) => nameOf(shape) === name);

/** Whether a place lies within rings, by how many sides of them a line from it to the left crosses. */
const isInside = (rings: ToldFix['outline'], x: number, y: number): boolean =>
  rings.reduce((inside, ring) => {
    const crosses = ring.filter(([x1, y1], k) => {
      const [x0, y0] = ring[(k + ring.length - 1) % ring.length] as [number, number];
      return y1 > y !== y0 > y && x < x1 + ((y - y1) / (y0 - y1)) * (x0 - x1);
    }).length;
    return crosses % 2 === 1 ? !inside : inside;
  }, false);

/** What a plane through how far a shape is off makes from one side of it to the other, L*. */
function slopeOf(canvas: Canvas, name: string): number {
  const { shapeOf } = canvas.picture.canvas.drawing;
  const off = differences(canvas);
  const places = [...off.keys()].filter((i) => nameOf(shapeOf[i] as number) === name);
  return places.length === 0 ? 0 : acrossOf(places, canvas.picture.canvas.width, (i) => off[i] as number);
}

/** Whether there is a thin line on the canvas, in a box, that the picture has not: at least so far from what lies about it, L*. */
const LINE = 5;
function isExtraLine({ sitting, picture }: Canvas, box: NonNullable<ToldFix['box']>, light: boolean): boolean {
  const { reference, value } = sitting;
  const { drawing, painted } = picture.canvas;
  const places = [...painted.keys()].filter((i) => {
    const [u, v] = [(drawing.x[i] as number) / reference.width, (drawing.y[i] as number) / reference.height];
    return u >= box.x && v >= box.y && u <= box.x + box.width && v <= box.y + box.height;
  });
  const sorted = places.sort((a, b) => (light ? -1 : 1) * ((painted[a] as number) - (painted[b] as number)));
  const [line, beside] = [sorted.slice(0, sorted.length / 5), sorted.slice(sorted.length / 5)];
  const mean = (own: readonly number[], of: (i: number) => number) => own.reduce((s, i) => s + of(i), 0) / own.length;
  const stands = (of: (i: number) => number) => (light ? 1 : -1) * (mean(line, of) - mean(beside, of));
  const made = stands((i) => painted[i] as number);
  return (
    made > LINE && stands((i) => value(reference.lightness[placeOf(drawing, i, reference)] as number)) < 0.6 * made
  );
}

/** What is said is there from this share of what it is told from on. */
const NEARLY = 0.7;

function isMoved({ sitting, picture }: Canvas, name: string): boolean {
  const shapes = sitting.named.map((n) => n.shape).filter((s) => isOfThing(name, s));
  if (shapes.length === 0) return false;
  const still = { shapes, dx: 0, dy: 0, width: 1, height: 1, slant: 0 };
  return movedParts(sitting.reference, picture.canvas, sitting.whole, still, nameOf).some(
    ({ dx, dy, width, height, slant }) =>
      Math.hypot(dx, dy) > NEARLY * 0.015 ||
      Math.max(Math.abs(width - 1), Math.abs(height - 1)) > NEARLY * 0.1 ||
      Math.abs(slant) > NEARLY * 5,
  );
}

const isOfThing = (name: string, shape: number) => nameOf(shape) === name || nameOf(shape).startsWith(`${name} >`);

function isAskew({ whole: { shift, scale, rotation } }: Sitting, code: string): boolean {
  if (code === 'picture_moved') return Math.hypot(shift.x, shift.y) > NEARLY * 0.015;
  if (code === 'picture_turned') return Math.abs(rotation) > NEARLY;
  return Math.max(Math.abs(scale.x - 1), Math.abs(scale.y - 1)) > NEARLY * 0.03;
}

/** Whether the canvas shows what a fix says, though nobody planted it: hands stray, and one fault makes others. */
export function isOnCanvas(canvas: Canvas, { code, key, shape, box, steps, outline, light, kind }: ToldFix): boolean {
  const limit = NEARLY * TOLERANCE_STEPS * STEP;
  const { sitting, picture } = canvas;
  switch (code) {
    case 'part_off': {
      const off = offAt(canvas, (_, x, y) => isInside(outline, x, y));
      return off !== null && Math.sign(off) === Math.sign(steps) && Math.abs(off) > limit;
    }
    case 'contrast_off': {
      const [one, other] = key
        .replace('contrast_off shape contrast ', '')
        .split(' and ')
        .map((name) => offOf(canvas, name));
      return Math.abs((one ?? 0) - (other ?? 0)) > limit;
    }
    case 'extent_off':
      return paintedExtents(
        sitting.reference,
        sitting.named,
        picture.canvas.drawing.shapeOf,
        picture.canvas.shows,
      ).some((e) => [nameOf(e.shape), nameOf(e.beside)].includes(shape ?? '') && Math.abs(e.by) > 0.05);
    case 'gradient_off':
      return shape !== undefined && slopeOf(canvas, shape) > NEARLY * (TOLERANCE_STEPS + 0.6) * STEP;
    case 'line_off': {
      if (kind === 'extra') return box !== undefined && isExtraLine(canvas, box, light);
      const kept = box ? keptOf(picture.canvas, sitting.reference, sitting.value, { box, light }) : NaN;
      return Math.abs(kept - 1) > 0.2;
    }
    case 'feature_moved':
      return shape !== undefined && isMoved(canvas, shape);
    case 'gap_off':
      return key
        .replace('gap_off shape gap ', '')
        .split(' and ')
        .some((name) => isMoved(canvas, name));
    case 'picture_moved':
    case 'picture_turned':
    case 'picture_sized':
      return isAskew(sitting, code);
    default:
      return false;
  }
}
