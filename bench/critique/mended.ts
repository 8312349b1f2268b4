/** A painting's faults once an action was carried out on it, as far as a hand would carry it out. */
import type { Action, Shift } from '@/core/critique/painting/actions/action';
import { nameOf } from '../painting/named-of-scene';
import type { Fault, Named } from './faults';
import type { Sitting } from './faulty-painting';

/** The shape of the picture that a shift is about: by its name, or where the middle of its part lies. */
const numberOf = (name: string | null, named: Named): number | null =>
  named.find(({ shape }) => nameOf(shape) === name)?.shape ?? null;

function shiftedBy(faults: readonly Fault[], shifts: readonly Shift[], named: Named): Fault[] {
  const by = shifts.flatMap((s): Fault[] => {
    const shape = numberOf(s.shape, named);
    const area = named.find((n) => n.shape === shape)?.area ?? s.area;
    return shape === null ? [] : [{ kind: 'value', shape, by: s.by * Math.min(1, s.area / area) }];
  });
  return [...faults, ...by];
}

const isThing = (name: string | null, shapes: readonly number[]) =>
  name !== null && shapes.some((shape) => nameOf(shape) === name || nameOf(shape).startsWith(`${name} >`));

/** Faults that are left, or made, when an action is carried out by as much as it says. */
export function mended({ planned: { faults }, named }: Sitting, { way }: Action): readonly Fault[] {
  switch (way.kind) {
    case 'shift':
      return shiftedBy(faults, way.shifts, named);
    case 'curve':
      return faults.filter((f) => f.kind !== 'range');
    case 'move': {
      const { name, dx, dy, width, height, slant } = way.feature;
      const back = (f: Fault): Fault => {
        if (f.kind !== 'move' || !isThing(name, f.move.shapes)) return f;
        const { move } = f;
        return {
          kind: 'move',
          move: {
            ...move,
            ...{ dx: move.dx - dx, dy: move.dy - dy, slant: move.slant - slant },
            ...{ width: move.width / width, height: move.height / height },
          },
        };
      };
      return faults.map(back);
    }
    case 'reach':
      return faults.filter(
        (f) =>
          !(f.kind === 'reach' && [f.spread.grows, f.spread.gives].some((s) => nameOf(s) === way.extent.name)) &&
          !(f.kind === 'busy' && way.extent.kind === 'detail' && nameOf(f.busy.shape) === way.extent.name),
      );
    case 'line':
      return faults.filter((f) => f.kind !== 'line' || way.line.kind !== 'missing');
    default:
      return faults;
  }
}
