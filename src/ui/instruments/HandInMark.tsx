/** A hand-in at a glance, by what was read of it: its measured strip, its straightened painting, or else its photograph. */
import type { Measured } from '@/studio/views/measured';
import type { ReactNode } from 'react';
import { Strip } from './Strip';
import { stripCells } from './strip-cells';

interface Props {
  readonly attemptId: string;
  readonly measured: Measured | null;
  /** What the class calls the steps. */
  readonly labels: readonly string[];
  /** Of a strip, in its own units; pictures are as tall as `tall` makes them. */
  readonly width?: number;
  readonly height?: number;
  /** Class that says how tall a picture is. */
  readonly tall?: string;
  /** What a picture shows, where nothing beside it says so. */
  readonly alt?: string;
}

type Shown = Required<Props>;

const picture = ({ attemptId, tall, alt }: Shown, kind: 'strip' | 'preview') => (
  <img
    src={`/picture/${attemptId}/${kind}`}
    alt={alt}
    loading="lazy"
    className={`${tall} w-full ${kind === 'strip' ? 'object-contain object-left' : 'object-cover'}`}
  />
);

/** One entry a family. */
const MARKS: { readonly [K in Measured['kind']]: (m: Extract<Measured, { kind: K }>, shown: Shown) => ReactNode } = {
  scale: ({ result }, shown) =>
    result.steps.length > 0 ? (
      <Strip cells={stripCells(result, shown.labels)} width={shown.width} height={shown.height} />
    ) : (
      picture(shown, 'preview')
    ),
  notan: ({ result }, shown) => picture(shown, result.tones.length > 0 ? 'strip' : 'preview'),
  // Of a stain, and from life, there is nothing that it was laid on; what was read always has a range.
  painting: ({ result }, shown) => picture(shown, result.range ? 'strip' : 'preview'),
};

export function HandInMark({ width = 176, height = 34, tall = 'h-14', alt = '', ...props }: Props) {
  const shown = { ...props, width, height, tall, alt };
  const { measured } = shown;
  if (!measured) return picture(shown, 'preview');
  const mark = MARKS[measured.kind] as (m: Measured, shown: Shown) => ReactNode;
  return mark(measured, shown);
}
