/** The kinds of the scale family beside the plain scale, each painted, photographed and read. */
import { bandPicture } from '@/core/bands/band-picture';
import { targetLightnesses } from '@/core/exercise/targets';
import type { SteppedTerms } from '@/core/exercise/terms';
import { drawExerciseSheet } from '@/core/handout/exercise-sheet';
import { sampleWords } from '@/core/handout/sample-words';
import { chipRows } from '@/core/kinds/chips/colours-on-scale';
import { defaultTerms, exerciseLayout } from '@/core/kinds/table';
import { uprightPhoto } from '@/core/raster/photo';
import { raster } from '@/core/raster/raster';
import { measureScale } from '@/core/scale/measure';
import { measureBands } from '@/core/scale/measure-bands';
import { paintAreas } from '@/devices/area-painter';
import { expose } from '@/devices/camera';
import { shotFor } from '@/devices/camera-conditions';
import { paint } from '@/devices/painter';
import { print } from '@/devices/printer';
import type { Surface } from '@/devices/reflectance';
import { sheetToPng } from '@/print/sheet-png';
import { loadOpenCv } from '@/workers/decoding/opencv';
import { readQr } from '@/workers/decoding/read-qr';

const SEED = 81;
const MEGAPIXELS = 3;
const nobody = { exercise: null, student: null };
const words = sampleWords({ labels: ['1', '2', '3', '4', '5', '6', '7', '8', '9'] });

async function printed(terms: SteppedTerms): Promise<Surface> {
  return (await print(await sheetToPng(drawExerciseSheet(terms, words), 200), 'nominal', SEED)).surface;
}

async function seen(surface: Surface, terms: SteppedTerms) {
  const layout = exerciseLayout(terms);
  const shot = shotFor('studio', layout, SEED, MEGAPIXELS);
  const { cv } = await loadOpenCv();
  return {
    photo: uprightPhoto(raster('srgb8', shot.width, shot.height, 3, expose(surface, layout, shot, SEED))),
    tools: { cv, readQr },
  };
}

test('bands are read where they were printed; a silhouette with gaps is told, and a solid one is not', async () => {
  const terms = defaultTerms('bands');
  const picture = bandPicture(terms);
  const frame = exerciseLayout(terms).cells[0];
  const rings = (shape: (typeof picture.bands)[number]['shape']) =>
    shape.flat().map((ring) => ring.map(([x, y]) => [x + (frame?.xMm ?? 0), y + (frame?.yMm ?? 0)] as const));
  const targets = targetLightnesses(terms.steps, terms.ends, 'light-first', 'lightness');
  // The fourth band is painted much too light: it all but meets the third.
  const values = targets.map((t, i) => (i === 3 ? t + 9 : t));
  const bands = picture.bands.map((b, i) => ({
    rings: rings(b.shape),
    lightness: values[i] ?? 50,
    waver: 0.6,
    streaks: 0,
  }));
  const front = (streaks: number) =>
    picture.silhouette
      ? [{ rings: rings(picture.silhouette.shape), lightness: terms.ends.dark, waver: 0.5, streaks }]
      : [];
  const blank = await printed(terms);
  for (const streaks of [0, 9]) {
    const { photo, tools } = await seen(paintAreas(blank, [...bands, ...front(streaks)], SEED), terms);
    const result = await measureBands(photo, { terms, expected: nobody }, tools);
    expect(result.capture.issues.filter((i) => i.code !== 'outside_card')).toEqual([]);
    result.steps.forEach((s, i) => expect(Math.abs(s.lightness - (values[i] ?? 0))).toBeLessThan(1.5));
    expect(result.gaps.find((g) => g.between[0] === 3)?.flags).toEqual(['too_close']);
    expect(result.silhouette?.solid).toBe(streaks === 0);
  }
});

test('bands of one colour are held to their hue: one that turns is told, and none as a drift of grey', async () => {
  const terms = { ...defaultTerms('bands'), hue: 'ultramarine', pureAt: 'own-value' as const };
  const pure = 40;
  const { bands } = bandPicture(terms);
  const layout = exerciseLayout(terms);
  const frame = layout.cells[0];
  const targets = targetLightnesses(terms.steps, terms.ends, 'light-first', 'lightness');
  const TURNED = 5;
  const areas = bands.map((band, i) => {
    const lightness = targets[i] ?? 50;
    const strength = 26 * Math.exp(-(((lightness - pure) / 26) ** 2));
    const angle = -1.3 + (i === TURNED - 1 ? 0.8 : 0);
    return {
      rings: band.shape
        .flat()
        .map((ring) => ring.map(([x, y]) => [x + (frame?.xMm ?? 0), y + (frame?.yMm ?? 0)] as const)),
      lightness,
      colour: [strength * Math.cos(angle), strength * Math.sin(angle)] as const,
      waver: 0.5,
      streaks: 0,
    };
  });
  const { photo, tools } = await seen(paintAreas(await printed(terms), areas, SEED), terms);
  const result = await measureBands(photo, { terms, expected: nobody, pureLightness: pure }, tools);
  expect(result.capture.accepted).toBe(true);
  const told = result.steps.map((s) => s.flags.filter((f) => /hue|drift/.test(f)));
  expect(told).toEqual(bands.map((_, i) => (i === TURNED - 1 ? ['hue_turn'] : [])));
});

test('a scale of one colour runs through it, and a step whose hue turns is told', async () => {
  const terms = defaultTerms('monochrome-scale');
  const pure = 42;
  const even = targetLightnesses(terms.steps, terms.ends, 'light-first', 'lightness');
  const strength = (l: number) => 34 * Math.exp(-(((l - pure) / 26) ** 2));
  const colour = (l: number, turn: number) => ({
    a: strength(l) * Math.cos(0.9 + turn),
    b: strength(l) * Math.sin(0.9 + turn),
  });
  const faults = even.map((l, i) => ({
    kind: 'drift' as const,
    step: i + 1,
    ...colour(l, i === 4 ? 0.6 : i === 6 ? 0.1 : 0),
  }));
  const layout = exerciseLayout(terms);
  const { surface } = paint(await printed(terms), layout.cells, { lightness: even, faults }, SEED);
  const { photo, tools } = await seen(surface, terms);
  const result = await measureScale(
    photo,
    { terms: { ...terms, pure: { lightness: pure, at: 'own-value' } }, hue: true, expected: nobody },
    tools,
  );
  expect(result.capture.accepted).toBe(true);
  expect(result.steps.filter((s) => s.flags.includes('hue_turn')).map((s) => s.index)).toEqual([5]);
  // The step nearest to the pure colour's own lightness takes it; both halves run straight to it.
  const targets = result.steps.map((s) => s.target);
  expect(targets).toContain(pure);
  const at = targets.indexOf(pure);
  expect((targets[0] ?? 0) - (targets[1] ?? 0)).toBeCloseTo(((targets[0] ?? 0) - pure) / at, 6);
});

test('chips are found where they lie, and told where they belong', async () => {
  const terms = defaultTerms('colours-on-scale');
  const layout = exerciseLayout(terms);
  const even = targetLightnesses(terms.steps, terms.ends, 'light-first', 'lightness');
  // Place, and the step whose grey it is as light as: two of them lie elsewhere.
  const chips = [
    { place: 2, like: 2, a: -20, b: 30 },
    { place: 4, like: 6, a: 45, b: 25 },
    { place: 6, like: 6, a: 8, b: -14 },
    { place: 14, like: 4, a: 0, b: 12 },
  ];
  const cells = [
    ...layout.cells,
    ...chips.flatMap((c, i) =>
      layout.chips.filter((p) => p.index === c.place).map((p) => ({ ...p, index: terms.steps + i + 1 })),
    ),
  ];
  const lightness = [...even, ...chips.map((c) => even[c.like - 1] ?? 50)];
  const faults = chips.map((c, i) => ({ kind: 'drift' as const, step: terms.steps + i + 1, a: c.a, b: c.b }));
  const { surface } = paint(await printed(terms), cells, { lightness, faults }, SEED);
  const { photo, tools } = await seen(surface, terms);
  const result = await measureScale(photo, { terms, hue: true, chipRows: chipRows(terms), expected: nobody }, tools);
  expect(result.chips.map((c) => [c.place, c.step, c.nearest, c.what])).toEqual([
    [2, 2, 2, 'tint'],
    [4, 4, 6, 'pure'],
    [6, 6, 6, 'dark'],
    [14, 5, 4, 'tint'],
  ]);
});

test('an edge where paint gathered, a line that shows and a grey that leans are told, and what comes near to each is not', async () => {
  const terms = { ...defaultTerms('scale'), steps: 9 };
  const layout = exerciseLayout(terms);
  const lightness = targetLightnesses(9, { light: 95.5, dark: 24 }, 'light-first', 'lightness');
  const faults = [
    { kind: 'short' as const, step: 2, mm: 1.3 },
    { kind: 'short' as const, step: 3, mm: 0.05 },
    { kind: 'edge' as const, step: 4, lightness: -6 },
    { kind: 'edge' as const, step: 6, lightness: -1.2 },
    { kind: 'drift' as const, step: 5, a: 2, b: 5 },
    { kind: 'drift' as const, step: 7, a: 0.5, b: 1 },
    { kind: 'drift' as const, step: 8, a: -2, b: -5 },
  ];
  const { surface } = paint(await printed(terms), layout.cells, { lightness, faults }, SEED);
  const { photo, tools } = await seen(surface, terms);
  const result = await measureScale(photo, { terms, expected: nobody }, tools);
  const told = (flag: (typeof result.steps)[number]['flags'][number]) =>
    result.steps.filter((s) => s.flags.includes(flag)).map((s) => s.index);
  expect(result.capture.accepted).toBe(true);
  expect([told('line_shows'), told('built_up_edge'), told('drift_warm'), told('drift_cool')]).toEqual([
    [2],
    [4],
    [5],
    [8],
  ]);
});
