/** Hands in a photograph, the first time or again. */
import type { ExerciseTerms } from '@/core/exercise/terms';
import { TakePhoto } from './TakePhoto';

interface Props {
  readonly exerciseId: string;
  readonly terms: ExerciseTerms;
  /** Whether Fair Grey reads this kind. */
  readonly measured: boolean;
  readonly practice: boolean;
  readonly again: boolean;
}

export function HandInPhoto({ exerciseId, terms, measured, practice, again }: Props) {
  return (
    <TakePhoto
      url={`/hand-in/${exerciseId}`}
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
  );
}
