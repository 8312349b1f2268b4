/** Measuring one photograph, from a file on disk. The command line and the pool share it. */
import type { KnownCard } from '@/core/capture/open-sheet';
import type { StoredTarget } from '@/core/capture/stored-target';
import { type Target, targetIn } from '@/core/capture/target';
import type { MeasureStage, MeasureTools } from '@/core/capture/tools';
import type { Triple } from '@/core/colour/srgb';
import type { SteppedTerms, TermsOf } from '@/core/exercise/terms';
import type { FamilyId } from '@/core/kinds/family-ids';
import { exerciseLayout, kindOf, kindsOnSheetOf } from '@/core/kinds/table';
import type { Photo } from '@/core/raster/photo';
import { measureScale } from '@/core/scale/measure';
import { measureBands } from '@/core/scale/measure-bands';
import type { ScaleResult } from '@/core/scale/result';
import { decodePhoto, withPhoto } from '../decoding/decode';
import { loadOpenCv } from '../decoding/opencv';
import { readQr } from '../decoding/read-qr';

/** A photograph, and what is known of what is in it. */
export interface Photograph {
  readonly file: string;
  /** EXIF orientation 1 to 8 when the file no longer holds it; null reads it from the file. */
  readonly orientation: number | null;
  /** What is in the picture; a worksheet unless said. */
  readonly target?: Target | StoredTarget | null;
  readonly card?: KnownCard;
  /** Length on paper of the line that each corner piece calls 100 mm, where somebody measured it. */
  readonly lineMm?: number;
  readonly expected: { readonly exercise: string | null; readonly student: string | null };
}

export interface MeasureScaleTask extends Photograph {
  readonly task: 'measure-scale';
  readonly terms: SteppedTerms;
  /** Whether its sheet carries coloured patches; told by the kind unless said. */
  readonly hue?: boolean;
  /** What the exercise's paints predict: colours of the steps in reading order, and the pure colour's lightness where there is one. */
  readonly paints?: { readonly labs: readonly Triple[]; readonly pure: number | null };
  /** Photograph of the sheet blank, in the same light. */
  readonly flat?: string;
}

export type Stage = 'opening the picture' | MeasureStage;

const known = ({ card, lineMm }: Pick<Photograph, 'card' | 'lineMm'>) => ({
  ...(card && { card }),
  ...(lineMm !== undefined && { lineMm }),
});

/** What is read of one photograph, by the ways of a family. */
type Read = (photo: Photo, task: MeasureScaleTask, tools: MeasureTools) => Promise<ScaleResult>;

const readRow: Read = async (photo, task, tools) => {
  const { terms, expected, paints } = task;
  const layout = exerciseLayout(terms);
  const { hue: colour } = kindOf(terms).row(terms);
  const flat = task.flat === undefined ? null : await decodePhoto(task.flat);
  const pure = colour && typeof paints?.pure === 'number' ? { lightness: paints.pure, at: colour.pureAt } : null;
  return measureScale(
    photo,
    {
      terms: { ...terms, ...(pure && { pure }) },
      expected,
      sheetKinds: kindsOnSheetOf(terms),
      hue: task.hue ?? layout.chroma.length > 0,
      chipRows: layout.chips.length / terms.steps,
      ...(paints && { paints: paints.labs }),
      target: targetIn(photo, task.target),
      ...known(task),
      ...(flat && { flat }),
    },
    tools,
  );
};

const readBands: Read = (photo, task, tools) => {
  const { expected, paints } = task;
  const terms = task.terms as TermsOf<'bands'>;
  const pure = paints?.pure ?? null;
  return measureBands(
    photo,
    {
      terms,
      expected,
      ...(paints && { paints: paints.labs }),
      ...(pure !== null && { pureLightness: pure }),
      target: targetIn(photo, task.target),
      ...known(task),
    },
    tools,
  );
};

/** How each family with a row of steps is read. */
const READ: Partial<Record<FamilyId, Read>> = { steps: readRow, chips: readRow, bands: readBands };

/**
 * What a photograph measures.
 *
 * @throws RangeError for a kind whose family is read in another way.
 */
export async function measured(photo: Photo, task: MeasureScaleTask, tools: MeasureTools): Promise<ScaleResult> {
  const { family } = kindOf(task.terms);
  const read = READ[family];
  if (!read) throw new RangeError(`The family “${family}” has no row of steps to read.`);
  return read(photo, task, tools);
}

/** Throws UnusablePicture when the file can't be read as a photograph; WrongCard, BadFlat and BadCorners on what was given beside it. */
export async function measureScaleFile(task: MeasureScaleTask, onStage?: (stage: Stage) => void): Promise<ScaleResult> {
  onStage?.('opening the picture');
  const { cv } = await loadOpenCv();
  return withPhoto(task.file, task.orientation, (photo) =>
    measured(photo, task, { cv, readQr, ...(onStage && { onStage }) }),
  );
}
