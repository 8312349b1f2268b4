/** Reads one test dab of a sheet in a photograph, whatever else is painted on it. */
import { paperLightness } from '../capture/calibration';
import { surenessOf } from '../capture/sureness';
import { photoBox } from '../capture/check-photo';
import { type CaptureIssue, issue, refuses } from '../capture/gate';
import { type Expected, openSheet, type SheetTools } from '../capture/open-sheet';
import type { Triple } from '../colour/srgb';
import type { Photo } from '../raster/photo';
import type { SheetLayout } from '../sheet/layout';
import type { PaperId } from '../sheet/paper';
import { readCell } from './read-cell';
import { shineStrength } from './shine';

export interface DabRequest {
  readonly layoutOn: (paper: PaperId) => SheetLayout;
  /** Which dab, from 1. */
  readonly dab: number;
  readonly expected: Expected;
}

export interface DabReading {
  readonly lab: Triple;
  /** Half-width of the 95 % interval, L*. */
  readonly uncertainty: number;
  readonly spread: number;
}

export interface DabResult {
  readonly issues: readonly CaptureIssue[];
  /** Null where the photograph can't be used, or nothing is painted there. */
  readonly reading: DabReading | null;
  readonly bare: boolean;
}

/** More of the dab than this must be painted. */
const MOST_BARE = 0.5;
/** Paint this near (L*) to the paper can't be told from it. */
const AS_PAPER = 3;

/** Throws RangeError where the sheet has no such dab. */
export async function readDab(
  photo: Photo,
  { layoutOn, dab, expected }: DabRequest,
  tools: SheetTools,
): Promise<DabResult> {
  const opened = await openSheet(photo, { layoutOn, expected, check: () => null }, tools);
  if (opened.kind === 'refused') return { issues: opened.issues, reading: null, bare: false };
  const { layout, calibration, located, issues } = opened;
  const box = layout.dabs.find((d) => d.index === dab);
  if (!box) throw new RangeError(`The sheet has no dab ${dab}.`);
  const paper = paperLightness(calibration);
  const cell = readCell(photo, calibration, box, [paper, 0, 0], []);
  if (shineStrength(cell) > 1)
    issues.push(
      issue(
        'glare',
        shineStrength(cell),
        'Shine lies on the dab: turn the sheet away from the lamp until it leaves the paint.',
        photoBox(located.plane, box),
      ),
    );
  const reading = { lab: cell.lab, uncertainty: surenessOf(calibration, cell.lab[0]).whole, spread: cell.spread };
  const bare = cell.bareGround === null ? cell.lab[0] > paper - AS_PAPER : cell.bareGround > MOST_BARE;
  return { issues, reading: refuses(issues) ? null : reading, bare };
}
