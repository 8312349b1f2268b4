/** How a photograph is taken under each condition. */
import type { Triple } from '@/core/colour/srgb';
import type { CameraCondition } from './condition-names';
import { CASTS, sideLight, windowAndLamp } from './light';
import { randomPose } from './optics';
import { type Chance, chance } from './random';
import { PLAIN_SENSOR, type Ripple, type Shot, type Stage } from './shot';

function ripple(own: Chance, heightMm: number): Ripple {
  const [angle, flat] = [own.between(0, 2 * Math.PI), own.between(0.5, 1)];
  return {
    heightMm,
    lengthMm: own.between(80, 130),
    phase: own.between(0, 2 * Math.PI),
    light: [flat * Math.cos(angle), flat * Math.sin(angle)],
  };
}

/** A place well within a cell, mm; the middle of a stage that has none. */
function withinCell(own: Chance, { cells, widthMm, heightMm }: Stage, k: number): readonly [number, number] {
  const cell = cells[k];
  if (!cell) return [widthMm / 2, heightMm / 2];
  return [cell.xMm + cell.widthMm * own.between(0.3, 0.7), cell.yMm + cell.heightMm * own.between(0.3, 0.7)];
}

/** A shot of a stage under a condition; `megapixels` 12 is a phone's. */
export function shotFor(condition: CameraCondition, stage: Stage, seed: number, megapixels = 12): Shot {
  const own = chance(seed).fork(`shot ${condition}`);
  const long = Math.round(Math.sqrt((megapixels * 1e6 * 4) / 3) / 8) * 8;
  const short = Math.round((long * 3) / 4);
  // What is wider than tall is photographed with the phone on its side.
  const lying = stage.widthMm > 1.1 * stage.heightMm;
  const casts: Triple[] = [CASTS.daylight, CASTS.window, CASTS.tungsten];
  const cast = casts[own.whole(0, 2)] ?? CASTS.daylight;
  const base: Shot = {
    width: lying ? long : short,
    height: lying ? short : long,
    pose: randomPose(own, long, [0, 10]),
    light: sideLight(own, stage, own.between(1.1, 1.5), cast, true),
    exposure: own.between(0.7, 0.92),
    stray: own.between(0.002, 0.012),
    vignette: own.between(0.05, 0.2),
    curve: { contrast: own.between(0, 0.35), lift: 0, gamma: own.between(0.95, 1.05), toe: 0 },
    sensor: PLAIN_SENSOR,
    localTone: 0,
    raised: null,
    ripple: null,
    shadow: null,
    blurPx: own.between(0.7, 1.2),
    noise: own.between(0.008, 0.02),
    sharpen: own.between(0.2, 0.7),
    quality: own.whole(86, 95),
    glare: null,
    sheets: 1,
  };
  switch (condition) {
    case 'studio':
      return base;
    case 'window':
      return { ...base, light: sideLight(own, stage, own.between(1.5, 1.9), CASTS.window, true) };
    case 'lamp':
      return { ...base, light: sideLight(own, stage, own.between(1.6, 2), CASTS.tungsten, false) };
    case 'tilted':
      return { ...base, pose: { ...base.pose, tiltDegrees: own.between(14, 20), rollDegrees: own.between(-12, 12) } };
    case 'phone':
      return {
        ...base,
        curve: { contrast: own.between(0.35, 0.7), lift: own.between(0, 0.15), gamma: own.between(0.9, 1.1), toe: 0 },
        noise: own.between(0.02, 0.032),
        sharpen: own.between(0.7, 1.2),
        quality: own.whole(78, 86),
      };
    case 'haze':
      return {
        ...base,
        stray: own.between(0.02, 0.04),
        light: sideLight(own, stage, own.between(1.4, 1.8), cast, true),
      };
    case 'glare': {
      const k = own.whole(Math.floor(stage.cells.length / 3), stage.cells.length - 1);
      const atMm = withinCell(own, stage, k);
      return { ...base, glare: { atMm, radiusMm: own.between(8, 16), strength: own.between(0.35, 1.2) } };
    }
    // A lamp mirrored faintly, where only the darkest paint shows it: three to eight L* there, nothing on greys. One that
    // is larger than the cell lifts it evenly, and nobody could tell it from lighter paint.
    case 'gloss-on-black': {
      const atMm = withinCell(own, stage, stage.cells.length - 1);
      return { ...base, glare: { atMm, radiusMm: own.between(10, 16), strength: own.between(0.016, 0.035) } };
    }
    case 'shine-beside':
      return {
        ...base,
        glare: { atMm: [stage.widthMm / 2, stage.heightMm * own.between(0.72, 0.78)], radiusMm: 8, strength: 0.25 },
      };
    case 'soft':
      return { ...base, blurPx: (long / 4000) * own.between(2, 2.6) };
    case 'dim':
      return { ...base, exposure: own.between(0.3, 0.4) };
    case 'bright':
      return { ...base, exposure: own.between(0.95, 0.98) };
    case 'to-the-edge':
      return {
        ...base,
        pose: { ...base.pose, tiltDegrees: own.between(0, 4), fill: own.between(0.96, 0.98), offset: [0, 0] },
      };
    case 'slanted':
      return { ...base, pose: { ...base.pose, tiltDegrees: own.between(23, 26) } };
    case 'small':
      return { ...base, pose: { ...base.pose, fill: own.between(0.26, 0.3) } };
    case 'lamp-beside':
      return { ...base, light: sideLight(own, stage, own.between(2.2, 2.5), cast, false) };
    case 'blurred':
      return { ...base, blurPx: (long / 4000) * own.between(16, 30) };
    case 'dark':
      return { ...base, exposure: own.between(0.03, 0.06) };
    case 'burnt':
      return { ...base, exposure: own.between(1.6, 2.4) };
    case 'no-sheet':
      return { ...base, sheets: 0 };
    case 'cut-off':
      return {
        ...base,
        pose: {
          ...base.pose,
          fill: own.between(0.85, 0.95),
          offset: [own.between(0.16, 0.25) * (own.next() < 0.5 ? -1 : 1), 0],
        },
      };
    case 'steep':
      return { ...base, pose: { ...base.pose, tiltDegrees: own.between(42, 50) } };
    case 'far':
      return { ...base, pose: { ...base.pose, fill: own.between(0.125, 0.145) } };
    case 'close-lamp':
      return { ...base, light: sideLight(own, stage, own.between(5, 7), cast, false) };
    case 'curve-s':
    case 'curve-lifted':
    case 'curve-toe':
      return {
        ...base,
        light: sideLight(own, stage, own.between(1.8, 2.1), cast, own.next() < 0.5),
        curve: {
          contrast: condition === 'curve-s' ? own.between(0.7, 1.1) : own.between(0, 0.3),
          lift: condition === 'curve-lifted' ? own.between(0.3, 0.7) : 0,
          toe: condition === 'curve-toe' ? own.between(0.3, 0.8) : 0,
          gamma: own.between(0.92, 1.08),
        },
      };
    case 'even-light':
      return {
        ...base,
        light: sideLight(own, stage, own.between(1.02, 1.1), cast, true),
        vignette: own.between(0, 0.04),
        curve: { contrast: own.between(0, 0.3), lift: 0, gamma: own.between(0.97, 1.03), toe: 0 },
      };
    case 'two-lamps':
      return { ...base, light: windowAndLamp(own, stage, own.between(1.3, 1.7)) };
    case 'other-primaries': {
      // Filters overlap more or less than those of sRGB; a share of each neighbour goes over, or is taken off too much.
      const mix = () => own.between(-0.18, 0.3);
      const [rg, rb, gr, gb, br, bg] = [mix(), 0.3 * mix(), mix(), mix(), 0.3 * mix(), mix()];
      return {
        ...base,
        sensor: [
          [1 - rg - rb, rg, rb],
          [gr, 1 - gr - gb, gb],
          [br, bg, 1 - br - bg],
        ],
      };
    }
    case 'local-tone':
      return { ...base, localTone: own.between(0.3, 0.5) };
    case 'evened-a-little':
      return { ...base, localTone: own.between(0.01, 0.02) };
    case 'buckled':
      return { ...base, ripple: ripple(own, own.between(4, 7)) };
    case 'wavy':
      return { ...base, ripple: ripple(own, own.between(0.2, 0.35)) };
    case 'coloured-lamp':
      return {
        ...base,
        light: sideLight(
          own,
          stage,
          own.between(1.1, 1.5),
          own.next() < 0.5 ? [1.6, 0.7, 0.06] : [0.1, 0.5, 1.7],
          true,
        ),
      };
    case 'warm-bulb':
      return { ...base, light: sideLight(own, stage, own.between(1.1, 1.5), [1.42, 1, 0.48], true) };
    case 'shadow':
      return {
        ...base,
        shadow: {
          atMm: [stage.widthMm * own.between(0.35, 0.65), stage.heightMm * own.between(0.35, 0.65)],
          angle: own.between(0, 2 * Math.PI),
          softMm: own.between(3, 8),
          share: own.between(0.35, 0.6),
        },
      };
    case 'two-sheets':
      return { ...base, sheets: 2, pose: { ...base.pose, tiltDegrees: own.between(0, 4), rollDegrees: 0 } };
  }
}
