/** What corrections of an attempt are drawn with: the steps and values of its exercise, and the paints that its class has. */
import { correctedOf } from '@/core/kinds/corrected-of';
import type { ExerciseTerms } from '@/core/exercise/terms';
import { PAINTS, type PaintId } from '@/core/exercise/paints';
import { paletteOf } from '@/core/mixing/paint-model';
import { SURFACE_OF } from '@/core/mixing/surface';
import { type CautionId, CAUTIONS, cautionsFor, DEFERRAL } from '@/core/planning/cautions';
import type { classes } from '@/data/schema/tables';
import type { House } from '../house';
import { paintsFor } from '../mixing/palettes';
import type { AttemptView } from './attempt';

/** What a thin film of paint can hurt by. */
const OF_GLAZES: readonly CautionId[] = ['lead-white', 'toxic-pigments', 'solvents', 'oily-rags'];

type Group = Pick<typeof classes.$inferSelect, 'id' | 'numbering' | 'underSixteen'>;

function cautionOf({ medium, materials }: ExerciseTerms, paint: PaintId, underSixteen: boolean): string {
  const all = cautionsFor({ medium, materials: { ...materials, paints: [paint] }, underSixteen });
  return [...OF_GLAZES.filter((id) => all.includes(id)).map((id) => CAUTIONS[id]), DEFERRAL].join(' ');
}

export async function correctingWith(house: House, group: Group, { terms, measured }: AttemptView) {
  const { medium } = terms;
  const { paints, figures } = await paintsFor(house, group.id, medium);
  const models = paletteOf(paints, figures);
  return {
    of: correctedOf(measured?.result ?? null, terms, group.numbering),
    surface: SURFACE_OF[medium],
    paints: [...models].map(([id, model]) => ({
      ...{ id, model, name: PAINTS[id].name },
      caution: cautionOf(terms, id, group.underSixteen),
    })),
  };
}
