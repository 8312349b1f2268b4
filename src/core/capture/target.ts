/** What a painting is framed by in its photograph: one shape of it, wherever it was said. */
import type { Point } from '../geometry/point';
import type { Photo } from '../raster/photo';
import { BRACKET_MARKER_IDS } from '../sheet/brackets';
import { PAPERS } from '../sheet/paper';
import { seekMarkers } from './seek-markers';
import type { StoredTarget } from './stored-target';
import type { MeasureTools } from './tools';

/** A painting that is not on its worksheet. */
export type FreeTarget =
  | { readonly kind: 'brackets'; readonly depthMm: number }
  /** Photo pixels, in the order top-left, top-right, bottom-right, bottom-left of the painted area. */
  | { readonly kind: 'corners'; readonly corners: readonly Point[] }
  | { readonly kind: 'scan' };

export type Target =
  | { readonly kind: 'sheet' }
  | FreeTarget
  /** Nobody said: markers are looked for. */
  | { readonly kind: 'unsaid' };

/** A target as it was kept, in the pixels of its photograph; a worksheet where nothing was kept. */
export function targetIn(
  { width, height }: Pick<Photo, 'width' | 'height'>,
  stored: StoredTarget | Target | null | undefined,
): Target {
  if (!stored) return { kind: 'sheet' };
  if (stored.kind !== 'marked') return stored;
  return { kind: 'corners', corners: stored.corners.map((c) => ({ x: c.x * width, y: c.y * height })) };
}

const SHEET_IDS: readonly number[] = Object.values(PAPERS).flatMap((p) => [...p.markerIds]);

/** What is in a picture of which nothing was said: by its markers alone, since anything else can only be guessed. */
function seekTarget(photo: Photo, tools: Pick<MeasureTools, 'cv'>): Extract<Target, { kind: 'sheet' | 'brackets' }> {
  const ids = seekMarkers(tools.cv, photo, [...SHEET_IDS, ...BRACKET_MARKER_IDS]).map((m) => m.id);
  const brackets = ids.length > 0 && !ids.some((id) => SHEET_IDS.includes(id));
  return brackets ? { kind: 'brackets', depthMm: 0 } : { kind: 'sheet' };
}

/** What a painting is framed by: what was said, or what its markers tell. */
export function settledTarget(photo: Photo, said: Target | undefined, tools: Pick<MeasureTools, 'cv'>) {
  const target = said ?? { kind: 'sheet' as const };
  return target.kind === 'unsaid' ? seekTarget(photo, tools) : target;
}
