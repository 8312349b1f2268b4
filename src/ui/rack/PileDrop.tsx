'use client';
/** A whole pile at once: drop a folder, pictures or a ZIP; each picture says where it went. */
import type { PileOutcome } from '@/studio/hand-in/pile';
import { useRouter } from 'next/navigation';
import { useRef, useState } from 'react';
import { useDropzone } from 'react-dropzone';

const MOST = 400;
const CLUTTER = /^(\.|Thumbs\.db$)/;

type Row = PileOutcome | { readonly name: string; readonly kind: 'waiting' | 'sending'; readonly say: string };

const SAYS: Record<PileOutcome['kind'], string> = {
  'handed-in': 'handed in',
  known: 'known already',
  tray: 'into the tray',
  refused: 'not taken',
};

/** Sends one file; every line that comes back is told at once. */
async function send(classId: string, file: File, signal: AbortSignal, tell: (o: PileOutcome) => void): Promise<void> {
  const body = new FormData();
  body.append('picture', file);
  const response = await fetch(`/pile/${classId}?name=${encodeURIComponent(file.name)}`, {
    method: 'POST',
    body,
    signal,
  });
  if (!response.ok || !response.body) {
    const { say } = (await response.json().catch(() => ({}))) as { say?: string };
    tell({
      name: file.name,
      kind: 'refused',
      say: say ?? 'The studio did not answer as it should. Nothing was lost; try once more.',
    });
    return;
  }
  const reader = response.body.pipeThrough(new TextDecoderStream()).getReader();
  let rest = '';
  for (;;) {
    const { done, value } = await reader.read();
    if (done) return;
    const lines = (rest + value).split('\n');
    rest = lines.pop() ?? '';
    for (const line of lines) if (line) tell(JSON.parse(line) as PileOutcome);
  }
}

export function PileDrop({ classId }: { readonly classId: string }) {
  const router = useRouter();
  const [rows, setRows] = useState<readonly Row[]>([]);
  const [left, setLeft] = useState(0);
  const [trouble, setTrouble] = useState('');
  const stop = useRef<AbortController | null>(null);

  async function take(files: readonly File[]) {
    const own = files.filter((f) => !CLUTTER.test(f.name));
    setTrouble('');
    if (own.length > MOST)
      return setTrouble(
        `${own.length} files are more than can be looked at in an evening: drop up to ${MOST} at once. Nothing was sent.`,
      );
    if (own.length === 0) return;
    const abort = new AbortController();
    stop.current = abort;
    setRows([]);
    setLeft(own.length);
    for (const file of own) {
      if (abort.signal.aborted) break;
      try {
        await send(classId, file, abort.signal, (o) => setRows((r) => [...r, o]));
      } catch {
        setRows((r) => [
          ...r,
          {
            name: file.name,
            kind: 'refused',
            say: abort.signal.aborted ? 'Stopped before it was sent.' : 'It did not get through: drop it once more.',
          },
        ]);
      }
      setLeft((n) => n - 1);
    }
    stop.current = null;
    setLeft(0);
    router.refresh();
  }

  const { getRootProps, getInputProps, isDragActive, open } = useDropzone({
    onDrop: (files) => void take(files),
    noClick: true,
    noKeyboard: true,
  });
  const busy = left > 0;
  return (
    <section
      {...getRootProps()}
      aria-label="A pile of photographs"
      className={`panel mt-3 border-2 border-dashed ${isDragActive ? 'border-ink' : 'border-l70'}`}
    >
      <input {...getInputProps({ 'aria-label': 'Photographs of a pile, or a ZIP of them' })} />
      <div className="flex flex-wrap items-center gap-3">
        <p>Drop a whole pile here: a folder, pictures, or a ZIP. The code on each sheet says whose it is.</p>
        <button type="button" className="calm" disabled={busy} onClick={open}>
          Choose files
        </button>
        {busy && (
          <>
            <progress aria-label="Sorted" max={rows.length + left} value={rows.length} />
            <span role="status">{left} to go</span>
            <button type="button" className="calm" onClick={() => stop.current?.abort()}>
              Stop
            </button>
          </>
        )}
      </div>
      {trouble && (
        <p role="alert" className="trouble mt-2">
          {trouble}
        </p>
      )}
      {rows.length > 0 && (
        <ul className="mt-2 grid max-h-56 gap-1 overflow-y-auto text-13" aria-label="What became of each picture">
          {rows.map((r, i) => (
            <li key={i} className="grid gap-x-2 sm:grid-cols-[14rem_7rem_1fr]">
              <span className="truncate">{r.name}</span>
              <span className="font-semibold">{r.kind in SAYS ? SAYS[r.kind as PileOutcome['kind']] : ''}</span>
              <span>{r.kind === 'handed-in' ? `${r.student}, ${r.exercise}` : r.say}</span>
            </li>
          ))}
        </ul>
      )}
    </section>
  );
}
