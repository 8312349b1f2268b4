'use client';
/** Held to look, let go to come back: with a finger or mouse here, with its key elsewhere; locked for those who can't hold. */
import { Lock, LockOpen } from 'lucide-react';
import { useState } from 'react';

export interface Hold {
  readonly on: boolean;
  readonly locked: boolean;
  readonly hold: (down: boolean) => void;
  readonly lock: (locked: boolean) => void;
}

export function useHold(): Hold {
  const [down, hold] = useState(false);
  const [locked, lock] = useState(false);
  return { on: down || locked, locked, hold, lock };
}

export function HoldButton({ label, keyName, hold }: { label: string; keyName?: string; hold: Hold }) {
  const Icon = hold.locked ? Lock : LockOpen;
  return (
    <span className="inline-flex flex-1 overflow-hidden rounded-sm border border-l37">
      <button
        type="button"
        aria-pressed={hold.on}
        className={`min-h-8 flex-1 cursor-pointer touch-none select-none whitespace-nowrap px-1 text-13 ${hold.on ? 'bg-l20 text-l97' : 'bg-l97'}`}
        onPointerDown={() => hold.hold(true)}
        onPointerUp={() => hold.hold(false)}
        onPointerLeave={() => hold.hold(false)}
        onPointerCancel={() => hold.hold(false)}
        onContextMenu={(e) => e.preventDefault()}
      >
        {label} {keyName && <kbd className="text-l10">{keyName}</kbd>}
      </button>
      <button
        type="button"
        aria-pressed={hold.locked}
        aria-label={`Keep “${label.toLowerCase()}” on`}
        className="w-7 cursor-pointer border-l border-l37 bg-l97 px-1.5"
        onClick={() => hold.lock(!hold.locked)}
      >
        <Icon size={14} aria-hidden />
      </button>
    </span>
  );
}
