'use client';
/** A hand-in and others that are nearly equal to it, large and side by side, with what was decided of each. */
import type { Alike } from '@/studio/views/alike';
import Link from 'next/link';
import { useHold } from '../instruments/HoldButton';
import { useKeys } from '../parts/use-keys';
import { BoardTop } from './BoardTop';
import { squinted } from './PaintingView';

interface Props {
  readonly own: { readonly attemptId: string; readonly student: string };
  readonly alike: readonly Alike[];
  readonly leave: () => void;
}

export function AlikeBoard({ own, alike, leave }: Props) {
  const squint = useHold();
  useKeys({ Escape: leave }, { s: squint.hold });
  // Strips lie below one another, so that step stands on step; pictures beside one another.
  const isStrip = alike.every((a) => a.measured.kind === 'scale');
  const picture = (attemptId: string, student: string) => (
    <img
      src={`/picture/${attemptId}/strip`}
      alt={`What ${student} painted, straightened`}
      className="block w-full"
      style={squinted(squint.on)}
    />
  );
  return (
    <div className="flex min-h-0 flex-1 flex-col gap-2 overflow-y-auto p-3">
      <BoardTop squint={squint} leave={leave} />
      <ul className={`grid gap-2 ${isStrip ? '' : 'sm:grid-cols-2'}`} aria-label="Nearly equal, side by side">
        <li className="panel p-2">
          <p className="mb-1 flex justify-between gap-2">
            <span className="font-semibold">{own.student}</span>
            <span>not decided yet</span>
          </p>
          {picture(own.attemptId, own.student)}
        </li>
        {alike.map(({ attemptId, handInId, student, verdict }) => (
          <li key={attemptId} className="panel p-2">
            <p className="mb-1 flex justify-between gap-2">
              <Link href={`/table/${handInId}`} className="font-semibold underline">
                {student}
              </Link>
              <span>{verdict === 'pass' ? 'passed' : 'once more'}</span>
            </p>
            {picture(attemptId, student)}
          </li>
        ))}
      </ul>
    </div>
  );
}
