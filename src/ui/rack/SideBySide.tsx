'use client';
/** Two to six hand-ins side by side, all in the greys that were measured: the light of each photograph is taken off. */
import type { MeasuredKind } from '@/core/kinds/measured-result';
import type { HandInState } from '@/data/schema/tables';
import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { HoldButton, useHold } from '../instruments/HoldButton';
import { HandInMark } from '../instruments/HandInMark';
import type { Seen } from '../instruments/hand-in-seen';
import { StateMark } from '../parts/StateMark';
import { useKeys } from '../parts/use-keys';
import { squinted, SquintFilter } from '../table/PaintingView';

interface Beside {
  readonly student: string;
  readonly title: string;
  readonly handInId: string;
  readonly attemptId: string;
  readonly state: HandInState;
  readonly attempt: number | null;
  readonly kind: MeasuredKind | null;
  readonly seen: Seen;
}

/** A painting in the greys that were measured; what was not laid on anything as it was straightened. */
function Lit({ one, photograph }: { readonly one: Beside; readonly photograph: boolean }) {
  const { attemptId, student, seen, kind } = one;
  const alt = `What ${student} painted`;
  if (photograph)
    return <img src={`/picture/${attemptId}/preview`} alt={alt} className="block max-h-[70vh] w-full object-contain" />;
  if (seen.kind === 'cells') return <HandInMark attemptId={attemptId} seen={seen} width={480} height={72} alt={alt} />;
  const src = kind === 'painting' ? `/laid/${attemptId}/drawn` : `/picture/${attemptId}/${seen.which}`;
  return (
    <img
      src={src}
      alt={alt}
      className="block max-h-[70vh] w-full object-contain"
      onError={(e) => {
        // From life there may be nothing that it was laid on.
        const plain = `/picture/${attemptId}/${seen.which}`;
        if (!e.currentTarget.src.endsWith(plain)) e.currentTarget.src = plain;
      }}
    />
  );
}

export function SideBySide({ all, back }: { readonly all: readonly Beside[]; readonly back: string }) {
  const router = useRouter();
  const squint = useHold();
  const photograph = useHold();
  useKeys({ Escape: () => router.push(back) }, { s: squint.hold, o: photograph.hold });
  const areStrips = all.every((one) => one.seen.kind === 'cells');
  const columns = areStrips ? 'lg:grid-cols-2' : all.length > 4 ? 'sm:grid-cols-2 lg:grid-cols-3' : 'sm:grid-cols-2';
  return (
    <div className="grid gap-3 p-4">
      <SquintFilter />
      <div className="flex flex-wrap items-center gap-2">
        <h1 className="panel px-3 py-1 text-18 font-semibold">Side by side</h1>
        <span className="flex w-full max-w-80 gap-2">
          <HoldButton label="Squint" keyName="s" hold={squint} />
          <HoldButton label="Photograph" keyName="o" hold={photograph} />
        </span>
        <Link href={back} className="calm bg-l97">
          Back to the rack <kbd>Esc</kbd>
        </Link>
      </div>
      <ul className={`grid gap-3 ${columns}`}>
        {all.map((one) => (
          <li key={one.attemptId} className="panel p-2">
            <p className="mb-1 flex flex-wrap justify-between gap-2">
              <Link href={`/table/${one.handInId}`} className="font-semibold underline">
                {one.student}
              </Link>
              <span className="quiet">
                {one.title}
                {one.attempt !== null && `, try ${one.attempt}`}
              </span>
              <StateMark state={one.state} />
            </p>
            <div style={squinted(squint.on)}>
              <Lit one={one} photograph={photograph.on} />
            </div>
          </li>
        ))}
      </ul>
    </div>
  );
}
