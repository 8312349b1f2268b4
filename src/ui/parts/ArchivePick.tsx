'use client';
/** Brings something in from a ZIP that was taken out here or in another studio, and goes to it. */
import { useRouter } from 'next/navigation';
import { useState, useTransition } from 'react';
import { FilePick } from './FilePick';
import { Trouble } from './use-asking';

interface Props {
  /** Where the file is sent, and below which address what came of it stands. */
  readonly address: string;
  readonly to: string;
  readonly label: string;
  readonly words: string;
  readonly about: string;
}

const NO_ANSWER = 'The studio did not answer as it should. Nothing was brought in; try once more.';

export function ArchivePick({ address, to, label, words, about }: Props) {
  const router = useRouter();
  const [trouble, setTrouble] = useState('');
  const [busy, start] = useTransition();
  const send = (file: File) =>
    start(async () => {
      setTrouble('');
      const body = new FormData();
      body.append('archive', file);
      const answer = await fetch(address, { method: 'POST', body }).catch(() => null);
      const said = ((await answer?.json().catch(() => null)) ?? {}) as { id?: string; say?: string };
      if (answer?.ok && said.id) router.push(`${to}/${said.id}`);
      else setTrouble(said.say ?? NO_ANSWER);
    });
  return (
    <div className="grid gap-2">
      <FilePick
        label={label}
        words={busy ? 'Bringing it in …' : words}
        accept=".zip,application/zip"
        look="calm"
        disabled={busy}
        onFile={send}
      />
      <p className="quiet">{about}</p>
      <Trouble say={trouble} />
    </div>
  );
}
