'use client';
/** A look in mid-work: greys and squint beside what is wanted, up to three places marked by eye, and what the measurement makes of them. */
import { type LookMark, MOST_MARKS } from '@/core/look/stored-look';
import type { LookView } from '@/studio/hand-in/looks';
import { useRouter } from 'next/navigation';
import { useState, useTransition } from 'react';
import { HoldButton, useHold } from '../instruments/HoldButton';
import { LookPicture, WantedPicture } from './LookPicture';

interface Props {
  readonly picture: string;
  readonly look: LookView;
  readonly ask: (marks: LookMark[]) => Promise<{ ok: boolean; say?: string }>;
}

const STEP = { fine: 0.01, coarse: 0.05 } as const;
const KEYS: Record<string, readonly [number, number]> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
};
const within = (v: number): number => Math.min(1, Math.max(0, v));
const percent = (share: number): string => `${Math.round(100 * share)} percent`;
const place = ({ x, y }: LookMark) => ({ left: `${100 * x}%`, top: `${100 * y}%` });

function Sign({ children }: { children: React.ReactNode }) {
  return (
    <span className="grid h-6 w-6 rotate-45 place-items-center border-2 border-l10 bg-l97 outline outline-1 outline-l97">
      <span className="-rotate-45 text-13 font-semibold leading-none">{children}</span>
    </span>
  );
}

export function Look({ picture, look, ask }: Props) {
  const router = useRouter();
  const squint = useHold();
  const swap = useHold();
  const [marks, setMarks] = useState<readonly LookMark[]>([]);
  const [cross, setCross] = useState<LookMark>({ x: 0.5, y: 0.5 });
  const [trouble, setTrouble] = useState('');
  const [busy, start] = useTransition();
  const shown = look.told?.marks ?? marks;
  const open = look.told === null;
  const full = marks.length >= MOST_MARKS;

  const mark = (at: LookMark) => !full && setMarks([...marks, { x: within(at.x), y: within(at.y) }]);
  const remove = (i: number) => setMarks(marks.filter((_, k) => k !== i));

  return (
    <div className="grid gap-2">
      <div className="relative touch-manipulation select-none">
        <div
          onClick={(e) => {
            if (!open) return;
            const box = e.currentTarget.getBoundingClientRect();
            mark({ x: (e.clientX - box.left) / box.width, y: (e.clientY - box.top) / box.height });
          }}
        >
          <LookPicture picture={picture} look={look} squint={squint.on} swapped={swap.on} />
        </div>
        {open && !full && (
          <button
            type="button"
            aria-label={`Place to mark: ${percent(cross.x)} across, ${percent(cross.y)} down. Arrow keys move it, Enter marks.`}
            className="pointer-events-none absolute h-6 w-6 -translate-x-1/2 -translate-y-1/2 opacity-0 focus-visible:opacity-100"
            style={place(cross)}
            onKeyDown={(e) => {
              const way = KEYS[e.key];
              if (!way) return;
              e.preventDefault();
              const by = e.shiftKey ? STEP.coarse : STEP.fine;
              setCross({ x: within(cross.x + way[0] * by), y: within(cross.y + way[1] * by) });
            }}
            onClick={() => mark(cross)}
          >
            <span aria-hidden className="absolute left-1/2 top-0 h-full w-px bg-l97 outline outline-1 outline-l10" />
            <span aria-hidden className="absolute left-0 top-1/2 h-px w-full bg-l97 outline outline-1 outline-l10" />
          </button>
        )}
        {shown.map((m, i) =>
          open ? (
            <button
              key={i}
              type="button"
              aria-label={`Mark ${i + 1}: take it away`}
              className="absolute grid h-11 w-11 -translate-x-1/2 -translate-y-1/2 cursor-pointer place-items-center"
              style={place(m)}
              onClick={() => remove(i)}
            >
              <Sign>{i + 1}</Sign>
            </button>
          ) : (
            <span key={i} className="absolute -translate-x-1/2 -translate-y-1/2" style={place(m)}>
              <Sign>{i + 1}</Sign>
            </span>
          ),
        )}
      </div>
      <WantedPicture look={look} squint={squint.on} />
      <p className="quiet">
        Yours above, in greys; below it what is wanted.
        {look.relative && ' Nothing white was in the picture, so the ends are taken for granted.'}
      </p>
      <div className="flex gap-2">
        <HoldButton label="Squint" hold={squint} />
        <HoldButton label="What is wanted" hold={swap} />
      </div>
      {open ? (
        <>
          <p>
            Squint first. Then tap up to three places that seem wrong to you, and ask.{' '}
            {marks.length > 0 && <span className="quiet">Tap a mark to take it away.</span>}
          </p>
          <button
            type="button"
            className="act w-full"
            disabled={busy}
            onClick={() =>
              start(async () => {
                const answer = await ask([...marks]);
                setTrouble(answer.ok ? '' : (answer.say ?? ''));
                router.refresh();
              })
            }
          >
            {marks.length === 0
              ? 'Nothing seems wrong: ask the measurement'
              : `Ask the measurement about ${marks.length === 1 ? 'this place' : `these ${marks.length} places`}`}
          </button>
          {trouble && (
            <p role="alert" className="trouble">
              {trouble}
            </p>
          )}
        </>
      ) : (
        <div className="bg-l97 p-3" role="status">
          {look.told && look.told.marks.length > 0 && (
            <ol className="mb-2 list-decimal space-y-1 pl-5">
              {look.told.marks.map((m, i) => (
                <li key={i} className={m.seen ? 'font-semibold' : undefined}>
                  {m.say}
                </li>
              ))}
            </ol>
          )}
          <p>{look.told?.rest}</p>
        </div>
      )}
    </div>
  );
}
