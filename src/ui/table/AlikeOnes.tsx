/** Others' that are nearly equal by what was measured, beside what was decided of them: so that all are judged alike. */
import type { Alike } from '@/studio/views/alike';
import Link from 'next/link';
import { HandInMark } from '../instruments/HandInMark';
import { seenOf } from '../instruments/hand-in-seen';

interface Props {
  readonly alike: readonly Alike[];
  readonly labels: readonly string[];
  /** Lays them side by side. */
  readonly lay: () => void;
}

export function AlikeOnes({ alike, labels, lay }: Props) {
  if (alike.length === 0) return null;
  return (
    <section aria-label="Nearly equal">
      <h2 className="label">Nearly equal to this</h2>
      <ul className="grid gap-2">
        {alike.map(({ attemptId, handInId, student, verdict, measured }) => (
          <li key={attemptId}>
            <Link href={`/table/${handInId}`} className="block rounded-sm bg-l97 p-2 hover:bg-l88">
              <span className="flex justify-between gap-2 text-13">
                <span className="truncate">{student}</span>
                <span className="shrink-0">{verdict === 'pass' ? 'passed' : 'once more'}</span>
              </span>
              <HandInMark attemptId={attemptId} seen={seenOf(measured, labels)} width={280} height={28} tall="h-20" />
            </Link>
          </li>
        ))}
      </ul>
      <button type="button" className="mt-1 min-h-6 cursor-pointer text-13 underline" onClick={lay}>
        See them side by side
      </button>
    </section>
  );
}
