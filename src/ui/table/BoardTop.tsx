'use client';
/** Above boards that are only looked at: squinting, and back to the Table. */
import { HoldButton, type useHold } from '../instruments/HoldButton';
import { SquintFilter } from './PaintingView';

export function BoardTop({
  squint,
  leave,
}: {
  readonly squint: ReturnType<typeof useHold>;
  readonly leave: () => void;
}) {
  return (
    <>
      <SquintFilter />
      <div className="flex flex-wrap gap-2">
        <span className="flex w-48">
          <HoldButton label="Squint" keyName="s" hold={squint} />
        </span>
        <button type="button" autoFocus className="calm bg-l97" onClick={leave}>
          Done <kbd>Esc</kbd>
        </button>
      </div>
    </>
  );
}
