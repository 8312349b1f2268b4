'use client';
/** Logs a mix that was made by hand and read. */
import { type PaintId, PAINTS } from '@/core/exercise/paints';
import { asParts, HAND_NOISE, type LoggedMix, loggedMixSchema, sayParts } from '@/core/mixing/logged-mix';
import type { Parts } from '@/core/mixing/paint-model';
import { zodResolver } from '@hookform/resolvers/zod';
import { useForm } from 'react-hook-form';
import { Field } from '../parts/fields';

interface Props {
  readonly paints: readonly PaintId[];
  /** The mix that would teach most, and the puddle of the trough that it is, by its name, where it is one. */
  readonly ask: Parts | null;
  readonly askName: string | null;
  readonly log: (mix: LoggedMix) => Promise<{ ok: boolean; say?: string }>;
}

/** An empty field is none; anything else is a number, or told as not one. */
const numberOrNone = (value: unknown) => (value === '' || value === undefined ? undefined : Number(value));
const given = (parts: Parts): Parts => Object.fromEntries(Object.entries(parts).filter(([, n]) => n !== undefined));
const check = zodResolver(loggedMixSchema);
const EMPTY = { parts: {}, a: null, b: null, wet: false, noise: HAND_NOISE };

export function MixForm({ paints, ask, askName, log }: Props) {
  const { register, handleSubmit, setError, setValue, resetField, formState } = useForm<LoggedMix>({
    resolver: (mix, context, options) => check({ ...mix, parts: given(mix.parts) }, context, options),
    defaultValues: EMPTY,
  });
  const { errors, isSubmitting } = formState;
  const ofOne = paints.flatMap((p) => errors.parts?.[p]?.message ?? []);
  const wrong =
    errors.root?.message ??
    errors.parts?.message ??
    errors.parts?.root?.message ??
    ofOne[0] ??
    errors.lightness?.message;
  const send = handleSubmit(async (mix) => {
    const answer = await log(mix);
    if (answer.ok) resetField('lightness');
    else setError('root', { message: answer.say ?? 'The mix was not logged. Try once more.' });
  });
  return (
    <form className="grid content-start gap-2" noValidate onSubmit={(e) => void send(e)}>
      {ask && (
        <p>
          Most is learnt next from{' '}
          <strong>{askName ? `puddle ${askName}, mixed as the trough says` : sayParts(asParts(ask))}</strong>: read its
          dab when it is dry.{' '}
          <button
            type="button"
            className="cursor-pointer underline"
            onClick={() => setValue('parts', asParts(ask), { shouldValidate: formState.isSubmitted })}
          >
            Take it
          </button>
        </p>
      )}
      <fieldset className="grid grid-cols-2 gap-2">
        <legend className="label">Parts by volume</legend>
        {paints.map((p) => (
          <label key={p} className="text-13">
            {PAINTS[p].name}
            <input
              className="field"
              type="number"
              min={0}
              step="any"
              {...register(`parts.${p}`, { setValueAs: numberOrNone })}
            />
          </label>
        ))}
      </fieldset>
      <div className="flex items-end gap-3">
        <Field className="flex-1" label="Lightness read, L*">
          <input
            className="field"
            type="number"
            step="any"
            min={0}
            max={100}
            {...register('lightness', { setValueAs: numberOrNone })}
          />
        </Field>
        <label className="flex min-h-10 items-center gap-2 self-end">
          <input type="checkbox" className="h-5 w-5 shrink-0 accent-ink" {...register('wet')} />
          still wet
        </label>
      </div>
      <button className="act" disabled={isSubmitting}>
        {isSubmitting ? 'Learning …' : 'Log this mix'}
      </button>
      {wrong && (
        <p role="alert" className="trouble">
          {wrong}
        </p>
      )}
    </form>
  );
}
