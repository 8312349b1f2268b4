'use client';
/** What the chosen layer does, how far, and what it is about. */
import { type Change, LIMITS, type Layer } from '@/core/correction/layer';
import { inSteps } from '@/core/critique/amounts';
import { useRef, useState } from 'react';
import { Choice } from '../../parts/fields';
import { type CorrectingWith, glazeOf, SOFTEST } from './layer-kinds';
import { Slide } from './Slide';
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

const signed = (v: number, more: string, less: string, none: string) => (v === 0 ? none : v > 0 ? more : less);
const percent = (v: number) => `${Math.round(100 * v)} %`;
const ofWidth = (v: number) => `${(100 * v).toFixed(1)} % of the width`;

const MOVES: readonly Slid<Extract<Change, { kind: 'move' }>>[] = [
  { field: 'dx', label: 'To the right', min: -0.5, max: 0.5, step: 0.002, says: ofWidth },
  {
    field: 'dy',
    label: 'Down',
    min: -0.5,
    max: 0.5,
    step: 0.002,
    says: (v) => `${(100 * v).toFixed(1)} % of the height`,
  },
  { field: 'wider', label: 'Width', min: LIMITS.size.least, max: LIMITS.size.most, step: 0.01, says: percent },
  { field: 'taller', label: 'Height', min: LIMITS.size.least, max: LIMITS.size.most, step: 0.01, says: percent },
  { field: 'turn', label: 'Turned', min: -90, max: 90, step: 0.5, says: (v) => `${v.toFixed(1)}°` },
];

const lightened = (step: number): Slid<Extract<Change, { kind: 'lightness' }>> => ({
  field: 'by',
  label: 'Lighter or darker',
  ...{ min: -LIMITS.lightness, max: LIMITS.lightness, step: 0.5 },
  says: (v) => signed(v, `${inSteps(v / step)} lighter`, `${inSteps(v / step)} darker`, 'as it is'),
});
const SOFTENED: Slid<Extract<Change, { kind: 'soften' }>> = {
  field: 'by',
  label: 'How soft',
  ...{ min: 0, max: 0.04, step: 0.001 },
  says: ofWidth,
};
const FILM: Slid<Extract<Change, { kind: 'glaze' }>> = {
  field: 'mm',
  label: 'How thick',
  ...{ min: LIMITS.filmMm.least, max: 0.1, step: 0.001 },
  says: (v) => `${v.toFixed(3)} mm wet`,
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
        label="Rim fades over"
        says={ofWidth(layer.mask.soft)}
        value={layer.mask.soft}
        {...{ min: 0, max: SOFTEST, step: 0.001 }}
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
