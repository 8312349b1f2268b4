/** Gate checks that need no calibration: what is seen before, or instead of, a located sheet. */
import { median } from '../fitting/quantile';
import { boxCorners, boxMm, type BoxMm } from '../geometry/box';
import { type Point } from '../geometry/point';
import type { Photo } from '../raster/photo';
import { reduceToGrey } from '../raster/reduce';
import { MARKER_MM, type SheetFrame } from '../sheet/frame';
import type { FoundEdge } from './edges';
import { type CaptureIssue, GATE, issue, type PhotoBox } from './gate';
import type { NotLocated } from './locate';
import { type Plane, resolutionAt, tiltDegrees, toPhoto } from './plane';

/** Bounding box of a sheet box in fractions of the photograph, clipped to it. */
export function photoBox(plane: Plane, box: BoxMm): PhotoBox {
  const corners = boxCorners(box).map(([x, y]) => toPhoto(plane, x, y));
  const clip = (v: number) => Math.min(1, Math.max(0, v));
  const x0 = clip(Math.min(...corners.map((c) => c.x)) / plane.photoWidth);
  const x1 = clip(Math.max(...corners.map((c) => c.x)) / plane.photoWidth);
  const y0 = clip(Math.min(...corners.map((c) => c.y)) / plane.photoHeight);
  const y1 = clip(Math.max(...corners.map((c) => c.y)) / plane.photoHeight);
  return { x: x0, y: y0, width: x1 - x0, height: y1 - y0 };
}

/** The smallest box round some boxes. */
export function enclosing(boxes: readonly PhotoBox[]): PhotoBox {
  const x = Math.min(...boxes.map((b) => b.x));
  const y = Math.min(...boxes.map((b) => b.y));
  return {
    x,
    y,
    width: Math.max(...boxes.map((b) => b.x + b.width)) - x,
    height: Math.max(...boxes.map((b) => b.y + b.height)) - y,
  };
}

/** Pixels of a reduced copy over which its hardest edges rise; more means the whole picture is soft. */
const SOFT_PICTURE = 9;
const DARK_PICTURE = 60;

function softness(photo: Photo): { edge: number; bright: number } {
  const grey = reduceToGrey(photo, 1400);
  const values = grey.data.slice().sort();
  const at = (q: number) => values[Math.floor(q * (values.length - 1))] as number;
  const slopes = new Float32Array(Math.max(0, Math.ceil((grey.width - 2) / 2) * Math.ceil((grey.height - 2) / 2)));
  let n = 0;
  for (let y = 1; y < grey.height - 1; y += 2)
    for (let x = 1; x < grey.width - 1; x += 2) {
      const i = y * grey.width + x;
      const across = (grey.data[i + 1] as number) - (grey.data[i - 1] as number);
      const down = (grey.data[i + grey.width] as number) - (grey.data[i - grey.width] as number);
      slopes[n++] = Math.sqrt(across * across + down * down) / 2;
    }
  slopes.sort();
  const steep = slopes[Math.floor(0.998 * slopes.length)] as number;
  return { edge: (at(0.99) - at(0.01)) / Math.max(0.5, steep), bright: at(0.99) };
}

/** A picture that is too dark or too soft for anything to be found in it. */
export function explainSoftness(photo: Photo): CaptureIssue[] {
  const { edge, bright } = softness(photo);
  if (bright < DARK_PICTURE)
    return [
      issue(
        'too_dark',
        bright,
        'The picture is too dark to find anything in it: go nearer to the window or put the lamp on.',
      ),
    ];
  if (edge > SOFT_PICTURE)
    return [
      issue('blur', edge, 'The picture is blurred: hold still, tap on the sheet to focus, and take it once more.'),
    ];
  return [];
}

/** What to say about a photograph in which no whole sheet was found. */
export function explainNotLocated(photo: Photo, found: NotLocated): CaptureIssue[] {
  if (found.kind === 'two-sheets')
    return [
      issue(
        'two_sheets',
        2,
        'Two sheets are in the picture: photograph one sheet at a time, with nothing else printed beside it.',
      ),
    ];
  if (found.kind === 'mirrored')
    return [
      issue(
        'no_target',
        0,
        'The picture is mirrored: take it with the camera on the back of the phone, or switch mirroring off.',
      ),
    ];
  const issues = explainSoftness(photo);
  if (found.kind === 'far-away') return [...issues, tooSmall(0)];
  if (found.kind === 'some-markers') {
    const seen = found.markers.length;
    const resolution = median(found.markers.map((m) => sideOf(m.corners) / MARKER_MM));
    // Squares this small are missed for their size: the sheet is not cut off but far away.
    if (resolution > 0 && resolution < MISSED_FOR_SIZE) return [...issues, tooSmall(resolution)];
    issues.push(
      issue(
        'cut_off',
        seen,
        'Part of the sheet is outside the picture or covered: step back until all four black corner squares show.',
      ),
    );
  } else if (issues.length === 0) {
    issues.push(
      issue(
        'no_target',
        0,
        'No worksheet was found: lay the sheet flat, get all four black corner squares into the picture, and go near enough that it fills the frame.',
      ),
    );
  }
  return issues;
}

/** Of markers smaller than this (pixels a millimetre) some are missed where others are found. */
const MISSED_FOR_SIZE = 4;

const tooSmall = (resolution: number): CaptureIssue =>
  issue('low_resolution', resolution, 'The sheet is too small in the picture: go closer until it fills the frame.');

/** Mean side of a marker's outline, photo pixels. */
function sideOf(corners: readonly Point[]): number {
  return (
    corners.reduce(
      (s, c, i) =>
        s +
        Math.hypot(
          (corners[(i + 1) % corners.length] as Point).x - c.x,
          (corners[(i + 1) % corners.length] as Point).y - c.y,
        ),
      0,
    ) / Math.max(1, corners.length)
  );
}

/** Checks of focus, tilt and resolution on a located sheet. */
export function checkGeometry(plane: Plane, frame: SheetFrame, edges: readonly FoundEdge[]): CaptureIssue[] {
  const issues: CaptureIssue[] = [];
  const across = median(edges.filter((e) => e.probe.nx !== 0).map((e) => e.widthMm));
  const down = median(edges.filter((e) => e.probe.ny !== 0).map((e) => e.widthMm));
  const width = Math.max(across, down);
  const resolution = Math.min(
    ...frame.markers.map((m) => resolutionAt(plane, m.xMm + m.sizeMm / 2, m.yMm + m.sizeMm / 2)),
  );
  if (resolution < GATE.low_resolution.limit) issues.push(tooSmall(resolution));
  else if (width > GATE.blur.limit || edges.length < 24)
    issues.push(
      issue('blur', width, 'The picture is blurred: hold still, tap on the sheet to focus, and take it once more.'),
    );
  const tilt = tiltDegrees(plane, frame.widthMm / 2, frame.heightMm / 2);
  if (tilt > GATE.tilt.limit)
    issues.push(issue('tilt', tilt, 'The sheet is seen too much from the side: hold the phone straight above it.'));
  const page = boxMm(0, 0, frame.widthMm, frame.heightMm);
  const inset = photoBox(plane, page);
  if (inset.width <= 0 || inset.height <= 0)
    issues.push(
      issue('cut_off', 0, 'Part of the sheet is outside the picture: step back until all four corners show.'),
    );
  return issues;
}
