'use client';
/** The way to the first hand-in that waits: by a click, or by a key. */
import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { useKeys } from '../parts/use-keys';

export function Begin({ handInId, student }: { readonly handInId: string; readonly student: string }) {
  const router = useRouter();
  const to = `/table/${handInId}`;
  useKeys({ b: () => router.push(to) });
  return (
    <Link href={to} className="act ml-auto">
      Begin with {student} <kbd className="text-l10">b</kbd>
    </Link>
  );
}
