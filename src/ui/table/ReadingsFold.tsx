/** Readings in figures, folded away, with what they rest on. */
import type { Capture } from '@/core/capture/capture-result';
import type { ReactNode } from 'react';
import { basisWords } from '../parts/basis-words';

interface Props {
  readonly capture: Capture;
  /** Which try it was, in words. */
  readonly numberUp: string;
  readonly children: ReactNode;
}

export function ReadingsFold({ capture, numberUp, children }: Props) {
  return (
    <details className="text-13">
      <summary className="cursor-pointer">The readings as a table</summary>
      {children}
      <p className="quiet mt-1">
        {numberUp}: {basisWords(capture)}
      </p>
    </details>
  );
}
