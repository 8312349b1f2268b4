/** What the teacher drew, on the painting and on what it is painted from, with the words of each mark below. */
import { type Mark, type MarkedPicture as On, markWords } from '@/core/critique/marks';
import type { LetterItem } from '@/studio/views/my-work';
import { MarkedPicture } from './MarkedPicture';

interface Props {
  readonly marks: readonly Mark[];
  readonly items: readonly LetterItem[];
  readonly pictures: Record<On, { readonly src: string; readonly alt: string } | null>;
}

export function LetterMarks({ marks, items, pictures }: Props) {
  const numbered = marks.map((mark, k) => ({ mark, number: k + 1 }));
  const said = (mark: Mark) => markWords(mark, (key) => items.find((i) => i.key === key)?.say);
  const on = (['painting', 'reference'] as const).flatMap((which) => {
    const own = numbered.filter(({ mark }) => mark.on === which);
    const picture = pictures[which];
    return own.length > 0 && picture ? [{ which, own, picture }] : [];
  });
  if (on.length === 0) return null;
  return (
    <div className="mb-3 grid gap-3 font-sans text-16">
      {on.map(({ which, own, picture }) => (
        <figure key={which} className="m-0">
          <MarkedPicture {...picture} marks={own} />
          <figcaption>
            <ul className="mt-1 grid gap-1">
              {own.map(({ mark, number }) => (
                <li key={number} dir="auto">
                  <span className="font-semibold">{number}</span> {said(mark)}
                </li>
              ))}
            </ul>
          </figcaption>
        </figure>
      ))}
    </div>
  );
}
