/** Finds the sheet in a photograph: which paper it is, and exactly where it lies. */
import { boxCorners } from '../geometry/box';
import type { Photo } from '../raster/photo';
import { sheetFrame, type SheetFrame } from '../sheet/frame';
import { PAPER_IDS, type PaperId, PAPERS } from '../sheet/paper';
import type { FoundMarker } from '../vision/markers';
import type { OpenCv } from '../vision/opencv';
import { boxProbes, findEdge, type FoundEdge } from './edges';
import { type Correspondence, type Plane, planeFromPoints, refinePlane } from './plane';
import { straighten, unevenness } from './ripple';
import { mirroredMarkers, seekMarkers, smallMarkers } from './seek-markers';

export interface Located {
  readonly kind: 'located';
  readonly frame: SheetFrame;
  readonly plane: Plane;
  readonly edges: readonly FoundEdge[];
  /** How far (mm) nine edges in ten are from the plane before its ripple was straightened. */
  readonly unevenMm: number;
}

export interface NotLocated {
  /** Without markers: seen in a mirror, too small to be told at the photograph's own size, or none at all. */
  readonly kind: 'no-markers' | 'mirrored' | 'far-away' | 'some-markers' | 'two-sheets';
  /** Markers that were seen, in photo pixels. */
  readonly markers: readonly FoundMarker[];
}

function paperOf(markers: readonly FoundMarker[]): PaperId | null {
  for (const paper of PAPER_IDS)
    if (PAPERS[paper].markerIds.every((id) => markers.some((m) => m.id === id))) return paper;
  return null;
}

const OURS: readonly number[] = PAPER_IDS.flatMap((p) => [...PAPERS[p].markerIds]);

function refine(photo: Photo, start: Plane, frame: SheetFrame): Pick<Located, 'plane' | 'edges' | 'unevenMm'> {
  const markerProbes = frame.markers.flatMap((m) =>
    boxProbes({ xMm: m.xMm, yMm: m.yMm, widthMm: m.sizeMm, heightMm: m.sizeMm }, 6, 2),
  );
  // The lightest patches are left out: their edges drown in grain.
  const patchProbes = frame.patches.filter((p) => p.code < 170).flatMap((p) => boxProbes(p, 3, 1.4, 2));
  const tickProbes = frame.ticks.flatMap((t) => boxProbes(t, 1, 1.4, 0.5));
  const everything = [...markerProbes, ...patchProbes, ...tickProbes];
  const find = (plane: Plane, probes: typeof everything, windowMm: number) =>
    probes.map((p) => findEdge(photo, plane, p, windowMm)).filter((e) => e !== null);
  let plane = refinePlane(start, find(start, markerProbes, 1.2), false);
  plane = refinePlane(plane, find(plane, everything, 1.4), true);
  plane = refinePlane(plane, find(plane, everything, 0.8), true);
  const last = find(plane, everything, 1.4);
  const straight = straighten(plane, last, frame.widthMm, frame.heightMm);
  return { plane: straight, edges: find(straight, markerProbes, 2), unevenMm: unevenness(plane, last) };
}

/** The sheet that four markers of one paper make. */
export function sheetFrom(photo: Photo, paper: PaperId, markers: readonly FoundMarker[]): Located {
  const frame = sheetFrame(paper);
  const points: Correspondence[] = frame.markers.flatMap(({ id, xMm, yMm, sizeMm }) => {
    const found = markers.find((m) => m.id === id);
    return boxCorners({ xMm, yMm, widthMm: sizeMm, heightMm: sizeMm }).flatMap(([x, y], i) => {
      const photoCorner = found?.corners[i];
      return photoCorner ? [{ mm: { x, y }, photo: photoCorner }] : [];
    });
  });
  const start = planeFromPoints(points, photo.width, photo.height);
  return { kind: 'located', frame, ...refine(photo, start, frame) };
}

/** Why no marker was found: looked for in a mirror, and at twice the photograph's size where that is small. */
function whyNone(cv: OpenCv, photo: Photo): 'no-markers' | 'mirrored' | 'far-away' {
  if (mirroredMarkers(cv, photo, OURS).length > 0) return 'mirrored';
  return smallMarkers(cv, photo, OURS).length > 0 ? 'far-away' : 'no-markers';
}

/** Locates a worksheet. Two of one marker, or markers of both papers, mean two sheets. */
export function locateSheet(cv: OpenCv, photo: Photo): Located | NotLocated {
  const markers = seekMarkers(cv, photo, OURS);
  if (markers.length === 0) return { kind: whyNone(cv, photo), markers };
  const ids = markers.map((m) => m.id);
  const sets = PAPER_IDS.filter((p) => ids.some((id) => (PAPERS[p].markerIds as readonly number[]).includes(id)));
  if (new Set(ids).size < ids.length || sets.length > 1) return { kind: 'two-sheets', markers };
  const paper = paperOf(markers);
  if (!paper) return { kind: 'some-markers', markers };
  return sheetFrom(photo, paper, markers);
}
