/** Opens a painting that is not on its worksheet: on a board with corner pieces, between marked corners, or scanned. */
import type { BoxMm } from '../geometry/box';
import type { Point } from '../geometry/point';
import type { Photo } from '../raster/photo';
import type { OpenCv } from '../vision/opencv';
import { backgroundSpread } from './background-spread';
import { type Calibration } from './calibration';
import { type Sureness, surenessOf } from './sureness';
import { CALIBRATED, cornersOf } from './capture-facts';
import type { Capture } from './capture-result';
import { explainSoftness } from './check-photo';
import { blurOf } from './edges';
import { type CaptureIssue, issue } from './gate';
import { openBoard } from './open-board';
import { LEAST_SIDE, openMarked, type PaperSeen, RELATIVE_HALF_WIDTH } from './open-corners';
import type { KnownCard } from './open-sheet';
import type { FreeTarget } from './target';

type Base = Omit<Capture, 'accepted' | 'issues' | 'uncertainty'>;

export type OpenedFree =
  | { readonly kind: 'refused'; readonly base: Base; readonly issues: CaptureIssue[] }
  | {
      readonly kind: 'open';
      readonly base: Base;
      readonly issues: CaptureIssue[];
      readonly box: BoxMm;
      /** Of a relative reading: not yet placed between its ends. */
      readonly calibration: Calibration;
      readonly relative: boolean;
      /** From dark to light across an edge that was printed hard; null where nothing printed is in the picture. */
      readonly blurMm: number | null;
      /** How sure a reading of a lightness is. */
      readonly sureness: (lightness: number) => Sureness;
      /** How much a flat tone of a lightness varies in this photograph for no fault of the painter's, L*. */
      readonly grain: (lightness: number) => number;
    };

/** What is known of the print that is laid round a board. */
export interface Print {
  readonly card?: KnownCard;
  /** Length on paper of the line that each corner piece calls 100 mm; left out while nobody measured it. */
  readonly lineMm?: number;
}

function openedBoard(photo: Photo, depthMm: number, { card, lineMm }: Print, cv: OpenCv): OpenedFree {
  // Everything on the print is as much longer or shorter as its line is.
  const size = (lineMm ?? 100) / 100;
  const opened = openBoard(photo, { depthMm: depthMm / size, ...(card && { card }) }, cv);
  const { board } = opened;
  const base = {
    ...CALIBRATED,
    target: board ? ('brackets' as const) : null,
    whiteBasis: card?.basis ?? 'nominal',
    sizeMm: board && { width: size * board.widthMm, height: size * board.heightMm, assumed: lineMm === undefined },
    corners: board && cornersOf(board.plane, board.widthMm, board.heightMm),
  } satisfies Base;
  if (opened.kind === 'refused') return { kind: 'refused', base, issues: opened.issues };
  const { calibration } = opened;
  const { widthMm, heightMm } = opened.board;
  return {
    kind: 'open',
    base: { ...base, corners: cornersOf(calibration.plane, widthMm, heightMm) },
    issues: opened.issues,
    box: { xMm: 0, yMm: 0, widthMm, heightMm },
    calibration,
    relative: false,
    blurMm: size * blurOf(opened.board.edges),
    sureness: (lightness) => surenessOf(calibration, lightness),
    grain: backgroundSpread(photo, calibration),
  };
}

/** Of what the camera itself does to a flat tone nothing is known without printed greys: a usual value. */
const USUAL_GRAIN = 0.6;

function openedMarked(photo: Photo, corners: readonly Point[], scan: boolean): OpenedFree {
  const facts = {
    ...CALIBRATED,
    target: scan ? ('scan' as const) : ('corners' as const),
    mode: 'relative' as const,
    whiteBasis: 'ends' as const,
    colour: null,
    corners: corners.map((c) => ({ x: c.x / photo.width, y: c.y / photo.height })),
  } satisfies Base;
  const refused = (issues: CaptureIssue[]): OpenedFree => ({
    kind: 'refused',
    base: { ...facts, target: scan ? null : 'corners' },
    issues,
  });
  const soft = explainSoftness(photo);
  if (soft.length > 0) return refused(soft);
  // Nobody marked a scan: one too small to be a strip is a picture without one, not somebody's mistake.
  if (scan && Math.min(photo.width, photo.height) < LEAST_SIDE)
    return refused([
      issue(
        'no_target',
        0,
        'No worksheet was found, and the picture is too small for a scanned strip: photograph the sheet with all four black corner squares.',
      ),
    ]);
  const { calibration, box, paper } = openMarked(photo, corners, scan);
  const half = RELATIVE_HALF_WIDTH[paper];
  return {
    kind: 'open',
    base: { ...facts, paper: paper satisfies PaperSeen },
    issues: [],
    box,
    calibration,
    relative: true,
    blurMm: null,
    sureness: () => ({ whole: half, own: half, extrapolated: false }),
    grain: () => USUAL_GRAIN,
  };
}

/** So much of a step at the top code, and it is lost. */
const LOST = 0.2;

/** Steps between marked corners that are too bright to be read: nothing else in the picture tells of it. */
export function clippedSteps(readings: readonly { readonly clipped: number }[]): CaptureIssue[] {
  const lost = readings.flatMap((r, i) => (r.clipped > LOST ? [i + 1] : []));
  return lost.length === 0
    ? []
    : [
        issue(
          'clipped',
          lost.length / readings.length,
          `Step ${lost.join(', ')} is so bright that it is lost: tap on it to darken the picture, and take it once more.`,
        ),
      ];
}

const whole = ({ width, height }: Photo): Point[] => [
  { x: 0, y: 0 },
  { x: width, y: 0 },
  { x: width, y: height },
  { x: 0, y: height },
];

/** Throws BadCorners and WrongCard on what was given beside the photograph. */
export function openFree(photo: Photo, target: FreeTarget, print: Print, cv: OpenCv): OpenedFree {
  switch (target.kind) {
    case 'brackets':
      return openedBoard(photo, target.depthMm, print, cv);
    case 'corners':
      return openedMarked(photo, target.corners, false);
    case 'scan':
      return openedMarked(photo, whole(photo), true);
  }
}
