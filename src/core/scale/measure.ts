/** Measures a painted value scale in a photograph of its worksheet, from pixels to flags. */
import { type Calibration, paperLightness, surenessOf } from '../capture/calibrate';
import { enclosing, photoBox } from '../capture/check-photo';
import { type CaptureIssue, GATE, issue, refuses } from '../capture/gate';
import type { Located } from '../capture/locate';
import { type Expected, type KnownCard, openSheet, type SheetTools } from '../capture/open-sheet';
import { lightnessToLuminance } from '../colour/lab';
import { warmth } from '../colour/temperature';
import type { Triple } from '../colour/srgb';
import type { Photo } from '../raster/photo';
import { boxMm } from '../sheet/paper';
import { toPhoto } from '../capture/plane';
import type { SheetTag } from '../sheet/qr';
import { type ScaleLayout, scaleLayout } from '../sheet/scale-layout';
import { evenness, LIMITS, measureGaps, type ScaleTerms, stepSize, targetsFor, valueFlags } from './flags';
import { meanLab, patchwork } from './patchwork';
import { type CellReading, readCell } from './read-cell';
import { shineStrength } from './shine';
import { backgroundSpread } from './background-spread';
import { type Capture, type MeasuredStep, SCALE_RESULT_VERSION, type ScaleResult } from './result';

export interface ScaleRequest {
  readonly terms: ScaleTerms;
  readonly expected: Expected;
  /** Whether the sheet carries coloured patches. */
  readonly hue?: boolean;
  readonly card?: KnownCard;
  readonly flat?: Photo;
}

/** What the environment lends to the measurement, and who listens. */
export interface MeasureTools extends SheetTools {
  onStage?(stage: MeasureStage): void;
}

export const MEASURE_STAGES = ['finding the sheet', 'reading its greys', 'reading the steps', 'comparing'] as const;
export type MeasureStage = (typeof MEASURE_STAGES)[number];

function refused(issues: CaptureIssue[], located: Located | null, tag: string | null): ScaleResult {
  return {
    version: SCALE_RESULT_VERSION,
    kind: 'scale',
    capture: {
      target: located ? 'sheet' : null,
      mode: 'calibrated',
      whiteBasis: 'nominal',
      accepted: false,
      issues,
      uncertainty: null,
      tag,
      corners: located ? cornersOf(located) : null,
    },
    steps: [],
    gaps: [],
    summary: null,
    findings: [],
  };
}

function cornersOf({ plane, frame }: Located): { x: number; y: number }[] {
  return (
    [
      [0, 0],
      [frame.widthMm, 0],
      [frame.widthMm, frame.heightMm],
      [0, frame.heightMm],
    ] as const
  ).map(([x, y]) => {
    const p = toPhoto(plane, x, y);
    return { x: p.x / plane.photoWidth, y: p.y / plane.photoHeight };
  });
}

/** The sheet of another kind, or of another number of steps. */
const otherSheet = (steps: number) => (tag: SheetTag): CaptureIssue | null =>
  tag.kind === 'scale' && tag.steps === steps
    ? null
    : issue('wrong_sheet', 1, `This is the sheet for ${tag.steps} steps, and the exercise has ${steps}: photograph the sheet of this exercise.`);

/**
 * With the code unread the cells decide: between neighbours there must be a strip of bare paper. Only
 * gaps beside clearly darker paint can tell.
 */
function gapsMissing(photo: Photo, calibration: Calibration, layout: ScaleLayout, readings: readonly CellReading[]): number {
  const paper = paperLightness(calibration);
  let [told, missing] = [0, 0];
  layout.cells.forEach((cell, i) => {
    const next = layout.cells[i + 1];
    if (!next || next.yMm !== cell.yMm) return;
    const [a, b] = [readings[i]?.lab[0] ?? 100, readings[i + 1]?.lab[0] ?? 100];
    if (Math.min(a, b) > paper - 15) return;
    told++;
    const gap = boxMm(cell.xMm + cell.widthMm + 0.6, cell.yMm + 8, 0.8, cell.heightMm - 16);
    const ys = [...patchwork(photo, calibration, gap).y].sort((p, q) => p - q);
    const y = ys[Math.floor(ys.length / 2)] ?? 0;
    if (y < 0.55 * lightnessToLuminance(paper)) missing++;
  });
  return told === 0 ? 0 : missing / told;
}

/** Shine on the paint, told once for all steps that it lies on. */
function glareIssues(readings: readonly CellReading[], layout: ScaleLayout, calibration: Calibration): CaptureIssue[] {
  const shiny = layout.cells.flatMap((cell, i) => {
    const reading = readings[i];
    const strength = reading ? shineStrength(reading) : 0;
    return strength > GATE.glare.limit ? [{ cell, strength }] : [];
  });
  if (shiny.length === 0) return [];
  const named = `step${shiny.length > 1 ? 's' : ''} ${shiny.map((s) => s.cell.index).join(', ')}`;
  const boxes = shiny.map((s) => photoBox(calibration.plane, s.cell));
  return [
    issue('glare', Math.max(...shiny.map((s) => s.strength)), `Shine lies on ${named}: turn the sheet away from the lamp until it leaves the paint.`, enclosing(boxes)),
  ];
}

function orderOf(gaps: ScaleResult['gaps']): 'kept' | 'reversed' | 'mixed' {
  if (gaps.every((g) => g.gap < 0)) return 'reversed';
  return gaps.some((g) => g.flags.includes('reversed')) ? 'mixed' : 'kept';
}

function driftOf(labs: readonly Triple[]): { warm: number[]; cool: number[] } {
  const warm: number[] = [];
  const cool: number[] = [];
  labs.forEach((lab, i) => {
    const beside = [labs[i - 1], labs[i + 1]].filter((l) => l !== undefined);
    const mean = [0, 1, 2].map((k) => beside.reduce((s, l) => s + (l[k] ?? 0), 0) / beside.length);
    const difference = warmth(lab, [mean[0] ?? 0, mean[1] ?? 0, mean[2] ?? 0]);
    if (difference > LIMITS.drift) warm.push(i + 1);
    if (difference < -LIMITS.drift) cool.push(i + 1);
  });
  return { warm, cool };
}

/**
 * Reads a photograph against a scale exercise. A photograph that can't be used comes back with
 * `accepted: false` and what to do; steps are given whenever the sheet was found and its greys could be fitted.
 * Throws only on programmers' errors.
 */
export async function measureScale(
  photo: Photo,
  request: ScaleRequest,
  tools: MeasureTools,
): Promise<ScaleResult> {
  const { terms } = request;
  tools.onStage?.('finding the sheet');
  const opened = await openSheet(
    photo,
    {
      layoutOn: (paper) => scaleLayout(terms.steps, paper, { hue: request.hue ?? false }),
      expected: request.expected,
      check: otherSheet(terms.steps),
      onFound: () => tools.onStage?.('reading its greys'),
      ...(request.card && { card: request.card }),
      ...(request.flat && { flat: request.flat }),
    },
    tools,
  );
  if (opened.kind === 'refused') return refused(opened.issues, opened.located, opened.tag);
  const { located, layout, tag, calibration, issues } = opened;

  tools.onStage?.('reading the steps');
  const ground: Triple = [paperLightness(calibration), 0, 0];
  // Two passes would be needed to know the neighbours' paint; a coarse look at each cell's middle is enough.
  const rough = layout.cells.map((cell) => middleLab(photo, calibration, cell));
  const readings = layout.cells.map((cell, i) => {
    const beside = [i - 1, i + 1].flatMap((k) => {
      const other = layout.cells[k];
      const lab = rough[k];
      return other && lab && other.yMm === cell.yMm ? [lab] : [];
    });
    return readCell(photo, calibration, cell, ground, beside);
  });
  if (tag === null) {
    const missing = gapsMissing(photo, calibration, layout, readings);
    if (missing > GATE.wrong_sheet.limit)
      return refused([issue('wrong_sheet', missing, `The cells are not where a sheet of ${terms.steps} steps has them: photograph the sheet of this exercise.`)], located, tag);
  }
  if (!issues.some((i) => i.code === 'clipped')) issues.push(...glareIssues(readings, layout, calibration));

  tools.onStage?.('comparing');
  const grain = backgroundSpread(photo, calibration);
  const lightness = readings.map((r) => r.lab[0]);
  const sureness = lightness.map((l) => surenessOf(calibration, l));
  const outside = sureness.flatMap((s, i) => (s.extrapolated ? [i + 1] : []));
  if (outside.length > 0)
    issues.push(issue('outside_card', outside.length, `Darker or lighter than the printed greys, so less sure: step ${outside.join(', ')}.`));
  const targets = targetsFor(terms, lightness);
  const size = stepSize(targets);
  const values = valueFlags(terms, lightness);
  const whiteStep = terms.order === 'light-first' ? 1 : terms.steps;
  const steps = readings.map((r, i): MeasuredStep => {
    const target = targets[i] ?? 0;
    const spread = Math.sqrt(Math.max(0, r.spread ** 2 - grain(r.lab[0]) ** 2));
    const flags: MeasuredStep['flags'] = [...(values[i] ?? [])];
    if (spread > LIMITS.streaky) flags.push('streaky');
    const mayBeBare = terms.groundMayStand && i + 1 === whiteStep;
    if (!mayBeBare && (r.bareGround ?? 0) > LIMITS.bareGround) flags.push('bare_ground');
    if ((r.overflow ?? 0) > LIMITS.overTheLine) flags.push('over_the_line');
    return {
      index: i + 1,
      lightness: r.lab[0],
      a: r.lab[1],
      b: r.lab[2],
      target,
      error: r.lab[0] - target,
      errorSteps: (r.lab[0] - target) / size,
      uncertainty: sureness[i]?.whole ?? 0,
      ownUncertainty: sureness[i]?.own ?? 0,
      extrapolated: sureness[i]?.extrapolated ?? false,
      spread,
      bareGround: r.bareGround,
      overflow: r.overflow,
      flags,
    };
  });
  const gaps = measureGaps(terms, lightness, sureness.map((s) => s.own));
  const halves = steps.map((s) => s.uncertainty).sort((a, b) => a - b);
  const capture: Capture = {
    target: 'sheet',
    mode: 'calibrated',
    whiteBasis: 'nominal',
    accepted: !refuses(issues),
    issues,
    uncertainty: halves[Math.floor(halves.length / 2)] ?? null,
    tag,
    corners: cornersOf(located),
  };
  return {
    version: SCALE_RESULT_VERSION,
    kind: 'scale',
    capture,
    steps,
    gaps,
    summary: {
      evenness: evenness(gaps),
      order: orderOf(gaps),
      ends: { lightest: Math.max(...lightness), darkest: Math.min(...lightness) },
      drift: driftOf(readings.map((r) => r.lab)),
    },
    findings: [],
  };
}

/** Median-like colour of a cell's middle third, for telling whose paint lies in a gap. */
function middleLab(photo: Photo, calibration: Calibration, cell: ScaleLayout['cells'][number]): Triple {
  const box = boxMm(cell.xMm + cell.widthMm / 3, cell.yMm + cell.heightMm / 3, cell.widthMm / 3, cell.heightMm / 3);
  return meanLab(patchwork(photo, calibration, box));
}
