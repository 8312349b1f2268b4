'use client';
/** A small window over the page with a form in it. */
import { Dialog } from 'radix-ui';
import type { ReactNode } from 'react';

interface Props {
  readonly title: string;
  /** One sentence on what comes of it. */
  readonly about: string;
  readonly open: boolean;
  readonly onOpenChange: (open: boolean) => void;
  readonly children: ReactNode;
}

const PLACE = 'panel fixed left-1/2 top-1/2 max-h-[90vh] w-[28rem] max-w-[94vw]';
const MIDDLE = '-translate-x-1/2 -translate-y-1/2 overflow-y-auto';

export function FormDialog({ title, about, open, onOpenChange, children }: Props) {
  return (
    <Dialog.Root open={open} onOpenChange={onOpenChange}>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 bg-l20/60" />
        <Dialog.Content className={`${PLACE} ${MIDDLE}`}>
          <Dialog.Title className="mb-1 text-18 font-semibold">{title}</Dialog.Title>
          <Dialog.Description className="quiet mb-3">{about}</Dialog.Description>
          {children}
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}
