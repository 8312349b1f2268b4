import { bandPicture } from '../../bands/band-picture';
import { drawBandSheet, drawOwnBandSheet } from '../../bands/band-sheet';
import { MEDIA } from '../../exercise/media';
import { defaultScale } from '../../exercise/scale';
import { bandsSchema, type Motif, type TermsOf } from '../../exercise/terms';
import type { SheetWords } from '../../sheet/drawing';
import { pictureLayout } from '../../sheet/picture-layout';
import { FRAMINGS, type Kind, type ValueArea } from '../kind';
import { oneSitting } from '../sittings';
import { stepValues } from '../steps/stepped';
import { PHOTOGRAPH, WASH } from '../work-words';

type Terms = TermsOf<'bands'>;
const MINUTES = [60, 120] as const;

/** Bands that the sheet does not have: how to draw them so that they can be found again. */
const OWN_BANDS: Record<Motif, string> = {
  glow: 'Draw your own rings round the small cross, one inside the other, none narrower than your brush; all of them show somewhere.',
  ranges: 'Draw your own ridges from side to side, each below the one before it, none nearer than your brush is wide.',
  stairwell: 'Draw your own walls round the small cross, one inside the other, none narrower than your brush.',
};

/** One frame, a dab for each step, and coloured patches where hue is judged. */
export const bandLayout = ({ paper, steps, hue }: Terms) => pictureLayout(paper, { dabs: steps, hue: hue !== null });

function draw(terms: Terms, { labels, title, subtitle, name, exercise, student }: SheetWords) {
  const layout = bandLayout(terms);
  const picture = bandPicture(terms);
  const tag = { kind: terms.kind, steps: terms.steps, paper: terms.paper, exercise, student };
  const heading = { title, subtitle, name, tag };
  if (terms.outlines === 'own') {
    const { widthMm, heightMm } = picture.frame;
    const light = terms.motif === 'ranges' ? null : ([terms.lamp.x * widthMm, terms.lamp.y * heightMm] as const);
    return drawOwnBandSheet(layout, { light, silhouette: picture.silhouette?.shape ?? null }, heading);
  }
  const lightFirst = terms.order === 'light-first' ? labels : [...labels].reverse();
  return drawBandSheet(layout, picture, lightFirst, heading);
}

function areas(terms: Terms): ValueArea[] {
  const lightFirst = stepValues(terms).sort((a, b) => b - a);
  const picture = bandPicture(terms);
  const bands = picture.bands.map((b, i) => ({ lightness: lightFirst[i] ?? 50, areaMm2: b.areaMm2 }));
  return picture.silhouette ? [...bands, { lightness: terms.ends.dark, areaMm2: picture.silhouette.areaMm2 }] : bands;
}

function work(terms: Terms, _labels: readonly string[], mixing: readonly string[] | null): string[] {
  const own = terms.outlines === 'own';
  const order = mixing ? `, in this order: ${mixing.join(', ')}` : '';
  return [
    `Mix the ${terms.steps} steps${terms.hue === null ? '' : ` of ${terms.hue}`} first${order}${own ? '.' : '; each number is its band.'}`,
    ...(own ? [OWN_BANDS[terms.motif]] : []),
    ...(terms.nearest === 'first'
      ? ['Paint the silhouettes first, in the darkest paint; the bands go up to them.']
      : []),
    own
      ? 'Paint the bands from the lightest to the darkest, flat, each up to the next.'
      : 'Paint the bands from the lightest to the darkest, flat, over the faint lines.',
    ...(terms.silhouettes === 'own'
      ? ['Draw your own silhouettes in front: big, simple, recognised by their outline.']
      : []),
    ...(terms.nearest === 'last' ? ['Paint the silhouettes last, in the darkest paint, solid.'] : []),
    WASH,
    PHOTOGRAPH,
  ];
}

export const valueBands: Kind<Terms> = {
  id: 'bands',
  family: 'bands',
  sheet: 'bands',
  // Printed outlines lie on the sheet alone.
  framings: ({ outlines }) => (outlines === 'own' ? FRAMINGS : ['sheet']),
  name: 'value bands',
  usualTitle: 'A lamp in the greenhouse',
  task: 'Fill each band with its step, flat from edge to edge, so that neighbours can just be told apart.',
  minutes: MINUTES,
  measured: true,
  terms: bandsSchema,
  usual: (medium) => ({
    ...defaultScale(medium),
    kind: 'bands',
    steps: 7,
    motif: 'glow',
    lamp: { x: 0.36, y: 0.34 },
    outlines: 'printed',
    silhouettes: 'drawn',
    nearest: 'last',
    brushMm: 6,
    hue: null,
    pureAt: 'own-value',
  }),
  inShort: ({ steps, hue, medium }) => `${steps} bands${hue === null ? '' : ` of ${hue}`} in ${MEDIA[medium].name}`,
  looks: true,
  alwaysOnPaper: true,
  values: stepValues,
  numbered: (terms) => terms,
  layout: bandLayout,
  draw,
  widths: (terms) => bandPicture(terms).bands.map((b) => (2 * b.areaMm2) / Math.max(1, b.perimeterMm)),
  areas,
  work,
  stages: ({ medium }) => oneSitting(medium, MINUTES),
  wanted: () => null,
  row: ({ order, workOrder, hue, pureAt }) => ({
    order,
    work: workOrder,
    hue: hue === null ? null : { name: hue, pureAt },
  }),
};
