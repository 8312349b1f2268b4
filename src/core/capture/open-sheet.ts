/** Opens the photograph of a sheet: finds it, reads its code, fits its greys; or says why it can't be used. */
import type { Photo } from '../raster/photo';
import type { SheetLayout } from '../sheet/layout';
import type { PaperId } from '../sheet/paper';
import { parseSheetTag, type SheetTag } from '../sheet/qr';
import type { OpenCv } from '../vision/opencv';
import { calibrate } from './calibrate';
import { type Calibration } from './calibration';
import { type CardInPhoto, sheetCard } from './card-in-photo';
import { type CardReadings, nominalProfile, readProfile } from './card-profile';
import { checkExposure, checkLight } from './check-light';
import { checkGeometry, explainNotLocated } from './check-photo';
import { lightOfBlank } from './flat-light';
import { type CaptureIssue, issue, refuses } from './gate';
import { type Located, locateSheet } from './locate';
import { type GreyPicture, qrCrop } from './qr-crop';

/** What the environment lends: a loaded OpenCV and a QR decoder. */
export interface SheetTools {
  readonly cv: OpenCv;
  readQr(picture: GreyPicture): Promise<string | null>;
}

/** Ids that the sheet's code should name; null expects nothing of them. */
export interface Expected {
  readonly exercise: string | null;
  readonly student: string | null;
}

/** The photograph of the blank sheet can't be used; `message` says why and what to do. */
export class BadFlat extends Error {
  override readonly name = 'BadFlat';
}

export interface KnownCard {
  readonly basis: 'measured' | 'carried';
  readonly readings: CardReadings;
}

export interface SheetRequest<L extends SheetLayout> {
  readonly layoutOn: (paper: PaperId) => L;
  readonly expected: Expected;
  /** What else contradicts the sheet that is expected, by its code. */
  readonly check: (tag: SheetTag) => CaptureIssue | null;
  /** What is known of the print; left out, it is taken to be nominal. */
  readonly card?: KnownCard;
  /** The same sheet blank, photographed in the same light. */
  readonly flat?: Photo;
  readonly onFound?: () => void;
}

export type OpenedSheet<L> =
  | {
      readonly kind: 'refused';
      readonly issues: CaptureIssue[];
      readonly located: Located | null;
      readonly tag: string | null;
    }
  | {
      readonly kind: 'open';
      readonly located: Located;
      readonly layout: L;
      readonly tag: string | null;
      readonly calibration: Calibration;
      readonly issues: CaptureIssue[];
    };

/** What in its code contradicts the expected sheet, or null. */
function checkTag<L extends SheetLayout>(text: string, { expected, check }: SheetRequest<L>): CaptureIssue | null {
  const tag = parseSheetTag(text);
  if (!tag)
    return issue('wrong_sheet', 1, 'This sheet was not printed by Fair Grey: use the worksheet of this exercise.');
  const other = check(tag);
  if (other) return other;
  if (expected.exercise && tag.exercise && tag.exercise !== expected.exercise)
    return issue('wrong_sheet', 1, 'This sheet belongs to another exercise: photograph the sheet of this one.');
  if (expected.student && tag.student && tag.student !== expected.student)
    return issue('wrong_sheet', 1, "This sheet carries another student's name: photograph your own.");
  return null;
}

/** Throws BadFlat where the blank photograph shows no sheet of the same paper. */
function blankLight(flat: Photo, layout: SheetLayout, cv: OpenCv): CardInPhoto['knownLight'] {
  const located = locateSheet(cv, flat);
  const light =
    located.kind === 'located' && located.frame.paper === layout.paper
      ? lightOfBlank(flat, located.plane, layout)
      : null;
  if (!light)
    throw new BadFlat(
      'No blank sheet of the same paper was found in the second photograph: take it from the same place with nothing painted on the sheet.',
    );
  return light;
}

/** Throws WrongCard where the readings are of another card, and BadFlat where the blank photograph can't be used. */
export async function openSheet<L extends SheetLayout>(
  photo: Photo,
  request: SheetRequest<L>,
  tools: SheetTools,
): Promise<OpenedSheet<L>> {
  const located = locateSheet(tools.cv, photo);
  if (located.kind !== 'located')
    return { kind: 'refused', issues: explainNotLocated(photo, located), located: null, tag: null };
  const { plane, frame } = located;
  const layout = request.layoutOn(frame.paper);
  const tag = await tools.readQr(qrCrop(photo, plane, layout.qrBox));
  const wrong = tag === null ? null : checkTag(tag, request);
  if (wrong) return { kind: 'refused', issues: [wrong], located, tag };
  const issues = checkGeometry(plane, frame, located.edges);

  request.onFound?.();
  const profile = request.card
    ? readProfile(layout, request.card.readings, request.card.basis)
    : nominalProfile(layout);
  const knownLight = request.flat ? blankLight(request.flat, layout, tools.cv) : null;
  const { calibration, whites } = calibrate(photo, sheetCard(plane, layout, knownLight), profile);
  issues.push(...checkExposure(whites));
  if (!calibration) {
    if (!refuses(issues))
      issues.push(
        issue('clipped', 1, 'The greys of the sheet are lost in the light: tap on the paper to darken the picture.'),
      );
    return { kind: 'refused', issues, located, tag };
  }
  issues.push(...checkLight(calibration, located.unevenMm));
  return { kind: 'open', located, layout, tag, calibration, issues };
}
