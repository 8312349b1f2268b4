'use client';
/** How far the evening has come, and what can be taken back. */
import Link from 'next/link';
import { useSitting } from './use-sitting';

const some = (n: number, one: string, many: string) => `${n} ${n === 1 ? one : many}`;

function sayMinutes(minutes: number | null): string {
  if (minutes === null) return '';
  if (minutes < 1) return ', less than a minute';
  return `, about ${some(Math.round(minutes), 'minute', 'minutes')}`;
}

export function SittingLine({ takeBack }: { readonly takeBack: () => void }) {
  const { view } = useSitting();
  if (!view) return <p className="quiet min-h-5" />;
  const { decided, waiting, minutes, last, held, next } = view;
  return (
    <div className="grid gap-1 text-13">
      <p aria-live="polite" className="quiet min-h-5">
        {decided} decided, {some(waiting, 'waits', 'wait')}
        {waiting > 0 && sayMinutes(minutes)}
        {held > 0 && `; ${some(held, 'letter is', 'letters are')} held`}
      </p>
      {next && (
        // Fetched whole as soon as it is seen, so that it stands there when this one is decided.
        <Link href={`/table/${next.handInId}`} prefetch className="min-h-6 underline">
          Then {next.student}
        </Link>
      )}
      {last && (
        <button type="button" className="min-h-6 cursor-pointer text-left underline" onClick={takeBack}>
          Take back {last.say} <kbd>u</kbd>
        </button>
      )}
    </div>
  );
}
