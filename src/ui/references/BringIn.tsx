'use client';
/** Brings a picture in, with where it is from and who may use it. */
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { PICTURE_TYPES, sendPhoto } from '../hand-in/send-photo';

const words = (value: FormDataEntryValue | null) => (typeof value === 'string' ? value : '');

export function BringIn() {
  const router = useRouter();
  const [doing, setDoing] = useState('');
  const [trouble, setTrouble] = useState('');
  return (
    <form
      className="grid gap-3"
      onSubmit={(e) => {
        e.preventDefault();
        const form = new FormData(e.currentTarget);
        const file = form.get('picture');
        if (!(file instanceof File) || file.size === 0) return setTrouble('Choose a picture first.');
        const said = new URLSearchParams(['title', 'source', 'licence', 'note'].map((k) => [k, words(form.get(k))]));
        setTrouble('');
        setDoing('Sending …');
        void sendPhoto<{ id: string }>(`/bring-in?${said}`, file, (share) =>
          setDoing(share < 1 ? `Sending ${Math.round(100 * share)} %` : 'Opening it; a moment …'),
        ).then((answer) => {
          setDoing('');
          if (answer.id) router.push(`/references/${answer.id}`);
          else setTrouble(answer.say ?? 'The picture was not taken in. Try once more.');
        });
      }}
    >
      <label>
        <span className="label">Picture</span>
        <input className="field" type="file" name="picture" accept={PICTURE_TYPES} required />
      </label>
      <label>
        <span className="label">What it is called</span>
        <input className="field" name="title" maxLength={80} required />
      </label>
      <label>
        <span className="label">Where it is from</span>
        <input className="field" name="source" maxLength={200} required placeholder="my own photograph" />
      </label>
      <label>
        <span className="label">Who may use it</span>
        <input className="field" name="licence" maxLength={200} required placeholder="this class only" />
      </label>
      <label>
        <span className="label">A note</span>
        <input className="field" name="note" maxLength={500} />
      </label>
      {trouble && (
        <p role="alert" className="trouble">
          {trouble}
        </p>
      )}
      <button className="act" disabled={doing !== ''}>
        {doing || 'Bring it in'}
      </button>
      <p className="quiet">
        JPEG, PNG, WebP, AVIF, TIFF or HEIC. Where it was taken is removed; who may use it is printed on its sheets.
      </p>
    </form>
  );
}
