/** A critique as a student reads it: like a letter, what works first, then the one thing to do next, and what can wait after it. */
import { letterParts, VERDICT_WORDS } from '@/core/critique/letter';
import type { LetterItem, StudentAttempt } from '@/studio/views/my-work';
import { HandInMark } from '../instruments/HandInMark';
import { seenOf } from '../instruments/hand-in-seen';
import type { Answer } from '../parts/answer';
import { CorrectionWipe } from './CorrectionWipe';
import { LetterMarks } from './LetterMarks';
import { Reply } from './Reply';

interface Props {
  readonly letter: NonNullable<StudentAttempt['letter']>;
  readonly labels: readonly string[];
  readonly attemptId: string;
  /** What it is painted from, to be looked at; null where there is no picture. */
  readonly reference: string | null;
  readonly reply: (about: string | null, text: string) => Promise<Answer<unknown, unknown>>;
}

const Sentence = ({ item: { say, action } }: { item: LetterItem }) => (
  <>
    <span dir="auto">{say}</span> {action !== null && <span dir="auto">{action}</span>}
  </>
);

/** Numbers stand folded away, each under what it is behind. */
function Numbers({ items }: { items: readonly LetterItem[] }) {
  const measured = items.filter((i) => i.numbers.length > 0);
  if (measured.length === 0) return null;
  return (
    <details className="mb-3 font-sans text-16">
      <summary className="cursor-pointer underline">The numbers behind it</summary>
      {measured.map(({ key, say, numbers }) => (
        <div key={key} className="mt-2">
          <p dir="auto">{say}</p>
          <dl className="grid grid-cols-[1fr_auto] gap-x-3 text-13">
            {numbers.map(({ label, value }) => (
              <div key={label} className="contents">
                <dt>{label}</dt>
                <dd className="text-right tabular-nums">{value}</dd>
              </div>
            ))}
          </dl>
        </div>
      ))}
    </details>
  );
}

export function Letter({ letter, labels, attemptId, reference, reply }: Props) {
  const { works, first, next, later } = letterParts(letter.items, (i) => i.kind);
  // A painting with marks is shown with them; a scale's strip is drawn by what was measured, and says more.
  const isMarked = letter.measured?.kind !== 'scale' && letter.marks.some((m) => m.on === 'painting');
  return (
    <article className="font-letter text-18 leading-relaxed">
      {letter.measured && letter.hasStrip && !isMarked && (
        <div className="mb-3 font-sans">
          <HandInMark
            attemptId={attemptId}
            seen={seenOf(letter.measured, labels)}
            width={340}
            height={44}
            tall="h-auto"
            alt="Your painting, straightened"
          />
        </div>
      )}
      <p className="mb-3 font-semibold">{VERDICT_WORDS[letter.verdict]}</p>
      {works.length > 0 && <p className="mb-3 max-w-prose">{works.map((i) => i.say).join(' ')}</p>}
      <LetterMarks
        marks={letter.marks}
        items={letter.items}
        pictures={{
          painting: {
            src: `/picture/${attemptId}/${letter.hasStrip ? 'strip' : 'preview'}`,
            alt: 'Your painting, with your teacher’s marks',
          },
          reference: reference === null ? null : { src: reference, alt: 'What it is painted from, with marks' },
        }}
      />
      {first && (
        <div className="mb-3 max-w-prose border-l-4 border-ink pl-3">
          <h3 className="label font-sans">First of all</h3>
          <p>
            <Sentence item={first} />
          </p>
        </div>
      )}
      {letter.correction && <CorrectionWipe correction={letter.correction} />}
      {next.length > 0 && (
        <>
          <h3 className="label font-sans">When that is done</h3>
          <ol className="mb-3 max-w-prose list-decimal space-y-2 pl-6">
            {next.map((item) => (
              <li key={item.key}>
                <Sentence item={item} />
              </li>
            ))}
          </ol>
        </>
      )}
      {later.length > 0 && (
        <details className="mb-3 max-w-prose">
          <summary className="cursor-pointer font-sans text-16 underline">And {later.length} smaller things</summary>
          {later.map((item) => (
            <p key={item.key} className="mt-2">
              <Sentence item={item} />
            </p>
          ))}
        </details>
      )}
      {letter.word && (
        <p className="mb-3 max-w-prose whitespace-pre-wrap" dir="auto">
          {letter.word}
        </p>
      )}
      <Numbers items={letter.items} />
      <p className="mb-3 font-sans text-16">
        This letter to print:{' '}
        <a className="underline" href={`/letter/${attemptId}?paper=a4`}>
          A4
        </a>
        {' or '}
        <a className="underline" href={`/letter/${attemptId}?paper=letter`}>
          US Letter
        </a>
      </p>
      <Reply items={letter.items} reply={letter.reply} send={reply} />
    </article>
  );
}
