/** A hand-in at a glance, by what was read of it: its measured strip, its straightened painting, or else its photograph. */
import { Strip } from './Strip';
import type { Seen } from './hand-in-seen';

interface Props {
  readonly attemptId: string;
  readonly seen: Seen;
  /** Of a strip, in its own units; pictures are as tall as `tall` makes them. */
  readonly width?: number;
  readonly height?: number;
  /** Class that says how tall a picture is. */
  readonly tall?: string;
  /** What a picture shows, where nothing beside it says so. */
  readonly alt?: string;
}

export function HandInMark({ attemptId, seen, width = 176, height = 34, tall = 'h-14', alt = '' }: Props) {
  if (seen.kind === 'cells') return <Strip cells={seen.cells} width={width} height={height} />;
  return (
    <img
      src={`/picture/${attemptId}/${seen.which}`}
      alt={alt}
      loading="lazy"
      className={`${tall} w-full ${seen.which === 'strip' ? 'object-contain object-left' : 'object-cover'}`}
    />
  );
}
