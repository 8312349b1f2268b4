'use client';
/** Brings a class in from its archive. */
import { useRouter } from 'next/navigation';
import { useState, useTransition } from 'react';
import { FilePick } from '../parts/FilePick';

const NO_ANSWER = 'The studio did not answer as it should. Nothing was brought in; try once more.';

export function BringClassIn() {
  const router = useRouter();
  const [trouble, setTrouble] = useState('');
  const [busy, start] = useTransition();
  const send = (file: File) =>
    start(async () => {
      setTrouble('');
      const body = new FormData();
      body.append('archive', file);
      const answer = await fetch('/restore', { method: 'POST', body }).catch(() => null);
      const said = ((await answer?.json().catch(() => null)) ?? {}) as { id?: string; say?: string };
      if (answer?.ok && said.id) router.push(`/ledger/${said.id}`);
      else setTrouble(said.say ?? NO_ANSWER);
    });
  return (
    <div className="grid gap-2">
      <FilePick
        label="Archive of a class"
        words={busy ? 'Bringing it in …' : 'Bring a class in'}
        accept=".zip,application/zip"
        look="calm"
        disabled={busy}
        onFile={send}
      />
      <p className="quiet">
        From the archive of a class, as it was taken out here or in another studio. Students need new codes then.
      </p>
      {trouble && (
        <p role="alert" className="trouble">
          {trouble}
        </p>
      )}
    </div>
  );
}
