'use client';
/** The trough: puddles in a row, light to dark, each with the mark of what is wanted to drag and its parts under it. */
import { type PaintId, PAINTS } from '@/core/exercise/paints';
import type { PuddleRecipe, Recipe } from '@/core/mixing/recipe';
import { puddleName } from '@/core/mixing/recipe-words';
import { MoveVertical } from 'lucide-react';
import { useRef } from 'react';
import { cssLab } from '../parts/grey';

interface Props {
  readonly recipe: Recipe;
  readonly targets: readonly number[];
  readonly labels: readonly string[];
  readonly chosen: number;
  readonly tubeColour: (paint: PaintId) => string;
  readonly onChoose: (step: number) => void;
  readonly onTarget: (step: number, lightness: number) => void;
}

const HEIGHT_PX = 232;
const kept = (lightness: number): number => Math.min(100, Math.max(0, lightness));
const down = (lightness: number): number => ((100 - kept(lightness)) / 100) * HEIGHT_PX;

function Source({
  recipe,
  puddle,
  labels,
  tubeColour,
}: { recipe: Recipe; puddle: PuddleRecipe } & Pick<Props, 'labels' | 'tubeColour'>) {
  const all = [...recipe.steps, ...recipe.onTheWay];
  return (
    <ul className="mt-1 grid justify-center gap-0.5 text-13">
      {puddle.mix.map(({ source, parts }) => {
        const from = 'step' in source ? all.find((p) => p.step === source.step) : undefined;
        return (
          <li key={'paint' in source ? source.paint : source.step} className="flex items-center gap-1">
            {puddle.mix.length > 1 && <span className="font-semibold">{parts}</span>}
            <span
              className="h-3 w-3 shrink-0 border border-l50"
              style={{ background: 'paint' in source ? tubeColour(source.paint) : cssLab(from?.lab ?? [50, 0, 0]) }}
              aria-hidden
            />
            <span className="leading-tight">
              {'paint' in source ? PAINTS[source.paint].name : `of ${puddleName(recipe, source.step, labels)}`}
            </span>
          </li>
        );
      })}
    </ul>
  );
}

export function Trough({ recipe, targets, labels, chosen, tubeColour, onChoose, onTarget }: Props) {
  const frame = useRef(0);
  const dragged = useRef<{ step: number; box: DOMRect } | null>(null);
  const move = (step: number, clientY: number, box: DOMRect) => {
    cancelAnimationFrame(frame.current);
    frame.current = requestAnimationFrame(() => onTarget(step, kept(100 - ((clientY - box.top) / box.height) * 100)));
  };
  return (
    <div className="flex gap-px" role="group" aria-label="Trough: puddles from light to dark">
      {recipe.steps.map((puddle, i) => {
        const target = targets[i] ?? 50;
        const name = labels[i] ?? String(i + 1);
        return (
          <div key={puddle.step} className={`min-w-0 flex-1 rounded-sm pb-2 ${chosen === puddle.step ? 'bg-l97' : ''}`}>
            <div className="relative touch-none bg-l80" style={{ height: HEIGHT_PX }}>
              <div
                className="absolute inset-x-0 bottom-0"
                style={{ top: down(puddle.lab[0]), background: cssLab(puddle.lab) }}
              />
              <div
                role="slider"
                tabIndex={0}
                aria-label={`Wanted for ${name}`}
                aria-valuemin={0}
                aria-valuemax={100}
                aria-valuenow={Math.round(target)}
                aria-valuetext={`L* ${target.toFixed(0)}`}
                aria-orientation="vertical"
                className="absolute inset-x-0 -mt-3 flex h-6 cursor-ns-resize items-center"
                style={{ top: down(target) }}
                onFocus={() => onChoose(puddle.step)}
                onPointerDown={(e) => {
                  const box = e.currentTarget.parentElement?.getBoundingClientRect();
                  if (!box) return;
                  e.currentTarget.setPointerCapture(e.pointerId);
                  dragged.current = { step: puddle.step, box };
                  onChoose(puddle.step);
                }}
                onPointerMove={(e) => {
                  if (dragged.current?.step === puddle.step) move(puddle.step, e.clientY, dragged.current.box);
                }}
                onPointerUp={() => (dragged.current = null)}
                onPointerCancel={() => (dragged.current = null)}
                onKeyDown={(e) => {
                  const by = { ArrowUp: 1, ArrowRight: 1, ArrowDown: -1, ArrowLeft: -1, PageUp: 5, PageDown: -5 }[
                    e.key
                  ];
                  if (by === undefined) return;
                  e.preventDefault();
                  onTarget(puddle.step, kept(target + by));
                }}
              >
                <span className="h-1 flex-1 bg-l10" />
                <MoveVertical size={18} className="shrink-0 rounded-full border-2 border-l10 bg-l97 p-px" aria-hidden />
                <span className="h-1 flex-1 bg-l10" />
              </div>
            </div>
            <button
              type="button"
              className="mx-auto mt-1 block cursor-pointer border-b-4 border-transparent px-3 text-center text-15 font-semibold aria-pressed:border-ink"
              aria-pressed={chosen === puddle.step}
              onClick={() => onChoose(puddle.step)}
            >
              {name}
              {recipe.beyond.includes(puddle.step) && <span title="out of reach"> *</span>}
            </button>
            <Source recipe={recipe} puddle={puddle} labels={labels} tubeColour={tubeColour} />
          </div>
        );
      })}
    </div>
  );
}
