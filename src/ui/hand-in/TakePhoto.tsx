'use client';
/** Takes a photograph or a file, framed as its taker says, says at once whether it will do, and sends it. */
import type { CaptureIssue } from '@/core/capture/gate';
import type { StoredTarget } from '@/core/capture/stored-target';
import type { ExerciseTerms } from '@/core/exercise/terms';
import type { Framing } from '@/core/kinds/kind';
import { kindOf } from '@/core/kinds/table';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { FilePick } from '../parts/FilePick';
import { useFileUrl } from '../parts/use-file-url';
import { FIRST_MARKS, MarkCorners } from './MarkCorners';
import { PICTURE_TYPES, sendPhoto } from './send-photo';
import { useQuickCheck } from './use-quick-check';

interface Props {
  /** Where it is sent. */
  readonly url: string;
  readonly terms: ExerciseTerms;
  /** Whether Fair Grey reads this kind, so that a check before sending makes sense. */
  readonly measured: boolean;
  /** What the file field is called for those who can't see it. */
  readonly label: string;
  /** What the button says, and whether it is the one to press on its screen. */
  readonly words: string;
  readonly chief: boolean;
  /** The demo's stand-in for a phone; null where there is none. */
  readonly practice: { readonly url: string; readonly words: string; readonly doing: string } | null;
}

const MAX_BYTES = 40 * 1024 * 1024;
const WAYS: Record<Framing, string> = {
  sheet: 'on its worksheet',
  brackets: 'on a board with corner pieces',
  corners: 'something else: I mark its corners',
};

export function TakePhoto({ url, terms, measured, label, words, chief, practice }: Props) {
  const router = useRouter();
  const [doing, setDoing] = useState('');
  const [trouble, setTrouble] = useState('');
  // What nobody reads may lie in any frame.
  const ways = measured ? kindOf(terms).framings(terms) : [];
  const mayBeFramed = ways.length > 1;
  const [framing, setFraming] = useState<Framing>(ways[0] ?? 'sheet');
  const [held, setHeld] = useState<{ readonly file: File; readonly issues: readonly CaptureIssue[] | null } | null>(
    null,
  );
  const heldUrl = useFileUrl(held?.file ?? null);
  const [depthMm, setDepthMm] = useState(0);
  const [marks, setMarks] = useState(FIRST_MARKS);
  const check = useQuickCheck(terms, measured);

  async function hand(to: string, file: File | null, meanwhile: string) {
    setTrouble('');
    setDoing(meanwhile);
    const answer = await sendPhoto(to, file, (share) =>
      setDoing(share < 1 ? `Sending ${Math.round(100 * share)} %` : 'Sent; a moment …'),
    );
    setDoing('');
    if (answer.say) setTrouble(answer.say);
    else {
      setHeld(null);
      router.refresh();
    }
  }

  function sendFile(file: File, target: StoredTarget | null) {
    const to = new URL(url, window.location.href);
    if (target) to.searchParams.set('target', JSON.stringify(target));
    return hand(`${to.pathname}${to.search}`, file, 'Sending …');
  }

  async function choose(file: File) {
    setTrouble('');
    setHeld(null);
    if (file.size > MAX_BYTES)
      return setTrouble('This file is larger than 40 MB: send the photograph as the phone took it.');
    if (framing === 'corners') return setHeld({ file, issues: null });
    if (framing === 'brackets') return sendFile(file, { kind: 'brackets', depthMm });
    setDoing('Looking at the picture …');
    const issues = measured ? await check(file) : null;
    setDoing('');
    if (issues && issues.length > 0) setHeld({ file, issues });
    else await sendFile(file, null);
  }

  return (
    <div>
      {held?.issues && (
        <div role="alert" className="trouble mb-2">
          <p className="font-semibold">This picture won’t do yet.</p>
          {held.issues.map((i) => (
            <p key={i.code}>{i.say}</p>
          ))}
          <button
            type="button"
            className="mt-2 cursor-pointer underline"
            disabled={doing !== ''}
            onClick={() => void sendFile(held.file, null)}
          >
            Send it all the same
          </button>
        </div>
      )}
      {held && !held.issues && (
        <div className="mb-2 grid gap-2">
          <p>
            Put a mark on each corner of what you painted. Arrow keys move the mark you are on, with Shift in larger
            steps.
          </p>
          <MarkCorners source={heldUrl} alt="The photograph to mark" marks={marks} onChange={setMarks} />
          <button
            type="button"
            className="act w-full"
            disabled={doing !== ''}
            onClick={() => void sendFile(held.file, { kind: 'marked', corners: marks.map((m) => ({ ...m })) })}
          >
            {doing || 'Send with these corners'}
          </button>
        </div>
      )}
      <FilePick
        label={label}
        words={doing || (held ? 'Take it once more' : words)}
        accept={PICTURE_TYPES}
        look={chief && !(held && !held.issues) ? 'act' : 'calm'}
        wide
        disabled={doing !== ''}
        onFile={(file) => void choose(file)}
      />
      {mayBeFramed && (
        <label className="mt-2 grid grid-cols-[auto_1fr] items-center gap-2 text-15">
          <span>It is</span>
          <select
            className="field"
            value={framing}
            onChange={(e) => {
              setFraming(ways.find((way) => way === e.target.value) ?? 'sheet');
              setHeld(null);
            }}
          >
            {ways.map((way) => (
              <option key={way} value={way}>
                {WAYS[way]}
              </option>
            ))}
          </select>
        </label>
      )}
      {mayBeFramed && framing === 'brackets' && (
        <label className="mt-2 grid grid-cols-[1fr_6rem] items-center gap-2 text-15">
          <span>Its face stands off the table by, mm (a board: 0)</span>
          <input
            className="field"
            type="number"
            min={0}
            max={100}
            value={depthMm}
            onChange={(e) => setDepthMm(Number(e.target.value))}
          />
        </label>
      )}
      {practice && (
        <button
          type="button"
          className="calm mt-2 w-full"
          disabled={doing !== ''}
          onClick={() => void hand(practice.url, null, practice.doing)}
        >
          {practice.words}
        </button>
      )}
      {trouble && (
        <p role="alert" className="trouble mt-2">
          {trouble}
        </p>
      )}
    </div>
  );
}
