/** The class's paints in the sample world: mixes that the app asked for, made with tubes of their own, and one student's walk. */
import type { PaintId } from '@/core/exercise/paints';
import { defaultTerms } from '@/core/kinds/table';
import { HAND_NOISE } from '@/core/mixing/logged-mix';
import { chance } from '@/devices/random';
import { paintedMix, painterPaints } from '@/devices/spectral-paint';
import type { Student, Teacher } from '@/studio/access/actor';
import type { House } from '@/studio/house';
import { checkDab } from '@/studio/mixing/checks';
import { setPalette, classPalette, firstAsk, logMix } from '@/studio/mixing/palettes';
import { setExercise } from '@/studio/plan/exercises';
import { practiceDab } from '@/studio/practice/practice';
import { rm } from 'node:fs/promises';

const PAINTS: readonly PaintId[] = [
  'titanium-white',
  'ivory-black',
  'lemon-yellow',
  'ultramarine',
  'burnt-umber',
  'burnt-sienna',
];
const MEDIUM = 'gouache';
const TUBES = 11;
const MIXES = 4;

/** Four mixes as the app asks for them, and a scale of a yellow that turns green; the id of the last. */
export async function learnPaints(house: House, teacher: Teacher, classId: string): Promise<string> {
  await setPalette(house, teacher, classId, MEDIUM, { paints: PAINTS }, null);
  const tubes = painterPaints(TUBES);
  const own = chance(TUBES).fork('readings');
  for (let i = 0; i < MIXES; i++) {
    const palette = await classPalette(house, classId, MEDIUM);
    const parts = palette.fit ? palette.fit.ask : await firstAsk(house, palette);
    if (!parts) break;
    const black = parts['ivory-black'] ?? 0;
    const [lightness] = paintedMix(tubes, black / (black + (parts['titanium-white'] ?? 0)));
    await logMix(
      house,
      classId,
      MEDIUM,
      {
        parts,
        lightness: Number((lightness + HAND_NOISE * own.gauss()).toFixed(1)),
        a: null,
        b: null,
        wet: false,
        noise: HAND_NOISE,
      },
      'hand',
    );
  }
  const scale = defaultTerms('monochrome-scale');
  return setExercise(house, teacher, classId, {
    title: 'Lemon yellow, and how it turns',
    note: 'Watch the shades: yellow with black goes green before it goes dark.',
    dueAt: null,
    terms: {
      ...scale,
      hue: 'lemon yellow',
      materials: { ...scale.materials, paints: ['titanium-white', 'lemon-yellow', 'ivory-black'] },
    },
  });
}

/** A student's three looks at one dab. */
export async function walkToStep(house: House, student: Student, exerciseId: string, step: number): Promise<void> {
  for (let look = 0; look < 3; look++) {
    const file = await practiceDab(house, student, exerciseId, step);
    try {
      await checkDab(house, student, exerciseId, { step, wet: false, asTheRecipe: false }, file);
    } finally {
      await rm(file, { force: true });
    }
  }
}
