/** What is said of an action beside the words of its finding: whose value is changed, and what else that brings into line. */
import { objectOf } from '../../../tones/mass';
import { inSteps } from '../../amounts';
import { list, massName } from '../../naming';
import type { Told } from '../../rule';
import type { PaintingFacts } from '../facts';
import type { Shift, Whose } from './action';
import type { Step } from './order';

/** Others are named up to so many; beyond that nobody listens. */
const MOST_NAMED = 3;

const mean = (shifts: readonly Shift[]): number =>
  shifts.reduce((s, { by, area }) => s + by * area, 0) /
  Math.max(
    1e-9,
    shifts.reduce((s, { area }) => s + area, 0),
  );

const upOrDown = (by: number, step: number): string => `${by > 0 ? 'up' : 'down'} by ${inSteps(by / step)}`;

const shapesOf = (shifts: readonly Shift[]): string[] => [
  ...new Set(shifts.flatMap(({ shape }) => (shape === null ? [] : [shape]))),
];

type Say = (shifts: readonly Shift[], step: number) => string;

const INSTEAD: Record<Exclude<Whose, 'own'>, Say> = {
  neighbour: (shifts, step) =>
    `Leave it, and bring ${list(shapesOf(shifts).map(massName))} ${upOrDown(mean(shifts), step)} instead.`,
  both: (shifts, step) => {
    const one = ({ shape, by }: Shift) => `${massName(shape ?? '')} ${upOrDown(by, step)}`;
    return `Bring ${list(shifts.map(one))}.`;
  },
  object: (shifts, step) => {
    const [shape = ''] = shapesOf(shifts);
    return `Bring all of ${massName(objectOf({ name: shape }))} ${upOrDown(mean(shifts), step)}, its parts together.`;
  },
  light: (shifts, step) =>
    `Bring ${list(shapesOf(shifts).map(massName))} ${upOrDown(mean(shifts), step)} together: they have gone astray alike.`,
};

/** What a finding is about, by its name; null where it has none. */
function nameOf({ subject }: Told<PaintingFacts>): string | null {
  return subject.kind === 'shape' && subject.name !== undefined ? massName(subject.name) : null;
}

/** "This brings the cup and the table into line too." Null where nothing else that has a name is cured. */
function alsoCured({ told, cures }: Step): string | null {
  const own = nameOf(told);
  const names = [...new Set(cures.map(nameOf))].filter((name) => name !== null && name !== own) as string[];
  return names.length === 0 || names.length > MOST_NAMED ? null : `This brings ${list(names)} into line too.`;
}

/** What to do, as the finding has it or as the chosen action does; `step` is one of the exercise, L*. */
export function adviceFor(step: Step, usual: string | null, stepLightness: number): string | null {
  const { way } = step.action;
  const own = way.kind === 'shift' && way.whose !== 'own' ? INSTEAD[way.whose](way.shifts, stepLightness) : usual;
  const also = alsoCured(step);
  return own === null || also === null ? own : `${own} ${also}`;
}
