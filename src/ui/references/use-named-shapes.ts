'use client';
/** Which shape of the present cut each name stands for. */
import type { NamedShape } from '@/core/reference/shape-cut';
import { useEffect, useState } from 'react';
import type { Bench } from './use-reference-bench';

/** Names by the number of their shape; of two names in one shape the first. */
export function useNamedShapes(
  names: readonly NamedShape[],
  { shapeAt, answer }: Pick<Bench, 'shapeAt' | 'answer'>,
): ReadonlyMap<number, NamedShape> {
  const [named, setNamed] = useState<ReadonlyMap<number, NamedShape>>(new Map());
  useEffect(() => {
    let stale = false;
    void Promise.all(names.map(async (n) => [await shapeAt(n.at.x, n.at.y), n] as const)).then((all) => {
      if (stale) return;
      const first = new Map<number, NamedShape>();
      for (const [shape, n] of all) if (!first.has(shape)) first.set(shape, n);
      setNamed(first);
    });
    return () => {
      stale = true;
    };
    // Merged and split shapes have other numbers: each answer asks anew.
  }, [names, shapeAt, answer]);
  return named;
}
