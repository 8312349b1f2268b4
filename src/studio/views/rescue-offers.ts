/** Ways to mend an old painting before anything is painted: each with a picture of it, the paint and the time. */
import type { Layer } from '@/core/correction/layer';
import { sayRepaints, sayMinutes, sayRepainted } from '@/core/critique/correction/rescue-words';
import { keyedEnds, pictureStep } from '@/core/exercise/key';
import { isPicture } from '@/core/exercise/terms';
import { rescueLayers } from '@/core/correction/rescue-layers';
import { millilitres } from '@/core/mixing/film';
import { sayGreyMix } from '@/core/mixing/grey-mix';
import { sayMillilitres } from '@/core/mixing/recipe-words';
import { attemptFor, Refused, type Teacher } from '../access/actor';
import type { House } from '../house';
import { paintsFor } from '../mixing/palettes';
import { measuredOfOne } from './measured';

export interface RescueOffer {
  /** As layers of a correction, to be taken over. */
  readonly layers: readonly Layer[];
  /** What it would look like, as the address of a small picture. */
  readonly preview: string;
  /** What becomes of each shape, and what it is painted with. */
  readonly parts: readonly { readonly say: string; readonly paint: string }[];
  readonly repainted: string;
  readonly time: string;
  /** Whether all comes to where it is wanted. */
  readonly reaches: boolean;
}

/** Pixels across of a picture beside what it takes. */
const PREVIEW_PX = 420;

/**
 * Up to three ways, the one with the least to paint over first; none where the painting has what is wanted.
 *
 * @throws Refused where the painting was not measured as one that is to be mended.
 */
export async function rescueOffers(house: House, teacher: Teacher, attemptId: string): Promise<RescueOffer[]> {
  const { attempt, exercise, class: group } = await attemptFor(house, teacher, attemptId);
  const measured = await measuredOfOne(house, attemptId);
  const terms = attempt.terms ?? exercise.terms;
  const lightness = measured?.kind === 'painting' ? measured.against?.lightness : null;
  if (!measured || !lightness || !attempt.stripHash || !isPicture(terms))
    throw new Refused('This painting was not measured yet: wait until it is, and ask again.');
  const ends = keyedEnds(terms.ends, terms.judging.key);
  const plans = await house.pool.run({
    task: 'rescue',
    lightness: await house.files.local(lightness),
    wanted: { ends, step: pictureStep(terms.ends) },
  });
  const file = await house.files.local(attempt.stripHash);
  const { medium } = terms;
  const { paints, figures } = await paintsFor(house, group.id, medium);
  const size = measured.result.capture.sizeMm;
  const wholeMm2 = size ? size.width * size.height : null;
  return Promise.all(
    plans.map(async (plan): Promise<RescueOffer> => {
      const layers = rescueLayers(plan);
      const says = sayRepaints(plan.parts);
      const jpeg = await house.pool.run({ task: 'correction', file, layers, as: 'picture', across: PREVIEW_PX });
      return {
        layers,
        preview: `data:image/jpeg;base64,${Buffer.from(jpeg).toString('base64')}`,
        parts: plan.parts.map((part, k) => {
          const mix = sayGreyMix(paints, figures, medium, part.becomes) ?? 'a grey of its new value';
          const amount = wholeMm2 === null ? '' : `, ${sayMillilitres(millilitres(part.area * wholeMm2, medium))}`;
          return { say: says[k] ?? '', paint: `${mix}${amount}` };
        }),
        repainted: sayRepainted(plan.area),
        time: sayMinutes(plan.parts, wholeMm2 === null ? null : plan.area * wholeMm2),
        reaches: plan.reaches,
      };
    }),
  );
}
