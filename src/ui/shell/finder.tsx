'use client';

import { Search } from 'lucide-react';
import dynamic from 'next/dynamic';
import { useState } from 'react';
import { useKeys } from '../kit/use-keys';
import { useWords } from '../kit/words';

// Fetched when it is first opened: no page waits for it.
const FindSheet = dynamic(() => import('./find-sheet').then((all) => all.FindSheet), { ssr: false });

/** The way to anything that has a name: a button, and the key `/` from anywhere. */
export function Finder() {
  const say = useWords();
  const [isOpen, setOpen] = useState(false);
  useKeys({ '/': () => setOpen(true), 'Shift+/': () => setOpen(true) });
  return (
    <>
      <button
        className="grid size-11 place-items-center rounded"
        onClick={() => setOpen(true)}
        aria-label={say('shell.search')}
        title="/"
      >
        <Search aria-hidden size={20} />
      </button>
      {isOpen && <FindSheet onClose={() => setOpen(false)} />}
    </>
  );
}
