'use client';
/** Whether letters are held until they are sent together, or go out with each decision. */
import { useState, useTransition } from 'react';
import type { Answer } from '../parts/answer';
import { Tick } from '../parts/fields';

interface Props {
  readonly holds: boolean;
  readonly save: (holds: boolean) => Promise<Answer<unknown, void>>;
}

export function HoldsSwitch({ holds, save }: Props) {
  const [now, setNow] = useState(holds);
  const [, start] = useTransition();
  const set = (next: boolean) => {
    setNow(next);
    start(async () => {
      const answer = await save(next).catch(() => null);
      if (!answer?.ok) setNow(!next);
    });
  };
  return <Tick label="Hold letters until I send them" checked={now} onChange={set} />;
}
