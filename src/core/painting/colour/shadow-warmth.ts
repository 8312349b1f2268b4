/**
 * Whether shadows are warmer or cooler than the lights of their object, in the painting and in its reference. Warm and cool are
 * told of one beside the other, never of one alone: what a camera or a lamp adds to both is in neither.
 */
import { boxOfPlaces, shareBox } from '../../raster/box-of-places';
import { type ColourPlanes, labOver } from './colour-planes';
import { type FormShape, insideOfAll } from '../form/form-plane';
import type { PaintingResult } from '../result';

/** Hue angle that is warmest, degrees: orange. */
const WARMEST = (60 * Math.PI) / 180;

export type ShadowWarmth = NonNullable<PaintingResult['colour']>['warmths'][number];

/** How much warmer some places are than others; null where nothing is known of either. */
function warmerBy(colours: ColourPlanes, places: Int32Array, others: Int32Array): number | null {
  const [own, beside] = [labOver(colours, places), labOver(colours, others)];
  return own && beside && (own[1] - beside[1]) * Math.cos(WARMEST) + (own[2] - beside[2]) * Math.sin(WARMEST);
}

/** Of every object of matt surface that has a shadow and a light with a name; colours of both pictures lie on the same places. */
export function shadowWarmths(
  named: readonly FormShape[],
  wanted: ColourPlanes,
  painted: ColourPlanes,
): ShadowWarmth[] {
  const objects = new Set(named.map((shape) => shape.object));
  return [...objects].flatMap((object): ShadowWarmth[] => {
    const own = named.filter((shape) => shape.object === object && shape.material === 'matt');
    const shadows = own.filter(({ part }) => part === 'shadow');
    const lights = own.filter(({ part }) => part === 'lit' || part === 'halftone');
    const [dark, light] = [insideOfAll(shadows), insideOfAll(lights)];
    const [was, is] = [warmerBy(wanted, dark, light), warmerBy(painted, dark, light)];
    const around = boxOfPlaces(dark, wanted[0].width);
    if (was === null || is === null || !around) return [];
    const names = (shapes: readonly FormShape[]) => shapes.map(({ name }) => name);
    const box = shareBox(around, wanted[0]);
    return [{ object, shadows: names(shadows), lights: names(lights), box, wanted: was, painted: is }];
  });
}
