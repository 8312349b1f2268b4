/// <reference lib="webworker" />
/**
 * The browser worker on which a correction is carried out, by the same program that makes its files. What lies below the layer that
 * a hand is at is kept, and only what changed is drawn.
 */
import { quickCode } from '@/core/colour/quick-code';
import { LINEAR_OF_CODE } from '@/core/colour/srgb';
import { type Changed, correctBy, type Picture } from '@/core/correction/correct';
import type { Layer } from '@/core/correction/layer';
import { luminanceAt } from '@/core/correction/light';
import { boxRound } from '@/core/raster/box-of-places';
import { type Weights, weightsOf } from '@/core/correction/mask';
import { expose } from 'comlink';
import type { CorrectionDesk, CorrectionLook } from './correction-protocol';
import { onCanvas } from './on-canvas';

interface Desk {
  readonly painting: Picture;
  readonly context: OffscreenCanvasRenderingContext2D;
  readonly pixels: ImageData;
  /** The painting with some of the layers, which are the same ever since. */
  readonly below: Picture & { readonly layers: Layer[]; changed: Changed };
  /** What stands on the canvas. */
  readonly now: Picture;
  /** Weights of the mask that a hand was at last. */
  mask: { readonly key: string; readonly weights: Weights | null } | null;
  drawn: Changed;
  look: CorrectionLook | null;
}
let desk: Desk | null = null;

const isSame = (a: Layer | undefined, b: Layer | undefined) => JSON.stringify(a) === JSON.stringify(b);

/** How many layers, from the lowest on, are as they were; the topmost changed one and what lies on it are worked out anew. */
function unchanged(layers: readonly Layer[], { below }: Desk): number {
  let n = 0;
  while (n < below.layers.length && n < layers.length && isSame(below.layers[n], layers[n])) n++;
  return n;
}

/** Brings what is kept below to the layers before the last one: a hand is mostly at that. */
function keepBelow(own: Desk, layers: readonly Layer[]): void {
  const { below, painting } = own;
  const wanted = layers.slice(0, -1);
  if (unchanged(wanted, own) < below.layers.length) {
    below.data.set(painting.data);
    below.layers.length = 0;
    below.changed = null;
  }
  for (const layer of wanted.slice(below.layers.length)) {
    below.changed = boxRound(below.changed, correctBy(below, layer));
    below.layers.push(layer);
  }
}

/** Carries out the layer that a hand is at. While only its change is slid its mask stays the same. */
function carryOut(own: Desk, layer: Layer): Changed {
  const key = JSON.stringify(layer.mask);
  if (own.mask?.key !== key) own.mask = { key, weights: weightsOf(layer.mask, own.now) };
  return correctBy(own.now, layer, own.mask.weights);
}

/** Copies a box of one picture into another. */
function copyBox(from: Picture, to: Picture, box: Changed): void {
  if (!box) return;
  const [x0, y0, x1, y1] = box;
  for (let y = y0; y < y1; y++) {
    const [start, end] = [3 * (y * from.width + x0), 3 * (y * from.width + x1)];
    to.data.set(from.data.subarray(start, end), start);
  }
}

function draw({ now, painting, pixels, context }: Desk, box: Changed, { grey, before }: CorrectionLook): void {
  if (!box) return;
  const { data } = before ? painting : now;
  const [x0, y0, x1, y1] = box;
  for (let y = y0; y < y1; y++)
    for (let x = x0, i = y * now.width + x0, p = 3 * i, q = 4 * i; x < x1; x++, p += 3, q += 4) {
      if (grey) {
        const code = quickCode(luminanceAt(data, p));
        pixels.data.fill(code, q, q + 3);
        continue;
      }
      pixels.data[q] = quickCode(data[p] as number);
      pixels.data[q + 1] = quickCode(data[p + 1] as number);
      pixels.data[q + 2] = quickCode(data[p + 2] as number);
    }
  context.putImageData(pixels, 0, 0, x0, y0, x1 - x0, y1 - y0);
}

const api: CorrectionDesk = {
  async open(blob, canvas) {
    const { context, pixels } = await onCanvas(blob, canvas);
    const { width, height } = pixels;
    const data = new Float32Array(3 * width * height);
    for (let p = 0, q = 0; p < data.length; p += 3, q += 4)
      for (let c = 0; c < 3; c++) data[p + c] = LINEAR_OF_CODE[pixels.data[q + c] as number] as number;
    const painting = { width, height, data };
    const copy = () => ({ ...painting, data: data.slice() });
    desk = {
      ...{ painting, context, pixels, now: copy(), mask: null, drawn: null, look: null },
      below: { ...copy(), layers: [], changed: null },
    };
  },
  async show(layers, look) {
    if (!desk) throw new Error('No painting was opened.');
    const started = performance.now();
    const { now, below, painting } = desk;
    const { width, height } = painting;
    const wasBelow = below.changed;
    keepBelow(desk, layers);
    const last = layers.at(-1);
    // What stood there before goes back to what lies below, and then comes what is new.
    const old = boxRound(desk.drawn, boxRound(wasBelow, below.changed));
    copyBox(below, now, old);
    const own = last ? carryOut(desk, last) : null;
    const changed = boxRound(below.changed, own);
    const isOtherLook = look.grey !== desk.look?.grey || look.before !== desk.look.before;
    draw(desk, isOtherLook ? [0, 0, width, height] : boxRound(old, changed), look);
    desk.drawn = changed;
    desk.look = look;
    return { width, height, covers: last === undefined || own !== null, took: performance.now() - started };
  },
};

expose(api);
