'use client';
/** Chooses a text file and sends what it says; what is wrong with it is told beside the button. */
import { useRef, useState, useTransition } from 'react';

export function FileReaderButton({ label, send }: { label: string; send: (text: string) => Promise<{ ok: boolean; say?: string }> }) {
  const input = useRef<HTMLInputElement>(null);
  const [said, setSaid] = useState('');
  const [busy, start] = useTransition();
  return (
    <span className="inline-grid gap-1">
      <input
        ref={input}
        type="file"
        accept=".csv,text/csv,text/plain"
        className="sr-only"
        aria-label={label}
        onChange={(e) => {
          const file = e.target.files?.[0];
          if (!file) return;
          start(async () => {
            const answer = await send(await file.text());
            setSaid(answer.ok ? 'Read.' : (answer.say ?? ''));
            if (input.current) input.current.value = '';
          });
        }}
      />
      <button type="button" className="calm" disabled={busy} onClick={() => input.current?.click()}>
        {busy ? 'Reading …' : label}
      </button>
      {said && (
        <span role="status" className="max-w-80 text-13">
          {said}
        </span>
      )}
    </span>
  );
}
