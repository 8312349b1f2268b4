/** What stands between the teacher and a reading: the student's word with a refused picture, why it was refused, what is still under way or failed. */
import type { AttemptView } from '@/studio/views/attempt';

interface Props {
  readonly shown: AttemptView;
  readonly again: () => void;
}

export function AttemptTrouble({ shown, again }: Props) {
  const refused = shown.measured && !shown.measured.result.capture.accepted ? shown.measured.result : null;
  return (
    <>
      {shown.plea && <blockquote className="border-l-4 border-l50 pl-2 font-letter">“{shown.plea}”</blockquote>}
      {refused && (
        <div className="trouble">
          <p className="font-semibold">The picture was refused</p>
          {refused.capture.issues.map((i) => (
            <p key={i.code + (i.box ? String(i.box.x) : '')}>{i.say}</p>
          ))}
        </div>
      )}
      {(shown.state === 'queued' || shown.state === 'measuring') && (
        <p role="status" className="trouble">
          It is being measured …
        </p>
      )}
      {shown.state === 'failed' && (
        <div className="trouble">
          <p>{shown.trouble}</p>
          <button type="button" className="calm mt-2" onClick={again}>
            Try again
          </button>
        </div>
      )}
    </>
  );
}
