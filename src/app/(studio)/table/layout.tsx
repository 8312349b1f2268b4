import { Sitting } from '@/ui/sitting/Sitting';
import type { ReactNode } from 'react';
import { sendLetter, sitDown, takeBackDeed } from './sitting-actions';

const actions = { sitDown, takeBackDeed, sendLetter };

/** What stays while one hand-in follows the other. */
export default function TableLayout({ children }: { children: ReactNode }) {
  return <Sitting actions={actions}>{children}</Sitting>;
}
