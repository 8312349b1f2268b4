'use client';
/** A painting from life, and beside it where the masses of its set-up lie on it: painted by whole shapes and with a brush, then judged. */
import type { MassEdit, SetUpMass } from '@/core/reference/set-up';
import dynamic from 'next/dynamic';
import { type ReactNode, useMemo, useState } from 'react';
import { useKeys } from '../parts/use-keys';
import { SquintFilter } from './PaintingView';
import { useMassPainting } from './use-mass-painting';

/** The drawing surface knows no server. */
const BrushSurface = dynamic(() => import('../references/BrushSurface'), { ssr: false });

interface Props {
  /** The painting, in the proportions of what its masses are shown on. */
  readonly picture: ReactNode;
  /** Where its few greys or tones are: the shapes that a press takes. */
  readonly greys: string;
  /** What is lit up on both. */
  readonly outlines: ReactNode;
  readonly setUp: { readonly id: string; readonly title: string; readonly masses: readonly SetUpMass[] };
  /** Where the masses were painted before, and whether it was judged by them. */
  readonly painted: readonly MassEdit[];
  readonly judged: boolean;
  /** A critique that was sent stands as it is. */
  readonly frozen: boolean;
  readonly busy: boolean;
  readonly judge: (edits: readonly MassEdit[]) => void;
  /** Below the masses. */
  readonly children?: ReactNode;
}

const NOTHING = 'nothing';
/** As many masses have a key of their own. */
const KEYED = 9;

export function LifePictures(props: Props) {
  const { picture, greys, outlines, setUp, painted, judged, frozen, busy, judge, children } = props;
  const { masses } = setUp;
  const [edits, setEdits] = useState(painted);
  const [picked, setPicked] = useState(masses[0]?.id ?? NOTHING);
  const [wholeShapes, setWholeShapes] = useState(true);
  const [brush, setBrush] = useState(0.03);
  const { canvas, shown, trouble } = useMassPainting(greys, { edits, masses, picked });
  const mass = picked === NOTHING ? null : picked;
  // What was judged comes back from the studio as another list of the same.
  const unjudged = useMemo(() => JSON.stringify(edits) !== JSON.stringify(painted), [edits, painted]);
  const takeBack = () => !frozen && setEdits(edits.slice(0, -1));
  const finish = () => !frozen && !busy && edits.length > 0 && judge(edits);
  useKeys({
    ...Object.fromEntries(masses.slice(0, KEYED).map((m, k) => [String(k + 1), () => setPicked(m.id)])),
    '0': () => setPicked(NOTHING),
    b: takeBack,
    j: finish,
  });
  const choice = (id: string, words: string) => (
    <button
      key={id}
      type="button"
      aria-pressed={picked === id}
      disabled={frozen}
      className="choice min-h-8 text-13"
      onClick={() => setPicked(id)}
    >
      {words}
    </button>
  );
  return (
    <div className="flex min-h-0 flex-1 flex-col justify-center gap-3 p-3">
      <SquintFilter />
      <div className="grid grid-cols-2 overflow-hidden">
        <figure className="relative m-0">
          {picture}
          {outlines}
        </figure>
        <figure className="relative m-0 overflow-hidden">
          <canvas
            ref={canvas}
            className="block w-full"
            role="img"
            aria-label="Where its masses lie"
            data-masses={shown?.masses.length ?? ''}
          />
          {shown?.masses.map(({ id, at }) => (
            <span
              key={id}
              className="pointer-events-none absolute min-w-6 -translate-x-1/2 -translate-y-1/2 rounded-sm bg-l97 px-1 text-center text-13"
              style={{ left: `${100 * at.x}%`, top: `${100 * at.y}%` }}
            >
              {masses.findIndex((m) => m.id === id) + 1}
            </span>
          ))}
          {outlines}
          {!frozen && masses.length > 0 && (
            <BrushSurface
              wholeShapes={wholeShapes}
              colour={mass === null ? '#777777' : '#fcfcfc'}
              brush={brush}
              onShape={(x, y) => setEdits([...edits, { kind: 'shape', x, y, mass }])}
              onStroke={(stroke) => setEdits([...edits, { kind: 'stroke', ...stroke, mass }])}
            />
          )}
        </figure>
      </div>
      <div className="grid gap-2 rounded-sm bg-l93 p-2">
        {trouble && (
          <p role="alert" className="trouble">
            {trouble}
          </p>
        )}
        {masses.length === 0 ? (
          <p>
            The set-up “{setUp.title}” has no masses yet:{' '}
            <a className="underline" href={`/references/set-up/${setUp.id}`}>
              name them
            </a>
            , and they can be shown here.
          </p>
        ) : (
          <>
            <div role="group" aria-label="Mass that is painted" className="flex flex-wrap gap-1">
              {masses.map((m, k) => choice(m.id, `${k + 1} ${m.name}`))}
              {choice(NOTHING, '0 none of them')}
            </div>
            {edits.length === 0 && (
              <p className="text-13">
                Pick a mass, then show on the right picture where it lies: a press takes a whole shape, the brush takes
                the rest. Hatched is what is of none.
              </p>
            )}
            <div className="flex flex-wrap items-center gap-2">
              <div role="group" aria-label="What a press on the right picture does" className="flex gap-1">
                {(
                  [
                    [true, 'Whole shapes'],
                    [false, 'Brush'],
                  ] as const
                ).map(([whole, words]) => (
                  <button
                    key={words}
                    type="button"
                    aria-pressed={wholeShapes === whole}
                    disabled={frozen}
                    className="choice min-h-8 text-13"
                    onClick={() => setWholeShapes(whole)}
                  >
                    {words}
                  </button>
                ))}
              </div>
              {!wholeShapes && (
                <input
                  type="range"
                  aria-label="Width of the brush"
                  className="w-28 accent-ink"
                  min={0.004}
                  max={0.15}
                  step={0.001}
                  value={brush}
                  onChange={(e) => setBrush(Number(e.target.value))}
                />
              )}
              <button
                type="button"
                className="calm min-h-8 px-2 text-13"
                disabled={frozen || edits.length === 0}
                onClick={takeBack}
              >
                Take back <kbd>b</kbd>
              </button>
              <button
                type="button"
                className="act ml-auto min-h-8 px-3"
                disabled={frozen || busy || edits.length === 0 || (!unjudged && judged)}
                onClick={finish}
              >
                Judge it by these masses <kbd className="text-l10">j</kbd>
              </button>
            </div>
          </>
        )}
        {children}
      </div>
    </div>
  );
}
