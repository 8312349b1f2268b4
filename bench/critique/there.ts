/** Whether something that is said of a painting is there: planted, or seen on the canvas itself. */
import type { PaintedPicture } from '@/devices/picture-painter';
import { meet, THIN } from '../painting/boxes';
import { movedParts } from '../painting/moved-parts';
import { nameOf } from '../painting/named-of-scene';
import { keptOf } from '../painting/own-lines';
import { paintedExtents } from '../painting/small-faults';
import type { ToldFix } from './critique-trial';
import { type Fault, STEP, TOLERANCE_STEPS } from './faults';
import { inRange, type Sitting } from './faulty-painting';

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

/** How much lighter some places were painted than theirs on the curve of the whole, L*; null of none. They are shares of the picture. */
function offAt(
  { sitting, picture, faults }: Canvas,
  isOne: (shape: number, x: number, y: number) => boolean,
): number | null {
  const { reference, value } = sitting;
  const { drawing, painted } = picture.canvas;
  let [n, sum] = [0, 0];
  drawing.shapeOf.forEach((shape, i) => {
    const [u, v] = [(drawing.x[i] as number) / reference.width, (drawing.y[i] as number) / reference.height];
    if (!isOne(shape, u, v)) return;
    const [x, y] = [Math.floor(drawing.x[i] as number), Math.floor(drawing.y[i] as number)];
    const at =
      Math.min(reference.height - 1, Math.max(0, y)) * reference.width + Math.min(reference.width - 1, Math.max(0, x));
    n++;
    sum += (painted[i] as number) - inRange(faults, value(reference.lightness[at] as number));
  });
  return n === 0 ? null : sum / n;
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
export function isOnCanvas(canvas: Canvas, { code, key, shape, box, steps, outline, light }: ToldFix): boolean {
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
    case 'line_off': {
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
