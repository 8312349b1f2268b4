'use client';
/** Chooses a text file and sends what it says; what is wrong with it is told beside the button. */
import { useState, useTransition } from 'react';
import { FilePick } from './FilePick';

export function FileReaderButton({
  label,
  send,
}: {
  label: string;
  send: (text: string) => Promise<{ ok: boolean; say?: string }>;
}) {
  const [said, setSaid] = useState('');
  const [busy, start] = useTransition();
  const read = (file: File) =>
    start(async () => {
      const answer = await send(await file.text());
      setSaid(answer.ok ? 'Read.' : (answer.say ?? ''));
    });
  return (
    <span className="inline-grid gap-1">
      <FilePick
        label={label}
        words={busy ? 'Reading …' : label}
        accept=".csv,text/csv,text/plain"
        look="calm"
        disabled={busy}
        onFile={read}
      />
      {said && (
        <span role="status" className="max-w-80 text-13">
          {said}
        </span>
      )}
    </span>
  );
}
