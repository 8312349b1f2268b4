/** Every kind of exercise there is, in the order in which they are offered. */
import { valueBands } from './bands/value-bands';
import { freeColour } from './paintings/free-colour';
import { limitedPalette } from './paintings/limited-palette';
import { masterCopy } from './paintings/master-copy';
import { monochromePainting } from './paintings/monochrome-painting';
import { quickStudies } from './by-eye/quick-studies';
import { rescue } from './paintings/rescue';
import { coloursOnScale } from './chips/colours-on-scale';
import { monochromeScale } from './steps/monochrome-scale';
import { valueScale } from './steps/value-scale';
import { fiveValue } from './tones/five-value';
import { notan } from './tones/notan';

export const ALL_KINDS = [
  valueScale,
  monochromeScale,
  valueBands,
  coloursOnScale,
  notan,
  fiveValue,
  quickStudies,
  freeColour,
  limitedPalette,
  monochromePainting,
  masterCopy,
  rescue,
] as const;
