/** `worksheet scale`: writes a sheet as PDF or PNG and tells its geometry. */
import { writeFile } from 'node:fs/promises';
import { MEDIA, MEDIUM_IDS } from '@/core/exercise/media';
import { orderOfWork } from '@/core/exercise/order-of-work';
import { READING_ORDERS } from '@/core/exercise/scale';
import { drawScaleSheet } from '@/core/sheet/drawing';
import { geometryOf } from '@/core/sheet/geometry';
import { PAPER_IDS } from '@/core/sheet/paper';
import { scaleLayout } from '@/core/sheet/scale-layout';
import { sheetsToPdf } from '@/print/sheet-pdf';
import { sheetToPng } from '@/print/sheet-png';
import { BadArguments, callerPath, check, dpiOption, needed, oneOf, readOptions, stepsOption } from './arguments';

export async function worksheet(args: readonly string[]): Promise<unknown> {
  const { values, positionals } = readOptions(args, ['steps', 'paper', 'order', 'medium', 'dpi', 'out']);
  if (positionals[0] !== 'scale') throw new BadArguments(`worksheet knows "scale", got "${positionals[0] ?? ''}".`);
  const steps = check(stepsOption, values['steps'], '--steps');
  const paper = oneOf(PAPER_IDS, values['paper'], '--paper', 'a4');
  const order = oneOf(READING_ORDERS, values['order'], '--order', 'light-first');
  const medium = oneOf(MEDIUM_IDS, values['medium'], '--medium', 'gouache');
  const dpi = check(dpiOption, values['dpi'] ?? '300', '--dpi');
  const out = callerPath(needed(values['out'], '--out'));
  const layout = scaleLayout(steps, paper);
  const labels = layout.cells.map((c) => String(c.index));
  const sheet = drawScaleSheet(layout, {
    title: `Value scale in ${steps} steps`,
    subtitle: `${MEDIA[medium].name}, ${order === 'light-first' ? 'step 1 is white' : 'step 1 is black'}`,
    name: '',
    labels,
    work: orderOfWork(steps, order, 'ends-first', labels),
    medium,
    exercise: null,
    student: null,
  });
  if (out.toLowerCase().endsWith('.pdf')) await writeFile(out, await sheetsToPdf([sheet]));
  else if (out.toLowerCase().endsWith('.png')) await writeFile(out, await sheetToPng(sheet, dpi));
  else throw new BadArguments('--out must end in .pdf or .png.');
  return geometryOf(layout, dpi);
}
