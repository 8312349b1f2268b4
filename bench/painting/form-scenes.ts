/**
 * Rounded bodies under a lamp, drawn by a formula: light, halftone, highlight, shadow, reflected light and cast shadow of each
 * are known exactly, and so is any rule of form that is broken in a second version of it.
 */
import type { SeenPicture } from '@/devices/drawing-hand';
import { type Chance, chance, smoothNoise } from '@/devices/random';

export const FORM_FAULTS = [
  'separation',
  'reflected_light',
  'not_joined',
  'cast_not_lightening',
  'cast_edge_hard',
  'black_hole',
  'counterchange',
  'highlight_order',
  'overlap_not_darker',
  'outside_steps',
  'step_unused',
  'edges_alike',
] as const;
export type FormFault = (typeof FORM_FAULTS)[number];

export type ScenePart = 'lit' | 'halftone' | 'highlight' | 'shadow' | 'reflected' | 'cast';
const PARTS: readonly ScenePart[] = ['lit', 'halftone', 'highlight', 'shadow', 'reflected', 'cast'];

export interface SceneShape {
  readonly label: number;
  readonly object: string;
  readonly part: ScenePart;
}

export interface FormScene {
  /** As the reference has it. */
  readonly picture: SeenPicture;
  /** As it is painted: the same, with rules broken. */
  readonly painted: SeenPicture;
  readonly shapes: readonly SceneShape[];
  /** What was broken, of which object (null of all). */
  readonly broken: readonly { readonly code: FormFault; readonly object: string | null }[];
  readonly lights: number;
}

const [WIDTH, HEIGHT] = [640, 533] as const;
const BODIES = 3;
/** Where the table begins. */
const HORIZON = 0.42;
const SHAPES_OF_BODY = PARTS.length + 2;
/** Cast shadow of a second light, and where two overlap, come after the other parts. */
const SECOND = PARTS.length;
const OVERLAP = PARTS.length + 1;

interface Body {
  readonly x: number;
  readonly y: number;
  readonly rx: number;
  readonly ry: number;
  /** Lightness (L*) of its parts; of a cast shadow near to it and far from it. */
  readonly light: Record<'lit' | 'shadow' | 'reflected' | 'near' | 'far' | 'highlight', number>;
  /** How soft its outline is, widths from 10 to 90 percent. */
  readonly outline: number;
  /** The same of its cast shadow, near and far. */
  readonly soft: { readonly near: number; readonly far: number };
  readonly castLong: number;
  /** L* that something else than the formula has: a fault of one part. */
  readonly shift: Partial<Record<ScenePart | 'overlap', number>>;
  readonly gapLight: number;
}

interface Plan {
  readonly bodies: readonly Body[];
  readonly wall: number;
  readonly table: number;
  readonly side: 1 | -1;
  readonly lights: 1 | 2;
  readonly salt: number;
}

/** Share of a step at a signed distance from its edge, softened from 10 to 90 percent over `wide`. */
const stepped = (inside: number, wide: number): number =>
  1 / (1 + Math.exp((-1.702 * 2.563 * inside) / Math.max(wide, 1e-4)));

function planOf(own: Chance, lights: 1 | 2): Plan {
  const side = own.next() < 0.5 ? 1 : -1;
  const table = own.between(62, 74);
  const wall = own.between(40, 56);
  const outlines = [0.005, 0.014, 0.03];
  return {
    side,
    table,
    wall,
    lights,
    salt: own.whole(1, 1e9),
    bodies: Array.from({ length: BODIES }, (_, k): Body => {
      const rx = own.between(0.09, 0.115);
      const shadow = own.between(22, 30);
      const lit = own.between(74, 82);
      return {
        x: -0.31 + 0.31 * k + own.between(-0.015, 0.015) - 0.04 * side,
        y: HORIZON - 0.5 * (HEIGHT / WIDTH) + own.between(0.0, 0.03),
        rx,
        ry: rx * own.between(1, 1.35),
        light: {
          lit,
          shadow,
          reflected: shadow + own.between(6, 10),
          near: shadow + own.between(-2, 2),
          far: shadow + own.between(11, 16),
          highlight: lit + 6 + 4.5 * ((k + own.whole(0, 2)) % 3),
        },
        outline: outlines[k] as number,
        soft: { near: own.between(0.006, 0.009), far: own.between(0.028, 0.04) },
        castLong: own.between(1.9, 2.3),
        shift: {},
        gapLight: 0,
      };
    }),
  };
}

/** Highlights, in their order, are no two alike. */
function apartHighlights(plan: Plan): Plan {
  const order = plan.bodies.map((b) => b.light.highlight);
  const bodies = plan.bodies.map((b, k) => ({
    ...b,
    light: {
      ...b.light,
      highlight: Math.min(
        96,
        85 + 5.5 * [...order.keys()].sort((a, c) => (order[a] as number) - (order[c] as number)).indexOf(k),
      ),
    },
  }));
  return { ...plan, bodies };
}

/** Where a place lies in a cast shadow that falls one way: how far along it, and how far inside. */
function inCast(body: Body, x: number, y: number, way: number) {
  const long = body.castLong * body.rx;
  const [cx, cy] = [body.x + way * 0.62 * long, body.y + 0.86 * body.ry];
  const [u, v] = [(x - cx) / (0.75 * long), (y - cy) / (0.3 * body.ry)];
  const r = Math.hypot(u, v);
  const inside = (1 - r) * Math.min(0.75 * long, 0.3 * body.ry) * 1.15;
  const along = Math.min(1, Math.max(0, (way * (x - body.x) - 0.6 * body.rx) / (1.37 * long - 0.6 * body.rx)));
  return { inside, along };
}

/** Which part of a body a place is, and its light. */
function onBody(body: Body, x: number, y: number, side: number) {
  const [u, v] = [(x - body.x) / body.rx, (y - body.y) / body.ry];
  const r = Math.hypot(u, v);
  const inside = (1 - r) * body.rx;
  const k = Math.min(1, r);
  const nz = Math.sqrt(Math.max(0, 1 - k * k));
  const lamp = [side * -0.62, -0.55, 0.56] as const;
  const d = (u / Math.max(1, r)) * lamp[0] + (v / Math.max(1, r)) * lamp[1] + nz * lamp[2];
  const part: ScenePart =
    d > 0.965 ? 'highlight' : d > 0.42 ? 'lit' : d > 0.08 ? 'halftone' : d > -0.42 ? 'shadow' : 'reflected';
  return { inside, d, part };
}

const mix = (a: number, b: number, t: number) => a + (b - a) * t;

function lightOn({ light, shift }: Body, part: ScenePart, d: number): number {
  const plain: Record<ScenePart, number> = {
    highlight: light.highlight,
    lit: mix(light.lit - 10, light.lit, Math.min(1, (d - 0.42) / 0.4)),
    halftone: mix(light.shadow + 15, light.lit - 10, (d - 0.08) / 0.34),
    shadow: light.shadow,
    reflected: mix(light.shadow, light.reflected, Math.min(1, (-0.42 - d) / 0.12)),
    cast: 0,
  };
  return plain[part] + (shift[part] ?? 0);
}

function castLight({ light, shift }: Body, along: number): number {
  return mix(light.near, light.far, along) + (shift.cast ?? 0);
}

/** Draws a plan; labels are those of the plan that the picture is measured against. */
function drawn({ bodies, wall, table, side, lights, salt }: Plan): SeenPicture {
  const lightness = new Float32Array(WIDTH * HEIGHT);
  const shapeOf = new Uint8Array(WIDTH * HEIGHT);
  const horizon = HORIZON - 0.5 * (HEIGHT / WIDTH);
  for (let i = 0; i < lightness.length; i++) {
    const [x, y] = [((i % WIDTH) + 0.5) / WIDTH - 0.5, (Math.floor(i / WIDTH) + 0.5 - HEIGHT / 2) / WIDTH];
    let l = mix(wall, table, stepped(y - horizon, 0.006)) + 0.6 * smoothNoise(x * 9, y * 9, salt);
    let shape = 0;
    bodies.forEach((body, k) => {
      const first = 1 + k * SHAPES_OF_BODY;
      const casts = (lights === 2 && k === 1 ? [side, -side * 0.25] : [side]).map((way) => inCast(body, x, y, way));
      const covered = casts.map(({ inside, along }) => stepped(inside, mix(body.soft.near, body.soft.far, along)));
      const [a, b] = [covered[0] as number, covered[1] ?? 0];
      const [one, two] = [castLight(body, casts[0]?.along ?? 0), castLight(body, casts[1]?.along ?? 0) + 4];
      const both = Math.min(one, two) - 7 + (body.shift.overlap ?? 0);
      l = (1 - a) * (1 - b) * l + a * (1 - b) * one + b * (1 - a) * two + a * b * both;
      const near = [(casts[0]?.inside ?? -1) > 0, (casts[1]?.inside ?? -1) > 0];
      if (near[0] || near[1]) shape = first + (near[0] && near[1] ? OVERLAP : near[1] ? SECOND : 5);
    });
    bodies.forEach((body, k) => {
      const { inside, d, part } = onBody(body, x, y, side);
      const share = stepped(inside, body.outline);
      const own = lightOn(body, part, d);
      const gap =
        body.gapLight * stepped(0.006 - Math.abs(inside + 0.006), 0.003) * (y > body.y + 0.4 * body.ry ? 1 : 0);
      l = mix(l, own, share) + gap;
      if (inside > 0) shape = 1 + k * SHAPES_OF_BODY + PARTS.indexOf(part);
    });
    lightness[i] = l;
    shapeOf[i] = shape;
  }
  return { width: WIDTH, height: HEIGHT, lightness, shapeOf };
}

const objectOf = (k: number) => `body ${k + 1}`;
/** L* of a step of the exercise, roughly, in the picture's own lightness. */
const STEP = 9;

/** The same plan with a rule broken; returns which object broke it. */
function broke(plan: Plan, code: FormFault, own: Chance): { readonly plan: Plan; readonly object: string | null } {
  const k = code === 'overlap_not_darker' ? 1 : own.whole(0, BODIES - 1);
  const change = (
    how: (body: Body) => Partial<Body>,
    only: number | null = k,
  ): { plan: Plan; object: string | null } => ({
    plan: { ...plan, bodies: plan.bodies.map((b, j) => (only === null || j === only ? { ...b, ...how(b) } : b)) },
    object: only === null ? null : objectOf(only),
  });
  const shifted = (part: ScenePart | 'overlap', by: (body: Body) => number) =>
    change((b) => ({ shift: { ...b.shift, [part]: (b.shift[part] ?? 0) + by(b) } }));
  const light = (how: (body: Body) => Partial<Body['light']>) => change((b) => ({ light: { ...b.light, ...how(b) } }));
  const by = own.between(5, 9);
  const faults: Record<FormFault, () => { plan: Plan; object: string | null }> = {
    // The halftones begin 15 above the shadow; all but a twentieth of them are a few more.
    separation: () => shifted('shadow', () => 22 + by),
    reflected_light: () => light((b) => ({ reflected: b.light.shadow + 30 + by })),
    not_joined: () => (own.next() < 0.5 ? shifted('cast', () => STEP + by) : change(() => ({ gapLight: 22 + by }))),
    cast_not_lightening: () => light((b) => ({ far: b.light.near - own.between(4, 9) })),
    cast_edge_hard: () => change((b) => ({ soft: { near: b.soft.near, far: 0.8 * b.soft.near } })),
    black_hole: () => light((b) => ({ near: b.light.shadow - 13, far: b.light.shadow - 13 })),
    counterchange: () =>
      change((b) => {
        const down = -(b.light.lit - plan.wall) - 1.3 * STEP;
        return { shift: { ...b.shift, lit: down, halftone: down } };
      }),
    highlight_order: () => {
      const highlights = plan.bodies.map((b) => b.light.highlight);
      const [most, least] = [Math.max(...highlights), Math.min(...highlights)];
      const bodies = plan.bodies.map((b) => ({
        ...b,
        light: { ...b.light, highlight: most + least - b.light.highlight },
      }));
      return { plan: { ...plan, bodies }, object: null };
    },
    overlap_not_darker: () => shifted('overlap', () => 8 + by),
    outside_steps: () =>
      own.next() < 0.5 ? shifted('shadow', () => 2 * STEP + by) : shifted('lit', () => -2 * STEP - by),
    step_unused: () => ({
      plan: {
        ...plan,
        bodies: plan.bodies.map((b) => ({
          ...b,
          light: { ...b.light, highlight: Math.min(b.light.highlight, 84) - 6 },
        })),
      },
      object: null,
    }),
    edges_alike: () => change(() => ({ outline: 0.008, soft: { near: 0.008, far: 0.008 } }), null),
  };
  return faults[code]();
}

/** Whether two faults can be told of one painting: neither is part of what the other does. */
export const goTogether = (a: FormFault, b: FormFault): boolean => {
  const alone: readonly FormFault[] = ['step_unused', 'highlight_order', 'edges_alike', 'overlap_not_darker'];
  return a !== b && !(alone.includes(a) && alone.includes(b));
};

/** A scene by its seed, and the same with some rules broken. */
export function formScene(seed: number, faults: readonly FormFault[]): FormScene {
  const own = chance(seed).fork('form scene');
  const lights = faults.includes('overlap_not_darker') ? 2 : 1;
  const plan = apartHighlights(planOf(own.fork('plan'), lights));
  let painted = plan;
  const broken: { code: FormFault; object: string | null }[] = [];
  for (const code of faults) {
    const next = broke(painted, code, own.fork(code));
    painted = next.plan;
    broken.push({ code, object: next.object });
  }
  const picture = drawn(plan);
  const labels = new Set(picture.shapeOf);
  const partOf = (n: number): ScenePart => PARTS[n] ?? 'cast';
  const shapes = Array.from({ length: BODIES * SHAPES_OF_BODY }, (_, n): SceneShape => ({
    label: n + 1,
    object: objectOf(Math.floor(n / SHAPES_OF_BODY)),
    part: partOf(n % SHAPES_OF_BODY),
  })).filter(({ label }) => labels.has(label));
  return { picture, painted: { ...drawn(painted), shapeOf: picture.shapeOf }, shapes, broken, lights };
}
