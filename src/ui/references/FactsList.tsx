/** What a picture's values are, in few words. */
import type { ReferenceFacts } from '@/core/reference/facts';

interface Props {
  readonly facts: ReferenceFacts;
  readonly lit: number | null;
}

const KEY_WORDS: Record<ReferenceFacts['key'], string> = {
  high: 'it sits high',
  middle: 'it keeps to the middle',
  low: 'it sits low',
  full: 'it uses the whole range',
};
const percent = (v: number) => `${Math.round(100 * v)} %`;

export function FactsList({ facts, lit }: Props) {
  const [light, middle, dark] = facts.thirds;
  return (
    <dl className="grid grid-cols-[5.5rem_1fr] gap-x-2 gap-y-0.5 text-13">
      <dt>Range</dt>
      <dd>
        L* {facts.p5.toFixed(0)} to {facts.p95.toFixed(0)}; {KEY_WORDS[facts.key]}
      </dd>
      <dt>Thirds</dt>
      <dd>
        light {percent(light)}, middle {percent(middle)}, dark {percent(dark)}
      </dd>
      <dt>Shapes</dt>
      <dd>
        {facts.shapes.large} large, {facts.shapes.middle} middling, {facts.shapes.small} small
      </dd>
      {lit !== null && (
        <>
          <dt>By its map</dt>
          <dd>
            {lit > 0.5 ? 'more light than shadow' : 'more shadow than light'}: {percent(lit)} in the light
          </dd>
        </>
      )}
      <dt>Contrast</dt>
      <dd>
        largest, {facts.contrast.step.toFixed(0)} L*,{' '}
        {facts.contrast.x < 0.4 ? 'left' : facts.contrast.x > 0.6 ? 'right' : 'in the middle'},{' '}
        {facts.contrast.y < 0.4 ? 'high up' : facts.contrast.y > 0.6 ? 'low down' : 'half way up'}
      </dd>
    </dl>
  );
}
