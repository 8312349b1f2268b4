'use client';
/** A text that several may write, kept when its field is left. */
import { useState } from 'react';
import type { Answer, Meanwhile } from './answer';
import { BothVersions } from './BothVersions';
import { useWriting } from './use-writing';

interface Word {
  readonly word: string;
  readonly written: number;
}
interface Props extends Word {
  readonly label: string;
  readonly frozen: boolean;
  readonly busy: boolean;
  readonly change: (word: string, seen: number) => Promise<Answer<string, number>>;
}

export function KeptText({ label, word, written, frozen, busy, change }: Props) {
  /** What stood there when this text was begun. */
  const [begun, setBegun] = useState<Word>({ word, written });
  const [text, setText] = useState(word);
  const [clash, setClash] = useState<Meanwhile<string> | null>(null);
  const write = useWriting<string>(begun.written);
  const isUntouched = text === begun.word;
  // What others write is taken over only while nothing stands here that is not kept.
  if (isUntouched && (begun.word !== word || begun.written !== written)) {
    setBegun({ word, written });
    setText(word);
  }

  const keep = async (over?: number) => {
    const answer = await write((seen) => change(text, seen), over);
    if (answer.ok) {
      setBegun({ word: text, written: answer.value });
      setClash(null);
    } else setClash(answer.meanwhile ?? null);
  };
  const takeTheirs = ({ theirs, written: seen }: Meanwhile<string>) => {
    setBegun({ word: theirs, written: seen });
    setText(theirs);
    setClash(null);
  };
  return (
    <>
      <label>
        <span className="label">{label}</span>
        <textarea
          className="field font-letter"
          rows={2}
          value={text}
          disabled={frozen}
          onChange={(e) => setText(e.target.value)}
          onBlur={() => !isUntouched && !clash && void keep()}
        />
      </label>
      {clash && (
        <BothVersions
          mine={text}
          theirs={clash.theirs || 'Nothing'}
          busy={busy}
          keepMine={() => void keep(clash.written)}
          keepTheirs={() => takeTheirs(clash)}
        />
      )}
    </>
  );
}
