'use client';
/** The painting beside other pictures: how each spreads its lights and darks, never compared place by place. */
import type { Beside } from '@/studio/views/beside';
import { useEffect, useRef, useState } from 'react';
import { HoldButton, useHold } from '../../instruments/HoldButton';
import type { Answer } from '../../parts/answer';
import { Choice } from '../../parts/fields';
import { useKeys } from '../../parts/use-keys';
import { squinted, SquintFilter } from '../PaintingView';

interface Props {
  /** With one more picture, by its id; null without. */
  readonly look: (also: string | null) => Promise<Answer<unknown, Beside>>;
  readonly leave: () => void;
}

export function BesideBoard({ look, leave }: Props) {
  const [beside, setBeside] = useState<Beside | null>(null);
  const squint = useHold();
  const leaving = useRef<HTMLButtonElement>(null);
  const asked = useRef(look);
  useKeys({ Escape: leave }, { s: squint.hold });
  const show = (also: string | null) =>
    void asked.current(also).then((answer) => {
      if (answer.ok) setBeside(answer.value);
    });
  useEffect(() => {
    leaving.current?.focus();
    void asked.current(null).then((answer) => {
      if (answer.ok) setBeside(answer.value);
    });
  }, []);
  return (
    <div className="flex min-h-0 flex-1 flex-col gap-2 overflow-y-auto p-3" aria-busy={beside === null}>
      <SquintFilter />
      <div className="flex flex-wrap items-end gap-2">
        <span className="flex w-48">
          <HoldButton label="Squint" keyName="s" hold={squint} />
        </span>
        <button ref={leaving} type="button" className="calm bg-l97" onClick={leave}>
          Done <kbd>Esc</kbd>
        </button>
      </div>
      {!beside && <p className="panel">The pictures are being laid out …</p>}
      {beside && (
        <>
          <ul className="grid gap-2 sm:grid-cols-3" aria-label="Pictures beside one another">
            {beside.seen.map(({ id, title, greys, thirds, says }) => (
              <li key={id} className="panel grid content-start gap-1 p-2 text-13">
                <h2 className="label" dir="auto">
                  {title}
                </h2>
                <img src={greys} alt={`${title}, in greys`} className="block w-full" style={squinted(squint.on)} />
                <img src={thirds} alt={`${title}, in three values`} className="block w-1/2" />
                {says.map((say) => (
                  <p key={say}>{say}.</p>
                ))}
              </li>
            ))}
          </ul>
          <div className="panel">
            {beside.seen.length === 1 && (
              <p className="mb-2">
                What it is painted from has no exemplars yet. Choose a picture here, or keep some with the reference.
              </p>
            )}
            <Choice
              label="Lay another picture beside them"
              value=""
              options={[['', 'choose one'], ...beside.others.map((o) => [o.id, o.title] as const)]}
              onChange={(id) => id !== '' && show(id)}
            />
          </div>
        </>
      )}
    </div>
  );
}
