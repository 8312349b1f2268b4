/** Gate checks of exposure and light on a located sheet. */
import { LINEAR_OF_CODE } from '../colour/srgb';
import { median } from '../fitting/quantile';
import { lightRatio, steepestLight, unexplainedLight } from './bare-paper';
import { type Calibration, type WhitePlace } from './calibration';
import { type CaptureIssue, GATE, issue } from './gate';

/** Exposure, from the bare paper as the camera saw it. */
export function checkExposure(whites: readonly WhitePlace[]): CaptureIssue[] {
  const bright = median(whites.map((w) => Math.max(...w.codes)));
  if (bright < GATE.too_dark.limit)
    return [issue('too_dark', bright, 'The picture is too dark: go nearer to the window or put the lamp on.')];
  const clipped = whites.filter((w) => w.clipped > 0.2).length / Math.max(1, whites.length);
  if (clipped > GATE.clipped.limit)
    return [
      issue(
        'clipped',
        clipped,
        'The paper is so bright that its whites are lost: tap on the paper to darken the picture, or move out of direct sun.',
      ),
    ];
  return [];
}

/** The paper may depart this much (L*) from smooth light; more is a shadow's edge, which no fit can undo. */
const SHADOW_EDGE = 2.5;
/**
 * Signs of a shadow added up (L*): paper that departs from smooth light, dark greys that disagree, a step from one bare
 * place to the next, which counts half. A camera that tones parts of the picture in its own way leaves dark greys nearly
 * as they are, and its steps are soft: of 52 it did not come over 3.8, and no shadow of 52 stayed under 4.3.
 */
const SURELY_SHADOW = 4.05;

/** With the light known from a second photograph it may fall off as much further. */
const MORE_WITH_FLAT = 2;

/** How much stronger the light is in its strongest than in its weakest colour, from bare paper. */
function castOf({ curves, whites }: Calibration): number {
  const levels = curves.map((_, c) =>
    Math.max(1e-4, median(whites.map((w) => LINEAR_OF_CODE[Math.round(w.codes[c] as number)] ?? 0))),
  );
  return Math.max(...levels) / Math.min(...levels);
}

/** How much equal greys disagree near a lightness, L*: nine in ten of what patches are off, and what noise adds. */
const disagreement = (calibration: Calibration, lightness: number): number =>
  2 * Math.hypot(0.45 * calibration.cardMisfit(lightness), 0.08);

/** Evenness and colour of the light, a camera that tones parts in its own way, a sheet that is not flat. */
export function checkLight(calibration: Calibration, unevenMm: number): CaptureIssue[] {
  if (unevenMm > GATE.buckled.limit)
    return [
      issue(
        'buckled',
        unevenMm,
        'The sheet lies in waves: let it dry, press it flat under a board or tape its corners down, and take it once more.',
      ),
    ];
  const cast = castOf(calibration);
  if (cast > GATE.colour_cast.limit)
    return [
      issue(
        'colour_cast',
        cast,
        'The light is so strongly coloured that greys can’t be told: go to a window or switch to a white lamp.',
      ),
    ];
  const ratio = lightRatio(calibration);
  if (ratio > GATE.uneven_light.limit * (calibration.knownLight ? MORE_WITH_FLAT : 1))
    return [
      issue(
        'uneven_light',
        ratio,
        'One side of the sheet gets far more light than the other: move the lamp away, or turn the sheet so that the light comes evenly.',
      ),
    ];
  const shadow = unexplainedLight(calibration);
  // One tone curve serves all greys of the card, wherever they lie, unless the camera toned parts of the picture each in its
  // own way, or a shadow lies on some of them.
  const torn = Math.max(...[50, 65, 80].map((l) => disagreement(calibration, l)));
  const isTorn = torn > GATE.local_tone.limit;
  const signs = () => shadow + disagreement(calibration, 20) + steepestLight(calibration) / 2;
  if (isTorn && signs() < SURELY_SHADOW)
    return [
      issue(
        'local_tone',
        torn,
        'The camera toned parts of the picture differently: switch off its scene and contrast effects, and take it once more.',
      ),
    ];
  if (shadow > SHADOW_EDGE || isTorn)
    return [
      {
        ...issue(
          'uneven_light',
          Math.max(shadow, SHADOW_EDGE),
          'A shadow falls on the sheet: step aside, or turn the sheet, until the paper is evenly lit.',
        ),
        limit: SHADOW_EDGE,
      },
    ];
  return [];
}
