/** States of a hand-in, told apart by shape, fill and word. */
const MARKS = {
  open: { word: 'not yet', path: 'M2 7h10', filled: false },
  waiting: { word: 'waiting', path: 'M7 1.5a5.5 5.5 0 1 0 0.01 0z', filled: false },
  held: { word: 'decided, held', path: 'M7 1.5a5.5 5.5 0 1 0 0.01 0zM4 7h6', filled: false },
  again: { word: 'once more', path: 'M2 2v10l10 -5z', filled: false },
  passed: { word: 'passed', path: 'M2 2h10v10h-10z', filled: true },
  refused: { word: 'picture refused', path: 'M2 2l10 10m0 -10l-10 10', filled: false },
} as const;

export type MarkedState = keyof typeof MARKS;

/** `small` shows the shape alone and keeps the word for those who can't see it. */
export function StateMark({ state, small = false }: { state: MarkedState; small?: boolean }) {
  const mark = MARKS[state];
  return (
    <span className="inline-flex shrink-0 items-center whitespace-nowrap gap-1.5 text-13">
      <svg viewBox="0 0 14 14" width={12} height={12} aria-hidden>
        <path
          d={mark.path}
          fill={mark.filled ? 'var(--color-l10)' : 'none'}
          stroke="var(--color-l10)"
          strokeWidth={1.6}
        />
      </svg>
      <span className={small ? 'sr-only' : undefined}>{mark.word}</span>
    </span>
  );
}
