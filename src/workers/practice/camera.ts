/** The practice camera of the demo: prints, paints and photographs a sheet with the simulated devices. */
import type { SheetDrawing } from '@/core/sheet/drawing';
import type { SheetLayout } from '@/core/sheet/layout';
import { paintAreas, type PaintedArea } from '@/devices/area-painter';
import { type CutPiece, layBoard } from '@/devices/board';
import { photograph } from '@/devices/camera';
import { type CameraCondition } from '@/devices/condition-names';
import { shotFor } from '@/devices/camera-conditions';
import type { SeenPicture } from '@/devices/drawing-hand';
import { type NotanPlan, paintTones, type ToneMap } from '@/devices/notan-painter';
import { paint, type PaintPlan } from '@/devices/painter';
import { paintPicture, type PicturePlan } from '@/devices/picture-painter';
import { print } from '@/devices/printer';
import { sheetToPng } from '@/print/sheet-png';

export interface PracticeTask {
  readonly task: 'practice';
  readonly sheet: SheetDrawing;
  readonly layout: SheetLayout;
  /** What is painted, numbered as the plan's steps; the layout's cells unless said. */
  readonly paintOn?: SheetLayout['cells'];
  readonly plan: PaintPlan;
  /** Shapes filled in place of cells, for pictures. */
  readonly areas?: readonly PaintedArea[];
  /** A picture in few tones, painted into the frame in place of the plan. */
  readonly tones?: { readonly map: ToneMap; readonly plan: NotanPlan };
  /** A picture in many values, painted into the frame; its L* are those that are meant. */
  readonly picture?: { readonly seen: SeenPicture; readonly plan: Omit<PicturePlan, 'value'> };
  /** The sheet is cut into corner pieces, and the plan painted in stripes on a board between them. */
  readonly board?: { readonly pieces: readonly CutPiece[]; readonly widthMm: number; readonly heightMm: number };
  readonly condition: CameraCondition;
  readonly seed: number;
  readonly megapixels: number;
  readonly orientation: 1 | 6;
  readonly location: boolean;
}

const DPI = 300;
/** Large flat shapes need less. */
const TONES_DPI = 200;

/** JPEG bytes of the photograph. */
export async function practiceShot(task: PracticeTask): Promise<Uint8Array> {
  const { layout } = task;
  const printed = await print(
    await sheetToPng(task.sheet, task.tones || task.picture ? TONES_DPI : DPI),
    'nominal',
    task.seed,
  );
  const file = { orientation: task.orientation, location: task.location };
  if (task.board) {
    const { pieces, widthMm, heightMm } = task.board;
    const scene = layBoard(
      printed.surface,
      pieces,
      { widthMm, heightMm, lightness: task.plan.lightness, without: null, careless: 1 },
      task.seed,
    );
    const stage = { widthMm: scene.widthMm, heightMm: scene.heightMm, cells: [] };
    return photograph(
      scene.surface,
      stage,
      shotFor(task.condition, stage, task.seed, task.megapixels),
      task.seed,
      file,
    );
  }
  const frame = layout.cells[0];
  if (task.tones && frame) {
    const { surface } = paintTones(printed.surface, frame, task.tones.map, task.tones.plan, task.seed);
    return photograph(surface, layout, shotFor(task.condition, layout, task.seed, task.megapixels), task.seed, file);
  }
  if (task.picture && frame) {
    const { seen, plan } = task.picture;
    const { surface } = paintPicture(printed.surface, frame, seen, { ...plan, value: (l) => l }, task.seed);
    return photograph(surface, layout, shotFor(task.condition, layout, task.seed, task.megapixels), task.seed, file);
  }
  const surface = task.areas
    ? paintAreas(printed.surface, task.areas, task.seed)
    : paint(printed.surface, task.paintOn ?? layout.cells, task.plan, task.seed).surface;
  const shot = shotFor(task.condition, layout, task.seed, task.megapixels);
  return photograph(surface, layout, shot, task.seed, file);
}
