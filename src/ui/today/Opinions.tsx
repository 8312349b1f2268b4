/** What other teachers ask, and what they think of what they were asked about. */
import Link from 'next/link';

interface Props {
  readonly asked: readonly {
    readonly id: string;
    readonly asker: string;
    readonly title: string;
    readonly question: string;
  }[];
  readonly answers: readonly {
    readonly id: string;
    readonly by: string;
    readonly student: string;
    readonly title: string;
    readonly word: string | null;
    readonly handInId: string;
    readonly attemptId: string;
  }[];
}

export function Opinions({ asked, answers }: Props) {
  return (
    <section className="panel" aria-labelledby="opinions">
      <h2 id="opinions" className="mb-3 text-18 font-semibold">
        Second opinions
      </h2>
      <ul className="grid gap-2">
        {asked.map(({ id, asker, title, question }) => (
          <li key={id}>
            <Link href={`/asked/${id}`} className="block rounded-sm bg-l97 p-3 hover:bg-l88">
              <span className="font-semibold">{asker}</span> asks what you think
              <span className="quiet"> · {title}</span>
              <span className="line-clamp-2 font-letter" dir="auto">
                {question}
              </span>
            </Link>
          </li>
        ))}
        {answers.map(({ id, by, student, title, word, handInId, attemptId }) => (
          <li key={id}>
            <Link href={`/table/${handInId}?attempt=${attemptId}`} className="block rounded-sm bg-l97 p-3 hover:bg-l88">
              <span className="font-semibold">{by}</span> on {student}
              <span className="quiet"> · {title}</span>
              <span className="line-clamp-2 font-letter" dir="auto">
                {word}
              </span>
            </Link>
          </li>
        ))}
      </ul>
    </section>
  );
}
