'use client';
/** The way to the first hand-in that waits: by a click, or by a key. */
import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { useKeys } from '../parts/use-keys';

interface Props {
  readonly handInId: string;
  readonly student: string;
  /** Whether it is where the teacher was before. */
  readonly goesOn: boolean;
}

export function Begin({ handInId, student, goesOn }: Props) {
  const router = useRouter();
  const to = `/table/${handInId}`;
  useKeys({ b: () => router.push(to) });
  return (
    <Link href={to} className="act">
      {goesOn ? 'Go on' : 'Begin'} with {student} <kbd className="text-l10">b</kbd>
    </Link>
  );
}
