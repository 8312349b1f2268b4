/** Fits a print that was located: the tone of each channel, the camera's primaries, and how sure they are. */
import { labToLinearRgb } from '../colour/lab';
import { applyMatrix, type ColourMatrix, inverseMatrix, SAME_PRIMARIES } from '../colour/primaries';
import type { Triple } from '../colour/srgb';
import { grow } from '../geometry/box';
import type { Photo } from '../raster/photo';
import type { Calibration, WhitePlace } from './calibration';
import { type CardInPhoto, type CardSample, cardSamples, CLIPPED_SHARE, position } from './card-in-photo';
import type { CardProfile } from './card-profile';
import { fitColourMatrix } from './colour-matrix';
import { meanCodes, sampleBox } from './sample';
import { halfWidthFrom, misfitOf } from './sureness';
import { fitTone, type ToneFit } from './tone';
import { reflectanceAt, type ToneCurve } from './tone-curve';
import type { ToneSample } from './tone-sample';

interface Fitted {
  readonly fits: readonly [ToneFit, ToneFit, ToneFit];
  readonly curves: Calibration['curves'];
}

/** Fits the three channels; `primaries` turn what is known into what this camera's channels see. */
function fitChannels(card: CardInPhoto, samples: readonly CardSample[], primaries: ColourMatrix): Fitted {
  const seen = samples.map((s) => applyMatrix(primaries, s.known));
  const channel = (c: 0 | 1 | 2): ToneSample[] =>
    samples.map((s, i) => {
      const [x, y] = position(card.extent, s.xMm, s.yMm);
      return {
        x,
        y,
        code: s.codes[c],
        reflectance: (seen[i] as Triple)[c],
        patch: s.patch,
        knownLight: card.knownLight?.(s.xMm, s.yMm) ?? 0,
      };
    });
  const green = fitTone(channel(1), undefined, card.model);
  const [red, blue] = [fitTone(channel(0), green, card.model), fitTone(channel(2), green, card.model)];
  return { fits: [red, green, blue], curves: [red.curve, green.curve, blue.curve] };
}

/** What the camera saw of each coloured patch, linear, in its own primaries; null where it is clipped or outside. */
function seenColours(photo: Photo, card: CardInPhoto, curves: Calibration['curves']): (Triple | null)[] {
  return card.chroma.map((patch) => {
    const mean = meanCodes(sampleBox(photo, card.plane, grow(patch, -1.5), 0.5));
    if (!mean || mean.clipped > CLIPPED_SHARE) return null;
    const [xMm, yMm] = [patch.xMm + patch.widthMm / 2, patch.yMm + patch.heightMm / 2];
    const [x, y] = position(card.extent, xMm, yMm);
    const dim = Math.exp(-(card.knownLight?.(xMm, yMm) ?? 0));
    return [0, 1, 2].map(
      (c) => reflectanceAt(curves[c] as ToneCurve, mean.codes[c] as number, x, y) * dim,
    ) as unknown as Triple;
  });
}

const LEAST_COLOURS = 8;
/** Where the strongest of them is no further from grey than this, a sheet without coloured patches was printed. */
const HARDLY_COLOURED = 1.15;

const fromGrey = (seen: Triple): number => Math.max(...seen) / Math.max(1e-3, Math.min(...seen));

/** The camera's primaries, where the profile knows enough coloured patches; else null. */
function primariesOf(
  photo: Photo,
  card: CardInPhoto,
  profile: CardProfile,
  curves: Calibration['curves'],
): ColourMatrix | null {
  if (profile.basis === 'nominal' || !profile.chroma) return null;
  const known = profile.chroma;
  const pairs = seenColours(photo, card, curves).flatMap((seen, i) =>
    seen && known[i] ? [{ seen, known: labToLinearRgb(known[i]) }] : [],
  );
  if (pairs.length < LEAST_COLOURS || pairs.every(({ seen }) => fromGrey(seen) < HARDLY_COLOURED)) return null;
  return fitColourMatrix(
    pairs.map((p) => p.seen),
    pairs.map((p) => p.known),
  );
}

/** Fits the card, or null when so much of it is clipped or outside that nothing can be fitted. */
export function calibrate(
  photo: Photo,
  card: CardInPhoto,
  profile: CardProfile,
): { calibration: Calibration | null; whites: readonly WhitePlace[] } {
  const samples = cardSamples(photo, card, profile);
  const usable = samples.filter((s) => s.clipped <= CLIPPED_SHARE);
  const bare = samples.filter((s) => s.patch === 0);
  const seen = (residualOf: (s: CardSample) => number | null): WhitePlace[] =>
    bare.map((s) => ({ xMm: s.xMm, yMm: s.yMm, codes: s.codes, clipped: s.clipped, residual: residualOf(s) }));
  if (usable.length < 40 || !usable.some((s) => s.patch === 0)) return { calibration: null, whites: seen(() => null) };
  let fitted = fitChannels(card, usable, photo.primaries ? inverseMatrix(photo.primaries) : SAME_PRIMARIES);
  let matrix = primariesOf(photo, card, profile, fitted.curves);
  const coloursMeasured = matrix !== null;
  if (matrix) {
    // Paper and greys are a little tinted, and a camera of other primaries sees their tint in its own way.
    fitted = fitChannels(card, usable, inverseMatrix(matrix));
    matrix = primariesOf(photo, card, profile, fitted.curves);
  }
  const green = fitted.fits[1];
  const residuals = new Map(usable.map((s, i) => [s, green.residuals[i] as number]));
  const whites = seen((s) => residuals.get(s) ?? null);
  const misfit = misfitOf(green.leftOut);
  const { plane, extent, patches, knownLight } = card;
  return {
    calibration: {
      plane,
      extent,
      patches,
      profile,
      curves: fitted.curves,
      matrix: matrix ?? photo.primaries,
      coloursMeasured,
      knownLight,
      anchor: null,
      whites,
      cardMisfit: misfit,
      fitHalfWidth: halfWidthFrom(misfit, whites, card.model),
    },
    whites,
  };
}
