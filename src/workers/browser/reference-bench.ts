/// <reference lib="webworker" />
/** The browser worker on which a reference is prepared: it keeps the picture, draws both views, and answers what can be said of them. */
import { lightnessToGreyCode } from '@/core/colour/grey-code';
import { quickCode } from '@/core/colour/quick-code';
import { targetLightnesses } from '@/core/exercise/targets';
import { uprightPhoto } from '@/core/raster/photo';
import { raster } from '@/core/raster/raster';
import { type BenchState, benchState } from '@/core/reference/bench-state';
import { BadFrame } from '@/core/reference/framing';
import { cutKey, type Preparation } from '@/core/reference/preparation';
import { OneSided } from '@/core/reference/shadow-map';
import { indexAt } from '@/core/reference/shape-cut';
import { valueMap } from '@/core/reference/value-map';
import { otsuThresholds, TooFewTones } from '@/core/tones/thresholds';
import { outlinesOf } from '@/core/tones/tidy';
import { sharesOf } from '@/core/tones/tones';
import { expose } from 'comlink';
import type { BenchAnswer, BenchRequest, BenchShape, BenchView, ReferenceBench } from './bench-protocol';

let state: BenchState | null = null;
let shown: Preparation | null = null;
/** `drawn` tells what stands on a canvas: the same again is not drawn again. */
const sides: { canvas: OffscreenCanvas; pixels: ImageData | null; drawn: string }[] = [];

/** Opaque greys as canvases keep them. */
const GREY = Uint32Array.from({ length: 256 }, (_, c) => ((255 << 24) | (c << 16) | (c << 8) | c) >>> 0);
/** L* in steps fine enough for eight-bit codes. */
const FINE = 2048;
const fine = (l: number) => Math.min(FINE - 1, Math.max(0, Math.round((l / 100) * (FINE - 1))));
const tableOf = (code: (lightness: number) => number) =>
  Uint32Array.from({ length: FINE }, (_, i) => GREY[code((100 * i) / (FINE - 1))] as number);

function pixelsFor(side: (typeof sides)[number], width: number, height: number): Uint32Array {
  if (side.canvas.width !== width || side.canvas.height !== height || !side.pixels) {
    side.canvas.width = width;
    side.canvas.height = height;
    side.pixels = new ImageData(width, height);
  }
  return new Uint32Array(side.pixels.data.buffer);
}

const LUMA: Partial<Record<BenchView, readonly [number, number, number]>> = {
  'luma-601': [0.299, 0.587, 0.114],
  'luma-709': [0.2126, 0.7152, 0.0722],
};

/** Thresholds as they would be, without making anything calm: for a finger that moves. */
function quickThresholds(own: BenchState, p: Preparation): readonly number[] {
  const given = p.cuts[cutKey(p.school, p.tones)];
  return given?.length === p.tones - 1 ? given : otsuThresholds(own.histogram(p, true), p.tones);
}

/** What a view rests on. */
function keyOf({ keys }: BenchState, { preparation: p, moving, picked }: BenchRequest, view: BenchView): string {
  const paint = JSON.stringify([p.ends, p.key, p.pushPercent]);
  switch (view) {
    case 'squint':
      return `${view} ${keys.squint(p)} ${moving}`;
    case 'mapped':
      return `${view} ${keys.frame(p)} ${moving} ${paint}`;
    case 'tones':
      return `${view} ${keys.tones(p)} ${moving} ${paint}`;
    case 'light':
      return `${view} ${keys.light(p)}`;
    case 'shapes':
      return `${view} ${keys.shapes(p)} ${picked}`;
    default:
      return `${view} ${keys.frame(p)}`;
  }
}

function draw(
  own: BenchState,
  { preparation: p, moving, picked }: BenchRequest,
  view: BenchView,
  out: Uint32Array,
): void {
  const luma = LUMA[view];
  if (view === 'colour' || luma) {
    const { data } = own.rgb(p);
    for (let i = 0, k = 0; i < out.length; i++, k += 3) {
      const r = quickCode(data[k] as number);
      const g = quickCode(data[k + 1] as number);
      const b = quickCode(data[k + 2] as number);
      out[i] = luma
        ? (GREY[Math.round(luma[0] * r + luma[1] * g + luma[2] * b)] as number)
        : ((255 << 24) | (b << 16) | (g << 8) | r) >>> 0;
    }
    return;
  }
  if (view === 'grey' || view === 'mapped' || view === 'squint') {
    const { data } = view === 'squint' ? own.soft(p, moving) : own.plain(p, moving && view === 'mapped');
    const map = view === 'mapped' ? valueMap(own.span(p), p) : null;
    const table = tableOf((l) => lightnessToGreyCode(map ? map.of(l) : l));
    for (let i = 0; i < out.length; i++) out[i] = table[fine(data[i] as number)] as number;
    return;
  }
  if (view === 'light') {
    const lit = own.lit(p);
    for (let i = 0; i < out.length; i++) out[i] = GREY[lit[i] === 1 ? 235 : 38] as number;
    return;
  }
  const greys = targetLightnesses(p.tones, p.ends, 'light-first', 'lightness').map(lightnessToGreyCode);
  if (view === 'tones') {
    if (moving && p.school === 'threshold') {
      const thresholds = quickThresholds(own, p);
      const table = tableOf((l) => greys[thresholds.reduce((n, t) => n + (l <= t ? 1 : 0), 0)] ?? 0);
      const { data } = own.soft(p, true);
      for (let i = 0; i < out.length; i++) out[i] = table[fine(data[i] as number)] as number;
      return;
    }
    const { toneOf } = own.tones(p);
    for (let i = 0; i < out.length; i++) out[i] = GREY[greys[(toneOf[i] as number) - 1] ?? 128] as number;
    return;
  }
  const { shapeOf, width } = own.shapes(p);
  const { data } = own.plain(p);
  const table = tableOf((l) => Math.round(90 + 0.6 * lightnessToGreyCode(l)));
  const edges = outlinesOf(shapeOf, width);
  for (let i = 0; i < out.length; i++)
    out[i] = (
      edges[i] === 1 || edges[i - 1] === 1 || edges[i - width] === 1
        ? GREY[20]
        : shapeOf[i] === picked
          ? GREY[Math.min(255, 2 * lightnessToGreyCode(data[i] as number) + 60)]
          : table[fine(data[i] as number)]
    ) as number;
}

/** Shapes smaller than this share are in no list. */
const LISTED = 0.002;

function shapesIn(own: BenchState, p: Preparation): BenchShape[] {
  const { shapeOf, places, width, height } = own.shapes(p);
  const lit = own.lit(p);
  const large = [...places].filter(([, n]) => n / shapeOf.length >= LISTED).sort((a, b) => b[1] - a[1]);
  const of = new Map(large.map(([shape], k) => [shape, k]));
  const sums = large.map(() => ({ lit: 0, places: [] as number[] }));
  for (let y = 0; y < height; y += 3)
    for (let x = 0; x < width; x += 3) {
      const i = y * width + x;
      const k = of.get(shapeOf[i] as number);
      if (k === undefined) continue;
      const own = sums[k];
      own?.places.push(i);
      if (own && lit[i] === 1) own.lit++;
    }
  return large.map(([shape, n], k) => {
    const own = sums[k] ?? { lit: 0, places: [] };
    // The middle one in reading order lies in the shape, whatever its form.
    const at = own.places[own.places.length >> 1] ?? 0;
    return {
      shape,
      share: n / shapeOf.length,
      at: { x: ((at % width) + 0.5) / width, y: (Math.floor(at / width) + 0.5) / height },
      lit: own.lit * 2 >= own.places.length,
    };
  });
}

function answer(own: BenchState, request: BenchRequest): Omit<BenchAnswer, 'milliseconds'> {
  const { preparation: p, moving, details, left, right } = request;
  const { width, height } = own.rgb(p);
  const counts = own.histogram(p, moving);
  const most = counts.reduce((a, b) => Math.max(a, b), 1);
  let [thresholds, shares, trouble]: [readonly number[], number[], string] = [[], [], ''];
  try {
    if (moving && p.school === 'threshold') {
      thresholds = quickThresholds(own, p);
      const total = counts.reduce((a, b) => a + b, 0);
      const below = (t: number) =>
        counts.reduce((s, n, bin) => s + (((bin + 1) * 100) / counts.length <= t + 1e-9 ? n : 0), 0) / total;
      const edges = [1, ...[...thresholds].reverse().map(below), 0];
      shares = edges.slice(1).map((e, k) => (edges[k] as number) - e);
    } else {
      const tones = own.tones(p);
      thresholds = tones.thresholds;
      shares = sharesOf(tones.toneOf, p.tones);
    }
  } catch (error) {
    if (!(error instanceof TooFewTones || error instanceof OneSided)) throw error;
    trouble = error.message;
  }
  for (const [k, view] of [left, right].entries()) {
    const side = sides[k];
    if (!side) continue;
    const key = keyOf(own, request, view);
    if (side.drawn === key) continue;
    side.drawn = key;
    // What follows a finger is drawn half as large, and drawn out by the page.
    const quickly =
      moving && (view === 'squint' || view === 'mapped' || (view === 'tones' && p.school === 'threshold'));
    const size = quickly ? own.plain(p, true) : { width, height };
    const pixels = pixelsFor(side, size.width, size.height);
    try {
      draw(own, request, view, pixels);
    } catch (error) {
      if (!(error instanceof TooFewTones || error instanceof OneSided)) throw error;
      side.drawn = '';
      draw(own, request, 'grey', pixelsFor(side, width, height));
    }
    if (side.pixels) side.canvas.getContext('2d')?.putImageData(side.pixels, 0, 0);
  }
  const told = !details || trouble !== '';
  const lit = told ? null : own.lit(p);
  return {
    width,
    height,
    thresholds,
    shares,
    histogram: Array.from(counts, (n) => n / most),
    facts: told ? null : own.facts(p),
    lit: lit && lit.reduce((s, v) => s + v, 0) / lit.length,
    exact: !moving,
    shapes: told ? [] : shapesIn(own, p),
    trouble,
  };
}

const api: ReferenceBench = {
  async open(picture, left, right) {
    sides.push({ canvas: left, pixels: null, drawn: '' }, { canvas: right, pixels: null, drawn: '' });
    // The studio reads the same codes: nothing may convert them on the way.
    const bitmap = await createImageBitmap(picture, { colorSpaceConversion: 'none' });
    const canvas = new OffscreenCanvas(bitmap.width, bitmap.height);
    const context = canvas.getContext('2d', { willReadFrequently: true });
    if (!context) throw new Error('There is no canvas to draw on.');
    context.drawImage(bitmap, 0, 0);
    const { data } = context.getImageData(0, 0, bitmap.width, bitmap.height);
    const rgb = new Uint8Array(3 * bitmap.width * bitmap.height);
    for (let i = 0, p = 0; p < rgb.length; i += 4, p += 3) {
      rgb[p] = data[i] as number;
      rgb[p + 1] = data[i + 1] as number;
      rgb[p + 2] = data[i + 2] as number;
    }
    state = benchState(uprightPhoto(raster('srgb8', bitmap.width, bitmap.height, 3, rgb)));
    bitmap.close();
  },
  async show(request) {
    if (!state) throw new Error('No picture was opened.');
    const start = performance.now();
    try {
      const told = answer(state, request);
      shown = request.preparation;
      return { ...told, milliseconds: performance.now() - start };
    } catch (error) {
      if (!(error instanceof BadFrame)) throw error;
      return {
        width: 1,
        height: 1,
        thresholds: [],
        shares: [],
        histogram: [],
        facts: null,
        lit: null,
        shapes: [],
        exact: true,
        trouble: error.message,
        milliseconds: 0,
      };
    }
  },
  async shapeAt(x, y) {
    if (!state || !shown) return -1;
    const { shapeOf, width, height } = state.shapes(shown);
    return shapeOf[indexAt({ x, y }, width, height)] ?? -1;
  },
};

expose(api);
