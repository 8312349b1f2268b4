/** How far two hand-ins of one exercise lie apart by what was measured of them, so that what is nearly equal can be judged alike. */
import type { MeasuredResult } from './measured-result';
import type { NotanResult } from '../notan/result';
import type { PaintingResult } from '../painting/result';
import type { ScaleResult } from '../scale/result';

/** What counts of a hand-in, by what it is of, each in steps of the exercise. What is not there is 0. */
type Profile = ReadonlyMap<string, number>;

/** Nothing of two that are nearly equal differs by more than this, steps: half of what is told as too light or too dark. */
export const NEAR_STEPS = 0.35;
/** So much of a shift (widths), of a share of the picture, and of paint that does not cover or strays over its line are a step. */
const STEP_OF = { shift: 0.045, share: 0.12, craft: 0.25, lines: 8 } as const;
/** A shape counts fully from this share of the picture on. */
const FULL_AREA = 0.04;
/** Steps of nine, L*: what unevenness is told in. */
const STEP_LIGHTNESS = 9;

function ofScale({ steps }: ScaleResult): Profile {
  return new Map(
    steps.flatMap(({ index, errorSteps, spread, bareGround, overflow }): [string, number][] => [
      [`value ${index}`, errorSteps],
      [`spread ${index}`, spread / STEP_LIGHTNESS],
      [`ground ${index}`, (bareGround ?? 0) / STEP_OF.craft],
      [`line ${index}`, (overflow ?? 0) / STEP_OF.craft],
    ]),
  );
}

function ofTones({ tones, agreementAligned, shift, shapes }: NotanResult): Profile {
  const step = (tones[0]?.lightness ?? 0) - (tones.at(-1)?.lightness ?? 0);
  const each = Math.max(STEP_LIGHTNESS, step / Math.max(1, tones.length - 1));
  return new Map<string, number>([
    ...tones.flatMap(({ index, share, lightness, spread }): [string, number][] => [
      [`value ${index}`, (lightness ?? 0) / each],
      [`share ${index}`, share / STEP_OF.share],
      [`spread ${index}`, (spread ?? 0) / each],
    ]),
    ['agreement', (1 - (agreementAligned ?? 1)) / STEP_OF.share],
    ['shift', Math.hypot(shift?.x ?? 0, shift?.y ?? 0) / STEP_OF.shift],
    ['ragged', (shapes?.ragged ?? 0) / STEP_OF.craft],
  ]);
}

function ofPainting({ overall, step, shapes, regions, displacements, extents, accents }: PaintingResult): Profile {
  const [dark, light] = [overall?.curve[0], overall?.curve.at(-1)];
  const full = (area: number) => Math.min(1, Math.sqrt(area / FULL_AREA));
  return new Map<string, number>([
    ['dark', dark ? (dark.painted - dark.target) / step : 0],
    ['light', light ? (light.painted - light.target) / step : 0],
    ['lines', accents.length / STEP_OF.lines],
    ...shapes.map((s): [string, number] => [`value ${s.name}`, (full(s.area) * (s.residual ?? 0)) / step]),
    ...regions
      .filter((r) => r.shape === null)
      .map((r): [string, number] => [`part ${r.id}`, (full(r.area) * r.residual) / step]),
    ...displacements.map((d): [string, number] => [`place ${d.name ?? d.id}`, Math.hypot(d.dx, d.dy) / STEP_OF.shift]),
    ...extents.map((e): [string, number] => [`reach ${e.name ?? e.id}`, e.kind === 'detail' ? e.by / step : 2 * e.by]),
  ]);
}

function profileOf(result: MeasuredResult): Profile {
  switch (result.kind) {
    case 'scale':
      return ofScale(result);
    case 'notan':
      return ofTones(result);
    case 'painting':
      return ofPainting(result);
  }
}

/** By how much the thing that differs most does, steps; null where the two can't be held against each other. */
export function apartBy(a: MeasuredResult, b: MeasuredResult): number | null {
  if (a.kind !== b.kind || !a.capture.accepted || !b.capture.accepted) return null;
  const [one, other] = [profileOf(a), profileOf(b)];
  if (one.size === 0 || other.size === 0) return null;
  const keys = new Set([...one.keys(), ...other.keys()]);
  return Math.max(...[...keys].map((key) => Math.abs((one.get(key) ?? 0) - (other.get(key) ?? 0))));
}
