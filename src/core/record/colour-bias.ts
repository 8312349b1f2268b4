/** Whether colours are judged otherwise than greys: by how much chips of each kind were laid too light or too dark. */
import type { ChipFigure } from '../kinds/figures';
import type { RecordTable } from './table';
import { meanOf } from './tried';

const WHATS: readonly (readonly [ChipFigure['what'], string])[] = [
  ['grey', 'greys'],
  ['pure', 'pure colours'],
  ['tint', 'colours with white'],
  ['dark', 'darkened colours'],
];

/** A row a kind of chip: how many, the mean with its sign (above 0 laid too light) and the mean distance, steps. */
export function colourBiasOf(chips: readonly Pick<ChipFigure, 'what' | 'error'>[]): RecordTable {
  const rows = WHATS.flatMap(([what, words]): RecordTable['rows'] => {
    const errors = chips.filter((c) => c.what === what).map((c) => c.error);
    return errors.length === 0 ? [] : [[words, errors.length, meanOf(errors), meanOf(errors.map(Math.abs))]];
  });
  return {
    title: 'Colours apart from greys',
    columns: ['chips', 'how many', 'laid too light by, steps', 'off by, steps'],
    rows,
  };
}
