/** What students answered to their letters, or asked. */
import Link from 'next/link';

interface Props {
  readonly replies: readonly {
    readonly attemptId: string;
    readonly handInId: string;
    readonly student: string;
    readonly title: string;
    readonly text: string;
    readonly isQuestion: boolean;
  }[];
}

export function Replies({ replies }: Props) {
  return (
    <section className="panel" aria-labelledby="replies">
      <h2 id="replies" className="mb-3 text-18 font-semibold">
        Written to you
      </h2>
      <ul className="grid gap-2">
        {replies.map(({ attemptId, handInId, student, title, text, isQuestion }) => (
          <li key={attemptId}>
            <Link href={`/table/${handInId}?attempt=${attemptId}`} className="block rounded-sm bg-l97 p-3 hover:bg-l88">
              <span className="font-semibold">{student}</span> {isQuestion ? 'asks' : 'answers'}
              <span className="quiet"> · {title}</span>
              <span className="line-clamp-2 font-letter" dir="auto">
                {text}
              </span>
            </Link>
          </li>
        ))}
      </ul>
    </section>
  );
}
