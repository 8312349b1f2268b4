/** Two to four faults planted in a painting, each of a known kind and size. */
import { type Accent } from '@/devices/accents';
import type { Move, Spread } from '@/devices/drawing-hand';
import type { Chance } from '@/devices/random';
import { moveOf } from '../painting/beginning';
import { shapesOf } from '../painting/named-of-scene';
import type { Reference } from '../painting/references';
import { type PlantedAccent, type PlantedExtent, plannedAccents, plannedExtents } from '../painting/small-faults';

export type Named = ReturnType<typeof shapesOf>;

export type Fault =
  | { readonly kind: 'value'; readonly shape: number; readonly by: number }
  | { readonly kind: 'move'; readonly move: Move }
  | { readonly kind: 'reach'; readonly spread: Spread; readonly extent: PlantedExtent }
  | { readonly kind: 'busy'; readonly busy: Busy; readonly extent: PlantedExtent }
  | { readonly kind: 'line'; readonly accent: Accent; readonly planted: PlantedAccent }
  /** Darks lifted and lights lowered by so much at the ends, L*. */
  | { readonly kind: 'range'; readonly darks: number; readonly lights: number };

type Busy = { readonly shape: number; readonly by: number; readonly size: number };

export interface Planned {
  readonly faults: readonly Fault[];
  /** Thin lines that the picture has, all of which a faultless painting has too. */
  readonly lines: readonly Accent[];
}

export const ENDS = { light: 96, dark: 20 } as const;
export const STEP = (ENDS.light - ENDS.dark) / 8;
export const TOLERANCE_STEPS = 0.5;

/** So much of a step a value is mistaken by, at the least and the most, L*. */
const MISTAKEN = [11, 22] as const;
/** Shapes of this share of the picture are mistaken. */
const AREA = { least: 0.015, most: 0.2 } as const;
/** Ends are lifted by more than a step of nine, which is the least that is told of a range; and quiet shapes are plainly lively. */
const LIFTED = [14, 26] as const;
const PLAINLY_REACHES = 0.15;
const LIVELY = [11, 16] as const;

function movedBy({ dx, dy, width, height, slant }: Move): number {
  const grown = Math.max(Math.abs(width - 1), Math.abs(height - 1));
  return 4 * Math.hypot(dx, dy) + grown / 2 + Math.abs(slant) / 57;
}

/** Marks that are so much lighter or darker at the most, L*, make a shape livelier by this share of it (standard deviation of the noise). */
const LIVELIER = 0.3;

/** What a fault weighs: steps beyond what is allowed by the root of the area; a shift of a quarter of the picture as a step everywhere. */
export function sizeOf(fault: Fault, named: Named): number {
  const boxOf = (shape: number) => named.find((n) => n.shape === shape)?.box ?? { width: 0, height: 0 };
  const spread = (shape: number) => Math.sqrt(boxOf(shape).width * boxOf(shape).height);
  switch (fault.kind) {
    case 'value': {
      const area = named.find((n) => n.shape === fault.shape)?.area ?? 0;
      return Math.max(0, Math.abs(fault.by) / STEP - TOLERANCE_STEPS) * Math.sqrt(area);
    }
    case 'move':
      return movedBy(fault.move);
    case 'reach':
      return 2 * fault.extent.by * spread(fault.extent.shape);
    case 'busy':
      return ((LIVELIER * fault.extent.by) / STEP) * spread(fault.extent.shape);
    case 'line':
      return 0.5 * Math.sqrt(0.02);
    case 'range':
      return (2 * (fault.darks + fault.lights)) / (ENDS.light - ENDS.dark);
  }
}

function mistakenShape(named: Named, own: Chance, taken: ReadonlySet<number>): Fault | null {
  const free = named.filter(
    ({ shape, area }) => area >= AREA.least && area <= AREA.most && !taken.has(shape) && !taken.has(shape ^ 1),
  );
  if (free.length === 0) return null;
  const { shape } = free[own.whole(0, free.length - 1)] as Named[number];
  return { kind: 'value', shape, by: (own.next() < 0.5 ? -1 : 1) * own.between(...MISTAKEN) };
}

/** Shapes that a fault is about, whose others are left as they are. */
function shapesIn(fault: Fault): number[] {
  if (fault.kind === 'value') return [fault.shape];
  if (fault.kind === 'move') return [...fault.move.shapes];
  if (fault.kind === 'reach') return [fault.spread.grows, fault.spread.gives];
  return fault.kind === 'busy' ? [fault.busy.shape] : [];
}

export function planned(reference: Reference, named: Named, own: Chance): Planned {
  const lines = plannedAccents(reference, own.fork('lines'));
  const reaches = plannedExtents(reference, named, own.fork('reaches'), 1.3);
  const count = own.whole(2, 4);
  const faults: Fault[] = [];
  const taken = new Set<number>();
  const plant = (fault: Fault | null | undefined) => {
    if (!fault || faults.length >= count || shapesIn(fault).some((s) => taken.has(s) || taken.has(s ^ 1))) return;
    faults.push(fault);
    shapesIn(fault).forEach((s) => taken.add(s));
  };
  const move = own.next() < 0.5 ? moveOf(named, own.fork('move')) : null;
  plant(move && { kind: 'move', move });
  if (own.next() < 0.3)
    plant({
      kind: 'range',
      ...(own.next() < 0.5
        ? { darks: own.between(...LIFTED), lights: 0 }
        : { darks: 0, lights: own.between(...LIFTED) }),
    });
  const [spread] = reaches.spreads;
  const [reach] = reaches.planted;
  if (own.next() < 0.3 && spread && reach && reach.by >= PLAINLY_REACHES)
    plant({ kind: 'reach', spread, extent: reach });
  const detail = reaches.planted.find((p) => p.kind === 'detail');
  const by = own.between(...LIVELY);
  if (own.next() < 0.2 && reaches.busy && detail)
    plant({ kind: 'busy', busy: { ...reaches.busy, by }, extent: { ...detail, by } });
  const [accent] = lines.wanted;
  const line = lines.planted.find((p) => p.fate !== 'extra');
  if (own.next() < 0.3 && accent && line) plant({ kind: 'line', accent, planted: { ...line, fate: 'missing' } });
  for (let tries = 0; tries < 8 && faults.length < count; tries++) plant(mistakenShape(named, own, taken));
  return { faults, lines: lines.wanted };
}
