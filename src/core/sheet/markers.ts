/**
 * The square corner markers: ids 0 to 3 on A4, 4 to 7 on Letter, in the order top-left, top-right,
 * bottom-right, bottom-left; 8 to 11 on corner pieces. Bits of the predefined 4 x 4
 * dictionary with 50 markers (S. Garrido-Jurado et al., "Automatic generation and detection of highly
 * reliable fiducial markers under occlusion", Pattern Recognition 47, 2014), row by row, 1 is white.
 */
const BITS: readonly string[] = [
  '1011 0101 0011 0010',
  '0000 1111 1001 1010',
  '0011 0011 0010 1101',
  '1001 1001 0100 0110',
  '0101 0100 1001 1110',
  '0111 1001 1100 1101',
  '1001 1110 0010 1110',
  '1100 0100 1111 0010',
  '1111 1110 1101 1010',
  '1100 1111 0101 0110',
  '1111 1001 1001 0001',
  '0001 0001 1010 0111',
];

/** Modules along a marker's side: four of data in a black frame one module wide. */
export const MARKER_MODULES = 6;

/** Whether the module at `row`, `column` (0 to 5) of a marker is black. Throws RangeError on an unknown id. */
export function markerModuleIsBlack(id: number, row: number, column: number): boolean {
  const bits = BITS[id];
  if (!bits) throw new RangeError(`Marker ids are 0 to ${BITS.length - 1}, got ${id}.`);
  if (row < 1 || row > 4 || column < 1 || column > 4) return true;
  return bits[(row - 1) * 5 + (column - 1)] === '0';
}
