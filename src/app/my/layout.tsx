import Link from 'next/link';
import type { ReactNode } from 'react';
import { studentOnly } from '../access';
import { signOut } from '../sign-in-actions';

export const dynamic = 'force-dynamic';

export default async function MyLayout({ children }: { children: ReactNode }) {
  const { student } = await studentOnly();
  return (
    <div className="min-h-screen">
      <header className="flex h-12 items-center gap-3 bg-l93 px-4">
        <Link href="/my" className="font-semibold">
          My work
        </Link>
        <span className="quiet ml-auto truncate">{student.name}</span>
        <form action={signOut}>
          <button className="min-h-10 cursor-pointer px-2 text-13">Sign out</button>
        </form>
      </header>
      <main className="mx-auto max-w-3xl p-3">{children}</main>
    </div>
  );
}
