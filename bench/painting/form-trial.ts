/** A painting whose rules of form are broken in known ways, photographed and measured against the picture that keeps them. */
import { pictureStep } from '@/core/exercise/key';
import { measurePainting } from '@/core/painting/measure-painting';
import type { NamedShape } from '@/core/painting/shapes/named-shapes';
import { paintingReference } from '@/core/painting/reference';
import type { PaintingResult } from '@/core/painting/result';
import { valueMap, valueSpan } from '@/core/reference/value-map';
import { photograph } from '@/devices/camera';
import { shotFor } from '@/devices/camera-conditions';
import type { CameraCondition } from '@/devices/condition-names';
import { paintPicture } from '@/devices/picture-painter';
import { chance } from '@/devices/random';
import { decodePhoto } from '@/workers/decoding/decode';
import { loadOpenCv } from '@/workers/decoding/opencv';
import { readQr } from '@/workers/decoding/read-qr';
import { blankFor, targetOf } from '../notan-stage';
import { type FormFault, formScene, type FormScene, type SceneShape } from './form-scenes';

export interface FormTrial {
  readonly seed: number;
  readonly camera: CameraCondition;
  readonly way: 'sheet' | 'brackets' | 'corners';
  readonly megapixels: number;
  readonly faults: readonly FormFault[];
  /** Whether the reference breaks the rules too: nothing is to be told then. */
  readonly asReference: boolean;
}

export interface FormOutcome {
  readonly trial: FormTrial;
  readonly accepted: boolean;
  readonly broken: FormScene['broken'];
  readonly told: PaintingResult['rules'];
}

const ENDS = { light: 96, dark: 20 } as const;
const nameOf = ({ object, part, label }: SceneShape) => `${object} > ${part} ${label}`;

/** Shapes as a teacher names them, each allotted the steps that it has in the picture where steps are asked for. */
function named({ picture, shapes }: FormScene, of: (l: number) => number, faults: readonly FormFault[]): NamedShape[] {
  const step = pictureStep(ENDS);
  return shapes.map((shape) => {
    const places = [...picture.shapeOf.keys()].filter((i) => picture.shapeOf[i] === shape.label);
    const mean = places.reduce((s, i) => s + of(picture.lightness[i] as number), 0) / places.length;
    const at = 1 + (ENDS.light - mean) / step;
    const asked = faults.includes('step_unused') ? shape.part === 'highlight' : faults.includes('outside_steps');
    const steps = { from: Math.max(1, Math.floor(at - 0.3)), to: Math.max(1, Math.ceil(at + 0.3)) };
    return {
      name: nameOf(shape),
      object: shape.object,
      part: shape.part,
      material: 'matt',
      steps: asked ? steps : null,
    };
  });
}

export default async function runFormTrial(trial: FormTrial): Promise<FormOutcome> {
  const { seed, camera, megapixels, faults, asReference } = trial;
  const own = chance(seed).fork('form trial');
  const scene = formScene(seed, faults);
  const seen = asReference ? scene.painted : scene.picture;
  const { width, height, shapeOf, lightness } = seen;
  const { of } = valueMap(valueSpan(lightness), { ends: ENDS, key: 'full', pushPercent: 0 });
  const blank = await blankFor(trial, 'office', height / width);
  const { surface } = paintPicture(
    blank.surface,
    blank.frame,
    scene.painted,
    {
      whole: {
        shift: { x: 0.006 * own.gauss(), y: 0.006 * own.gauss() },
        scale: { x: 1 + 0.008 * own.gauss(), y: 1 + 0.008 * own.gauss() },
        rotation: 0.5 * own.gauss(),
        shear: 0.003 * own.gauss(),
      },
      moves: [],
      stray: own.between(0.0005, 0.002),
      smallest: own.between(0.004, 0.008),
      unsure: own.between(0.3, 1),
      value: of,
      mistaken: new Map(),
      ground: own.between(60, 93),
      streaks: own.between(0, 1),
    },
    seed,
  );
  const jpeg = await photograph(surface, blank.stage, shotFor(camera, blank.stage, seed, megapixels), seed);
  const photo = await decodePhoto(jpeg);
  const { cv } = await loadOpenCv();
  const number = new Map(scene.shapes.map(({ label }, k) => [label, k + 1]));
  const { result } = await measurePainting(
    photo,
    {
      reference: paintingReference(cv, {
        lightness: { width, height, data: lightness },
        target: { width, height, data: lightness.map(of) },
        shapes: {
          width,
          height,
          shapeOf: shapeOf.map((s) => number.get(s) ?? 0),
          shapes: named(scene, of, faults),
          lights: scene.lights,
        },
      }),
      step: pictureStep(ENDS),
      lightest: ENDS.light,
      ruleWins: false,
      toleranceSteps: 0.5,
      expected: { exercise: null, student: null },
      target: targetOf(trial, blank, trial.way === 'corners' ? 2 : 0),
      card: { basis: 'measured', readings: blank.readings },
    },
    { cv, readQr },
  );
  return { trial, accepted: result.capture.accepted, broken: scene.broken, told: result.rules };
}
