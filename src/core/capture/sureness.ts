/** How sure a reading is: how well the card agrees with itself, how far the light is what it was fitted to be, and what the profile knows. */
import type { Calibration, WhitePlace } from './calibration';
import type { LeftOutPatch } from './leave-out';
import type { LightModel } from './tone';

/** Patches this near (L*) tell how sure a reading is. */
const NEAR = 15;
/**
 * What a reading's standard deviation is made of: a share of what a patch is off when it is left out, since the fit must
 * reach that without its nearest neighbour; light that is not what the fit makes it, everywhere and as far as bare paper
 * shows it, which counts with the lightness that it is multiplied by; stray light that is not what the fit makes it,
 * which is added and so counts most in darks; and what nothing tells. Chosen on some 1100 simulated readings in 164
 * photographs by twenty-four circumstances, as the narrowest intervals that 95 of 100 lie in (by the interval score).
 */
interface Doubt {
  readonly ofLeftOut: number;
  /** L* at white. */
  readonly ofLight: number;
  /** Of the residual of bare paper, root mean square. */
  readonly ofPaper: number;
  /** Reflectance. */
  readonly ofStray: number;
  /** L*. */
  readonly floor: number;
}
const DOUBT: Record<LightModel, Doubt> = {
  sheet: { ofLeftOut: 0.25, ofLight: 0.115, ofPaper: 0.63, ofStray: 0.00025, floor: 0 },
  corners: { ofLeftOut: 0.45, ofLight: 0, ofPaper: 0, ofStray: 0, floor: 0.14 },
};
/** Half-width of a 95 % interval over its standard deviation. */
const TWO_SIGMA = 1.96;

/** How far (L*, root mean square) patches near a lightness are from what the rest of the card makes of them. */
export function misfitOf(leftOut: readonly LeftOutPatch[]): (lightness: number) => number {
  return (lightness) => {
    let [weight, sum] = [0, 0];
    for (const p of leftOut) {
      const w = Math.exp(-(((p.lightness - lightness) / NEAR) ** 2)) + 1e-6;
      weight += w;
      sum += w * p.error * p.error;
    }
    return Math.sqrt(sum / weight);
  };
}

/** Half-width of a reading from how the card's patches agree, and paper with the light that was fitted. */
export function halfWidthFrom(
  misfit: (lightness: number) => number,
  whites: readonly WhitePlace[],
  model: LightModel,
): (lightness: number) => number {
  const { ofLeftOut, ofLight, ofPaper, ofStray, floor } = DOUBT[model];
  const off = whites.flatMap((w) => (w.residual === null ? [] : [w.residual]));
  const paper = Math.sqrt(off.reduce((s, r) => s + r * r, 0) / Math.max(1, off.length));
  return (lightness) => {
    // CIE L* is 116 times this root of reflectance, less 16; differentiated, a share of light counts with the root, and
    // what is added to reflectance with one over its square.
    const root = (lightness + 16) / 116;
    const added = 116 / 3 / (root * root);
    const parts = [ofLeftOut * misfit(lightness), ofLight * root, ofPaper * paper * root, ofStray * added, floor];
    return TWO_SIGMA * Math.hypot(...parts);
  };
}

/** How far (L*) past the last patch a reading may lie before it is called extrapolated. */
const EXTRAPOLATION_MARGIN = 2;

export interface Sureness {
  /** 95 % half-width of the whole, L*. */
  readonly whole: number;
  /** The part that two readings on one sheet do not share, L*. */
  readonly own: number;
  readonly extrapolated: boolean;
}

/** How sure a reading of the given lightness is. */
export function surenessOf(calibration: Calibration, lightness: number): Sureness {
  const { profile } = calibration;
  const known = [profile.paper, ...profile.greys].map((lab) => lab[0]);
  const beyond = Math.max(Math.min(...known) - lightness, lightness - Math.max(...known), 0);
  const extrapolated = beyond > EXTRAPOLATION_MARGIN;
  const fit = calibration.fitHalfWidth(lightness);
  const outside = extrapolated ? 0.3 * beyond : 0;
  const own = Math.hypot(fit, outside);
  return { whole: Math.hypot(own, profile.halfWidth(lightness)), own, extrapolated };
}
