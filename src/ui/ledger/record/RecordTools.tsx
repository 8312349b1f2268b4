'use client';
/** What the record shows: which figure, whom beside the class, and the steps of which scale. */
import { useRouter } from 'next/navigation';
import { Choice } from '../../parts/fields';

interface Props {
  readonly address: string;
  readonly figure: string;
  readonly figures: readonly (readonly [string, string])[];
  readonly student: string;
  readonly students: readonly (readonly [string, string])[];
  readonly scale: string;
  readonly scales: readonly (readonly [string, string])[];
}

export function RecordTools({ address, figure, figures, student, students, scale, scales }: Props) {
  const router = useRouter();
  const show = (change: Record<string, string>) => {
    const asked = new URLSearchParams({ figure, student, exercise: scale, ...change });
    router.replace(`${address}?${asked}`, { scroll: false });
  };
  return (
    <div className="grid gap-3 sm:grid-cols-3">
      <Choice label="Figure" value={figure} options={figures} onChange={(v) => show({ figure: v })} />
      <Choice
        label="Beside the class"
        value={student}
        options={[['', 'nobody'], ...students]}
        onChange={(v) => show({ student: v })}
      />
      {scales.length > 0 && (
        <Choice label="Steps of" value={scale} options={scales} onChange={(v) => show({ exercise: v })} />
      )}
    </div>
  );
}
