/** A critique as a student reads it: like a letter, what works first, one thing at a time. */
import type { StudentAttempt } from '@/studio/views/my-work';
import { HandInMark } from '../instruments/HandInMark';

interface Props {
  readonly letter: NonNullable<StudentAttempt['letter']>;
  readonly labels: readonly string[];
  readonly attemptId: string;
}

export function Letter({ letter, labels, attemptId }: Props) {
  const works = letter.items.filter((i) => i.kind === 'works');
  const fixes = letter.items.filter((i) => i.kind === 'fix');
  return (
    <article className="font-letter text-18 leading-relaxed">
      {letter.measured && letter.hasStrip && (
        <div className="mb-3 font-sans">
          <HandInMark
            attemptId={attemptId}
            measured={letter.measured}
            labels={labels}
            width={340}
            height={44}
            tall="h-auto"
            alt="Your painting, straightened"
          />
        </div>
      )}
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
