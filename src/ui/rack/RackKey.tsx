/** What the marks on the rack mean, folded away: drawn as they stand there, one a line. */
import { type MarkedState, StateMark } from '../parts/StateMark';

const UNDER_CELLS: readonly (readonly [path: string, words: string, filled?: boolean])[] = [
  ['M10 3v9', 'on its value'],
  ['M6 11l4 -6l4 6z', 'off it: to the left too dark, to the right too light', true],
  ['M8 3v10M12 3v10', 'too close to the next'],
  ['M5 3l10 10m0 -10l-10 10', 'the wrong way round'],
  ['M4 8h12', 'a jump to the next'],
  ['M4 9q3 -4 6 0t6 0', 'streaky'],
  ['M10 5a3 3 0 1 0 0.01 0z', 'the ground shows'],
  ['M4 12v-5h12v5', 'past the line'],
];
const STATES: readonly MarkedState[] = ['waiting', 'held', 'again', 'passed', 'refused', 'open'];

export function RackKey() {
  return (
    <details className="mt-3 text-13">
      <summary className="min-h-7 cursor-pointer">What the marks mean</summary>
      <div className="mt-1 grid gap-x-6 gap-y-2 sm:grid-cols-2">
        <ul aria-label="Under each cell" className="grid gap-1">
          {UNDER_CELLS.map(([path, words, filled]) => (
            <li key={words} className="flex items-center gap-2">
              <svg viewBox="0 0 20 16" width={20} height={16} aria-hidden>
                <path
                  d={path}
                  fill={filled ? 'var(--color-l10)' : 'none'}
                  stroke="var(--color-l10)"
                  strokeWidth={1.4}
                />
              </svg>
              {words}
            </li>
          ))}
        </ul>
        <ul aria-label="States of a hand-in" className="grid auto-rows-min gap-1">
          {STATES.map((state) => (
            <li key={state}>
              <StateMark state={state} />
            </li>
          ))}
        </ul>
      </div>
    </details>
  );
}
