/** On what a reading rests, in one sentence for the teacher. */
import type { Capture } from '@/core/scale/result';

const BASIS: Record<Capture['whiteBasis'], string> = {
  nominal: 'calibrated on a nominal card. The ± holds how printers differ; the band on the ruler is what two steps do not share.',
  measured: 'calibrated on a card that was read by an instrument.',
  carried: 'calibrated on a card that was read beside a known one.',
  ends: 'relative: the lightest and the darkest step are taken to be the ends; only what lies between them is measured.',
};

export function basisWords({ whiteBasis, paper }: Pick<Capture, 'whiteBasis' | 'paper'>): string {
  return paper === 'none' ? `${BASIS[whiteBasis]} No paper shows along it, so the light could not be fitted: order and gaps only.` : BASIS[whiteBasis];
}
