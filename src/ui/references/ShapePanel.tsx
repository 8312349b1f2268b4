'use client';
/** The shapes of a picture: one is picked, named, weighed, tied to its object, merged with another or split by a line. */
import type { Preparation } from '@/core/reference/preparation';
import { type NamedShape, STANDING } from '@/core/reference/shape-cut';
import type { BenchAnswer } from '@/workers/browser/bench-protocol';
import { Choice } from '../parts/fields';
import { MassFields, newMass } from './MassFields';

export type ShapeTool = 'pick' | 'merge' | 'split';

interface Props {
  readonly preparation: Preparation;
  readonly answer: BenchAnswer | null;
  readonly picked: { readonly shape: number; readonly x: number; readonly y: number } | null;
  readonly named: ReadonlyMap<number, NamedShape>;
  readonly tool: ShapeTool;
  readonly onTool: (tool: ShapeTool) => void;
  readonly onPick: (place: { readonly shape: number; readonly x: number; readonly y: number }) => void;
  readonly begin: () => void;
  readonly set: (change: Partial<Preparation>) => void;
}

const STANDING_WORDS = {
  painted: 'painted',
  'left-open': 'left open: the ground stands',
  'left-out': 'left out for now',
} as const;
const TOOLS: readonly (readonly [ShapeTool, string])[] = [
  ['pick', 'Pick'],
  ['merge', 'Merge with'],
  ['split', 'Split'],
];
const HINTS: Record<ShapeTool, string> = {
  pick: 'Press a shape on the right to name it.',
  merge: 'Press the shape that belongs to the picked one.',
  split: 'Draw a line across a shape: it is cut along it.',
};

export function ShapePanel({ preparation, answer, picked, named, tool, onTool, onPick, begin, set }: Props) {
  const { shapes } = preparation;
  if (!shapes.cut)
    return (
      <div className="grid gap-3">
        <p>
          Cut the picture into shapes as its tones stand now. They stay as they are when the tones are changed later, so
          that a name given once serves in every critique.
        </p>
        <button type="button" className="act" onClick={begin}>
          Cut it into shapes
        </button>
      </div>
    );
  const put = (change: Partial<Preparation['shapes']>) => set({ shapes: { ...shapes, ...change } });
  const own = picked ? (named.get(picked.shape) ?? null) : null;
  const describe = (change: Partial<NamedShape>) => {
    if (!picked) return;
    const { x, y } = picked;
    const before: NamedShape = own ?? { ...newMass('a shape'), at: { x, y }, standing: 'painted' };
    const next = { ...before, ...change };
    put({ named: own ? shapes.named.map((n) => (n === own ? next : n)) : [...shapes.named, next] });
  };
  const sorted = [...named].sort((a, b) => a[1].name.localeCompare(b[1].name));
  const listed = answer?.shapes.filter((s) => !named.has(s.shape)).slice(0, 6) ?? [];
  return (
    <div className="grid gap-2">
      <div role="group" aria-label="What a press on the right picture does" className="grid grid-cols-3 gap-1">
        {TOOLS.map(([id, words]) => (
          <button
            key={id}
            type="button"
            aria-pressed={tool === id}
            disabled={id === 'merge' && !picked}
            className="choice"
            onClick={() => onTool(id)}
          >
            {words}
          </button>
        ))}
      </div>
      <p className="quiet">{HINTS[tool]}</p>
      <button
        type="button"
        className="calm"
        disabled={shapes.edits.length === 0}
        onClick={() => put({ edits: shapes.edits.slice(0, -1) })}
      >
        Take back <kbd>b</kbd>
      </button>
      {picked && (
        <fieldset className="grid gap-2 rounded-sm bg-l97 p-2">
          <legend className="sr-only">The picked shape</legend>
          <MassFields
            key={own?.name ?? `new ${picked.shape}`}
            mass={own}
            lights={preparation.light.count}
            tones={preparation.tones}
            onChange={describe}
          >
            <Choice
              label="It is to be"
              value={own?.standing ?? 'painted'}
              options={STANDING.map((s) => [s, STANDING_WORDS[s]] as const)}
              onChange={(standing) => describe({ standing })}
            />
          </MassFields>
          {own && (
            <button
              type="button"
              className="calm"
              onClick={() => put({ named: shapes.named.filter((n) => n !== own) })}
            >
              Forget this name
            </button>
          )}
        </fieldset>
      )}
      <ul className="text-13" aria-label="Shapes">
        {sorted.map(([shape, n]) => (
          <li key={shape}>
            <button
              type="button"
              aria-pressed={picked?.shape === shape}
              className="min-h-7 w-full cursor-pointer text-left aria-pressed:font-semibold"
              style={{ paddingLeft: `${0.75 * (n.name.split('>').length - 1)}rem` }}
              onClick={() => onPick({ shape, ...n.at })}
            >
              {n.name}
            </button>
          </li>
        ))}
        {listed.map((s) => (
          <li key={s.shape}>
            <button
              type="button"
              aria-pressed={picked?.shape === s.shape}
              className="min-h-7 w-full cursor-pointer text-left text-l27 aria-pressed:font-semibold"
              onClick={() => onPick({ shape: s.shape, ...s.at })}
            >
              no name yet, {Math.max(1, Math.round(100 * s.share))} % of the picture
            </button>
          </li>
        ))}
      </ul>
      <button type="button" className="calm" onClick={begin}>
        Cut it anew, as its tones stand now
      </button>
    </div>
  );
}
