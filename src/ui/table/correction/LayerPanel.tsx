'use client';
/** What the chosen layer does, how far, and what it is about. */
import { glazeOf } from '@/core/correction/first-change';
import { type Change, LIMITS, type Layer } from '@/core/correction/layer';
import { useRef, useState } from 'react';
import { Choice } from '../../parts/fields';
import type { CorrectingWith } from './layer-kinds';
import { Slide } from './Slide';
import { sayFilm, sayLighter, sayShift, saySize, saySoft, sayTurn } from './slide-words';
import type { Correcting } from './use-correction';

interface Props {
  readonly layer: Layer;
  readonly tools: CorrectingWith;
  readonly drawing: Correcting;
  readonly frozen: boolean;
}

type NumberField<C extends Change> = { [K in keyof C]: C[K] extends number ? K : never }[keyof C];

/** One number of a change, and how it is slid. */
interface Slid<C extends Change> {
  readonly field: NumberField<C>;
  readonly label: string;
  readonly min: number;
  readonly max: number;
  readonly step: number;
  readonly says: (value: number) => string;
}

const MOVES: readonly Slid<Extract<Change, { kind: 'move' }>>[] = [
  {
    ...{ field: 'dx', label: 'Across', min: -0.5, max: 0.5, step: 0.002 },
    says: (v) => sayShift(v, 'to the right', 'to the left'),
  },
  { field: 'dy', label: 'Up or down', min: -0.5, max: 0.5, step: 0.002, says: (v) => sayShift(v, 'lower', 'higher') },
  {
    ...{ field: 'wider', label: 'How wide', min: LIMITS.size.least, max: LIMITS.size.most, step: 0.01 },
    says: (v) => saySize(v, 'wider', 'narrower'),
  },
  {
    ...{ field: 'taller', label: 'How tall', min: LIMITS.size.least, max: LIMITS.size.most, step: 0.01 },
    says: (v) => saySize(v, 'taller', 'less tall'),
  },
  { field: 'turn', label: 'Leaning', min: -90, max: 90, step: 0.5, says: sayTurn },
];

const lightened = (step: number): Slid<Extract<Change, { kind: 'lightness' }>> => ({
  field: 'by',
  label: 'Lighter or darker',
  ...{ min: -LIMITS.lightness, max: LIMITS.lightness, step: 0.5 },
  says: (v) => sayLighter(v, step),
});
const SOFTENED: Slid<Extract<Change, { kind: 'soften' }>> = {
  field: 'by',
  label: 'How soft',
  ...{ min: 0, max: LIMITS.soft / 2, step: 0.001 },
  says: saySoft,
};
const FILM: Slid<Extract<Change, { kind: 'glaze' }>> = {
  field: 'mm',
  label: 'How it is laid',
  ...{ min: LIMITS.filmMm.least, max: 0.1, step: LIMITS.filmMm.least },
  says: sayFilm,
};

export function LayerPanel({ layer, tools, drawing, frozen }: Props) {
  const before = useRef<readonly Layer[] | null>(null);
  const [name, setName] = useState(layer.name);
  const { change } = layer;
  const follow = (next: Layer) => {
    before.current ??= drawing.way.layers;
    drawing.preview(next);
  };
  const keep = () => {
    if (before.current) drawing.settle(before.current);
    before.current = null;
  };
  const slides = <C extends Change>(own: C, all: readonly Slid<C>[]) =>
    all.map(({ field, label, says, ...range }) => {
      const value = own[field] as number;
      return (
        <Slide
          key={String(field)}
          {...{ label, value, keep, ...range }}
          says={says(value)}
          disabled={frozen}
          follow={(v) => follow({ ...layer, change: { ...own, [field]: v } })}
        />
      );
    });
  const paint = change.kind === 'glaze' ? tools.paints.find((p) => p.id === change.paint) : undefined;
  const nearest =
    change.kind === 'shape'
      ? tools.of.values.toSorted(
          (a, b) => Math.abs(a.lightness - change.lightness) - Math.abs(b.lightness - change.lightness),
        )[0]
      : undefined;
  return (
    <div className="grid gap-2">
      {change.kind === 'lightness' && slides(change, [lightened(tools.of.step)])}
      {change.kind === 'soften' && slides(change, [SOFTENED])}
      {change.kind === 'move' && slides(change, MOVES)}
      {change.kind === 'glaze' && (
        <>
          <Choice
            label="Paint"
            value={change.paint}
            options={tools.paints.map((p) => [p.id, p.name] as const)}
            onChange={(id) => {
              const next = tools.paints.find((p) => p.id === id);
              if (next) drawing.change(glazeOf(next, tools.surface, change.mm));
            }}
          />
          {slides(change, [FILM])}
          {paint && <p className="quiet">{paint.caution}</p>}
        </>
      )}
      {change.kind === 'shape' && nearest && (
        <Choice
          label="Its value"
          value={nearest.label}
          options={tools.of.values.map((v) => [v.label, v.label] as const)}
          onChange={(label) => {
            const next = tools.of.values.find((v) => v.label === label);
            if (next) drawing.change({ kind: 'shape', lightness: next.lightness });
          }}
        />
      )}
      <Slide
        label="Its rim fades"
        says={saySoft(layer.mask.soft)}
        value={layer.mask.soft}
        {...{ min: 0, max: LIMITS.soft, step: 0.001 }}
        disabled={frozen}
        follow={(soft) => follow({ ...layer, mask: { ...layer.mask, soft } })}
        keep={keep}
      />
      <label>
        <span className="label">What it is about</span>
        <input
          className="field"
          maxLength={80}
          placeholder="the shadow under the chin"
          value={name}
          disabled={frozen}
          onChange={(e) => setName(e.target.value)}
          onBlur={() => name !== layer.name && drawing.rename(name)}
        />
      </label>
    </div>
  );
}
