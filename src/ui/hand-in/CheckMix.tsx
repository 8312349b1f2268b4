'use client';
/** Photograph a dab and hear at once what to add; what was checked before shows as a walk towards the step. */
import type { Nudge } from '@/core/mixing/nudge';
import { sayNudge } from '@/core/mixing/nudge-words';
import type { DabVerdict } from '@/core/mixing/verdict';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { Tick } from '../parts/fields';
import { FilePick } from '../parts/FilePick';
import { cssGrey } from '../parts/grey';
import { Walk, type WalkStep } from '../parts/Walk';
import { PICTURE_TYPES, sendPhoto } from './send-photo';

interface Props {
  readonly exerciseId: string;
  readonly labels: readonly string[];
  readonly names: { readonly light: string; readonly dark: string };
  readonly walk: readonly WalkStep[];
  readonly practice: boolean;
}

interface Answer extends WalkStep {
  readonly wet: boolean;
  readonly nudge: Nudge;
  readonly verdict: DabVerdict;
  readonly notLearnt: string | null;
}

const VERDICTS: Partial<Record<DabVerdict, string>> = {
  'too-thin': 'It looks like the right mix laid too thin: lay it thicker before you change it.',
  'too-thin-or-wrong': 'If the paper shines through, it is only too thin: lay it thicker and look again.',
};

export function CheckMix({ exerciseId, labels, names, walk, practice }: Props) {
  const router = useRouter();
  const [step, setStep] = useState(1);
  const [wet, setWet] = useState(false);
  const [recipe, setRecipe] = useState(false);
  const [doing, setDoing] = useState('');
  const [told, setTold] = useState<Answer | null>(null);
  const [trouble, setTrouble] = useState('');
  const name = labels[step - 1] ?? String(step);
  const own = walk.filter((c) => c.step === step);

  async function check(file: File | null) {
    setTrouble('');
    setTold(null);
    setDoing(file ? 'Reading the dab …' : 'The practice camera is painting a dab and photographing …');
    const query = new URLSearchParams({
      step: String(step),
      wet: wet ? 'yes' : 'no',
      recipe: recipe ? 'yes' : 'no',
      practice: file ? 'no' : 'yes',
    });
    const answer = await sendPhoto<Answer>(`/check/${exerciseId}?${query}`, file);
    if (answer.say) setTrouble(answer.say);
    else {
      setTold(answer as Answer);
      router.refresh();
    }
    setDoing('');
  }

  return (
    <div className="grid gap-3">
      <div className="flex gap-3">
        <label className="flex-1">
          <span className="label">The dab of step</span>
          <select
            className="field"
            value={step}
            onChange={(e) => {
              setStep(Number(e.target.value));
              setTold(null);
            }}
          >
            {labels.map((label, i) => (
              <option key={i} value={i + 1}>
                {label}
              </option>
            ))}
          </select>
        </label>
        <Tick label="still wet" checked={wet} onChange={setWet} />
      </div>
      <Tick label="mixed just as the recipe says" checked={recipe} onChange={setRecipe} />
      <FilePick
        label="Photograph of the dab"
        words={doing || `Photograph the sheet and check dab ${name}`}
        accept={PICTURE_TYPES}
        look="calm"
        disabled={doing !== ''}
        onFile={(file) => void check(file)}
      />
      {practice && (
        <button type="button" className="calm w-full" disabled={doing !== ''} onClick={() => void check(null)}>
          Check a dab with the studio’s practice camera
        </button>
      )}
      <div aria-live="polite">
        {told && (
          <div className="flex gap-3 bg-l97 p-3">
            <span className="flex h-16 w-24 shrink-0" aria-hidden>
              <span className="flex-1" style={{ background: cssGrey(told.lightness) }} />
              <span className="flex-1" style={{ background: cssGrey(told.target) }} />
            </span>
            <p>
              <strong>
                {sayNudge(told.nudge, {
                  step: name,
                  ...names,
                  other: told.nudge.useFor === null ? null : (labels[told.nudge.useFor - 1] ?? null),
                  labels,
                })}
              </strong>
              {told.nudge.add === 'dark' && VERDICTS[told.verdict] && (
                <span className="block">{VERDICTS[told.verdict]}</span>
              )}
              {told.notLearnt && <span className="block">{told.notLearnt}</span>}
              <span className="quiet block">
                It is L* {told.lightness.toFixed(0)}
                {told.wet ? ' once dry' : ''}, wanted {told.target.toFixed(0)}.
              </span>
            </p>
          </div>
        )}
      </div>
      {trouble && (
        <p role="alert" className="trouble">
          {trouble}
        </p>
      )}
      {own.length > 0 && <Walk checks={own} name={name} />}
    </div>
  );
}
