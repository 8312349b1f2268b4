/** The name of a page, and beside it where one goes from there and what can be taken out. */
import type { ReactNode } from 'react';

export function PageHead({ title, children }: { readonly title: string; readonly children: ReactNode }) {
  return (
    <div className="mb-3 flex flex-wrap items-center gap-3">
      <h1 className="text-24 font-semibold">{title}</h1>
      <span className="ml-auto flex flex-wrap gap-2">{children}</span>
    </div>
  );
}
