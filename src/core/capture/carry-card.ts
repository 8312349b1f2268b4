/**
 * The greys of a new print, carried over from a photograph of it beside a sheet whose greys are known. The known sheet
 * tells how the camera turned light into codes; light runs on smoothly from one sheet to the other, while the new
 * paper departs from it by one step, so that its whiteness and the light can be told apart.
 */
import { Matrix, solve } from 'ml-matrix';
import { labToLinearRgb, linearRgbToLab } from '../colour/lab';
import { applyMatrix, inverseMatrix } from '../colour/primaries';
import type { Triple } from '../colour/srgb';
import { grow, type BoxMm } from '../geometry/box';
import type { Photo } from '../raster/photo';
import { blankPlaces } from '../sheet/blank';
import { parseSheetTag } from '../sheet/qr';
import { scaleLayout, type ScaleLayout } from '../sheet/scale-layout';
import { calibrate } from './calibrate';
import { type Calibration } from './calibration';
import { CLIPPED_SHARE, sheetCard } from './card-in-photo';
import { readProfile, type CardReadings } from './card-profile';
import { checkGeometry } from './check-photo';
import { refuses } from './gate';
import type { Located } from './locate';
import type { KnownCard, SheetTools } from './open-sheet';
import { toPhoto } from './plane';
import { qrCrop } from './qr-crop';
import { meanCodes, sampleBox } from './sample';
import { sheetsIn } from './sort-sheets';
import { exposureOfCode, type ToneCurve } from './tone-curve';

/** The card can't be carried over from this picture; `message` says what to do. */
export class CantCarry extends Error {
  override readonly name = 'CantCarry';
}

export type Side = 'left' | 'right';

/** Edges of a patch are left out, as far as a camera's blur and sharpening reach. */
const INSET_MM = 1.8;
const STEP_MM = 0.5;
/** Weight of the prior on terms of the third degree, which light needs little of, against one place. */
const CUBIC = 0.5;
/** Paper of the two sheets further apart than this in reflectance is more likely a shadow than paper. */
const MOST_APART = 0.25;

interface Place {
  /** Over the photograph, -1 to 1. */
  readonly x: number;
  readonly y: number;
  /** Light times reflectance, each channel. */
  readonly seen: Triple;
}

function placeAt(photo: Photo, { plane }: Located, curves: Calibration['curves'], box: BoxMm): Place | null {
  const mean = meanCodes(sampleBox(photo, plane, box, STEP_MM));
  if (!mean || mean.clipped > CLIPPED_SHARE) return null;
  const at = toPhoto(plane, box.xMm + box.widthMm / 2, box.yMm + box.heightMm / 2);
  const seen = curves.map((c: ToneCurve, k) =>
    Math.max(1e-4, exposureOfCode(c, mean.codes[k] as number) - c.stray),
  ) as unknown as Triple;
  return { x: (2 * at.x) / photo.width - 1, y: (2 * at.y) / photo.height - 1, seen };
}

/** Constant, slopes, curvature, third degree. */
const terms = (x: number, y: number): number[] => [1, x, y, x * x, x * y, y * y, x ** 3, x * x * y, x * y * y, y ** 3];

const CUBIC_TERMS = [6, 7, 8, 9] as const;
/** Behind the terms of light: ln of the new paper's reflectance. */
const PAPER_TERM = 10;
/** Fewer bare places on a sheet can't tell its light. */
const LEAST_BARE = 20;

/** ln of the light in one channel over both sheets, and of the new paper's reflectance. */
function fitLight(
  known: readonly { readonly place: Place; readonly reflectance: Triple }[],
  bare: readonly Place[],
  channel: 0 | 1 | 2,
) {
  const rows = [
    ...known.map(({ place, reflectance }) => ({
      row: [...terms(place.x, place.y), 0],
      right: Math.log(place.seen[channel] / reflectance[channel]),
    })),
    ...bare.map((place) => ({ row: [...terms(place.x, place.y), 1], right: Math.log(place.seen[channel]) })),
  ];
  // Linear least squares; each prior is a row of its own that wants its term to be nothing.
  const priors = CUBIC_TERMS.map((k) => ({
    row: Array.from({ length: PAPER_TERM + 1 }, (_, i) => (i === k ? Math.sqrt(CUBIC) : 0)),
    right: 0,
  }));
  const all = [...rows, ...priors];
  const q = solve(new Matrix(all.map((r) => r.row)), Matrix.columnVector(all.map((r) => r.right))).to1DArray();
  return {
    lightAt: (p: Place) => Math.exp(terms(p.x, p.y).reduce((s, t, k) => s + t * (q[k] ?? 0), 0)),
    paper: Math.exp(q[PAPER_TERM] ?? 0),
  };
}

/** What the codes of sheets with a plain row of steps say: others carry too little bare paper. */
const PLAIN_ROWS: readonly string[] = ['scale', 'monochrome-scale'];

async function layoutOf(photo: Photo, { plane, frame }: Located, tools: SheetTools): Promise<ScaleLayout> {
  const text = await tools.readQr(qrCrop(photo, plane, frame.qrBox));
  const tag = text === null ? null : parseSheetTag(text);
  if (!tag)
    throw new CantCarry(
      'The code of one of the two sheets can’t be read: get both sheets whole and sharp into the picture.',
    );
  if (!PLAIN_ROWS.includes(tag.kind))
    throw new CantCarry(
      'Lay two sheets of a plain value scale side by side: other sheets carry too little bare paper.',
    );
  return scaleLayout(tag.steps, frame.paper);
}

/**
 * Readings of the sheet that is not known, as an instrument would give them: L*a*b* of its paper and its greys. Throws
 * CantCarry, and WrongCard where `card` is not that of the known sheet.
 */
export async function carryCard(
  photo: Photo,
  { card, known: side }: { readonly card: KnownCard; readonly known: Side },
  tools: SheetTools,
): Promise<CardReadings> {
  const { found } = sheetsIn(tools.cv, photo);
  if (found.length !== 2) {
    const sheets = ['No sheet was', 'Only one sheet was'][found.length] ?? `${found.length} sheets were`;
    throw new CantCarry(
      `${sheets} found: lay the known sheet and the new one side by side, both whole in the picture.`,
    );
  }
  const middle = ({ plane, frame }: Located) => toPhoto(plane, frame.widthMm / 2, frame.heightMm / 2).x;
  const [left, right] = [...found].sort((a, b) => middle(a) - middle(b)) as [Located, Located];
  const [old, fresh] = side === 'left' ? [left, right] : [right, left];
  for (const sheet of found) {
    const issue = checkGeometry(sheet.plane, sheet.frame, sheet.edges).find((i) => refuses([i]));
    if (issue) throw new CantCarry(issue.say);
  }
  const [oldLayout, freshLayout] = [await layoutOf(photo, old, tools), await layoutOf(photo, fresh, tools)];
  const profile = readProfile(oldLayout, card.readings, card.basis);
  const { calibration } = calibrate(photo, sheetCard(old.plane, oldLayout), profile);
  if (!calibration)
    throw new CantCarry('The greys of the known sheet are lost in the light: tap on the paper to darken the picture.');
  const { curves, matrix } = calibration;

  const bareOf = (sheet: Located, layout: ScaleLayout) =>
    blankPlaces(layout).flatMap((box) => placeAt(photo, sheet, curves, box) ?? []);
  const sheetPaper = labToLinearRgb(profile.paper);
  // As the camera's own channels see it.
  const paper = matrix ? applyMatrix(inverseMatrix(matrix), sheetPaper) : sheetPaper;
  const known = bareOf(old, oldLayout).map((place) => ({ place, reflectance: paper }));
  const bare = bareOf(fresh, freshLayout);
  if (known.length < LEAST_BARE || bare.length < LEAST_BARE)
    throw new CantCarry('Too little bare paper shows on one of the sheets: lay two fresh prints side by side.');
  const fits = ([0, 1, 2] as const).map((c) => fitLight(known, bare, c));
  const off = Math.max(...fits.map((f, c) => Math.abs(f.paper / (paper[c] as number) - 1)));
  if (off > MOST_APART)
    throw new CantCarry(
      'The light changes between the two sheets, as a shadow does: lay them where it falls evenly on both.',
    );
  const labOf = (seen: Triple): Triple => linearRgbToLab(matrix ? applyMatrix(matrix, seen) : seen);
  const patches = new Map<number, Triple>();
  freshLayout.patches.forEach((patch, i) => {
    const place = placeAt(photo, fresh, curves, grow(patch, -INSET_MM));
    if (!place)
      throw new CantCarry(
        `Grey ${i + 1} of the new sheet is lost in the light: tap on the paper to darken the picture.`,
      );
    patches.set(i + 1, labOf(fits.map((f, c) => (place.seen[c] as number) / f.lightAt(place)) as unknown as Triple));
  });
  return { paper: labOf(fits.map((f) => f.paper) as unknown as Triple), patches };
}
