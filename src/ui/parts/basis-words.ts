/** On what a reading rests, in one sentence for the teacher. */
import type { Capture } from '@/core/capture/capture-result';

const BASIS: Record<Capture['whiteBasis'], string> = {
  nominal:
    'calibrated on a nominal card. The ± holds how printers differ; the band on the ruler is what two steps do not share.',
  measured: 'calibrated on a card that was read by an instrument.',
  carried: 'calibrated on a card that was read beside a known one.',
  ends: 'relative: the lightest and the darkest step are taken to be the ends; only what lies between them is measured.',
};

/** How large a board is, and whether anybody measured its print. */
function sizeWords(size: Capture['sizeMm']): string {
  if (!size) return '';
  const words = ` It is ${Math.round(size.width)} × ${Math.round(size.height)} mm`;
  return size.assumed
    ? `${words} if the line on the corner pieces is 100 mm long: measure it once and enter it in the Ledger.`
    : `${words}.`;
}

export function basisWords({ whiteBasis, paper, sizeMm }: Pick<Capture, 'whiteBasis' | 'paper' | 'sizeMm'>): string {
  const light =
    paper === 'none' ? ' No paper shows along it, so the light could not be fitted: order and gaps only.' : '';
  return `${BASIS[whiteBasis]}${light}${sizeWords(sizeMm)}`;
}
