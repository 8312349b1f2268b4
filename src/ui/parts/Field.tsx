/** A labelled field of a form that is sent at once, with what is wrong with it below. */
import { type ReactNode, useId } from 'react';

interface Props {
  readonly label: string;
  /** What is to be put right; nothing while it will do. */
  readonly wrong?: string | undefined;
  readonly className?: string;
  readonly children: ReactNode;
}

export function Field({ label, wrong, className, children }: Props) {
  const id = useId();
  return (
    <div className={className}>
      <label aria-describedby={wrong ? id : undefined}>
        <span className="label">{label}</span>
        {children}
      </label>
      {wrong && (
        <p id={id} role="alert" className="trouble mt-1">
          {wrong}
        </p>
      )}
    </div>
  );
}
