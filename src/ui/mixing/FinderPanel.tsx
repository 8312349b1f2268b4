'use client';
/** One printer: its chart to print, readings to bring in, the finder that comes of them. */
import { useState, useTransition } from 'react';
import { FileReaderButton } from '../parts/FileReaderButton';
import { Amount, Choice } from '../parts/fields';

type Answer = Promise<{ ok: boolean; say?: string }>;

interface Props {
  readonly printer: { readonly id: string; readonly name: string; readonly readings: number };
  readonly classes: readonly { readonly id: string; readonly name: string }[];
  readonly demo: boolean;
  readonly read: (printerId: string, csv: string) => Answer;
  readonly clear: (printerId: string) => Answer;
  readonly practise: (printerId: string, classId: string | null, steps: number) => Answer;
}

export function FinderPanel({ printer, classes, demo, read, clear, practise }: Props) {
  const [classId, setClassId] = useState(classes[0]?.id ?? '');
  const [steps, setSteps] = useState(9);
  const [said, setSaid] = useState('');
  const [busy, start] = useTransition();
  const run = (work: () => Answer, done: string) =>
    start(async () => {
      const answer = await work();
      setSaid(answer.ok ? done : (answer.say ?? ''));
    });
  const known = printer.readings > 0;
  return (
    <div className="mb-4 rounded-sm bg-l97 p-3">
      <h3 className="font-semibold">{printer.name}</h3>
      <p className="quiet mb-2">{known ? `${printer.readings} patches read` : 'Not read yet'}</p>
      <ol className="grid list-decimal gap-2 pl-5">
        <li>
          <a className="underline" href="/chart">
            Print the chart
          </a>{' '}
          at full size, and let it dry.
        </li>
        <li>
          <FileReaderButton label="Bring in readings (CSV: code, lightness)" send={(csv) => read(printer.id, csv)} />
          {demo && (
            <button
              type="button"
              className="calm mt-1"
              disabled={busy}
              onClick={() => run(() => practise(printer.id, null, steps), 'The practice reader has read the chart.')}
            >
              Read the chart with the practice reader
            </button>
          )}
        </li>
        {known && classes.length > 0 && (
          <>
            <li>
              <div className="mb-2 grid grid-cols-2 gap-2">
                <Choice
                  label="For"
                  value={classId}
                  options={classes.map((c) => [c.id, c.name] as const)}
                  onChange={setClassId}
                />
                <Amount label="Bars" value={steps} min={3} max={15} onChange={setSteps} />
              </div>
              <a className="act" href={`/finder/${printer.id}?class=${classId}&steps=${steps}`}>
                Print the finder
              </a>
            </li>
            <li>
              Read its bars too, bring them in the same way, and print it again: what is left of the error stands under
              each bar.
              {demo && (
                <button
                  type="button"
                  className="calm mt-1 block"
                  disabled={busy}
                  onClick={() =>
                    run(() => practise(printer.id, classId, steps), 'The practice reader has read the bars.')
                  }
                >
                  Read the bars with the practice reader
                </button>
              )}
            </li>
          </>
        )}
      </ol>
      {said && (
        <p role="status" className="mt-2 text-13">
          {said}
        </p>
      )}
      {known && (
        <button
          type="button"
          className="mt-2 cursor-pointer text-13 underline"
          disabled={busy}
          onClick={() => run(() => clear(printer.id), 'The readings are forgotten.')}
        >
          Forget its readings
        </button>
      )}
    </div>
  );
}
