'use client';
/** Hands in a photograph, the first time or again; of what is built up in stages, of one of them. */
import type { ExerciseTerms } from '@/core/exercise/terms';
import { useState } from 'react';
import { Choice } from '../parts/fields';
import { TakePhoto } from './TakePhoto';

interface Props {
  readonly exerciseId: string;
  readonly terms: ExerciseTerms;
  /** Whether Fair Grey reads this kind. */
  readonly measured: boolean;
  readonly practice: boolean;
  readonly again: boolean;
  /** Stages that it is handed in at, and the one that comes next; none where it is handed in once. */
  readonly stages: readonly { readonly id: string; readonly name: string }[];
  readonly nextStage: string | null;
}

export function HandInPhoto({ exerciseId, terms, measured, practice, again, stages, nextStage }: Props) {
  const [stage, setStage] = useState(nextStage ?? '');
  const query = stages.length > 0 ? `?stage=${encodeURIComponent(stage)}` : '';
  return (
    <div className="grid gap-2">
      {stages.length > 0 && (
        <Choice
          label="Which stage is this?"
          value={stage}
          options={stages.map(({ id, name }) => [id, name] as const)}
          onChange={setStage}
        />
      )}
      <TakePhoto
        url={`/hand-in/${exerciseId}${query}`}
        terms={terms}
        measured={measured}
        label="Photograph of the sheet"
        words={again ? 'Hand in again: photograph or file' : 'Hand in: photograph or file'}
        chief
        practice={
          practice
            ? {
                url: `/practice/${exerciseId}`,
                words: 'Photograph this sheet with the studio’s practice camera',
                doing: 'The practice camera is printing, painting and photographing …',
              }
            : null
        }
      />
    </div>
  );
}
