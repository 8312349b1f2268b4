'use client';
/** Takes a photograph or a file, sends it, and says at once whether it will do. */
import { useRouter } from 'next/navigation';
import { useRef, useState } from 'react';

interface Props {
  readonly exerciseId: string;
  readonly practice: boolean;
  readonly again: boolean;
}

const MAX_BYTES = 40 * 1024 * 1024;

function send(url: string, body: FormData | null, onShare: (share: number) => void): Promise<{ attemptId?: string; say?: string }> {
  return new Promise((resolve) => {
    const request = new XMLHttpRequest();
    request.open('POST', url);
    request.upload.onprogress = (e) => onShare(e.total > 0 ? e.loaded / e.total : 0);
    request.onload = () => {
      try {
        resolve(JSON.parse(request.responseText) as { attemptId?: string; say?: string });
      } catch {
        resolve({ say: 'The studio did not answer as it should. Nothing was lost; try once more.' });
      }
    };
    request.onerror = () => resolve({ say: 'The picture did not get through. Look at your connection and try once more.' });
    request.send(body);
  });
}

export function HandInPhoto({ exerciseId, practice, again }: Props) {
  const router = useRouter();
  const input = useRef<HTMLInputElement>(null);
  const [doing, setDoing] = useState('');
  const [trouble, setTrouble] = useState('');

  async function hand(url: string, body: FormData | null, words: string) {
    setTrouble('');
    setDoing(words);
    const answer = await send(url, body, (share) => body && setDoing(`Sending ${Math.round(100 * share)} %`));
    setDoing('');
    if (answer.say) setTrouble(answer.say);
    else router.refresh();
    if (input.current) input.current.value = '';
  }

  return (
    <div>
      <input
        ref={input}
        type="file"
        accept="image/jpeg,image/png,image/webp"
        className="sr-only"
        aria-label="Photograph of the sheet"
        onChange={(e) => {
          const file = e.target.files?.[0];
          if (!file) return;
          if (file.size > MAX_BYTES) return setTrouble('This file is larger than 40 MB: send the photograph as the phone took it.');
          const body = new FormData();
          body.append('photo', file);
          void hand(`/hand-in/${exerciseId}`, body, 'Sending …');
        }}
      />
      <button type="button" className="act w-full text-18" disabled={doing !== ''} onClick={() => input.current?.click()}>
        {doing || (again ? 'Hand in again: photograph or file' : 'Hand in: photograph or file')}
      </button>
      {practice && (
        <button
          type="button"
          className="calm mt-2 w-full"
          disabled={doing !== ''}
          onClick={() => void hand(`/practice/${exerciseId}`, null, 'The practice camera is printing, painting and photographing …')}
        >
          Photograph this sheet with the studio’s practice camera
        </button>
      )}
      {trouble && (
        <p role="alert" className="trouble mt-2">
          {trouble}
        </p>
      )}
    </div>
  );
}
