/** The values that an exercise asks for, as greys in a row; with labels under them where they have names. */
import { cssGrey } from '../parts/grey';

export function ValueStrip({
  values,
  labels = [],
  height = 'h-8',
}: {
  values: readonly number[];
  labels?: readonly string[];
  height?: string;
}) {
  return (
    <span className="flex w-full" aria-hidden={labels.length === 0}>
      {values.map((l, i) => (
        <span key={i} className="flex-1 text-center text-13">
          <span className={`block ${height}`} style={{ background: cssGrey(l) }} />
          {labels[i]}
        </span>
      ))}
    </span>
  );
}
