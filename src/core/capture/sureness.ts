/** How sure a reading is: how well the card agrees with itself, how far the light is what it was fitted to be, and what the profile knows. */
import type { Calibration, WhitePlace } from './calibration';
import type { LeftOutPatch } from './leave-out';
import type { LightModel } from './tone';

/** Patches this near (L*) tell how sure a reading is. */
const NEAR = 15;
/**
 * What a reading's standard deviation is made of: a share of what a patch is off when it is left out, since the fit must
 * reach that without its nearest neighbour; light that is not what the fit makes it, everywhere and as far as bare paper
 * shows it, which counts with the lightness that it is multiplied by; and what nothing tells. Chosen on some 1700
 * simulated readings by fifteen circumstances so that 95 of 100 lie in twice of it, in lights and darks alike.
 */
interface Doubt {
  readonly ofLeftOut: number;
  /** L* at white. */
  readonly ofLight: number;
  /** Of the residual of bare paper, root mean square. */
  readonly ofPaper: number;
  readonly floor: number;
}
const DOUBT: Record<LightModel, Doubt> = {
  sheet: { ofLeftOut: 0.177, ofLight: 0.088, ofPaper: 0.88, floor: 0.105 },
  corners: { ofLeftOut: 0.45, ofLight: 0, ofPaper: 0, floor: 0.14 },
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
  const { ofLeftOut, ofLight, ofPaper, floor } = DOUBT[model];
  const off = whites.flatMap((w) => (w.residual === null ? [] : [w.residual]));
  const paper = Math.sqrt(off.reduce((s, r) => s + r * r, 0) / Math.max(1, off.length));
  return (lightness) => {
    // A share of light is this much of the lightness that it falls on (CIE L*, its cube root differentiated).
    const lit = (lightness + 16) / 116;
    const parts = [ofLeftOut * misfit(lightness), ofLight * lit, ofPaper * paper * lit, floor];
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
