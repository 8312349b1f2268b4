'use client';
/** All tries of a hand-in in their order: what each looks like, and what changed since the one before. */
import { list } from '@/core/critique/naming';
import { FIGURE_WORDS, readFigure } from '@/core/kinds/figure-words';
import type { FigureChange } from '@/core/kinds/since-then';
import type { TryView } from '@/studio/views/tries';
import { HandInMark } from '../instruments/HandInMark';
import { useHold } from '../instruments/HoldButton';
import { seenAtAGlance } from '../instruments/hand-in-seen';
import { useKeys } from '../parts/use-keys';
import { BoardTop } from './BoardTop';
import { squinted } from './PaintingView';

const VERDICTS = { pass: 'passed', again: 'once more' } as const;
const day = new Intl.DateTimeFormat('en-GB', { day: 'numeric', month: 'short' });
/** Better and worse differ by shape, not by colour. */
const WAYS: Record<FigureChange['way'], readonly [sign: string, words: string]> = {
  better: ['▲', 'better'],
  worse: ['▽', 'worse'],
  other: ['◇', 'changed'],
  same: ['', 'as before'],
};

function Figure({ change: { key, before, now, way } }: { readonly change: FigureChange }) {
  const { label, unit } = FIGURE_WORDS[key];
  const [sign, words] = WAYS[way];
  return (
    <tr>
      <th scope="row" className="pr-3 text-left font-normal">
        {label}
      </th>
      <td className="pr-2 text-right tabular-nums text-l37">{before === null ? '' : readFigure(key, before)}</td>
      <td className="pr-2 text-right font-semibold tabular-nums">
        {readFigure(key, now)} {unit}
      </td>
      <td>
        <span aria-hidden>{sign}</span>
        <span className="sr-only">{before === null ? '' : words}</span>
      </td>
    </tr>
  );
}

function Steps({
  tried: { closer, further },
  labels,
}: {
  readonly tried: TryView;
  readonly labels: readonly string[];
}) {
  const named = (steps: readonly number[]) => list(steps.map((s) => labels[s - 1] ?? String(s)));
  return (
    <p className="text-15">
      {closer.length > 0 && `Closer than before: ${named(closer)}. `}
      {further.length > 0 && `Further off: ${named(further)}.`}
    </p>
  );
}

interface Props {
  readonly tries: readonly TryView[];
  readonly labels: readonly string[];
  readonly leave: () => void;
}

export function TriesBoard({ tries, labels, leave }: Props) {
  const squint = useHold();
  useKeys({ Escape: leave }, { s: squint.hold });
  const areStrips = tries.every((t) => t.steps.length > 0);
  return (
    <div className="flex min-h-0 flex-1 flex-col gap-2 overflow-y-auto p-3">
      <BoardTop squint={squint} leave={leave} />
      <ol className={`grid gap-2 ${areStrips ? '' : 'sm:grid-cols-2'}`} aria-label="Tries, the first one first">
        {tries.map((tried) => (
          <li key={tried.attemptId} className="panel grid content-start gap-2 p-3">
            <p className="flex flex-wrap justify-between gap-2">
              <span className="font-semibold">
                Try {tried.number}
                {tried.stage && `, ${tried.stage}`}
              </span>
              <span className="quiet">{day.format(tried.cameAt)}</span>
              <span>{tried.verdict ? VERDICTS[tried.verdict] : 'not decided yet'}</span>
            </p>
            <div style={squinted(squint.on)}>
              <HandInMark
                attemptId={tried.attemptId}
                seen={seenAtAGlance(tried, labels)}
                width={640}
                height={56}
                tall="max-h-[46vh] h-auto"
                alt={`Try ${tried.number}`}
              />
            </div>
            <Steps tried={tried} labels={labels} />
            <table className="justify-self-start text-13">
              <caption className="sr-only">Figures of try {tried.number}, beside the try before</caption>
              <tbody>
                {tried.changes.map((change) => (
                  <Figure key={change.key} change={change} />
                ))}
              </tbody>
            </table>
          </li>
        ))}
      </ol>
    </div>
  );
}
