/** One picture over a part of another, on the same places. */
import type { CSSProperties } from 'react';

export interface Picture {
  readonly src: string;
  readonly alt: string;
}
interface Props {
  readonly under: Picture;
  readonly over: Picture;
  /** Which part of `over` is seen: a CSS shape. */
  readonly seen: string;
  /** How both are looked at. */
  readonly look?: CSSProperties | undefined;
}

export function TwoPictures({ under, over, seen, look }: Props) {
  const seenAs = { draggable: false, style: look };
  return (
    <>
      <img src={under.src} alt={under.alt} className="block w-full" {...seenAs} />
      <div className="absolute inset-0" style={{ clipPath: seen }}>
        <img src={over.src} alt={over.alt} className="block h-full w-full" {...seenAs} />
      </div>
    </>
  );
}

/** As wide as the picture may be so that all of it is seen. */
export const WHOLE = 'mx-auto w-full max-w-[calc((100vh-14rem)*1.25)]';
