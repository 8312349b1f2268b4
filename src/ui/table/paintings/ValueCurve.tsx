'use client';
/** How light things were painted against how light they were to be, as a curve beside the line on which both are the same. */
import type { PaintingResult } from '@/core/painting/result';
import { useMemo } from 'react';
import { LineChart } from './LineChart';
import type { LinesShown } from './draw-lines';

interface Props {
  readonly curve: NonNullable<PaintingResult['overall']>['curve'];
}

const SAME = [
  [0, 0],
  [100, 100],
] as const;

export function ValueCurve({ curve }: Props) {
  const lines = useMemo<LinesShown['lines']>(
    () => [
      { points: SAME, as: 'held-against' },
      { points: curve.map((p) => [p.target, p.painted] as const), as: 'looked-at' },
    ],
    [curve],
  );
  return (
    <LineChart
      label="Painted against wanted lightness: the dashed line is where both are the same"
      x="wanted, L*"
      y="painted, L*"
      lines={lines}
    />
  );
}
