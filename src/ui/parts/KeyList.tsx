'use client';
/** The keys of a screen, shown under "?". */
import { Dialog } from 'radix-ui';

interface Props {
  readonly keys: readonly (readonly [key: string, what: string])[];
  readonly open: boolean;
  readonly onOpenChange: (open: boolean) => void;
}

export function KeyList({ keys, open, onOpenChange }: Props) {
  return (
    <Dialog.Root open={open} onOpenChange={onOpenChange}>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 bg-l20/60" />
        <Dialog.Content className="panel fixed left-1/2 top-1/2 w-96 -translate-x-1/2 -translate-y-1/2">
          <Dialog.Title className="mb-3 text-18 font-semibold">Keys</Dialog.Title>
          <Dialog.Description className="sr-only">What each key does on this screen</Dialog.Description>
          <dl className="grid grid-cols-[6rem_1fr] gap-y-1.5">
            {keys.map(([key, what]) => (
              <div key={key} className="contents">
                <dt>
                  <kbd>{key}</kbd>
                </dt>
                <dd>{what}</dd>
              </div>
            ))}
          </dl>
          <Dialog.Close className="calm mt-4">Close</Dialog.Close>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}
