'use client';
/** The mixing bench of a class: its paints, the trough, one puddle close up, and what else can be asked of the paints. */
import type { MediumId } from '@/core/exercise/media';
import { type NumberingId, stepLabels } from '@/core/exercise/numbering';
import { type PaintId, PAINTS } from '@/core/exercise/paints';
import { USUAL_SHIFT } from '@/core/mixing/dry-shift';
import { FILM_MM } from '@/core/mixing/film';
import { type LoggedMix, sameMix } from '@/core/mixing/logged-mix';
import { coveringLab, type Figures, mixModel, paletteOf } from '@/core/mixing/paint-model';
import { sayBeyond } from '@/core/mixing/recipe-words';
import type { StoredFit } from '@/core/mixing/stored-fit';
import { SURFACE_OF } from '@/core/mixing/surface';
import { MAX_STEPS, MIN_STEPS } from '@/core/sheet/scale-layout';
import { Tabs } from 'radix-ui';
import { useMemo, useOptimistic, useState, useTransition } from 'react';
import type { Answer, Meanwhile } from '../parts/answer';
import { Choice } from '../parts/fields';
import { cssLab } from '../parts/grey';
import { useWriting } from '../parts/use-writing';
import { benchRecipe, evenTargets, type GroundId, GROUNDS } from './bench-state';
import { FewerPaints } from './FewerPaints';
import { LayersPanel } from './LayersPanel';
import { LearnPanel, type LoggedMixRow } from './LearnPanel';
import { NudgeStrip } from './NudgeStrip';
import { PaintSelect } from './PaintSelect';
import { PaletteBar } from './PaletteBar';
import { PaletteClash, type SetPalette } from './PaletteClash';
import { StepCard } from './StepCard';
import { Trough } from './Trough';
import { WaysPanel } from './WaysPanel';

type Answered = Promise<Answer<unknown, unknown>>;

interface Props {
  readonly classes: readonly { readonly id: string; readonly name: string }[];
  readonly classId: string;
  readonly numbering: NumberingId;
  readonly medium: MediumId;
  readonly paints: readonly PaintId[];
  readonly figures: Figures;
  readonly written: number;
  readonly fit: StoredFit | null;
  readonly mixes: readonly LoggedMixRow[];
  readonly firstAsk: StoredFit['ask'];
  readonly log: (mix: LoggedMix) => Answered;
  readonly takeOut: (id: string) => Answered;
  readonly set: (change: Partial<SetPalette>, seen: number) => Promise<Answer<SetPalette, number>>;
}

const GROUND_NAMES = Object.entries(GROUNDS).map(([id, { name }]) => [id as GroundId, name] as const);
/** Neighbouring targets stay this far apart, L*. */
const APART = 1;

const TABS = [
  ['nudge', 'A nudge'],
  ['ways', 'Ways and darks'],
  ['glaze', 'Glaze'],
  ['fewer', 'One paint fewer'],
  ['learnt', 'What was learnt'],
] as const;

export function MixingBench(props: Props) {
  const { medium, fit } = props;
  const [paints, putPaints] = useOptimistic(props.paints);
  const surface = SURFACE_OF[medium];
  const known = useMemo(() => ({ ...props.figures, ...fit?.figures }), [props.figures, fit]);
  const palette = useMemo(() => paletteOf(paints, known), [paints, known]);
  const [light, setLight] = useState<PaintId | null>(null);
  const [dark, setDark] = useState<PaintId | null>(null);
  const [pure, setPure] = useState<PaintId | null>(null);
  const [steps, setSteps] = useState(9);
  const [areaCm2, setArea] = useState(6.4);
  const [ground, setGround] = useState<GroundId>('paper');
  const [chosen, setChosen] = useState(5);
  const [moved, setMoved] = useState<Readonly<Record<number, number>>>({});
  const [trouble, setTrouble] = useState('');
  const [clash, setClash] = useState<(Meanwhile<SetPalette> & { readonly change: Partial<SetPalette> }) | null>(null);
  const [busy, start] = useTransition();

  const on = (id: PaintId | null) => (id && palette.has(id) ? id : null);
  const lightest = on(light) ?? paints.find((p) => PAINTS[p].family === 'white') ?? paints[0] ?? 'titanium-white';
  const darkest =
    on(dark) ?? paints.find((p) => PAINTS[p].family === 'black') ?? paints.find((p) => p !== lightest) ?? 'ivory-black';
  const middle = on(pure) === lightest || on(pure) === darkest ? null : on(pure);
  const choice = useMemo(
    () => ({ medium, light: lightest, dark: darkest, pure: middle, steps, areaCm2, ground }),
    [medium, lightest, darkest, middle, steps, areaCm2, ground],
  );
  const even = useMemo(() => evenTargets(palette, choice), [palette, choice]);
  const targets = useMemo(() => even?.targets.map((t, i) => moved[i + 1] ?? t) ?? [], [even, moved]);
  const recipe = useMemo(
    () => (even ? benchRecipe(palette, choice, targets, even.pureStep) : null),
    [palette, choice, targets, even],
  );
  const labels = useMemo(
    () =>
      targets.length > 1
        ? stepLabels(props.numbering, {
            steps,
            order: 'light-first',
            spacing: 'lightness',
            ends: { light: targets[0] ?? 96, dark: targets.at(-1) ?? 20 },
          })
        : [],
    [props.numbering, steps, targets],
  );
  const step = Math.min(chosen, steps);
  const write = useWriting<SetPalette>(props.written);
  const set = (change: Partial<SetPalette>, over?: number) =>
    start(async () => {
      if (change.paints) putPaints(change.paints);
      const answer = await write((seen) => props.set(change, seen), over);
      setTrouble(answer.ok ? '' : answer.say);
      setClash(answer.ok || !answer.meanwhile ? null : { change, ...answer.meanwhile });
    });
  const tubeColour = (p: PaintId) => cssLab(coveringLab(mixModel(palette, { [p]: 1 }), surface));
  const unsure = fit && !middle && steps === fit.unsure.length ? (fit.unsure[step - 1] ?? null) : null;
  const sureness = fit && fit.unsure.length > 0 ? Math.max(...fit.unsure) : null;
  const reset = () => setMoved({});
  // A puddle lies between its neighbours: out of their order nothing could be mixed for it.
  const moveTarget = (s: number, lightness: number) =>
    setMoved((now) => {
      const of = (k: number) => now[k] ?? even?.targets[k - 1];
      const [most, least] = [of(s - 1) ?? 101, of(s + 1) ?? -1];
      return { ...now, [s]: Math.min(most - APART, Math.max(least + APART, lightness)) };
    });
  const ask = fit ? fit.ask : props.firstAsk;
  const askStep = ask && recipe?.steps.find((s) => sameMix(s.shares, ask))?.step;

  return (
    <div className="grid gap-3 p-3">
      <PaletteBar
        classes={props.classes}
        classId={props.classId}
        medium={medium}
        paints={paints}
        busy={busy}
        choose={(next) => set({ paints: next })}
        colour={tubeColour}
      />
      {trouble && (
        <p role="alert" className="trouble">
          {trouble}
        </p>
      )}
      {clash && (
        <PaletteClash
          mine={{ ...clash.theirs, ...clash.change }}
          theirs={clash.theirs}
          busy={busy}
          keepMine={() => set(clash.change, clash.written)}
          keepTheirs={() => {
            setTrouble('');
            setClash(null);
          }}
        />
      )}
      <div className="grid gap-3 lg:grid-cols-[1fr_21rem]">
        <section className="panel p-3" aria-label="The set">
          <div className="mb-2 flex flex-wrap items-end gap-2 text-13 xl:flex-nowrap">
            <PaintSelect label="Lightest" paints={paints} value={lightest} onChoose={(p) => (setLight(p), reset())} />
            <PaintSelect
              label="Pure colour between"
              paints={paints.filter((p) => p !== lightest && p !== darkest)}
              value={middle}
              none="none: greys"
              onChoose={(p) => (setPure(p), reset())}
            />
            <PaintSelect
              label="Darkest"
              paints={paints.filter((p) => p !== lightest)}
              value={darkest}
              onChoose={(p) => (setDark(p), reset())}
            />
            <label className="w-24 shrink-0">
              <span className="label">Steps: {steps}</span>
              <input
                type="range"
                className="block h-10 w-full accent-ink"
                min={MIN_STEPS}
                max={MAX_STEPS}
                value={steps}
                onChange={(e) => (setSteps(Number(e.target.value)), reset())}
              />
            </label>
            <label className="w-20 shrink-0">
              <span className="label">cm² a step</span>
              <input
                className="field"
                type="number"
                min={0.1}
                max={10_000}
                step="any"
                value={areaCm2}
                onChange={(e) => setArea(Math.min(10_000, Math.max(0.1, Number(e.target.value) || 0.1)))}
              />
            </label>
            <Choice label="Over" value={ground} options={GROUND_NAMES} onChange={setGround} />
            <button type="button" className="calm shrink-0" onClick={reset}>
              Even again
            </button>
          </div>
          {recipe ? (
            <>
              <Trough
                recipe={recipe}
                targets={targets}
                labels={labels}
                chosen={step}
                tubeColour={tubeColour}
                onChoose={setChosen}
                onTarget={moveTarget}
              />
              <p className="quiet mt-2" aria-live="polite">
                {recipe.onTheWay.length > 0 &&
                  `${recipe.onTheWay.length} more ${recipe.onTheWay.length === 1 ? 'grey is' : 'greys are'} mixed on the way. `}
                {sayBeyond(recipe, labels)}
              </p>
            </>
          ) : (
            <p className="trouble">
              {PAINTS[lightest].name}, {middle ? `${PAINTS[middle].name}, ` : ''}
              {PAINTS[darkest].name}: these make no row of values. Choose a lightest that is clearly lighter than the
              darkest{middle ? ', with the colour between them' : ''}.
            </p>
          )}
        </section>
        {recipe && (
          <StepCard
            recipe={recipe}
            step={step}
            labels={labels}
            palette={palette}
            choice={choice}
            shift={fit?.shift ?? USUAL_SHIFT[medium]}
            unsure={unsure}
          />
        )}
      </div>
      <Tabs.Root className="panel p-3" defaultValue="nudge">
        <Tabs.List className="mb-3 flex flex-wrap gap-1 border-b border-l70" aria-label="More from these paints">
          {TABS.map(([id, name]) => (
            <Tabs.Trigger
              key={id}
              value={id}
              className="cursor-pointer rounded-t-sm px-3 py-1.5 data-[state=active]:bg-l97 data-[state=active]:font-semibold"
            >
              {name}
            </Tabs.Trigger>
          ))}
        </Tabs.List>
        <Tabs.Content value="nudge">
          {recipe && !middle ? (
            <NudgeStrip
              step={step}
              targets={targets}
              labels={labels}
              light={lightest}
              dark={darkest}
              models={[mixModel(palette, { [lightest]: 1 }), mixModel(palette, { [darkest]: 1 })]}
              surface={surface}
            />
          ) : (
            <p>A nudge is told between a light and a dark paint: choose no pure colour between.</p>
          )}
        </Tabs.Content>
        <Tabs.Content value="ways">
          <WaysPanel palette={palette} surface={surface} />
        </Tabs.Content>
        <Tabs.Content value="glaze">
          {targets.length > 0 && (
            <LayersPanel palette={palette} surface={surface} targets={targets} labels={labels} film={FILM_MM[medium]} />
          )}
        </Tabs.Content>
        <Tabs.Content value="fewer">
          <FewerPaints palette={palette} surface={surface} />
        </Tabs.Content>
        <Tabs.Content value="learnt">
          <LearnPanel
            paints={paints}
            mixes={props.mixes}
            fit={fit}
            figures={props.figures}
            sureness={sureness}
            ask={ask}
            askName={askStep ? (labels[askStep - 1] ?? null) : null}
            log={props.log}
            takeOut={props.takeOut}
            setFigures={(figures) => set({ figures })}
          />
        </Tabs.Content>
      </Tabs.Root>
    </div>
  );
}
