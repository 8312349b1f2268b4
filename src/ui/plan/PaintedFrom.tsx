'use client';
/** What an exercise is painted from: one of the prepared pictures, one of the set-ups, or nothing that is kept here. */
import { Choice } from '../parts/fields';

type Kept = readonly { readonly id: string; readonly title: string }[];

/** Empty for none. */
interface Chosen {
  readonly referenceId: string;
  readonly setUpId: string;
}

interface Props {
  readonly references: Kept;
  readonly setUps: Kept;
  readonly form: Chosen;
  readonly put: (change: Chosen) => void;
}

const LIFE = 'set-up ';

export function PaintedFrom({ references, setUps, form: { referenceId, setUpId }, put }: Props) {
  return (
    <Choice
      label="Painted from"
      value={setUpId ? LIFE + setUpId : referenceId}
      options={[
        ['', 'another picture or set-up'],
        ...references.map((r) => [r.id, r.title] as const),
        ...setUps.map((s) => [LIFE + s.id, `from life: ${s.title}`] as const),
      ]}
      onChange={(chosen: string) =>
        put(
          chosen.startsWith(LIFE)
            ? { referenceId: '', setUpId: chosen.slice(LIFE.length) }
            : { referenceId: chosen, setUpId: '' },
        )
      }
    />
  );
}
