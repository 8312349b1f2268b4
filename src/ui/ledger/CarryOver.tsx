'use client';
/** Carries the class's card over to a new print, from a photograph of both sheets side by side. */
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { PICTURE_TYPES, sendPhoto } from '../hand-in/send-photo';
import { FilePick } from '../parts/FilePick';

export function CarryOver({ classId }: { readonly classId: string }) {
  const router = useRouter();
  const [known, setKnown] = useState<'left' | 'right'>('left');
  const [doing, setDoing] = useState('');
  const [said, setSaid] = useState('');

  async function send(file: File) {
    setSaid('');
    setDoing('Reading both sheets …');
    const { say } = await sendPhoto(`/card/${classId}?known=${known}`, file);
    setSaid(say ?? 'Carried over.');
    if (!say) router.refresh();
    setDoing('');
  }

  return (
    <div className="grid gap-2">
      <p>
        Other paper, or another printer? Lay a fresh print beside a sheet that is known and photograph both in even
        light: its greys are told from the known ones.
      </p>
      <div className="flex flex-wrap items-center gap-2">
        <label className="inline-flex items-center gap-2">
          The known sheet lies
          <select
            className="field"
            value={known}
            onChange={(e) => setKnown(e.target.value === 'right' ? 'right' : 'left')}
          >
            <option value="left">left</option>
            <option value="right">right</option>
          </select>
        </label>
        <FilePick
          label="Photograph of both sheets"
          words={doing || 'Photograph of both sheets'}
          accept={PICTURE_TYPES}
          look="calm"
          disabled={doing !== ''}
          onFile={(file) => void send(file)}
        />
      </div>
      {said && (
        <p role="status" className="trouble">
          {said}
        </p>
      )}
    </div>
  );
}
