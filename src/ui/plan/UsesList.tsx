/** Exercises that are painted from a picture or a set-up; where there are none, how it is taken away. */
import Link from 'next/link';

interface Props {
  readonly uses: readonly { readonly id: string; readonly title: string; readonly className: string }[];
  /** What it is: picture, set-up. */
  readonly what: string;
  readonly gone: string;
  readonly busy?: boolean;
  readonly drop: () => void;
}

export function UsesList({ uses, what, gone, busy, drop }: Props) {
  return (
    <>
      <div>
        <h2 className="label">Painted from it</h2>
        {uses.length === 0 ? (
          <p className="quiet">
            No exercise yet.{' '}
            <Link href="/plan/new" className="underline">
              Set one
            </Link>{' '}
            and choose this {what}.
          </p>
        ) : (
          <ul>
            {uses.map((u) => (
              <li key={u.id}>
                <Link href={`/plan/${u.id}`} className="underline">
                  {u.title}
                </Link>
                , {u.className}
              </li>
            ))}
          </ul>
        )}
      </div>
      {uses.length === 0 && (
        <details>
          <summary className="min-h-8 cursor-pointer text-13">Take this {what} away</summary>
          <p className="quiet">{gone}</p>
          <button type="button" className="calm mt-1" disabled={busy} onClick={drop}>
            Delete it
          </button>
        </details>
      )}
    </>
  );
}
