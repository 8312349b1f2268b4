'use client';
import { useEffect, useState } from 'react';

interface Props {
  readonly goals: readonly string[];
  /** Minutes for each study; null where nobody looks at the clock. */
  readonly minutes: number | null;
}

const told = (seconds: number) => `${Math.floor(seconds / 60)}:${String(seconds % 60).padStart(2, '0')}`;

/** The goals of quick studies, each with a clock that only tells the time: nothing of it is kept or scored. */
export function GoalTimer({ goals, minutes }: Props) {
  const [running, setRunning] = useState<{ readonly goal: number; readonly until: number } | null>(null);
  const [now, setNow] = useState(0);
  useEffect(() => {
    if (!running) return;
    const tick = setInterval(() => setNow(Date.now()), 500);
    return () => clearInterval(tick);
  }, [running]);
  const left = running
    ? Math.max(0, Math.round((running.until - Math.max(now, running.until - 60_000 * (minutes ?? 0))) / 1000))
    : 0;
  return (
    <ol className="mb-3 grid gap-2" aria-label="Goals">
      {goals.map((goal, i) => (
        <li key={goal} className="flex items-center gap-3">
          <span className="flex-1">
            {i + 1}. {goal}
          </span>
          {minutes !== null &&
            (running?.goal === i ? (
              <button type="button" className="calm tabular-nums" onClick={() => setRunning(null)}>
                {left > 0 ? told(left) : 'time is up: stop, or go on'}
              </button>
            ) : (
              <button
                type="button"
                className="calm"
                onClick={() => setRunning({ goal: i, until: Date.now() + minutes * 60_000 })}
                aria-label={`Start ${minutes} minutes for “${goal}”`}
              >
                {minutes} min
              </button>
            ))}
        </li>
      ))}
    </ol>
  );
}
