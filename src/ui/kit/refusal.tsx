'use client';

import { Button } from './button';
import { useWords } from './words';

/** What was refused, until somebody has read it. */
export function Refusal({ message, onRead }: { message: string | null; onRead: () => void }) {
  const say = useWords();
  return (
    message && (
      <p
        role="alert"
        className="mb-3 flex items-center justify-between gap-3 border-l-4 border-warn pl-3 text-lg text-warn"
      >
        {message}
        <Button onClick={onRead}>{say('common.understood')}</Button>
      </p>
    )
  );
}
