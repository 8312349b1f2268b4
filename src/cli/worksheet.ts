/** `worksheet scale`: writes a sheet as PDF or PNG and tells its geometry. */
import { MEDIA, MEDIUM_IDS } from '@/core/exercise/media';
import { defaultScale, READING_ORDERS } from '@/core/exercise/scale';
import { workLines } from '@/core/kinds/table';
import { cautionText } from '@/core/planning/cautions';
import { drawScaleSheet } from '@/core/sheet/drawing';
import { geometryOf } from '@/core/sheet/geometry';
import { PAPER_IDS } from '@/core/sheet/paper';
import { scaleLayout } from '@/core/sheet/scale-layout';
import { BadArguments, check, dpiOption, needed, oneOf, readOptions, stepsOption } from './arguments';
import { writeSheet } from './write-sheet';

export async function worksheet(args: readonly string[]): Promise<unknown> {
  const { values, positionals } = readOptions(args, 'worksheet scale');
  if (positionals[0] !== 'scale') throw new BadArguments(`worksheet knows "scale", got "${positionals[0] ?? ''}".`);
  const steps = check(stepsOption, values['steps'], '--steps');
  const paper = oneOf(PAPER_IDS, values['paper'], '--paper', 'a4');
  const order = oneOf(READING_ORDERS, values['order'], '--order', 'light-first');
  const medium = oneOf(MEDIUM_IDS, values['medium'], '--medium', 'gouache');
  const dpi = check(dpiOption, values['dpi'] ?? '300', '--dpi');
  const out = needed(values['out'], '--out');
  const hue = values['hue'] === true;
  const layout = scaleLayout(steps, paper, { hue });
  const labels = layout.cells.map((c) => String(c.index));
  const terms = { ...defaultScale(medium, steps), order, paper };
  const sheet = drawScaleSheet(layout, {
    title: `Value scale in ${steps} steps`,
    subtitle: `${MEDIA[medium].name}, ${order === 'light-first' ? 'step 1 is white' : 'step 1 is black'}`,
    name: '',
    labels,
    work: workLines(terms, labels),
    care: cautionText({ medium, materials: terms.materials, underSixteen: false }),
    exercise: null,
    student: null,
    ...(hue && { kind: 'monochrome-scale' }),
  });
  await writeSheet(sheet, out, dpi);
  return geometryOf(layout, dpi);
}
