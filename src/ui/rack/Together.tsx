'use client';
/** What a class has in common, one thing at a time, to be looked at together on the wall: nobody is named unless the teacher wants it. */
import type { FindingKind } from '@/core/critique/finding';
import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { HoldButton, useHold } from '../instruments/HoldButton';
import { HandInMark } from '../instruments/HandInMark';
import type { Seen } from '../instruments/hand-in-seen';
import { Tick } from '../parts/fields';
import { useKeys } from '../parts/use-keys';
import { squinted, SquintFilter } from '../table/PaintingView';

interface Thing {
  readonly kind: FindingKind;
  readonly say: string;
  readonly shown: readonly { readonly student: string; readonly attemptId: string; readonly seen: Seen }[];
}
interface Props {
  readonly title: string;
  readonly total: number;
  readonly back: string;
  /** Address of the same on paper. */
  readonly paper: string;
  readonly things: readonly Thing[];
}

const KIND_WORDS: Record<FindingKind, string> = { works: 'What works', fix: 'To look at together' };

export function Together({ title, total, back, paper, things }: Props) {
  const router = useRouter();
  const [at, setAt] = useState(0);
  const [named, setNamed] = useState(false);
  const squint = useHold();
  const go = (by: number) => setAt((now) => Math.min(things.length - 1, Math.max(0, now + by)));
  useKeys({ ArrowRight: () => go(1), ArrowLeft: () => go(-1), Escape: () => router.push(back) }, { s: squint.hold });
  const thing = things[at];
  const areStrips = thing?.shown.every((s) => s.seen.kind === 'cells') ?? false;
  const columns = (thing?.shown.length ?? 0) > 2 ? 'sm:grid-cols-2 lg:grid-cols-3' : 'sm:grid-cols-2';
  return (
    <div className="flex min-h-[calc(100vh-44px)] flex-col gap-3 p-4">
      <SquintFilter />
      <div className="panel flex flex-wrap items-center gap-x-4 gap-y-2">
        <h1 className="text-18 font-semibold">{title}, together</h1>
        <span className="flex w-44">
          <HoldButton label="Squint" keyName="s" hold={squint} />
        </span>
        <Tick label="With names" checked={named} onChange={setNamed} />
        <a href={`${paper}${named ? '?names=shown' : ''}`} className="calm" target="_blank" rel="noreferrer">
          On paper
        </a>
        <Link href={back} className="calm ml-auto">
          Back to the rack <kbd>Esc</kbd>
        </Link>
      </div>
      {!thing && (
        <p className="panel">
          {total < 2
            ? 'When two or more have handed in, what they have in common stands here.'
            : 'These hand-ins have nothing in common that the measurement can tell.'}
        </p>
      )}
      {thing && (
        <section className="panel flex min-h-0 flex-1 flex-col gap-4" aria-labelledby="thing">
          <div className="flex flex-wrap items-baseline gap-3">
            <p className="label">{KIND_WORDS[thing.kind]}</p>
            <p className="quiet ml-auto">
              {at + 1} of {things.length}
            </p>
          </div>
          <h2 id="thing" aria-live="polite" className="font-letter text-32 leading-tight">
            {thing.say}
          </h2>
          <ul className={`grid flex-1 content-center gap-x-6 gap-y-4 ${areStrips ? '' : columns}`}>
            {thing.shown.map(({ student, attemptId, seen }, k) => (
              <li key={attemptId} style={squinted(squint.on)}>
                <HandInMark
                  attemptId={attemptId}
                  seen={seen}
                  width={900}
                  height={thing.shown.length > 3 ? 32 : 64}
                  tall={columns.includes('lg:') ? 'max-h-[36vh] h-auto' : 'max-h-[52vh] h-auto'}
                  alt={named ? `What ${student} painted` : `Hand-in ${k + 1} of those that show it`}
                />
                {named && <p className="text-15">{student}</p>}
              </li>
            ))}
          </ul>
          <div className="flex gap-2">
            <button type="button" className="calm" disabled={at === 0} onClick={() => go(-1)}>
              The one before <kbd>←</kbd>
            </button>
            <button type="button" className="act" disabled={at === things.length - 1} onClick={() => go(1)}>
              The next <kbd className="text-l10">→</kbd>
            </button>
          </div>
        </section>
      )}
    </div>
  );
}
