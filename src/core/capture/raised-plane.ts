/** A plane in a photograph, lifted off the table that it was found on. */
import type { Plane } from './plane';

/** Focal length of phones over the longer side, where the photograph does not tell it. */
const USUAL_FOCAL = 0.78;
const FOCAL_RANGE = [0.6, 1.3] as const;

/** Column j of the 3 x 3 matrix, about the photograph's centre. */
function column(plane: Plane, j: 0 | 1 | 2): readonly [number, number, number] {
  const h = [...plane.h, 1];
  const w = h[6 + j] as number;
  return [(h[j] as number) - (plane.photoWidth / 2) * w, (h[3 + j] as number) - (plane.photoHeight / 2) * w, w];
}

/**
 * The plane lifted towards the camera by `depthMm`: a canvas stands off the table its corner pieces lie on. The focal
 * length comes from the foreshortening where there is enough of it (R. Hartley, A. Zisserman, "Multiple view geometry",
 * 2004, example 8.18), else it is a phone's.
 */
export function raised(plane: Plane, depthMm: number): Plane {
  if (depthMm === 0) return plane;
  const [a, b, t] = [column(plane, 0), column(plane, 1), column(plane, 2)];
  const long = Math.max(plane.photoWidth, plane.photoHeight);
  const denominator = a[2] * b[2];
  const square = -(a[0] * b[0] + a[1] * b[1]) / denominator;
  const told =
    Number.isFinite(square) && square > 0 && Math.abs(denominator) > 1e-9 ? Math.sqrt(square) / long : Number.NaN;
  const f = (told >= FOCAL_RANGE[0] && told <= FOCAL_RANGE[1] ? told : USUAL_FOCAL) * long;
  const ray = (c: readonly [number, number, number]) => [c[0] / f, c[1] / f, c[2]] as const;
  const [r1, r2] = [ray(a), ray(b)];
  const size = Math.sqrt(Math.hypot(...r1) * Math.hypot(...r2));
  const cross = [r1[1] * r2[2] - r1[2] * r2[1], r1[2] * r2[0] - r1[0] * r2[2], r1[0] * r2[1] - r1[1] * r2[0]].map(
    (v) => v / size,
  ) as [number, number, number];
  // Of the two normals the one against the ray from the lens points to the camera.
  const sign = cross[0] * (t[0] / f) + cross[1] * (t[1] / f) + cross[2] * t[2] > 0 ? -1 : 1;
  const lift = [cross[0] * f, cross[1] * f, cross[2]].map((v) => v * sign * depthMm) as [number, number, number];
  const moved = [t[0] + lift[0], t[1] + lift[1], t[2] + lift[2]] as const;
  const full = [a, b, moved].map(
    (c) => [c[0] + (plane.photoWidth / 2) * c[2], c[1] + (plane.photoHeight / 2) * c[2], c[2]] as const,
  ) as [readonly [number, number, number], readonly [number, number, number], readonly [number, number, number]];
  const s = full[2][2];
  return {
    ...plane,
    h: [
      full[0][0] / s,
      full[1][0] / s,
      full[2][0] / s,
      full[0][1] / s,
      full[1][1] / s,
      full[2][1] / s,
      full[0][2] / s,
      full[1][2] / s,
    ],
  };
}
