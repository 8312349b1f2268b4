'use client';
/** A picture with what the teacher drew on it. */
import { useState } from 'react';
import { DrawnMarks } from '../parts/DrawnMarks';

/** A picture as wide as a phone: numbers are to be read at arm's length. */
const ON_A_PHONE = 1.7;

interface Props {
  readonly src: string;
  readonly alt: string;
  readonly marks: Parameters<typeof DrawnMarks>[0]['marks'];
}

export function MarkedPicture({ src, alt, marks }: Props) {
  const [tall, setTall] = useState<number | null>(null);
  return (
    <div className="relative">
      <img
        src={src}
        alt={alt}
        className="block w-full"
        // It may have come before the page was alive.
        ref={(img) => {
          if (img?.complete && img.naturalWidth > 0 && tall === null) setTall(img.naturalHeight / img.naturalWidth);
        }}
        onLoad={(e) => setTall(e.currentTarget.naturalHeight / e.currentTarget.naturalWidth)}
      />
      {tall !== null && (
        <svg viewBox={`0 0 1 ${tall}`} className="pointer-events-none absolute inset-0 h-full w-full" aria-hidden>
          <DrawnMarks marks={marks} tall={tall} size={ON_A_PHONE} />
        </svg>
      )}
    </div>
  );
}
