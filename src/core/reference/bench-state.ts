/** What is worked out of a picture on the bench, kept as long as what it rests on stays the same, so that a finger is followed. */
import { blockMeans } from '../raster/blur';
import { lightnessHistogram } from '../raster/lightness-histogram';
import type { Photo } from '../raster/photo';
import { raster, type Raster } from '../raster/raster';
import { type ReferenceFacts, referenceFacts } from './facts';
import { framed } from './framing';
import { luminanceOf, softLightness } from './luminance-plane';
import { cutKey, type Preparation } from './preparation';
import { litOf, type PreparedTones, shapesOf, tonesByLight, tonesByThreshold } from './prepared-tones';
import type { ShapeCut } from './shape-cut';
import { type ValueSpan, valueSpan } from './value-map';

/** Keeps the last value by a key. */
function remembered<T>(): (key: string, make: () => T) => T {
  let last: { key: string; value: T } | null = null;
  return (key, make) => {
    if (last?.key !== key) last = { key, value: make() };
    return last.value;
  };
}

export interface BenchState {
  rgb(p: Preparation): Raster<'linear', 3>;
  luminance(p: Preparation): Raster<'linear', 1>;
  /** L* without a squint; `quick` half as large. */
  plain(p: Preparation, quick?: boolean): Raster<'lightness', 1>;
  /** L* squinted; `quick` nearly so, and half as large. */
  soft(p: Preparation, quick: boolean): Raster<'lightness', 1>;
  span(p: Preparation): ValueSpan;
  histogram(p: Preparation, quick: boolean): Float64Array;
  shapes(p: Preparation): ShapeCut;
  /** Throws TooFewTones. */
  lit(p: Preparation): Uint8Array;
  /** In the school and number of tones of the bench. Throws TooFewTones and OneSided. */
  tones(p: Preparation): PreparedTones;
  facts(p: Preparation): ReferenceFacts;
  /** What each thing rests on, as a key: the same key, the same outcome. */
  readonly keys: {
    readonly frame: Key;
    readonly squint: Key;
    readonly light: Key;
    readonly shapes: Key;
    readonly tones: Key;
  };
}
type Key = (p: Preparation) => string;

/** What is worked out of a picture on the bench, remembered as long as what it rests on stays the same. */
export function benchState(photo: Photo): BenchState {
  const [half, plainHalf] = [remembered<Raster<'linear', 1>>(), remembered<Raster<'lightness', 1>>()];
  const [span, rgb, luminance, plain, exact, quickly, counts, shapes, lit, tones, facts] = [
    remembered<ValueSpan>(),
    remembered<Raster<'linear', 3>>(),
    remembered<Raster<'linear', 1>>(),
    remembered<Raster<'lightness', 1>>(),
    remembered<Raster<'lightness', 1>>(),
    remembered<Raster<'lightness', 1>>(),
    remembered<Float64Array>(),
    remembered<ShapeCut>(),
    remembered<Uint8Array>(),
    remembered<PreparedTones>(),
    remembered<ReferenceFacts>(),
  ] as const;
  const frame = (p: Preparation) => JSON.stringify([p.corners, p.proportion]);
  const squint = (p: Preparation) => `${frame(p)} ${p.squint}`;
  const cut = (p: Preparation) => `${squint(p)} ${p.dissolve} ${p.smooth}`;
  const shapeKey = (p: Preparation) =>
    p.shapes.cut ? `${frame(p)} ${JSON.stringify([p.shapes.cut, p.shapes.edits])}` : cut(p);
  const lightKey = (p: Preparation) => `${cut(p)} ${shapeKey(p)} ${JSON.stringify([p.light.line, p.light.edits])}`;
  const toneKey = (p: Preparation) =>
    `${p.school === 'threshold' ? cut(p) : lightKey(p)} ${p.school} ${p.tones} ${JSON.stringify(p.cuts[cutKey(p.school, p.tones)])}`;
  /** Half the picture each way, for what follows a finger. */
  const small = (p: Preparation) =>
    half(frame(p), () => {
      const whole = state.luminance(p);
      const { data, width, height } = blockMeans(whole.data, whole.width, whole.height, 2);
      return raster('linear', width, height, 1, data);
    });
  const state: BenchState = {
    rgb: (p) => rgb(frame(p), () => framed(photo, p.corners, p.proportion)),
    luminance: (p) => luminance(frame(p), () => luminanceOf(state.rgb(p))),
    plain: (p, quick = false) =>
      quick
        ? plainHalf(frame(p), () => softLightness(small(p), 0))
        : plain(frame(p), () => softLightness(state.luminance(p), 0)),
    soft: (p, quick) =>
      quick
        ? quickly(squint(p), () => softLightness(small(p), p.squint, true))
        : exact(squint(p), () => softLightness(state.luminance(p), p.squint)),
    span: (p) => span(frame(p), () => valueSpan(state.plain(p).data)),
    histogram: (p, quick) => counts(`${squint(p)} ${quick}`, () => lightnessHistogram(state.soft(p, quick).data)),
    shapes: (p) => shapes(shapeKey(p), () => shapesOf(state.luminance(p), p)),
    lit: (p) => lit(lightKey(p), () => litOf(state.soft(p, false), state.shapes(p).shapeOf, p)),
    tones: (p) =>
      tones(toneKey(p), () =>
        p.school === 'threshold'
          ? tonesByThreshold(state.soft(p, false), p.tones, p)
          : tonesByLight(state.soft(p, false), state.lit(p), p.tones, p),
      ),
    keys: { frame, squint, light: lightKey, shapes: shapeKey, tones: toneKey },
    facts: (p) => facts(toneKey(p), () => referenceFacts(state.soft(p, false), state.tones(p).toneOf)),
  };
  return state;
}
