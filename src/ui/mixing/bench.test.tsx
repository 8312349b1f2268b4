/** The mixing bench’s instruments as markup: what stands where, and what those who can’t see it are told. */
import type { PaintId } from '@/core/exercise/paints';
import { USUAL_SHIFT } from '@/core/mixing/dry-shift';
import { coveringLab, mixModel, paletteOf } from '@/core/mixing/paint-model';
import type { Recipe } from '@/core/mixing/recipe';
import { recipeLines } from '@/core/mixing/recipe-words';
import { FIT_VERSION } from '@/core/mixing/stored-fit';
import { renderToStaticMarkup } from 'react-dom/server';
import { cssGrey, cssLab } from '../parts/grey';
import { Walk } from '../parts/Walk';
import { type BenchChoice, benchRecipe, evenTargets } from './bench-state';
import { FewerPaints } from './FewerPaints';
import { LayersPanel } from './LayersPanel';
import { LearnPanel } from './LearnPanel';
import { NudgeStrip } from './NudgeStrip';
import { RecipeList } from './RecipeList';
import { StepCard } from './StepCard';
import { Trough } from './Trough';
import { WaysPanel } from './WaysPanel';

const ids: PaintId[] = ['titanium-white', 'ivory-black', 'lemon-yellow', 'ultramarine', 'burnt-umber'];
const palette = paletteOf(ids);
const choice: BenchChoice = {
  medium: 'gouache',
  light: 'titanium-white',
  dark: 'ivory-black',
  pure: null,
  steps: 9,
  areaCm2: 6.4,
  ground: 'paper',
};
const even = evenTargets(palette, choice);
const targets = even?.targets ?? [];
const recipe = benchRecipe(palette, choice, targets, null) as Recipe;
const labels = targets.map((_, i) => String(i + 1));
const count = (html: string, what: RegExp) => [...html.matchAll(what)].length;
const nothing = () => undefined;
const fine = () => Promise.resolve({ ok: true });
const tubeColour = (p: PaintId) => cssLab(coveringLab(mixModel(palette, { [p]: 1 }), 'matt'));

test('a colour on screen is the colour it stands for', () => {
  expect(cssLab([53.585, 0, 0])).toBe(cssGrey(53.585));
  expect(cssLab([50, 200, 0])).toMatch(/^rgb\(255 0 \d+\)$/);
});

test('the trough has a handle a step that says its lightness, and its parts under it', () => {
  const html = renderToStaticMarkup(
    <Trough
      recipe={recipe}
      targets={targets}
      labels={labels}
      chosen={4}
      tubeColour={tubeColour}
      onChoose={nothing}
      onTarget={nothing}
    />,
  );
  expect(count(html, /role="slider"/g)).toBe(9);
  expect(html).toContain('aria-label="Wanted for 4"');
  expect(html).toContain(`aria-valuetext="L* ${(targets[3] ?? 0).toFixed(0)}"`);
  expect(count(html, /aria-pressed="true"/g)).toBe(1);
  expect(count(html, />titanium white</g)).toBe(1);
  for (const s of recipe.steps) expect(html).toContain(cssLab(s.lab));
});

test('a step out of reach is marked', () => {
  const beyond = benchRecipe(
    palette,
    choice,
    targets.map((t, i) => (i === 0 ? 100 : t)),
    null,
  ) as Recipe;
  const html = renderToStaticMarkup(
    <Trough
      recipe={beyond}
      targets={targets}
      labels={labels}
      chosen={1}
      tubeColour={tubeColour}
      onChoose={nothing}
      onTarget={nothing}
    />,
  );
  expect(count(html, /out of reach/g)).toBe(1);
});

test('a puddle close up says how it is mixed, dries, covers and drifts', () => {
  const card = (more: Partial<BenchChoice> = {}, unsure: number | null = null, step = 5) =>
    renderToStaticMarkup(
      <StepCard
        recipe={recipe}
        step={step}
        labels={labels}
        palette={palette}
        choice={{ ...choice, ...more }}
        shift={USUAL_SHIFT.gouache}
        unsure={unsure}
      />,
    );
  for (const words of [
    'Puddle 5',
    'Mix',
    'Dries to',
    'Wet it looks',
    'Covers',
    'white paper in 1 coat',
    'A little more',
  ])
    expect(card()).toContain(words);
  expect(recipe.steps.map((s) => card({}, null, s.step)).join('')).toMatch(
    /1 part ivory black to [\d.]+ parts of what is left of \d/,
  );
  expect(card()).not.toContain('±');
  expect(card({}, 0.8)).toContain('± 1.6');
  expect(card({ ground: 'warm' })).toMatch(/Laid thin<\/dt><dd>warmer over warm toned ground/);
  expect(card({}, null, 9)).not.toContain('A little more');
  expect(card({}, null, 12)).toBe('');
});

test('yellow with black is foretold to turn towards green', () => {
  const withYellow = { ...choice, pure: 'lemon-yellow' as const };
  const through = evenTargets(palette, withYellow);
  const yellow = benchRecipe(palette, withYellow, through?.targets ?? [], through?.pureStep ?? null) as Recipe;
  const html = renderToStaticMarkup(
    <StepCard
      recipe={yellow}
      step={5}
      labels={labels}
      palette={palette}
      choice={withYellow}
      shift={USUAL_SHIFT.gouache}
      unsure={null}
    />,
  );
  expect(html).toMatch(/turns \d+° from the pure colour, towards green/);
});

test('paints that make no row give no recipe', () => {
  expect(evenTargets(palette, { ...choice, light: 'ivory-black', dark: 'titanium-white' })).toBeNull();
  expect(evenTargets(palette, { ...choice, dark: 'lemon-yellow' })).toBeNull();
  expect(evenTargets(paletteOf([...ids, 'mars-black']), { ...choice, pure: 'mars-black' })).toBeNull();
  expect(benchRecipe(palette, { ...choice, dark: 'lead-white' }, targets, null)).toBeNull();
});

test('the nudge has a mark to move and says what to add', () => {
  const models = [mixModel(palette, { 'titanium-white': 1 }), mixModel(palette, { 'ivory-black': 1 })] as const;
  const html = renderToStaticMarkup(
    <NudgeStrip
      step={7}
      targets={targets}
      labels={labels}
      light="titanium-white"
      dark="ivory-black"
      models={models}
      surface="matt"
    />,
  );
  expect(html).toContain('aria-label="What I have on the palette"');
  expect(html).toMatch(/too light for 7: ivory black, one part to [\d.]+ of the puddle/);
  expect(html).toContain('Or use it for 5 as it is.');
});

test('ways and darks are told as tables', () => {
  const html = renderToStaticMarkup(<WaysPanel palette={palette} surface="matt" />);
  for (const words of [
    'with black: ivory black',
    'with what is nearest to a complement: ultramarine, still green',
    'hue turns',
    'its greys',
    'neutral',
  ])
    expect(html).toContain(words);
  const plain = renderToStaticMarkup(
    <WaysPanel palette={paletteOf(['titanium-white', 'zinc-white'])} surface="matt" />,
  );
  expect(plain).toContain('Add a black, or ultramarine and an umber');
});

test('a glaze says which values it can’t keep', () => {
  const html = renderToStaticMarkup(
    <LayersPanel palette={palette} surface="matt" targets={targets} labels={labels} film={0.15} />,
  );
  expect(html).toMatch(/This glaze can’t keep .*9/);
  expect(count(html, /<td/g)).toBe(27);
});

test('a paint fewer is a row, and too many paints are told', () => {
  expect(count(renderToStaticMarkup(<FewerPaints palette={palette} surface="matt" />), /without/g)).toBe(ids.length);
  const nine = paletteOf([...ids, 'cadmium-red', 'viridian', 'raw-umber', 'yellow-ochre']);
  expect(renderToStaticMarkup(<FewerPaints palette={nine} surface="matt" />)).toContain('this one has 9');
});

const learnt = (more: Partial<Parameters<typeof LearnPanel>[0]> = {}) =>
  renderToStaticMarkup(
    <LearnPanel
      paints={ids}
      mixes={[]}
      fit={null}
      figures={{}}
      sureness={null}
      ask={{ 'titanium-white': 0.95, 'ivory-black': 0.05 }}
      askName={null}
      log={fine}
      takeOut={fine}
      setFigures={fine}
      {...more}
    />,
  );

test('what was learnt: what to mix next, what was off before and after, what does not agree', () => {
  expect(learnt()).toContain('Nothing is logged yet');
  expect(learnt()).toContain('19 titanium white : 1 ivory black');
  expect(learnt({ askName: '6' })).toContain('puddle 6, mixed as the trough says');
  const mix = {
    parts: { 'titanium-white': 20, 'ivory-black': 1 },
    lightness: 45,
    a: null,
    b: null,
    wet: true,
    noise: 1,
  };
  const fit = {
    version: FIT_VERSION as 1,
    figures: { 'ivory-black': { massTone: [17, 0, 0] as const, tinting: 9 } },
    shift: [4, 1, -2] as [number, number, number],
    before: [-14.2],
    after: [0.3],
    odd: [0],
    unsure: [1],
    ask: null,
  };
  const html = learnt({ mixes: [{ id: 'm', mix, source: 'photograph' }], fit, sureness: 1, ask: null });
  for (const words of [
    '1 mix logged.',
    '± 2.0 L*',
    '45.0, wet, photograph',
    '−14.2',
    '+0.3',
    'doesn’t agree with the others',
    'the darks come out +4.0',
    'tinting 9.0',
  ])
    expect(html).toContain(words);
  expect(html).not.toContain('Most is learnt next');
});

test('on the phone the recipe reads in the order to mix, and a walk is told in words', () => {
  const lines = recipeLines(recipe, labels);
  const list = renderToStaticMarkup(
    <RecipeList lines={lines} colours={new Map(recipe.steps.map((s) => [s.step, s.lab]))} />,
  );
  expect([...list.matchAll(/<strong>(\d)<\/strong>/g)].map((m) => m[1])).toEqual(lines.map((l) => l.name));
  const walk = [12, 4, -0.4].map((off, i) => ({ id: String(i), step: 1, lightness: 90 + off, target: 90 }));
  const html = renderToStaticMarkup(<Walk checks={walk} name="1" />);
  expect(html).toContain('The walk to 1: 12 too light, then 4 too light, then 0 too dark');
  expect(count(html, /<circle/g)).toBe(3);
});
