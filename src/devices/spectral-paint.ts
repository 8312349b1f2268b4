/**
 * Paints as they are, for trying the mixing bench: spectra in 31 bands from 400 to 700 nm, pigment that crowds (much of
 * it scatters less than its share), each maker's own strengths. Colour by the CIE 1931 observer in daylight. None of it
 * is shared with what it tests.
 */
import { xyzD65ToLab } from '@/core/colour/lab';
import type { Triple } from '@/core/colour/srgb';
import { type Chance, chance } from './random';

const BANDS = Array.from({ length: 31 }, (_, i) => 400 + 10 * i);

/** One lobe of the observer: C. Wyman, P.-P. Sloan, P. Shirley, "Simple analytic approximations to the CIE XYZ color matching functions" (2013). */
const lobe = (nm: number, at: number, below: number, above: number): number =>
  Math.exp(-0.5 * ((nm - at) * (nm < at ? below : above)) ** 2);
const OBSERVER: readonly Triple[] = BANDS.map((nm) => [
  0.362 * lobe(nm, 442, 0.0624, 0.0374) +
    1.056 * lobe(nm, 599.8, 0.0264, 0.0323) -
    0.065 * lobe(nm, 501.1, 0.049, 0.0382),
  0.821 * lobe(nm, 568.8, 0.0213, 0.0247) + 0.286 * lobe(nm, 530.9, 0.0613, 0.0322),
  1.217 * lobe(nm, 437, 0.0845, 0.0278) + 0.681 * lobe(nm, 459, 0.0385, 0.0725),
]);
/** Daylight as Planck's law at 6504 K, near enough for paint. */
const LIGHT = BANDS.map((nm) => 1 / ((nm / 560) ** 5 * (Math.exp(1.4388e7 / (nm * 6504)) - 1)));
const WHITE = [0, 1, 2].map((c) => BANDS.reduce((sum, _, i) => sum + (LIGHT[i] ?? 0) * (OBSERVER[i]?.[c] ?? 0), 0));
const D65: Triple = [0.3127 / 0.329, 1, 0.3583 / 0.329];

function labOf(reflectance: readonly number[]): Triple {
  const xyz = [0, 1, 2].map(
    (c) =>
      (BANDS.reduce((sum, _, i) => sum + (reflectance[i] ?? 0) * (LIGHT[i] ?? 0) * (OBSERVER[i]?.[c] ?? 0), 0) /
        (WHITE[c] ?? 1)) *
      (D65[c] ?? 1),
  );
  return xyzD65ToLab([xyz[0] ?? 0, xyz[1] ?? 0, xyz[2] ?? 0]);
}

export interface SpectralPaint {
  readonly absorption: readonly number[];
  readonly scattering: readonly number[];
}

/** How a painter's tubes and film behave. */
export interface PainterPaints {
  readonly white: SpectralPaint;
  readonly black: SpectralPaint;
  /** Strength of the black against what is usual. */
  readonly strength: number;
  /** By how much pure white scatters less than its share would. */
  readonly crowding: number;
  readonly surface: { readonly seen: number; readonly outer: number; readonly inner: number };
}

function whitePaint(own: Chance): SpectralPaint {
  const [yellow, dull, fall] = [own.between(0, 0.004), own.between(0.0003, 0.0009), own.between(0.2, 0.6)];
  return {
    absorption: BANDS.map((nm) => dull + yellow * Math.exp(-(nm - 400) / 30)),
    scattering: BANDS.map((nm) => (nm / 550) ** -fall),
  };
}

/** Absorption of a usual black, where white scatters 1. */
const USUAL_BLACK = 8;

function blackPaint(own: Chance, strength: number): SpectralPaint {
  const slope = own.between(-0.6, 0.4);
  const ratio = own.between(14, 40);
  return {
    absorption: BANDS.map((nm) => USUAL_BLACK * strength * (nm / 550) ** slope),
    scattering: BANDS.map((nm) => (USUAL_BLACK * strength * (nm / 550) ** (slope - 0.3)) / ratio),
  };
}

/** The tubes of a painter; tinting strength lies up to three times off what is usual, either way. */
export function painterPaints(seed: number): PainterPaints {
  const own = chance(seed).fork('paints');
  const strength = Math.exp(own.between(-Math.log(3), Math.log(3)));
  return {
    white: whitePaint(own.fork('white')),
    black: blackPaint(own.fork('black'), strength),
    strength,
    crowding: own.between(0, 0.25),
    surface: { seen: own.between(0.02, 0.032), outer: own.between(0.045, 0.075), inner: own.between(0.22, 0.38) },
  };
}

/** L*a*b* of a covering film, dry, with `blackShare` (0 to 1 by volume) of black in it. */
export function paintedMix({ white, black, crowding, surface }: PainterPaints, blackShare: number): Triple {
  const whiteShare = 1 - blackShare;
  return labOf(
    BANDS.map((_, i) => {
      const k = whiteShare * (white.absorption[i] ?? 0) + blackShare * (black.absorption[i] ?? 0);
      const s =
        whiteShare * (white.scattering[i] ?? 0) * (1 - crowding * whiteShare) + blackShare * (black.scattering[i] ?? 0);
      const q = k / s;
      const within = 1 + q - Math.sqrt(q * q + 2 * q);
      return surface.seen + ((1 - surface.outer) * (1 - surface.inner) * within) / (1 - surface.inner * within);
    }),
  );
}
