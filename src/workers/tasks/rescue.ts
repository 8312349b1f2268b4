/** Ways to mend an old painting, worked out from its lightness as it was measured. */
import { type RescuePlan, rescuePlans } from '@/core/painting/rescue/plan';
import type { RescueWanted } from '@/core/painting/rescue/proposals';
import { lightnessFromPng } from '../decoding/planes';

export interface RescueTask {
  readonly task: 'rescue';
  /** PNG of 16 bits of the painting's lightness. */
  readonly lightness: string;
  readonly wanted: RescueWanted;
}

export async function rescueTask({ lightness, wanted }: RescueTask): Promise<RescuePlan[]> {
  return rescuePlans(await lightnessFromPng(lightness), wanted);
}
