import { SurroundSwitch } from '@/ui/instruments/SurroundSwitch';
import { cookies } from 'next/headers';
import Link from 'next/link';
import { NuqsAdapter } from 'nuqs/adapters/next/app';
import type { ReactNode } from 'react';
import { teacherOnly } from '../access';
import { setSurround, signOut } from '../sign-in-actions';

export const dynamic = 'force-dynamic';

const PLACES = [
  ['/', 'Today'],
  ['/plan', 'Plan'],
  ['/references', 'References'],
  ['/palette', 'Palette'],
  ['/rack', 'Rack'],
  ['/ledger', 'Ledger'],
] as const;

export default async function StudioLayout({ children }: { children: ReactNode }) {
  const { teacher } = await teacherOnly();
  const surround = (await cookies()).get('surround')?.value ?? 'middle';
  return (
    <div className="flex min-h-screen flex-col">
      <header className="flex min-h-11 shrink-0 flex-wrap items-center gap-x-6 gap-y-1 bg-l93 px-4 py-1">
        <span className="font-semibold">Fair Grey</span>
        <nav aria-label="Places" className="flex flex-wrap gap-1">
          {PLACES.map(([href, name]) => (
            // Whoever works through an evening goes to none of them: fetched when they are asked for.
            <Link key={href} href={href} prefetch={false} className="rounded-sm px-3 py-1 hover:bg-l80">
              {name}
            </Link>
          ))}
        </nav>
        <div className="flex flex-wrap items-center gap-x-4 gap-y-1 sm:ml-auto">
          <SurroundSwitch start={surround} save={setSurround} />
          <Link href="/you" prefetch={false} className="quiet rounded-sm px-2 py-1 hover:bg-l80">
            {teacher.name}
          </Link>
          <form action={signOut}>
            <button className="cursor-pointer rounded-sm px-2 py-1 text-13 hover:bg-l80">Sign out</button>
          </form>
        </div>
      </header>
      <main className="min-h-0 flex-1">
        <NuqsAdapter>{children}</NuqsAdapter>
      </main>
    </div>
  );
}
