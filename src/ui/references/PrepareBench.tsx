'use client';
/** The bench on which a picture is prepared: two views of it side by side, what can be done at the right, its lightnesses below. */
import type { Preparation } from '@/core/reference/preparation';
import type { BenchView } from '@/workers/browser/bench-protocol';
import dynamic from 'next/dynamic';
import { useEffect, useState } from 'react';
import { MarkCorners } from '../hand-in/MarkCorners';
import type { Answer } from '../parts/answer';
import { useKeys } from '../parts/use-keys';
import { BesidePanel } from './BesidePanel';
import { FactsList } from './FactsList';
import { FilesPanel } from './FilesPanel';
import { FramePanel } from './FramePanel';
import { Guides } from './Guides';
import { GuidesPanel } from './GuidesPanel';
import { KeepButton } from './KeepButton';
import { LightPanel, type Tool } from './LightPanel';
import { PictureFigure } from './PictureFigure';
import { ShapePanel, type ShapeTool } from './ShapePanel';
import { ShapePointer } from './ShapePointer';
import { TonesBelow } from './TonesBelow';
import { type Keep, useKeeping } from './use-keeping';
import { useNamedShapes } from './use-named-shapes';
import { useReferenceBench } from './use-reference-bench';
import { ValuesPanel } from './ValuesPanel';

/** The drawing surface knows no server. */
const BrushSurface = dynamic(() => import('./BrushSurface'), { ssr: false });

interface Props {
  readonly referenceId: string;
  readonly title: string;
  /** Width over height of the picture as it came. */
  readonly own: number;
  readonly start: Preparation;
  readonly revision: number;
  readonly classes: readonly { readonly id: string; readonly name: string }[];
  readonly uses: readonly { readonly id: string; readonly title: string; readonly className: string }[];
  readonly others: readonly { readonly id: string; readonly title: string }[];
  readonly keep: Keep<Preparation>;
  readonly drop: () => Promise<Answer>;
}

const STAGES = [
  ['frame', 'Frame'],
  ['values', 'Values'],
  ['light', 'Light and shadow'],
  ['shapes', 'Shapes'],
  ['files', 'Sheets and files'],
] as const;
type Stage = (typeof STAGES)[number][0];
const VIEWS: Record<Exclude<Stage, 'values'>, readonly [BenchView, BenchView]> = {
  frame: ['grey', 'colour'],
  light: ['colour', 'light'],
  shapes: ['tones', 'shapes'],
  files: ['mapped', 'tones'],
};
const CAPTIONS: Record<BenchView, string> = {
  colour: 'as it is',
  grey: 'grey, by lightness',
  'luma-601': 'grey by 601',
  'luma-709': 'grey by 709',
  squint: 'squinted',
  mapped: 'as paint reaches it',
  tones: 'in its tones',
  light: 'what the light reaches',
  shapes: 'its shapes',
};
const NO_GUIDES = { thirds: false, halves: false, diagonals: false, contrast: false };

export function PrepareBench({ referenceId, title, own, start, revision, classes, uses, others, keep, drop }: Props) {
  const keeping = useKeeping(start, revision, keep);
  const { own: preparation, setOwn: setPreparation, unkept } = keeping;
  const [moving, setMoving] = useState(false);
  const [stage, setStage] = useState<Stage>('values');
  const [slant, setSlant] = useState(0);
  const [sides, setSides] = useState<readonly [BenchView, BenchView]>(['colour', 'tones']);
  const [guides, setGuides] = useState(NO_GUIDES);
  const [tool, setTool] = useState<Tool>('shadow');
  const [brush, setBrush] = useState(0.03);
  const [shapeTool, setShapeTool] = useState<ShapeTool>('pick');
  const [picked, setPicked] = useState<{ shape: number; x: number; y: number } | null>(null);
  const bench = useReferenceBench(`/reference/${referenceId}/working`);
  const { answer, show, shapeAt } = bench;
  const [left, right] = stage === 'values' ? sides : VIEWS[stage];

  useEffect(() => {
    // What is dissolved and smoothed follows once the finger rests.
    show({ preparation, left, right, moving, details: false, picked: picked?.shape ?? null });
  }, [show, preparation, left, right, moving, picked]);

  const set = (change: Partial<Preparation>, whileMoving = false) => {
    setMoving(whileMoving);
    if (Object.keys(change).length > 0) setPreparation((p) => ({ ...p, ...change }));
  };
  const takeBack = () => {
    const { light, shapes } = preparation;
    if (stage === 'light') set({ light: { ...light, edits: light.edits.slice(0, -1) } });
    if (stage === 'shapes') set({ shapes: { ...shapes, edits: shapes.edits.slice(0, -1) } });
  };
  useKeys({ b: takeBack, k: keeping.save });

  const named = useNamedShapes(preparation.shapes.named, bench);

  const editLight = (edit: Preparation['light']['edits'][number]) =>
    set({ light: { ...preparation.light, edits: [...preparation.light.edits, edit] } });
  const editShapes = (edit: Preparation['shapes']['edits'][number]) =>
    set({ shapes: { ...preparation.shapes, edits: [...preparation.shapes.edits, edit] } });
  const pickShape = async ({ x, y }: { x: number; y: number }) => {
    const shape = await shapeAt(x, y);
    if (shapeTool === 'merge' && picked) {
      editShapes({ kind: 'merge', a: { x: picked.x, y: picked.y }, b: { x, y } });
      setShapeTool('pick');
    } else setPicked({ shape, x, y });
  };
  const turnShape = async (x: number, y: number) => {
    const shape = await shapeAt(x, y);
    const lit = answer?.shapes.find((s) => s.shape === shape)?.lit ?? false;
    editLight({ kind: 'shape', to: lit ? 'shadow' : 'light', x, y });
  };
  const begin = () => {
    const { squint, dissolve, smooth, shapes } = preparation;
    const lines = preparation.school === 'threshold' || preparation.tones > 2 ? (answer?.thresholds ?? []) : [];
    // By light and shadow with two tones there is no line: four tones of the picture's own make shapes that can be told apart.
    const thresholds = lines.length > 0 ? [...lines] : [25, 50, 75];
    set({ shapes: { cut: { squint, dissolve, smooth, thresholds }, edits: [], named: shapes.named } });
    setPicked(null);
  };

  const framing = stage === 'frame';
  const shown = {
    // The lightnesses of the picture stand below it.
    taken: stage === 'values' ? 330 : 150,
    frames: bench.frames,
    exact: answer?.exact ?? '',
    milliseconds: answer?.milliseconds ?? '',
  } as const;
  const say = bench.trouble || answer?.trouble || keeping.trouble;
  const proportion = answer && answer.height > 1 ? answer.width / answer.height : preparation.proportion;
  return (
    <div className="grid lg:h-[calc(100vh-44px)] lg:min-h-[640px] lg:grid-cols-[minmax(0,1fr)_20rem]">
      <section className="flex min-h-0 min-w-0 flex-col gap-2 p-3" aria-label="Pictures">
        <div className="grid min-h-0 flex-1 grid-cols-2 gap-3">
          <PictureFigure
            {...shown}
            canvas={bench.left}
            hidden={framing}
            caption={framing ? 'the picture as it came' : CAPTIONS[left]}
            proportion={framing ? own : proportion}
          >
            {framing ? (
              <MarkCorners
                source={`/reference/${referenceId}/working`}
                alt="The picture as it came"
                marks={preparation.corners}
                onChange={(marks) => set({ corners: [...marks] as unknown as Preparation['corners'] })}
              />
            ) : (
              <Guides
                choice={{ ...guides, grid: preparation.grid }}
                proportion={proportion}
                contrast={answer?.facts?.contrast ?? null}
              />
            )}
          </PictureFigure>
          <PictureFigure
            {...shown}
            canvas={bench.right}
            hidden={false}
            caption={CAPTIONS[right]}
            proportion={proportion}
          >
            {stage === 'light' && (
              <BrushSurface
                wholeShapes={tool === 'whole-shape'}
                colour={tool === 'light' ? '#ebebeb' : '#262626'}
                brush={brush}
                onStroke={(stroke) => tool !== 'whole-shape' && editLight({ kind: 'stroke', to: tool, ...stroke })}
                onShape={(x, y) => void turnShape(x, y)}
              />
            )}
            {stage === 'shapes' && (
              <ShapePointer
                lines={shapeTool === 'split'}
                names={preparation.shapes.named}
                onPress={(at) => void pickShape(at)}
                onLine={(from, to) => editShapes({ kind: 'split', from, to })}
              />
            )}
          </PictureFigure>
        </div>
        {stage === 'values' && answer && answer.histogram.length > 0 && (
          <TonesBelow preparation={preparation} answer={answer} set={set} />
        )}
      </section>
      <aside className="flex min-h-0 flex-col gap-3 overflow-y-auto bg-l93 p-3" aria-label="Preparing">
        <div>
          <h1 className="truncate text-18 font-semibold">{title}</h1>
          <nav aria-label="Stages of preparing" className="mt-1 flex flex-wrap gap-1">
            {STAGES.map(([id, words]) => (
              <button
                key={id}
                type="button"
                aria-pressed={stage === id}
                className="choice min-h-8 text-13"
                onClick={() => setStage(id)}
              >
                {words}
              </button>
            ))}
          </nav>
        </div>
        {say && (
          <p role="alert" className="trouble">
            {say}
          </p>
        )}
        {!answer && !bench.trouble && <p role="status">Opening the picture …</p>}
        {stage === 'frame' && (
          <FramePanel preparation={preparation} own={own} slant={slant} onSlant={setSlant} set={set} />
        )}
        {stage === 'values' && (
          <ValuesPanel
            preparation={preparation}
            left={sides[0]}
            right={sides[1]}
            onLeft={(v) => setSides([v, sides[1]])}
            onRight={(v) => setSides([sides[0], v])}
            set={set}
          />
        )}
        {stage === 'light' && (
          <LightPanel
            preparation={preparation}
            answer={answer}
            tool={tool}
            brush={brush}
            names={new Map([...named].map(([k, n]) => [k, n.name]))}
            onTool={setTool}
            onBrush={setBrush}
            set={set}
          />
        )}
        {stage === 'shapes' && (
          <ShapePanel
            preparation={preparation}
            answer={answer}
            picked={picked}
            named={named}
            tool={shapeTool}
            onTool={setShapeTool}
            onPick={setPicked}
            begin={begin}
            set={set}
          />
        )}
        {stage === 'files' && (
          <FilesPanel
            referenceId={referenceId}
            classes={classes}
            uses={uses}
            unkept={unkept}
            drop={() => keeping.ask(drop)}
          />
        )}
        {stage !== 'frame' && stage !== 'files' && (
          <details>
            <summary className="min-h-8 cursor-pointer text-13 font-semibold">
              Guides, facts, and pictures beside it
            </summary>
            <GuidesPanel guides={guides} setGuides={setGuides} grid={preparation.grid} set={set} />
            {answer?.facts && <FactsList facts={answer.facts} lit={answer.lit} />}
            <BesidePanel exemplars={preparation.exemplars} others={others} set={set} />
          </details>
        )}
        <div className="sticky -bottom-3 -mx-3 -mb-3 mt-auto bg-l93 p-3">
          <KeepButton {...keeping} />
        </div>
      </aside>
    </div>
  );
}
