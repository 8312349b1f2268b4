/** The practice camera of the demo: prints, paints and photographs a sheet with the simulated devices. */
import type { SheetDrawing } from '@/core/sheet/drawing';
import type { SheetLayout } from '@/core/sheet/layout';
import { photograph } from '@/devices/camera';
import { type CameraCondition, shotFor } from '@/devices/camera-conditions';
import { paint, type PaintPlan } from '@/devices/painter';
import { print } from '@/devices/printer';
import { sheetToPng } from '@/print/sheet-png';

export interface PracticeTask {
  readonly task: 'practice';
  readonly sheet: SheetDrawing;
  readonly layout: SheetLayout;
  /** What is painted, numbered as the plan's steps; the layout's cells unless said. */
  readonly paintOn?: SheetLayout['cells'];
  readonly plan: PaintPlan;
  readonly condition: CameraCondition;
  readonly seed: number;
  readonly megapixels: number;
  readonly orientation: 1 | 6;
  readonly location: boolean;
}

const DPI = 300;

/** JPEG bytes of the photograph. */
export async function practiceShot(task: PracticeTask): Promise<Uint8Array> {
  const { layout } = task;
  const printed = await print(await sheetToPng(task.sheet, DPI), 'nominal', task.seed);
  const { surface } = paint(printed.surface, task.paintOn ?? layout.cells, task.plan, task.seed);
  const shot = shotFor(task.condition, layout, task.seed, task.megapixels);
  return photograph(surface, layout, shot, task.seed, { orientation: task.orientation, location: task.location });
}
