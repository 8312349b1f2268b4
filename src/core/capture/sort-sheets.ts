/** Every worksheet in a picture of a pile, one or several, each with what its code says. */
import { boxCorners, boxMm } from '../geometry/box';
import { type Point } from '../geometry/point';
import type { Photo } from '../raster/photo';
import { sheetFrame } from '../sheet/frame';
import { PAPER_IDS, type PaperId, PAPERS } from '../sheet/paper';
import { parseSheetTag, type SheetTag } from '../sheet/qr';
import type { FoundMarker } from '../vision/markers';
import type { OpenCv } from '../vision/opencv';
import { explainNotLocated } from './check-photo';
import { type Located, locateSheet, type NotLocated, sheetFrom } from './locate';
import type { SheetTools } from './open-sheet';
import { toPhoto } from './plane';
import { qrCrop } from './qr-crop';

export interface SortedSheet {
  /** Null where its code can't be read. */
  readonly tag: SheetTag | null;
  /** Corners of the paper in photo pixels: top-left, top-right, bottom-right, bottom-left. */
  readonly corners: readonly Point[];
}

export interface Sorted {
  readonly sheets: readonly SortedSheet[];
  /** Why there is none, for the person. */
  readonly say: string | null;
}

/** How far a marker may lie from where another one foretells it, as a share of the sheet's diagonal in the photograph. */
const FORETOLD = 0.3;

const middleOf = (m: FoundMarker): Point => ({
  x: m.corners.reduce((s, c) => s + c.x, 0) / 4,
  y: m.corners.reduce((s, c) => s + c.y, 0) / 4,
});

/** Where one marker alone foretells the others of its sheet: roughly, since it is small beside the sheet. */
function foretell(paper: PaperId, marker: FoundMarker): Map<number, Point> {
  const frame = sheetFrame(paper);
  const own = frame.markers.find((m) => m.id === marker.id);
  if (!own) return new Map();
  const { xMm, yMm, sizeMm } = own;
  // A plain turn and scale: a homography of one small square runs wild far from it.
  const [a, b] = [marker.corners[0] as Point, marker.corners[2] as Point];
  const [dx, dy] = [b.x - a.x, b.y - a.y];
  const n = 2 * sizeMm;
  const [re, im] = [(dx + dy) / n, (dy - dx) / n];
  return new Map(
    frame.markers.map((m) => {
      const [ux, uy] = [m.xMm + m.sizeMm / 2 - xMm, m.yMm + m.sizeMm / 2 - yMm];
      return [m.id, { x: a.x + re * ux - im * uy, y: a.y + im * ux + re * uy }];
    }),
  );
}

/** Markers grouped into whole sheets of a paper, each used once. */
function groups(paper: PaperId, markers: readonly FoundMarker[]): FoundMarker[][] {
  const ids: readonly number[] = PAPERS[paper].markerIds;
  const free = new Set(markers.filter((m) => ids.includes(m.id)));
  const found: FoundMarker[][] = [];
  for (const first of [...free].filter((m) => m.id === ids[0])) {
    const places = foretell(paper, first);
    const across = places.get(ids[2] as number) as Point;
    const reach = FORETOLD * Math.hypot(across.x - middleOf(first).x, across.y - middleOf(first).y);
    const group = ids.map((id) => {
      const at = places.get(id) as Point;
      const near = [...free]
        .filter((m) => m.id === id)
        .map((m) => ({ m, off: Math.hypot(middleOf(m).x - at.x, middleOf(m).y - at.y) }));
      return near.filter((n) => n.off < reach).sort((x, y) => x.off - y.off)[0]?.m ?? null;
    });
    if (group.some((m) => m === null)) continue;
    for (const m of group as FoundMarker[]) free.delete(m);
    found.push(group as FoundMarker[]);
  }
  return found;
}

/** All whole sheets in a picture, and what the search for one came to. */
export function sheetsIn(
  cv: OpenCv,
  photo: Photo,
): { readonly found: readonly Located[]; readonly located: Located | NotLocated } {
  const located = locateSheet(cv, photo);
  return {
    located,
    found: located.kind === 'located' ? [located] : located.kind === 'two-sheets' ? severalFrom(photo, located) : [],
  };
}

/** Finds the sheets. Never throws on a picture without any: it says why there is none. */
export async function sortSheets(photo: Photo, tools: SheetTools): Promise<Sorted> {
  const { found, located } = sheetsIn(tools.cv, photo);
  if (found.length === 0) return { sheets: [], say: explainNotLocated(photo, located as NotLocated)[0]?.say ?? null };
  const sheets: SortedSheet[] = [];
  for (const { plane, frame } of found) {
    const text = await tools.readQr(qrCrop(photo, plane, frame.qrBox));
    const paper = boxCorners(boxMm(0, 0, frame.widthMm, frame.heightMm));
    sheets.push({
      tag: text === null ? null : parseSheetTag(text),
      corners: paper.map(([x, y]) => toPhoto(plane, x, y)),
    });
  }
  return { sheets, say: null };
}

function severalFrom(photo: Photo, { markers }: NotLocated) {
  return PAPER_IDS.flatMap((paper) => groups(paper, markers).map((group) => sheetFrom(photo, paper, group)));
}
