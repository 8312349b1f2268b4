/**
 * Distances from a place to the surface of simple bodies, negative inside; lengths in the scene's own units. After
 * J. C. Hart, "Sphere tracing: a geometric method for the antialiased ray tracing of implicit surfaces", The Visual
 * Computer 12 (1996).
 */
/** V8's own `Math.hypot` guards against overflow at twenty times the cost. */
const long2 = (a: number, b: number): number => Math.sqrt(a * a + b * b);
const long3 = (a: number, b: number, c: number): number => Math.sqrt(a * a + b * b + c * c);

export type Distance = (x: number, y: number, z: number) => number;

export const ball =
  (cx: number, cy: number, cz: number, r: number): Distance =>
  (x, y, z) =>
    long3(x - cx, y - cy, z - cz) - r;

/** A box about its middle, with rounded edges. */
export const block =
  (cx: number, cy: number, cz: number, hx: number, hy: number, hz: number, round = 0): Distance =>
  (x, y, z) => {
    const qx = Math.abs(x - cx) - hx + round;
    const qy = Math.abs(y - cy) - hy + round;
    const qz = Math.abs(z - cz) - hz + round;
    return (
      long3(Math.max(qx, 0), Math.max(qy, 0), Math.max(qz, 0)) + Math.min(Math.max(qx, Math.max(qy, qz)), 0) - round
    );
  };

/** A cone cut off at both ends, standing on `y0` with radius `r0`, up to `y1` with `r1`. */
export const cone = (cx: number, cz: number, y0: number, y1: number, r0: number, r1: number): Distance => {
  const [h, k] = [(y1 - y0) / 2, r1 - r0];
  const slant = k * k + 4 * h * h;
  return (x, y, z) => {
    const q = long2(x - cx, z - cz);
    const v = y - (y0 + y1) / 2;
    const ax = q - Math.min(q, v < 0 ? r0 : r1);
    const ay = Math.abs(v) - h;
    const along = Math.min(1, Math.max(0, ((r1 - q) * k + (h - v) * 2 * h) / slant));
    const bx = q - r1 + k * along;
    const by = v - h + 2 * h * along;
    return (bx < 0 && ay < 0 ? -1 : 1) * Math.sqrt(Math.min(ax * ax + ay * ay, bx * bx + by * by));
  };
};

/** A rod with round ends. */
export const rod = (
  ax: number,
  ay: number,
  az: number,
  bx: number,
  by: number,
  bz: number,
  r0: number,
  r1 = r0,
): Distance => {
  const [dx, dy, dz] = [bx - ax, by - ay, bz - az];
  const length2 = dx * dx + dy * dy + dz * dz;
  return (x, y, z) => {
    const t = Math.min(1, Math.max(0, ((x - ax) * dx + (y - ay) * dy + (z - az) * dz) / length2));
    return long3(x - ax - t * dx, y - ay - t * dy, z - az - t * dz) - (r0 + (r1 - r0) * t);
  };
};

/** A ring: `axis` is the one it turns about. */
export const ring = (cx: number, cy: number, cz: number, r: number, thick: number, axis: 'x' | 'y' | 'z'): Distance => {
  if (axis === 'y') return (x, y, z) => long2(long2(x - cx, z - cz) - r, y - cy) - thick;
  if (axis === 'x') return (x, y, z) => long2(long2(y - cy, z - cz) - r, x - cx) - thick;
  return (x, y, z) => long2(long2(x - cx, y - cy) - r, z - cz) - thick;
};

/** All that lies below a height. */
export const floor =
  (height: number): Distance =>
  (_x, y) =>
    y - height;

/** A landscape; `calm` is under 1 where it is steep, so that no step oversteps. */
export const land =
  (height: (x: number, z: number) => number, calm: number): Distance =>
  (x, y, z) =>
    (y - height(x, z)) * calm;

export const joined =
  (...parts: readonly Distance[]): Distance =>
  (x, y, z) => {
    let d = Infinity;
    for (let i = 0; i < parts.length; i++) d = Math.min(d, (parts[i] as Distance)(x, y, z));
    return d;
  };

/** As joined, with seams filled over a width of `k`. */
export const melted =
  (k: number, ...parts: readonly Distance[]): Distance =>
  (x, y, z) =>
    parts.reduce((a, part) => {
      const b = part(x, y, z);
      const h = Math.max(k - Math.abs(a - b), 0) / k;
      return Math.min(a, b) - (h * h * k) / 4;
    }, 1e9);

export const without =
  (body: Distance, hole: Distance): Distance =>
  (x, y, z) =>
    Math.max(body(x, y, z), -hole(x, y, z));
export const common =
  (a: Distance, b: Distance): Distance =>
  (x, y, z) =>
    Math.max(a(x, y, z), b(x, y, z));

/** Turned about an upright axis through a place, radians. */
export const turned = (body: Distance, angle: number, cx: number, cz: number): Distance => {
  const [c, s] = [Math.cos(angle), Math.sin(angle)];
  return (x, y, z) => body(cx + c * (x - cx) + s * (z - cz), y, cz - s * (x - cx) + c * (z - cz));
};

/** Stretched along the three axes about a place. */
export const stretched = (
  body: Distance,
  sx: number,
  sy: number,
  sz: number,
  cx: number,
  cy: number,
  cz: number,
): Distance => {
  const least = Math.min(sx, sy, sz);
  return (x, y, z) => body(cx + (x - cx) / sx, cy + (y - cy) / sy, cz + (z - cz) / sz) * least;
};
