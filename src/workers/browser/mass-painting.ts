/// <reference lib="webworker" />
/** The browser worker on which masses are painted over a student's picture: whole shapes and strokes, as the studio will take them. */
import { lightnessToGreyCode } from '@/core/colour/grey-code';
import { squaredDistances } from '@/core/raster/distance';
import { massPlane } from '@/core/reference/set-up';
import { outlinesOf } from '@/core/tones/tidy';
import { expose } from 'comlink';
import type { MassesShown, MassPainting } from './masses-protocol';
import { onCanvas } from './on-canvas';

interface Opened {
  readonly greys: Uint8Array;
  readonly width: number;
  readonly height: number;
  readonly context: OffscreenCanvasRenderingContext2D;
}
let opened: Opened | null = null;

const GREY = Uint32Array.from({ length: 256 }, (_, c) => ((255 << 24) | (c << 16) | (c << 8) | c) >>> 0);
/** Greys of masses that come one after another lie far apart. */
const greyOf = (k: number) => lightnessToGreyCode(42 + 46 * ((k * 0.618) % 1));
/** What is of no mass is hatched, this many places from line to line. */
const HATCH = 14;

/** How many places each mass has, and the one that lies deepest in it: there its number is read. */
function told(nameOf: Uint8Array, width: number, height: number, count: number): { places: number; at: number }[] {
  const edges = outlinesOf(nameOf, width);
  edges.fill(1, 0, width).fill(1, (height - 1) * width);
  for (let y = 0; y < height; y++) edges[y * width] = edges[(y + 1) * width - 1] = 1;
  const deep = squaredDistances(edges, width, height);
  const own = Array.from({ length: count }, () => ({ places: 0, at: 0, depth: -1 }));
  nameOf.forEach((k, i) => {
    const mass = own[k - 1];
    if (!mass) return;
    mass.places++;
    const depth = deep[i] as number;
    if (depth > mass.depth) [mass.depth, mass.at] = [depth, i];
  });
  return own;
}

function draw({ greys, width, height, context }: Opened, nameOf: Uint8Array, picked: number): void {
  const pixels = new ImageData(width, height);
  const out = new Uint32Array(pixels.data.buffer);
  const edges = outlinesOf(nameOf, width);
  for (let i = 0, x = 0, y = 0; i < out.length; i++) {
    const k = nameOf[i] as number;
    const plain = 96 + ((greys[i] as number) >> 2);
    const code =
      edges[i] === 1 || edges[i - 1] === 1 || edges[i - width] === 1
        ? 20
        : k === 0
          ? (x + y) % HATCH < 2
            ? 40
            : plain
          : k === picked
            ? 252
            : greyOf(k);
    out[i] = GREY[code] as number;
    if (++x === width) [x, y] = [0, y + 1];
  }
  context.putImageData(pixels, 0, 0);
}

const api: MassPainting = {
  async open(tones, canvas) {
    const { context, pixels } = await onCanvas(tones, canvas);
    const { width, height, data } = pixels;
    const greys = Uint8Array.from({ length: width * height }, (_, i) => data[4 * i] as number);
    opened = { greys, width, height, context };
  },
  async show(edits, masses, picked): Promise<MassesShown> {
    if (!opened) throw new Error('No picture was opened.');
    const { greys, width, height } = opened;
    const { nameOf } = massPlane(greys, width, height, edits, masses);
    draw(opened, nameOf, masses.findIndex((m) => m.id === picked) + 1);
    const known = told(nameOf, width, height, masses.length);
    return {
      width,
      height,
      masses: masses.flatMap(({ id }, k) => {
        const { places, at } = known[k] as { places: number; at: number };
        return places === 0
          ? []
          : [
              {
                id,
                share: places / nameOf.length,
                at: { x: ((at % width) + 0.5) / width, y: (Math.floor(at / width) + 0.5) / height },
              },
            ];
      }),
    };
  },
};

expose(api);
