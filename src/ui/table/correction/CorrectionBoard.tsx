'use client';
/** The board on which a teacher shows what could be better: layers that change light, over a painting that stays what it is. */
import type { CorrectionView } from '@/studio/views/corrections';
import type { Layer } from '@/core/correction/layer';
import { useMemo, useRef, useState } from 'react';
import { HoldButton, useHold } from '../../instruments/HoldButton';
import type { Answer } from '../../parts/answer';
import { useKeys } from '../../parts/use-keys';
import { CorrectionCanvas, type Tool } from './CorrectionCanvas';
import { CHANGES, type CorrectingWith } from './layer-kinds';
import { LayerPanel } from './LayerPanel';
import { type Keep, useCorrection } from './use-correction';
import { Ways } from './Ways';

type Done = Promise<Answer<unknown, void>>;

interface Props {
  readonly ways: readonly CorrectionView[];
  /** The painting as it was measured last. */
  readonly picture: string;
  readonly tools: CorrectingWith;
  readonly frozen: boolean;
  readonly keep: Keep;
  readonly sendWith: (id: string | null) => Done;
  readonly setAside: (id: string, why: string) => Done;
  readonly remove: (id: string) => Done;
  readonly leave: () => void;
}

const TOOL_NAMES: readonly (readonly [Tool, string])[] = [
  ['outline', 'Draw round it'],
  ['brush', 'Go over it'],
  ['away', 'Leave out'],
];
const BRUSH = { least: 0.005, most: 0.15, first: 0.03 } as const;
const nameOf = (kind: Layer['change']['kind']) => CHANGES.find((c) => c.kind === kind)?.name ?? '';

export function CorrectionBoard(props: Props) {
  const { ways, picture, tools, frozen, leave } = props;
  const drawing = useCorrection(ways, tools, props.keep);
  const { way, layer, kind } = drawing;
  const [tool, setTool] = useState<Tool>('outline');
  const [brush, setBrush] = useState<number>(BRUSH.first);
  const [before, grey, squint] = [useHold(), useHold(), useHold()];
  const look = useMemo(() => ({ before: before.on, grey: grey.on }), [before.on, grey.on]);
  const carried = useRef<{ readonly layers: readonly Layer[]; readonly layer: Layer } | null>(null);
  useKeys({ u: drawing.takeBack }, { b: before.hold, v: grey.hold, s: squint.hold });

  // One that is drawn at keeps its picture, whatever is measured meanwhile.
  const shown = ways.find((w) => w.id === way.id);
  const src = shown?.isOfBefore ? `/corrected/${shown.id}/before` : picture;
  const mayCarry = layer?.change.kind === 'move';
  const now: Tool = tool === 'carry' && !mayCarry ? 'outline' : tool;
  const hint = layer
    ? 'What you draw now belongs to the change that is chosen. All else stays as it is.'
    : (CHANGES.find((c) => c.kind === kind)?.hint ?? '');
  const begin = (at: number) => {
    const next = CHANGES[at];
    if (!next || frozen) return;
    drawing.begin(next.kind);
    setTool(next.kind === 'soften' ? 'brush' : 'outline');
  };
  const carry = (dx: number, dy: number, done: boolean) => {
    if (layer?.change.kind !== 'move') return;
    carried.current ??= { layers: way.layers, layer };
    const { layers, layer: from } = carried.current;
    if (from.change.kind !== 'move') return;
    const held = (v: number) => Math.min(1, Math.max(-1, v));
    const to = { ...from.change, dx: held(from.change.dx + dx), dy: held(from.change.dy + dy) };
    if (!done) return drawing.preview({ ...from, change: to });
    carried.current = null;
    drawing.settle(layers, { ...from, change: to });
  };
  return (
    <div className="grid min-h-0 flex-1 gap-2 p-3 lg:grid-cols-[minmax(0,1fr)_17rem]">
      <div className="flex min-h-0 min-w-0 flex-col gap-2">
        {!frozen && (
          <div className="flex flex-wrap items-center gap-1" role="toolbar" aria-label="What is changed">
            {CHANGES.map((c, at) => (
              <button
                key={c.kind}
                type="button"
                className="choice text-13"
                aria-pressed={c.kind === kind}
                onClick={() => begin(at)}
              >
                {c.name} <kbd className="text-l10">{at + 1}</kbd>
              </button>
            ))}
          </div>
        )}
        <CorrectionCanvas
          key={src}
          src={src}
          layers={way.layers}
          look={look}
          squint={squint.on}
          chosen={layer}
          tool={now}
          brush={brush}
          frozen={frozen}
          onStroke={drawing.stroke}
          onCarry={carry}
          onBack={drawing.takeBack}
          onLeave={leave}
          onNumber={(n) => begin(n - 1)}
        />
        <p className="self-center rounded-sm bg-l93 px-2 text-13">
          {before.on ? 'The painting as it is' : 'A correction, not the painting itself'}
        </p>
        <div className="flex gap-1">
          <HoldButton label="As it is" keyName="b" hold={before} />
          <HoldButton label="In greys" keyName="v" hold={grey} />
          <HoldButton label="Squint" keyName="s" hold={squint} />
        </div>
      </div>
      <div
        className="grid content-start gap-3 overflow-y-auto rounded-sm bg-l93 p-2"
        role="group"
        aria-label="The correction"
      >
        <button type="button" className="calm bg-l97" onClick={leave}>
          Done <kbd>Esc</kbd>
        </button>
        {drawing.note && (
          <p role="status" className="trouble">
            {drawing.note}
          </p>
        )}
        {!frozen && (
          <>
            <p className="text-13">{hint}</p>
            <div className="flex flex-wrap gap-1" role="group" aria-label="How it is drawn">
              {TOOL_NAMES.map(([t, name]) => (
                <button
                  key={t}
                  type="button"
                  className="choice text-13"
                  aria-pressed={t === now}
                  onClick={() => setTool(t)}
                >
                  {name}
                </button>
              ))}
              {mayCarry && (
                <button
                  type="button"
                  className="choice text-13"
                  aria-pressed={now === 'carry'}
                  onClick={() => setTool('carry')}
                >
                  Take hold of it
                </button>
              )}
            </div>
            {(now === 'brush' || now === 'away') && (
              <label className="grid gap-0.5 text-13">
                How wide you go
                <input
                  type="range"
                  className="accent-ink"
                  {...{ min: BRUSH.least, max: BRUSH.most, step: 0.001, value: brush }}
                  onChange={(e) => setBrush(Number(e.target.value))}
                />
              </label>
            )}
            <button
              type="button"
              className="calm min-h-8 text-13"
              disabled={!drawing.canTakeBack}
              onClick={drawing.takeBack}
            >
              Take back <kbd>u</kbd>
            </button>
          </>
        )}
        {way.layers.length > 0 && (
          <ol className="grid gap-1" aria-label="Changes so far">
            {way.layers.map((l, k) => (
              <li key={l.id} className="flex gap-1">
                <button
                  type="button"
                  className="choice min-w-0 flex-1 truncate text-left text-13"
                  aria-pressed={l.id === drawing.chosen}
                  onClick={() => drawing.choose(l.id)}
                >
                  {k + 1} <span dir="auto">{l.name || nameOf(l.change.kind)}</span>
                </button>
                {!frozen && (
                  <button
                    type="button"
                    className="cursor-pointer px-1 text-13 underline"
                    aria-label={`Remove change ${k + 1}`}
                    onClick={() => drawing.remove(l.id)}
                  >
                    Remove
                  </button>
                )}
              </li>
            ))}
          </ol>
        )}
        {layer && <LayerPanel key={layer.id} layer={layer} tools={tools} drawing={drawing} frozen={frozen} />}
        <Ways
          ways={ways}
          drawing={drawing}
          frozen={frozen}
          sendWith={(id) => void props.sendWith(id)}
          setAside={(id, why) => void props.setAside(id, why)}
          remove={(id) => void props.remove(id)}
        />
      </div>
    </div>
  );
}
