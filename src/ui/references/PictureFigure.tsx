/** One of the two pictures on the bench: a canvas that a worker draws on, what lies over it, and what it shows. */
import type { ReactNode, RefObject } from 'react';

interface Props {
  readonly canvas: RefObject<HTMLCanvasElement | null>;
  /** The canvas stays where it is while something else is shown in its place: it is the worker's for good. */
  readonly hidden: boolean;
  readonly caption: string;
  /** Width over height. */
  readonly proportion: number;
  /** Height that is left for it on the screen is all but this, px. */
  readonly taken: number;
  /** What the worker says of the picture, for those who watch it from outside. */
  readonly frames: number;
  readonly exact: boolean | '';
  readonly milliseconds: number | '';
  readonly children: ReactNode;
}

export function PictureFigure(p: Props) {
  const { canvas, hidden, caption, proportion, taken, children } = p;
  return (
    <figure className="m-0 flex min-h-0 flex-col items-center justify-center">
      <div
        className="relative max-h-full max-w-full"
        style={{ aspectRatio: proportion, width: `min(100%, calc((100vh - ${taken}px) * ${proportion}))` }}
      >
        <canvas
          ref={canvas}
          className={hidden ? 'hidden' : 'block h-full w-full'}
          role="img"
          aria-label={`The picture, ${caption}`}
          data-frames={p.frames}
          data-exact={p.exact}
          data-milliseconds={p.milliseconds}
        />
        {children}
      </div>
      <figcaption className="mt-1 rounded-sm bg-l93 px-2 text-13">{caption}</figcaption>
    </figure>
  );
}
