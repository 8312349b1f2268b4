/** A critique as a student reads it: like a letter, what works first, one thing at a time. */
import type { StudentAttempt } from '@/studio/views';
import { Strip } from '../instruments/Strip';
import { stripCells } from '../instruments/strip-cells';

interface Props {
  readonly letter: NonNullable<StudentAttempt['letter']>;
  readonly labels: readonly string[];
  /** The straightened painting, for what has no strip of steps; null for none. */
  readonly picture: string | null;
}

export function Letter({ letter, labels, picture }: Props) {
  const works = letter.items.filter((i) => i.kind === 'works');
  const fixes = letter.items.filter((i) => i.kind === 'fix');
  return (
    <article className="font-letter text-18 leading-relaxed">
      {letter.result && letter.result.steps.length > 0 && (
        <div className="mb-3 font-sans">
          <Strip cells={stripCells(letter.result, labels)} width={340} height={44} />
        </div>
      )}
      {picture && <img src={picture} alt="Your painting, straightened" className="mb-3 w-full" />}
      <p className="mb-3 font-semibold">{letter.verdict === 'pass' ? 'Passed.' : 'Once more, please.'}</p>
      {works.length > 0 && <p className="mb-3 max-w-prose">{works.map((i) => i.say).join(' ')}</p>}
      {fixes.map((i, k) => (
        <p key={k} className="mb-3 max-w-prose">
          {i.say} {i.action}
        </p>
      ))}
      {letter.word && <p className="max-w-prose whitespace-pre-wrap">{letter.word}</p>}
    </article>
  );
}
