/** A class's palette as files, in and out, and the mixes that come nearest to another program's swatches. */
import { MEDIA, type MediumId } from '@/core/exercise/media';
import { PAINTS } from '@/core/exercise/paints';
import { BadPalette, formatPalette, type PaletteRow, parsePalette } from '@/core/formats/palette-csv';
import { BadSwatches, formatGpl, gplColours, parseGpl, type Swatch, swatchLab } from '@/core/formats/palette-gpl';
import { greySet } from '@/core/mixing/grey-set';
import { coveringLab, type Figures, figuresOf, mixModel, paletteOf, type Parts } from '@/core/mixing/paint-model';
import { SURFACE_OF } from '@/core/mixing/surface';
import { classToChange, Refused, type Teacher } from '../access/actor';
import type { House } from '../house';
import { type ClassPalette, paletteFor, setPalette } from './palettes';

/** A palette as rows of paints with their figures, learnt or not. */
export function rowsOf(palette: ClassPalette): PaletteRow[] {
  return palette.paints.map((paint) => ({
    paint,
    ...figuresOf(paint, { ...palette.figures, ...palette.fit?.figures }),
  }));
}

export const paletteCsv = (palette: ClassPalette): string => formatPalette(rowsOf(palette));

/** The paints and their nine greys, as swatches for other programs. */
export function paletteGpl(palette: ClassPalette, className: string): string {
  const figures = { ...palette.figures, ...palette.fit?.figures };
  const models = paletteOf(palette.paints, figures);
  const surface = SURFACE_OF[palette.medium];
  const paints = palette.paints.map((p) => ({
    name: PAINTS[p].name,
    lab: coveringLab(mixModel(models, { [p]: 1 }), surface),
  }));
  const greys = greySet(palette.paints, figures, palette.medium).map((parts, i) => ({
    name: `grey ${i + 1}`,
    lab: coveringLab(mixModel(models, parts), surface),
  }));
  return formatGpl(`${className}, ${MEDIA[palette.medium].name}`, gplColours([...paints, ...greys]));
}

/** Takes in paints with their figures, whole or not at all. */
export async function importPalette(
  house: House,
  teacher: Teacher,
  classId: string,
  medium: MediumId,
  csv: string,
): Promise<void> {
  await classToChange(house, teacher, classId);
  let rows: PaletteRow[];
  try {
    rows = parsePalette(csv);
  } catch (error) {
    if (error instanceof BadPalette) throw new Refused(error.message);
    throw error;
  }
  const figures = Object.fromEntries(
    rows.map(({ paint, massTone, tinting }) => [paint, { massTone, tinting }]),
  ) as Figures;
  // A file stands for itself: whoever brings one in means all of it.
  await setPalette(house, teacher, classId, medium, { paints: rows.map((r) => r.paint), figures }, null);
}

export interface NearestMix {
  readonly swatch: Swatch;
  readonly parts: Parts;
  /** CIEDE2000 between the swatch and the nearest mix. */
  readonly off: number;
}

/** The mixes of a class's paints that come nearest to the colours of a file. Throws Refused. */
export async function nearestMixes(
  house: House,
  teacher: Teacher,
  classId: string,
  medium: MediumId,
  gpl: string,
): Promise<NearestMix[]> {
  const own = await paletteFor(house, teacher, classId, medium);
  let swatches: Swatch[];
  try {
    swatches = parseGpl(gpl);
  } catch (error) {
    if (error instanceof BadSwatches) throw new Refused(error.message);
    throw error;
  }
  const found = await house.pool.run({
    task: 'nearest',
    paints: own.paints,
    figures: { ...own.figures, ...own.fit?.figures },
    medium,
    wanted: swatches.map(swatchLab),
  });
  return swatches.flatMap((swatch, i) => (found[i] ? [{ swatch, ...found[i] }] : []));
}
