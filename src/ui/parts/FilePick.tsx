'use client';
/** A button that chooses a file. It is a label round the field, so that it works before the page is awake. */
import { useEffect, useEffectEvent, useRef } from 'react';

interface Props {
  /** What is chosen, for those who don't see what stands round it. */
  readonly label: string;
  /** What the button says. */
  readonly words: string;
  readonly accept: string;
  readonly look: 'act' | 'calm';
  readonly wide?: boolean;
  readonly disabled?: boolean;
  readonly onFile: (file: File) => void;
}

export function FilePick({ label, words, accept, look, wide = false, disabled = false, onFile }: Props) {
  const field = useRef<HTMLInputElement>(null);
  function take() {
    const file = field.current?.files?.[0];
    if (!field.current || !file) return;
    // Emptied at once, so that the same file can be chosen again.
    field.current.value = '';
    onFile(file);
  }
  // What was chosen while the page was asleep told nobody: it lies in the field. It is taken once the whole page is awake.
  const takeWaiting = useEffectEvent(take);
  useEffect(() => {
    const soon = setTimeout(() => takeWaiting());
    return () => clearTimeout(soon);
  }, []);
  return (
    <label className={`${look} pick relative ${wide ? 'w-full text-18' : ''}`}>
      <input ref={field} type="file" accept={accept} className="sr-only" disabled={disabled} onChange={take} />
      {words}
      {words !== label && <span className="sr-only">, {label}</span>}
    </label>
  );
}
