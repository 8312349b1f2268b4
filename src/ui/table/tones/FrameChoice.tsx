/** A frame that was painted round a picture, offered as its dark end. */
import type { NotanResult } from '@/core/notan/result';

interface Props {
  readonly frame: NonNullable<NotanResult['frame']>;
  readonly frozen: boolean;
  readonly busy: boolean;
  readonly choose: (frameIsDark: boolean) => void;
}

export function FrameChoice({ frame: { lightness, isDarkEnd }, frozen, busy, choose }: Props) {
  return (
    <div className="rounded-sm bg-l97 p-2 text-13">
      <p>
        A frame was painted round it, L* {lightness.toFixed(0)}, and is left out.{' '}
        {isDarkEnd
          ? 'It stands for the dark end: every tone is judged against it.'
          : 'It may stand for the dark end, the darkest that this paint was made to go.'}
      </p>
      {!frozen && (
        <button type="button" className="calm mt-1" disabled={busy} onClick={() => choose(!isDarkEnd)}>
          {isDarkEnd ? 'Judge by the exercise’s dark end again' : 'Take the frame as the dark end'}
        </button>
      )}
    </div>
  );
}
