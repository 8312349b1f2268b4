'use client';
/** A hand-in of which nothing was read, or not yet: its photograph, to be judged by eye. */
import { KEYS } from '../critique-keys';
import type { TableProps } from '../table-props';
import { TableFrame } from '../TableFrame';
import { useCritique } from '../use-critique';

export function ByEyeTable(props: TableProps) {
  const critique = useCritique(props);
  const { shown } = props;
  // Of what nothing is measured the straightened picture is the best there is.
  const straightened = (shown?.hasStrip ?? false) && shown?.measured === null;
  const picture = (
    <div className="m-4 grid flex-1 place-items-center">
      {shown?.hasPreview && (
        <img
          src={`/picture/${shown.id}/${straightened ? 'strip' : 'preview'}`}
          alt={straightened ? 'What was painted, straightened, in true greys' : 'The photograph as it came'}
          className="max-h-[80vh] max-w-full"
        />
      )}
    </div>
  );
  return <TableFrame {...props} critique={critique} pictures={picture} keys={KEYS} />;
}
