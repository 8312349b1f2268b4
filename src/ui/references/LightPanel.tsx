'use client';
/** The map of light and shadow: how it was proposed, the brush that corrects it, whole shapes, and the way back. */
import type { Preparation } from '@/core/reference/preparation';
import type { Side } from '@/core/reference/shadow-map';
import type { BenchAnswer } from '@/workers/browser/bench-protocol';
import { Amount } from '../parts/fields';

export type Tool = Side | 'whole-shape';

interface Props {
  readonly preparation: Preparation;
  readonly answer: BenchAnswer | null;
  readonly tool: Tool;
  readonly brush: number;
  readonly names: ReadonlyMap<number, string>;
  readonly onTool: (tool: Tool) => void;
  readonly onBrush: (width: number) => void;
  readonly set: (change: Partial<Preparation>, moving?: boolean) => void;
}

const TOOLS: readonly (readonly [Tool, string])[] = [
  ['light', 'Brush in light'],
  ['shadow', 'Brush in shadow'],
  ['whole-shape', 'Turn whole shapes'],
];
/** Shapes that are listed for those who don't point. */
const LISTED = 10;

export function LightPanel({ preparation, answer, tool, brush, names, onTool, onBrush, set }: Props) {
  const { light } = preparation;
  const put = (change: Partial<Preparation['light']>) => set({ light: { ...light, ...change } });
  const last = light.edits.length;
  return (
    <div className="grid gap-3">
      <p className="quiet">
        Proposed is what is darker than a line. That is wrong for dark things in the light and light things in the
        shadow: put those right here.
      </p>
      <label>
        <span className="label">
          Shadow is proposed below L* {light.line === null ? 'where the picture parts in two' : light.line.toFixed(0)}
        </span>
        <input
          type="range"
          className="w-full accent-ink"
          min={1}
          max={99}
          step={1}
          value={light.line ?? 50}
          onChange={(e) => put({ line: Number(e.target.value) })}
        />
      </label>
      <div role="group" aria-label="What a press on the right picture does" className="grid gap-1">
        {TOOLS.map(([id, words]) => (
          <button
            key={id}
            type="button"
            aria-pressed={tool === id}
            className="choice text-left"
            onClick={() => onTool(id)}
          >
            {words}
          </button>
        ))}
      </div>
      {tool !== 'whole-shape' && (
        <label>
          <span className="label">Width of the brush: {(100 * brush).toFixed(1)} % of the picture</span>
          <input
            type="range"
            className="w-full accent-ink"
            min={0.004}
            max={0.15}
            step={0.001}
            value={brush}
            onChange={(e) => onBrush(Number(e.target.value))}
          />
        </label>
      )}
      <div className="grid grid-cols-2 gap-2">
        <button
          type="button"
          className="calm"
          disabled={last === 0}
          onClick={() => put({ edits: light.edits.slice(0, -1) })}
        >
          Take back <kbd>b</kbd>
        </button>
        <button type="button" className="calm" disabled={last === 0} onClick={() => put({ edits: [] })}>
          As proposed
        </button>
      </div>
      <p className="quiet" role="status">
        {last} {last === 1 ? 'correction' : 'corrections'}
        {answer?.lit !== null && answer?.lit !== undefined && `; ${Math.round(100 * answer.lit)} % in the light`}
      </p>
      <Amount
        label="How many lights"
        value={light.count}
        min={1}
        max={4}
        onChange={(count) => put({ count: Math.min(4, Math.max(1, Math.round(count))) })}
      />
      {answer && answer.shapes.length > 0 && (
        <div>
          <h2 className="label">Its largest shapes</h2>
          <ul className="grid gap-1">
            {answer.shapes.slice(0, LISTED).map((s) => (
              <li key={s.shape} className="flex items-center gap-2 text-13">
                <span className="w-10 text-right">{Math.max(1, Math.round(100 * s.share))} %</span>
                <span className="min-w-0 flex-1 truncate">
                  {names.get(s.shape) ??
                    `${s.at.y < 0.4 ? 'high' : s.at.y > 0.6 ? 'low' : 'half way'}, ${s.at.x < 0.4 ? 'left' : s.at.x > 0.6 ? 'right' : 'middle'}`}
                </span>
                <button
                  type="button"
                  className="min-h-7 cursor-pointer rounded-sm border border-l37 bg-l97 px-2"
                  onClick={() =>
                    put({ edits: [...light.edits, { kind: 'shape', to: s.lit ? 'shadow' : 'light', ...s.at }] })
                  }
                >
                  {s.lit ? 'is light' : 'is shadow'}
                </button>
              </li>
            ))}
          </ul>
        </div>
      )}
    </div>
  );
}
