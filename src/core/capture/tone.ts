/**
 * How the camera turned reflectance into codes on this sheet: per channel
 *
 *     g(code) = E(x, y) R + F
 *
 * with a monotone inverse tone curve g, light E over the sheet and stray light F, all estimated
 * together from white paper and printed greys. Dividing by the white first is right only if the camera
 * curve is a pure power; with a phone's curve and light falling off 2 : 1 the same grey then reads more
 * than ten L* apart in two places.
 *
 * g is the 2.2th power of a curve whose slope is the exponential of a piecewise-linear function over
 * knots in u = (sRGB-linear code)^(1/2.2): monotone whatever the parameters, and the identity for a camera
 * that follows sRGB. ln E is a cubic polynomial in x and y. Residuals are differences of L*.
 */
import { luminanceToLightness } from '../colour/lab';
import { leastSquares, type LeastSquaresFit } from '../fitting/least-squares';
import { codeToU, curveAt, curveDerivatives, curveTable, GAMMA, KNOTS, lastKnotOf, tablePlace } from './knotted-curve';
import { leaveOnePatchOut, type LeftOutPatch } from './leave-out';
import { LIGHT_TERMS, lightTerms, logLight, type ToneCurve } from './tone-curve';
import type { ToneSample } from './tone-sample';

/** How richly the light over what is photographed may vary: a sheet has paper all over, a board only at its corners. */
export type LightModel = 'sheet' | 'corners';

/** Below this ratio of light on the dark patches stray light can't be told from the toe of the curve. */
const STRAY_NEEDS_RATIO = 1.3;

interface Prepared {
  readonly samples: readonly ToneSample[];
  readonly terms: Float64Array;
  readonly places: Float64Array;
  readonly wanted: Float64Array;
  readonly model: LightModel;
}

function prepare(samples: readonly ToneSample[], model: LightModel): Prepared {
  const terms = new Float64Array(samples.length * LIGHT_TERMS);
  const places = new Float64Array(samples.length);
  const wanted = new Float64Array(samples.length);
  samples.forEach((s, i) => {
    lightTerms(s.x, s.y, terms, i * LIGHT_TERMS);
    places[i] = tablePlace(codeToU(s.code));
    wanted[i] = luminanceToLightness(s.reflectance);
  });
  return { samples, terms, places, wanted, model };
}

const P_LIGHT = KNOTS.length;
const P_STRAY = P_LIGHT + LIGHT_TERMS;
const PRIORS = KNOTS.length - 2 + LIGHT_TERMS + 1;

/**
 * Weight of the prior on each term of the light. Over a sheet slopes and curvature are nearly free, cubic terms less
 * so. Corner pieces tell the light at four places, each with its slope: enough for a lens that darkens its corners and a
 * lamp that falls off, not for more.
 */
const lightPrior = (model: LightModel, term: number): number =>
  model === 'sheet' ? (term < 5 ? 0.05 : 0.4) : term < 5 ? 0.05 : 20;
const BEND_PRIOR = 0.5;
/** Stray light is never negative and seldom more than a few percent. */
const strayPrior = (stray: number): number => (stray < 0 ? 2000 : 8);

function lightAt(q: Float64Array, terms: Float64Array, i: number): number {
  let e = 0;
  for (let t = 0; t < LIGHT_TERMS; t++) e += (q[P_LIGHT + t] as number) * (terms[i * LIGHT_TERMS + t] as number);
  return e;
}

function fitOnce(p: Prepared, start: readonly number[], withStray: boolean) {
  const n = p.samples.length;
  return leastSquares({
    start,
    residuals: n + PRIORS,
    robustCount: n,
    softScale: 0.8,
    maxIterations: 25,
    evaluate(q, out) {
      const table = curveTable(q);
      const stray = withStray ? (q[P_STRAY] as number) : 0;
      for (let i = 0; i < n; i++) {
        const v = curveAt(table, p.places[i] as number) ** GAMMA;
        out[i] =
          luminanceToLightness(
            (v - stray) * Math.exp(-lightAt(q, p.terms, i) - (p.samples[i] as ToneSample).knownLight),
          ) - (p.wanted[i] as number);
      }
      let o = n;
      for (let k = 1; k < KNOTS.length - 1; k++)
        out[o++] = BEND_PRIOR * ((q[k - 1] as number) - 2 * (q[k] as number) + (q[k + 1] as number));
      for (let t = 0; t < LIGHT_TERMS; t++) out[o++] = lightPrior(p.model, t) * (q[P_LIGHT + t] as number);
      out[o] = strayPrior(q[P_STRAY] as number) * (q[P_STRAY] as number);
    },
    differentiate(q, columns) {
      const table = curveTable(q);
      const stray = withStray ? (q[P_STRAY] as number) : 0;
      const bySlope = curveDerivatives(q);
      for (const column of columns) column.fill(0);
      for (let i = 0; i < n; i++) {
        const place = p.places[i] as number;
        const h = curveAt(table, place);
        const dim = Math.exp(-lightAt(q, p.terms, i) - (p.samples[i] as ToneSample).knownLight);
        const reflectance = (h ** GAMMA - stray) * dim;
        const slope = lightnessSlope(reflectance);
        const byCurve = slope * dim * GAMMA * h ** (GAMMA - 1);
        // Knots past the next one have no part in the curve up to here.
        const reaching = lastKnotOf(place);
        for (let k = 0; k <= reaching; k++)
          (columns[k] as Float64Array)[i] = byCurve * curveAt(bySlope[k] as Float64Array, place);
        for (let t = 0; t < LIGHT_TERMS; t++)
          (columns[P_LIGHT + t] as Float64Array)[i] = -slope * reflectance * (p.terms[i * LIGHT_TERMS + t] as number);
        if (withStray) (columns[P_STRAY] as Float64Array)[i] = -slope * dim;
      }
      let o = n;
      for (let k = 1; k < KNOTS.length - 1; k++, o++) {
        (columns[k - 1] as Float64Array)[o] = BEND_PRIOR;
        (columns[k] as Float64Array)[o] = -2 * BEND_PRIOR;
        (columns[k + 1] as Float64Array)[o] = BEND_PRIOR;
      }
      for (let t = 0; t < LIGHT_TERMS; t++) (columns[P_LIGHT + t] as Float64Array)[o++] = lightPrior(p.model, t);
      (columns[P_STRAY] as Float64Array)[o] = strayPrior(q[P_STRAY] as number);
    },
  });
}

/** Derivative of L* by Y. */
function lightnessSlope(y: number): number {
  return y > 216 / 24389 ? 116 / (3 * Math.cbrt(y) ** 2) : 24389 / 27;
}

function darkRatio(samples: readonly ToneSample[], light: readonly number[]): number {
  let [low, high] = [Infinity, -Infinity];
  for (const s of samples) {
    if (s.patch === 0 || s.reflectance > 0.12) continue;
    const e = logLight(light, s.x, s.y) + s.knownLight;
    low = Math.min(low, e);
    high = Math.max(high, e);
  }
  return high > low ? Math.exp(high - low) : 1;
}

export interface ToneFit {
  readonly curve: ToneCurve;
  /** Residual (L*) of each sample, in the order given. */
  readonly residuals: Float64Array;
  readonly parameters: readonly number[];
  readonly strayFitted: boolean;
  /** Only of a fit that started by itself. Per patch (1 up): what the rest of the card predicts for it less what it is, L*. */
  readonly leftOut: readonly LeftOutPatch[];
}

function toCurve(q: Float64Array, withStray: boolean, samples: readonly ToneSample[]): ToneCurve {
  const fine = curveTable(q);
  const light = Array.from(q.subarray(P_LIGHT, P_LIGHT + LIGHT_TERMS));
  const table = Float64Array.from({ length: 256 }, (_, code) => curveAt(fine, tablePlace(codeToU(code))) ** GAMMA);
  return {
    table,
    light,
    stray: withStray ? (q[P_STRAY] as number) : 0,
    darkLightRatio: darkRatio(samples, light),
  };
}

/**
 * Fits one channel; `like` is the fit of another channel to start from.
 * Throws RangeError on fewer than 20 samples.
 */
export function fitTone(samples: readonly ToneSample[], like?: ToneFit, model: LightModel = 'sheet'): ToneFit {
  if (samples.length < 20) throw new RangeError(`A tone fit needs at least 20 samples, got ${samples.length}.`);
  const p = prepare(samples, model);
  const whiteCode = samples.reduce((m, s) => Math.max(m, s.code), 0);
  const paper = samples.reduce((m, s) => Math.max(m, s.reflectance), 0);
  const slope = Math.log(paper ** (1 / GAMMA) / Math.max(0.05, codeToU(whiteCode)));
  const start = [...KNOTS.map(() => slope), ...new Array<number>(LIGHT_TERMS).fill(0), 0];
  // Channels of one camera bend alike and see one light: another's fit is nearly this one's, but for how sensitive it is.
  if (like) {
    const bends = like.parameters.slice(0, P_LIGHT);
    const middle = bends.reduce((a, b) => a + b, 0) / bends.length;
    like.parameters.forEach((v, k) => (start[k] = k < P_LIGHT ? v - middle + slope : v));
  }
  const plain = like ? null : fitOnce(p, start, false);
  const withStray = like
    ? like.strayFitted
    : darkRatio(samples, Array.from((plain as LeastSquaresFit).parameters.subarray(P_LIGHT, P_STRAY))) >=
      STRAY_NEEDS_RATIO;
  const fit = plain && !withStray ? plain : fitOnce(p, plain ? Array.from(plain.parameters) : start, withStray);
  return {
    curve: toCurve(fit.parameters, withStray, samples),
    residuals: fit.residuals.slice(0, samples.length),
    parameters: Array.from(fit.parameters),
    strayFitted: withStray,
    leftOut: like ? [] : leaveOnePatchOut(fit, samples),
  };
}
