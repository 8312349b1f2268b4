/** Carries a correction out on a picture in linear light. */
import { type BoxOfPlaces, boxRound } from '../raster/box-of-places';
import { layGlaze } from './glaze';
import type { Layer } from './layer';
import { layShape, shiftLightness } from './light';
import { type Grid, type Weights, weightsOf } from './mask';
import { movedBox, moveThing } from './move';
import { soften } from './soften';

/** Three channels of linear light, interleaved. */
export interface Picture extends Grid {
  readonly data: Float32Array;
}

/** What a layer changed of a picture: the box round it; null where it covers nothing. */
export type Changed = BoxOfPlaces | null;

function carryOut({ data, ...grid }: Picture, weights: Weights, { change }: Layer): void {
  switch (change.kind) {
    case 'lightness':
      return shiftLightness(data, grid, weights, change.by);
    case 'shape':
      return layShape(data, grid, weights, change.lightness);
    case 'glaze':
      return layGlaze(data, grid, weights, change);
    case 'soften':
      return soften(data, grid, weights, change.by * grid.width);
    case 'move':
      return moveThing(data, grid, weights, change);
  }
}

/** Carries one layer out and says what it changed; its weights are those of its mask. Changes `picture`. */
export function correctBy(picture: Picture, layer: Layer, weights = weightsOf(layer.mask, picture)): Changed {
  if (!weights) return null;
  carryOut(picture, weights, layer);
  return layer.change.kind === 'move'
    ? boxRound(weights.box, movedBox(layer.change, weights.box, picture))
    : weights.box;
}

/** A picture with all layers carried out, the first one first. The picture that is given stays as it is. */
export function corrected(picture: Picture, layers: readonly Layer[]): Picture {
  const own = { ...picture, data: picture.data.slice() };
  for (const layer of layers) correctBy(own, layer);
  return own;
}
