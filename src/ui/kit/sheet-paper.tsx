'use client';

import { useWords } from './words';
import { X } from 'lucide-react';
import { Dialog } from 'radix-ui';
import type { ReactNode } from 'react';

export interface SheetProps {
  open: boolean;
  onOpenChange: (open: boolean) => void;
  title: string;
  children: ReactNode;
}

/** The sheet itself: a Radix dialog with our look. Escape and the cross close it. */
export default function SheetPaper({ open, onOpenChange, title, children }: SheetProps) {
  const say = useWords();
  return (
    <Dialog.Root open={open} onOpenChange={onOpenChange}>
      <Dialog.Portal>
        <Dialog.Overlay className="appears fixed inset-0 bg-black/35" />
        <Dialog.Content
          aria-describedby={undefined}
          className="appears fixed inset-x-0 bottom-0 mx-auto max-h-[92dvh] w-full max-w-2xl overflow-y-auto rounded-t border border-edge bg-flour p-6 sm:top-[10dvh] sm:bottom-auto sm:rounded"
        >
          <div className="mb-4 flex items-baseline justify-between gap-4">
            <Dialog.Title className="text-2xl font-semibold">{title}</Dialog.Title>
            <Dialog.Close className="grid size-11 place-items-center rounded" aria-label={say('kit.close')}>
              <X aria-hidden size={22} />
            </Dialog.Close>
          </div>
          {children}
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}
