/** The teacher's own words for the same thing from before, to be taken as they are or as a beginning. */
interface Props {
  readonly phrases: readonly string[];
  /** What stands in the field. */
  readonly now: string;
  readonly use: (phrase: string) => void;
}

export function SaidBefore({ phrases, now, use }: Props) {
  const others = phrases.filter((phrase) => phrase !== now);
  if (others.length === 0) return null;
  return (
    <ul className="mt-1 grid gap-1 text-13" aria-label="Said before">
      {others.map((phrase) => (
        <li key={phrase}>
          <button type="button" className="cursor-pointer text-left underline" onClick={() => use(phrase)}>
            {phrase}
          </button>
        </li>
      ))}
    </ul>
  );
}
