'use client';
/** The teacher's correction, to be wiped over the painting: always said to be one. */
import { SplitPicture } from '../parts/SplitPicture';

interface Props {
  readonly correction: { readonly id: string; readonly written: number };
}

export function CorrectionWipe({ correction: { id, written } }: Props) {
  const of = (what: string) => `/corrected/${id}/${what}?v=${written}`;
  return (
    <figure className="m-0 mb-3 font-sans text-16">
      <figcaption className="mb-1">
        How it could be: drag the line. On its left is what your teacher changed, on its right your own painting.
      </figcaption>
      <SplitPicture
        over={{ src: of('picture'), alt: 'Your teacher’s correction of your painting' }}
        under={{ src: of('before'), alt: 'Your painting as it is' }}
      />
    </figure>
  );
}
