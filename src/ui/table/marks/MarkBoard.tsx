'use client';
/** The board on which a teacher marks a picture: with mouse, pen, finger or keys; each mark is kept when it is drawn. */
import { MARK_KINDS, type Mark, type MarkedPicture, type MarkKind, markWords, tidied } from '@/core/critique/marks';
import { useState } from 'react';
import type { Answer } from '../../parts/answer';
import { Choice } from '../../parts/fields';
import { MarkedCanvas } from './MarkedCanvas';

export interface KeptMark {
  readonly id: string;
  readonly mark: Mark;
}

interface Props {
  readonly marks: readonly KeptMark[];
  /** Pictures that can be marked, and where they are. */
  readonly pictures: readonly { readonly on: MarkedPicture; readonly name: string; readonly src: string }[];
  /** Findings that a mark may belong to. */
  readonly findings: readonly { readonly key: string; readonly say: string }[];
  /** Key of the one that a mark belongs to unless said; null of none. */
  readonly picked: string | null;
  readonly frozen: boolean;
  readonly draw: (mark: Mark) => Promise<Answer<unknown, unknown>>;
  readonly takeBack: (id: string) => Promise<Answer<unknown, unknown>>;
  readonly leave: () => void;
}

const KINDS: Record<MarkKind, string> = { pin: 'Pin', outline: 'Outline', arrow: 'Arrow', line: 'Line' };
const OWN_WORDS = '';

export function MarkBoard({ marks, pictures, findings, picked, frozen, draw, takeBack, leave }: Props) {
  const [kind, setKind] = useState<MarkKind>('pin');
  const [on, setOn] = useState<MarkedPicture>('painting');
  const [about, setAbout] = useState(picked ?? OWN_WORDS);
  const [words, setWords] = useState('');
  const picture = pictures.find((p) => p.on === on) ?? pictures[0];
  if (!picture) return <p className="panel m-4">There is no picture to mark yet.</p>;
  const numbered = marks.map(({ id, mark }, k) => ({ id, mark, number: k + 1 }));
  const here = numbered.filter(({ mark }) => mark.on === picture.on);
  const keep = async (points: Mark['points']) => {
    const mark: Mark = { kind, on: picture.on, points, about: about === OWN_WORDS ? null : about, words };
    if (!tidied(mark)) return;
    const answer = await draw(mark);
    if (answer.ok) setWords('');
  };
  const last = here.at(-1);
  const told = (mark: Mark) =>
    markWords(mark, (key) => findings.find((f) => f.key === key)?.say) || KINDS[mark.kind].toLowerCase();
  return (
    <div className="flex min-h-0 flex-1 flex-col gap-2 p-3">
      <div className="flex flex-wrap items-center gap-2" role="toolbar" aria-label="Marks">
        {!frozen &&
          MARK_KINDS.map((k, at) => (
            <button
              key={k}
              type="button"
              aria-pressed={k === kind}
              className={`cursor-pointer rounded-sm border border-l37 px-3 py-1 ${k === kind ? 'bg-l20 text-l97' : 'bg-l97'}`}
              onClick={() => setKind(k)}
            >
              {KINDS[k]} <kbd className="text-l10">{at + 1}</kbd>
            </button>
          ))}
        {pictures.length > 1 &&
          pictures.map((p) => (
            <button
              key={p.on}
              type="button"
              aria-pressed={p.on === on}
              className={`cursor-pointer rounded-sm border border-l37 px-3 py-1 ${p.on === on ? 'bg-l20 text-l97' : 'bg-l97'}`}
              onClick={() => setOn(p.on)}
            >
              {p.name}
            </button>
          ))}
        <button type="button" className="calm ml-auto bg-l97" onClick={leave}>
          Done <kbd>Esc</kbd>
        </button>
      </div>
      <MarkedCanvas
        key={picture.src}
        src={picture.src}
        name={picture.name}
        marks={here}
        kind={kind}
        frozen={frozen}
        onKind={(at) => setKind(MARK_KINDS[at] ?? kind)}
        onDrawn={(points) => void keep(points)}
        onBack={() => last && void takeBack(last.id)}
        onLeave={leave}
      />
      <div className="panel grid gap-2 sm:grid-cols-2">
        {!frozen && (
          <div className="grid gap-2">
            <Choice
              label="The next mark belongs to"
              value={about}
              options={[[OWN_WORDS, 'words of its own'] as const, ...findings.map((f) => [f.key, f.say] as const)]}
              onChange={setAbout}
            />
            <label>
              <span className="label">Words beside it</span>
              <input className="field" maxLength={300} value={words} onChange={(e) => setWords(e.target.value)} />
            </label>
          </div>
        )}
        <ol className="grid max-h-36 content-start gap-1 overflow-y-auto text-13" aria-label="Marks so far">
          {numbered.map(({ id, mark, number }) => (
            <li key={id} className="flex gap-2">
              <span className="font-semibold">{number}</span>
              <span className="min-w-0 flex-1" dir="auto">
                {told(mark)}
                {pictures.length > 1 && mark.on === 'reference' && <span className="quiet"> on the reference</span>}
              </span>
              {!frozen && (
                <button
                  type="button"
                  className="cursor-pointer underline"
                  aria-label={`Take mark ${number} back`}
                  onClick={() => void takeBack(id)}
                >
                  Take back
                </button>
              )}
            </li>
          ))}
        </ol>
      </div>
    </div>
  );
}
