'use client';

import { useWords } from '../kit/words';
import type { ReactNode } from 'react';
import { Button } from '../kit/button';
import { HeldNote } from './held-note';
import type { useChange } from './use-change';

/** The end of a form: what is against it, where no field says so itself, and the button that keeps it. */
export function FormEnd({
  of: { held, calm },
  fields,
  onDone,
  children,
}: {
  of: Pick<ReturnType<typeof useChange>, 'held' | 'calm'>;
  /** Fields that tell what is wrong with them beside themselves. */
  fields: readonly string[];
  onDone: () => void;
  children?: ReactNode;
}) {
  const say = useWords();
  return (
    <div className="col-span-full">
      {!fields.includes(held?.field ?? '') && <HeldNote held={held} onDone={onDone} onCalm={calm} />}
      <div className="flex gap-2">
        <Button look="act" type="submit" className="min-h-11">
          {say('house.keep')}
        </Button>
        {children}
      </div>
    </div>
  );
}
