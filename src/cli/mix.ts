/** `mix`: the recipe of a set of steps from two paints, or three with a pure colour between. */
import { labToLinearRgb } from '@/core/colour/lab';
import { MEDIUM_IDS } from '@/core/exercise/media';
import { PAINT_IDS, type PaintId, PAINTS } from '@/core/exercise/paints';
import { targetLightnesses, throughPure } from '@/core/exercise/targets';
import { BadPalette, parsePalette } from '@/core/formats/palette-csv';
import { PAPER_LAB } from '@/core/kinds/exercise-recipe';
import { FILM_MM, WASTE } from '@/core/mixing/film';
import { coveringLab, type Figures, mixModel, paletteOf } from '@/core/mixing/paint-model';
import { type PuddleRecipe, type Recipe, recipeFor, type Source } from '@/core/mixing/recipe';
import { puddleName, recipeLines } from '@/core/mixing/recipe-words';
import { SURFACE_OF } from '@/core/mixing/surface';
import { readFile } from 'node:fs/promises';
import { z } from 'zod';
import { BadArguments, callerPath, check, oneOf, readOptions, stepsOption } from './arguments';

const amount = (most: number, what: string) =>
  z
    .string()
    .regex(/^\d+(\.\d+)?$/, `must be ${what}`)
    .transform(Number)
    .pipe(z.number().positive(`must be ${what}`).max(most, `must be ${what}`));
const areaOption = amount(10_000_000, 'an area in square millimetres, over 0');
const filmOption = amount(5, 'a thickness in millimetres, over 0 and up to 5');
const wasteOption = z
  .string()
  .regex(/^\d+(\.\d+)?$/, 'must be a percentage from 0 to 500')
  .transform(Number)
  .pipe(z.number().max(500, 'must be a percentage from 0 to 500'));
const AREA_MM2 = '640';

async function figuresIn(file: unknown): Promise<Figures> {
  if (typeof file !== 'string') return {};
  let text: string;
  try {
    text = await readFile(callerPath(file), 'utf8');
  } catch {
    throw new BadArguments(`--palette: ${file} can’t be read.`);
  }
  try {
    return Object.fromEntries(parsePalette(text).map(({ paint, massTone, tinting }) => [paint, { massTone, tinting }]));
  } catch (error) {
    if (error instanceof BadPalette) throw new BadArguments(`--palette: ${error.message}`);
    throw error;
  }
}

const nameOf = (recipe: Recipe, source: Source): string =>
  'paint' in source ? source.paint : puddleName(recipe, source.step, []);

const told = (recipe: Recipe) => (p: PuddleRecipe) => ({
  index: Number.isInteger(p.step) ? p.step : puddleName(recipe, p.step, []),
  target: p.target,
  lightness: p.lab[0],
  a: p.lab[1],
  b: p.lab[2],
  /** Whole parts by source: a paint, or another puddle by its index. */
  parts: Object.fromEntries(p.mix.map((m) => [nameOf(recipe, m.source), m.parts])),
  from: p.mix.map((m) => nameOf(recipe, m.source)),
  shares: p.shares,
  millilitres: p.millilitres,
  coats: p.coats,
  washBefore: p.washBefore,
  hueTurn: p.hueTurn,
});

export async function mix(args: readonly string[]): Promise<unknown> {
  const { values } = readOptions(args, 'mix');
  const steps = check(stepsOption, values['steps'], '--steps');
  const light = oneOf(PAINT_IDS, values['white'], '--white', 'titanium-white');
  const dark = oneOf(PAINT_IDS, values['black'], '--black', 'ivory-black');
  const hue: PaintId | null = values['hue'] === undefined ? null : oneOf(PAINT_IDS, values['hue'], '--hue');
  const medium = oneOf(MEDIUM_IDS, values['medium'], '--medium', 'gouache');
  const area = check(areaOption, values['area'] ?? AREA_MM2, '--area');
  const film = check(filmOption, values['film'] ?? String(FILM_MM[medium]), '--film');
  const waste = check(wasteOption, values['waste'] ?? String(100 * WASTE), '--waste');
  const palette = paletteOf([...new Set([light, dark, ...(hue ? [hue] : [])])], await figuresIn(values['palette']));
  const surface = SURFACE_OF[medium];
  const lightness = (id: PaintId) => coveringLab(mixModel(palette, { [id]: 1 }), surface)[0];
  const ends = { light: lightness(light), dark: lightness(dark) };
  if (ends.light - ends.dark < 10)
    throw new BadArguments(
      `${PAINTS[dark].name} (L* ${ends.dark.toFixed(0)}) is not dark enough beside ${PAINTS[light].name} (L* ${ends.light.toFixed(0)}) for a row of steps.`,
    );
  const even = targetLightnesses(steps, ends, 'light-first', 'lightness');
  const own = hue ? lightness(hue) : null;
  if (own !== null && (own > ends.light - 5 || own < ends.dark + 5))
    throw new BadArguments(
      `--hue: ${PAINTS[hue ?? light].name} (L* ${own.toFixed(0)}) does not lie between the lightest and the darkest paint.`,
    );
  const through = own === null ? null : throughPure(even, 'light-first', own, 'own-value');
  const millilitres = (area * film * (1 + waste / 100)) / 1000;
  const recipe = recipeFor(
    palette,
    {
      targets: through?.targets ?? even,
      order: 'light-first',
      work: 'ends-first',
      light,
      dark,
      pure: hue && through ? { paint: hue, step: through.step } : null,
      own: even.map(() => millilitres),
      film,
      ground: labToLinearRgb(PAPER_LAB),
      brushMm: 12,
    },
    surface,
  );
  const result = {
    medium,
    steps: recipe.steps.map(told(recipe)),
    onTheWay: recipe.onTheWay.map(told(recipe)),
    order: recipe.order.map((s) => puddleName(recipe, s, [])),
    worst: recipe.worst,
    total: recipe.tubes,
  };
  if (!args.includes('--json'))
    for (const line of recipeLines(recipe, []))
      process.stderr.write(
        `${line.name} = ${line.mix}, ${line.amount}${line.washFirst ? '; wash the brush first' : ''}\n`,
      );
  return result;
}
