/** Readings of a printed card from whichever of its two text formats a file is in. */
import type { CardReadings } from '../capture/card-profile';
import { parseCardCsv } from './card-csv';
import { isCgats, parseCgats } from './cgats';

/** Throws BadCard. */
export function parseCardFile(text: string): CardReadings {
  return isCgats(text) ? parseCgats(text) : parseCardCsv(text);
}
