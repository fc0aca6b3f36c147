'use client';

import type { ReactNode } from 'react';
import { Button } from '../kit/button';
import { Sheet } from '../kit/sheet';
import { useWords } from '../kit/words';

interface Props {
  title: string;
  /** How its fields are laid out. */
  className: string;
  onKeep: () => void;
  onClose: () => void;
  children: ReactNode;
}

/** A sheet with one form, kept by its button or by Enter. */
export function FormSheet({ title, className, onKeep, onClose, children }: Props) {
  const say = useWords();
  return (
    <Sheet open onOpenChange={onClose} title={title}>
      <form
        noValidate
        className={className}
        onSubmit={(event) => {
          event.preventDefault();
          onKeep();
        }}
      >
        {children}
        <div className="col-span-full">
          <Button look="act" type="submit" className="min-h-11">
            {say('product.keep')}
          </Button>
        </div>
      </form>
    </Sheet>
  );
}
