/** Opens the photograph of a board with corner pieces: finds it, fits the greys of the pieces; or says why it can't be used. */
import { type BoxMm, boxMm } from '../geometry/box';
import type { Photo } from '../raster/photo';
import { PIECES } from '../sheet/bracket-pieces';
import { BRACKET_CORNERS } from '../sheet/brackets';
import type { PatchMm } from '../sheet/frame';
import type { OpenCv } from '../vision/opencv';
import { calibrate } from './calibrate';
import { type Calibration } from './calibration';
import { type CardPatches, type CardProfile, nominalProfile, readProfile } from './card-profile';
import { checkExposure, checkLight } from './check-light';
import { explainSoftness } from './check-photo';
import { blurOf } from './edges';
import { type CaptureIssue, GATE, issue, refuses } from './gate';
import { type BoardNotLocated, locateBoard, type LocatedBoard } from './locate-brackets';
import { cornerOf, type LaidPiece, onBoard } from './laid-board';
import { raised } from './raised-plane';
import type { KnownCard } from './open-sheet';
import { resolutionAt, tiltDegrees } from './plane';
import { cardOfPieces } from './stored-card';

export type OpenedBoard =
  | { readonly kind: 'refused'; readonly issues: CaptureIssue[]; readonly board: LocatedBoard | null }
  | {
      readonly kind: 'open';
      readonly board: LocatedBoard;
      /** Of the painting's own face, lifted off the pieces where it stands higher. */
      readonly calibration: Calibration;
      readonly issues: CaptureIssue[];
    };

function explain(photo: Photo, found: BoardNotLocated): CaptureIssue[] {
  switch (found.kind) {
    case 'two-boards':
      return [issue('two_sheets', 2, 'Corner pieces of two boards are in the picture: photograph one at a time.')];
    case 'wrong-corners':
      return [
        issue(
          'wrong_sheet',
          1,
          `The corner pieces lie in the wrong corners: each carries the name of its own, ${BRACKET_CORNERS.map((c) => c.replace('-', ' ')).join(', ')}.`,
        ),
      ];
    case 'some-pieces':
      return [
        ...explainSoftness(photo),
        issue(
          'cut_off',
          found.seen,
          `Only ${found.seen} of the four corner pieces can be seen: at least three must show whole.`,
        ),
      ];
    case 'no-pieces': {
      const soft = explainSoftness(photo);
      return soft.length > 0
        ? soft
        : [
            issue(
              'no_target',
              0,
              'No corner pieces were found: lay all four round the board, face up, and get them into the picture.',
            ),
          ];
    }
  }
}

/** Coarser than a sheet's: markers are 40 mm, greys 10. */
const LIMITS = { resolution: 1.5, blurMm: 3.5 } as const;

function checkBoard({ plane, widthMm, heightMm, edges }: LocatedBoard): CaptureIssue[] {
  const issues: CaptureIssue[] = [];
  const resolution = Math.min(
    ...[
      [0, 0],
      [widthMm, 0],
      [widthMm, heightMm],
      [0, heightMm],
    ].map(([x, y]) => resolutionAt(plane, x as number, y as number)),
  );
  const blur = blurOf(edges);
  if (resolution < LIMITS.resolution)
    issues.push({
      ...issue(
        'low_resolution',
        resolution,
        'The board is too small in the picture: go closer until its corner pieces fill the frame.',
      ),
      limit: LIMITS.resolution,
    });
  else if (blur > LIMITS.blurMm || edges.length < 24)
    issues.push({
      ...issue(
        'blur',
        Math.min(99, blur),
        'The picture is blurred: hold still, tap on the board to focus, and take it once more.',
      ),
      limit: LIMITS.blurMm,
    });
  const tilt = tiltDegrees(plane, widthMm / 2, heightMm / 2);
  if (tilt > GATE.tilt.limit)
    issues.push(issue('tilt', tilt, 'The board is seen too much from the side: hold the phone straight before it.'));
  return issues;
}

/** Readings of the pieces themselves, or of a worksheet off the same printer, which has the same greys. */
function profileOfPieces(all: CardPatches, card: KnownCard): CardProfile {
  const { readings, basis } = card.readings.patches.size < all.patches.length ? cardOfPieces(card) : card;
  return readProfile(all, readings, basis);
}

/** The greys and bare places of the pieces that are seen, as they lie. */
function laidCard({ widthMm, heightMm, pieces }: LocatedBoard, profile: CardProfile) {
  const patches: PatchMm[] = [];
  const greys: CardProfile['greys'][number][] = [];
  const blanks: BoxMm[] = [];
  const moved = (laid: LaidPiece, i: number, b: BoxMm): BoxMm => {
    const middle = onBoard(laid, cornerOf(i, widthMm, heightMm), b.xMm + b.widthMm / 2, b.yMm + b.heightMm / 2);
    return boxMm(middle.x - b.widthMm / 2, middle.y - b.heightMm / 2, b.widthMm, b.heightMm);
  };
  let first = 0;
  PIECES.forEach((piece, i) => {
    const laid = pieces.find((p) => p.piece === piece);
    if (laid) {
      piece.patches.forEach((p, k) => {
        patches.push({ ...p, ...moved(laid, i, p) });
        greys.push(profile.greys[first + k] as CardProfile['greys'][number]);
      });
      blanks.push(...piece.blanks.map((b) => moved(laid, i, b)));
    }
    first += piece.patches.length;
  });
  return { patches, blanks, profile: { ...profile, greys } };
}

/** Room that the pieces take round the board; the light is told over all of it. */
const PIECE_MM = { wide: 95, tall: 125 } as const;

/** `depthMm` is how far the painting's face stands off the plane of the pieces. Throws WrongCard. */
export function openBoard(
  photo: Photo,
  request: { readonly depthMm: number; readonly card?: KnownCard },
  cv: OpenCv,
): OpenedBoard {
  const board = locateBoard(cv, photo);
  if (board.kind !== 'located') return { kind: 'refused', issues: explain(photo, board), board: null };
  const issues = checkBoard(board);
  const all = { patches: PIECES.flatMap((p) => p.patches), chroma: [] };
  const card = laidCard(board, request.card ? profileOfPieces(all, request.card) : nominalProfile(all));
  const extent = boxMm(
    -PIECE_MM.wide,
    -PIECE_MM.tall,
    board.widthMm + 2 * PIECE_MM.wide,
    board.heightMm + 2 * PIECE_MM.tall,
  );
  const { calibration, whites } = calibrate(
    photo,
    {
      plane: board.plane,
      extent,
      patches: card.patches,
      chroma: [],
      blanks: card.blanks,
      model: 'corners',
      knownLight: null,
    },
    card.profile,
  );
  issues.push(...checkExposure(whites));
  if (!calibration) {
    if (!refuses(issues))
      issues.push(
        issue('clipped', 1, 'The greys of the corner pieces are lost in the light: tap on them to darken the picture.'),
      );
    return { kind: 'refused', issues, board };
  }
  issues.push(...checkLight(calibration, 0));
  return { kind: 'open', board, issues, calibration: { ...calibration, plane: raised(board.plane, request.depthMm) } };
}
