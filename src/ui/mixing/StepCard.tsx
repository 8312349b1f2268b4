'use client';
/** One puddle close up: beside its neighbours, how it is mixed, how it dries, covers and drifts, and what a little more would do. */
import { labToLinearRgb, linearRgbToLab } from '@/core/colour/lab';
import { turnsTowards } from '@/core/colour/oklab';
import { temperatureWord, warmth } from '@/core/colour/temperature';
import { PAINTS } from '@/core/exercise/paints';
import { type DryShift, wetOf } from '@/core/mixing/dry-shift';
import { FILM_MM } from '@/core/mixing/film';
import { darkensBy } from '@/core/mixing/nudge';
import { coveringRgb, filmRgb, mixModel, type PaintModel, type Palette } from '@/core/mixing/paint-model';
import type { Recipe } from '@/core/mixing/recipe';
import { sayFromLeft, sayMillilitres, sayMix } from '@/core/mixing/recipe-words';
import { SURFACE_OF } from '@/core/mixing/surface';
import { cssLab } from '../parts/grey';
import { type BenchChoice, GROUNDS } from './bench-state';

interface Props {
  readonly recipe: Recipe;
  readonly step: number;
  readonly labels: readonly string[];
  readonly palette: Palette;
  readonly choice: BenchChoice;
  readonly shift: DryShift;
  readonly unsure: number | null;
}

const signed = (n: number): string => `${n > 0 ? '+' : n < 0 ? '−' : ''}${Math.abs(n).toFixed(1)}`;
/** A wash, beside a covering film. */
const THIN = 1 / 20;
/** A hundredth of the puddle. */
const LITTLE = 1;

export function StepCard({ recipe, step, labels, palette, choice, shift, unsure }: Props) {
  const puddle = recipe.steps[step - 1];
  if (!puddle) return null;
  const surface = SURFACE_OF[choice.medium];
  const model = mixModel(palette, puddle.shares);
  const ground = GROUNDS[choice.ground];
  const film = linearRgbToLab(filmRgb(model, FILM_MM[choice.medium], labToLinearRgb(ground.lab), surface));
  const thin = linearRgbToLab(filmRgb(model, FILM_MM[choice.medium] * THIN, labToLinearRgb(ground.lab), surface));
  const beside = [recipe.steps[step - 2], recipe.steps[step]].flatMap((p) => (p ? [p.lab] : []));
  const mean = [0, 1, 2].map((c) => beside.reduce((sum, lab) => sum + (lab[c] ?? 0), 0) / Math.max(1, beside.length));
  const ends = [recipe.steps[0]?.lab, recipe.steps.at(-1)?.lab];
  const between = [0, 1, 2].map((c) => ((ends[0]?.[c] ?? 0) + (ends[1]?.[c] ?? 0)) / 2);
  const temper = temperatureWord(warmth(thin, puddle.lab));
  const drift = warmth(puddle.lab, [mean[0] ?? 0, mean[1] ?? 0, mean[2] ?? 0]);
  const whole = warmth(puddle.lab, [between[0] ?? 0, between[1] ?? 0, between[2] ?? 0]);
  const shadesOfTwo = Object.keys(puddle.shares).length === 2;
  const [light, dark] = [palette.get(choice.light), palette.get(choice.dark)] as [PaintModel, PaintModel];
  const share = puddle.shares[choice.dark] ?? 0;
  const rows: [string, string][] = [
    ['Mix', sayMix(recipe, puddle, labels)],
    [
      'Dries to',
      `L* ${puddle.lab[0].toFixed(1)}${unsure === null ? '' : ` ± ${(2 * unsure).toFixed(1)}`}, wanted ${puddle.target.toFixed(1)}`,
    ],
    ['Wet it looks', `L* ${wetOf(puddle.lab[0], shift).toFixed(0)}`],
    ['Needs', `${sayMillilitres(puddle.millilitres)}${puddle.washBefore ? '; wash the brush first' : ''}`],
    [
      'Covers',
      `${GROUNDS[choice.ground].name} in ${puddle.coats} ${puddle.coats === 1 ? 'coat' : 'coats'}; one coat there is L* ${film[0].toFixed(0)}`,
    ],
    [
      'Drift',
      `${temperatureWord(drift) === 'alike' ? 'in line with its neighbours' : `${temperatureWord(drift)} than its neighbours`} (${signed(whole)} to the ends)`,
    ],
    [
      'Laid thin',
      `${temper === 'alike' ? 'no warmer nor cooler' : temper} over ${ground.name}, L* ${thin[0].toFixed(0)}`,
    ],
  ];
  if (puddle.hueTurn !== null && choice.pure) {
    const pure = coveringRgb(mixModel(palette, { [choice.pure]: 1 }), surface);
    rows.push([
      'Hue',
      Math.abs(puddle.hueTurn) < 1
        ? 'as the pure colour'
        : `turns ${Math.abs(puddle.hueTurn).toFixed(0)}° from the pure colour, towards ${turnsTowards(pure, puddle.hueTurn)}`,
    ]);
  }
  if (choice.pure === null && shadesOfTwo && share < 1)
    rows.push([
      'A little more',
      `${LITTLE} part ${PAINTS[choice.dark].name} to 100 of it: ${darkensBy(share, LITTLE, light, dark, surface).toFixed(1)} L* darker`,
    ]);
  const fromLeft = sayFromLeft(recipe, puddle, labels);
  if (fromLeft) rows.push(['Or', fromLeft]);
  return (
    <section className="panel" aria-label={`Puddle ${labels[step - 1] ?? step}`}>
      <div className="mb-2 flex h-16" aria-hidden>
        {[step - 1, step, step + 1].map((s) => {
          const p = recipe.steps[s - 1];
          return (
            <span
              key={s}
              className={s === step ? 'flex-[2]' : 'flex-1'}
              style={{ background: p ? cssLab(p.lab) : 'transparent' }}
            />
          );
        })}
      </div>
      <h2 className="text-18 font-semibold">Puddle {labels[step - 1] ?? step}</h2>
      <dl className="mt-1 grid grid-cols-[6.5rem_1fr] gap-x-2 gap-y-0.5 text-13">
        {rows.map(([name, words]) => (
          <div key={name} className="contents">
            <dt className="font-semibold">{name}</dt>
            <dd>{words}</dd>
          </div>
        ))}
      </dl>
    </section>
  );
}
