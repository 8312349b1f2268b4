'use client';
/** The picture's own lightnesses below it, with the lines that part its tones. */
import { stepLabels } from '@/core/exercise/numbering';
import { targetLightnesses } from '@/core/exercise/targets';
import { cutKey, type Preparation } from '@/core/reference/preparation';
import type { BenchAnswer } from '@/workers/browser/bench-protocol';
import { useMemo } from 'react';
import { ToneHistogram } from './ToneHistogram';

interface Props {
  readonly preparation: Preparation;
  readonly answer: BenchAnswer;
  readonly set: (change: Partial<Preparation>, moving?: boolean) => void;
}

export function TonesBelow({ preparation, answer, set }: Props) {
  const { school, tones, ends, cuts } = preparation;
  const labels = useMemo(
    () => stepLabels('white-is-one', { steps: tones, order: 'light-first', spacing: 'lightness', ends }),
    [tones, ends],
  );
  const greys = useMemo(() => targetLightnesses(tones, ends, 'light-first', 'lightness'), [tones, ends]);
  const byMap = school === 'light-and-shadow';
  const key = cutKey(school, tones);
  return (
    <div className="rounded-sm bg-l93 p-2">
      {byMap && (
        <p className="mb-1 text-13">
          {tones === 2
            ? 'By light and shadow two tones need no line: their map is made under “Light and shadow”.'
            : 'The shadow is the darkest tone, by its map; these lines part the light.'}
        </p>
      )}
      <ToneHistogram
        inLight={byMap}
        histogram={answer.histogram}
        thresholds={cuts[key] ?? answer.thresholds}
        shares={answer.shares}
        greys={greys}
        labels={labels}
        onChange={(thresholds, moving) => set({ cuts: { ...cuts, [key]: [...thresholds] } }, moving)}
      />
    </div>
  );
}
