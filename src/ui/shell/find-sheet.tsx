'use client';

import { type KeyboardEvent, useEffect, useRef, useState } from 'react';
import clsx from 'clsx';
import type { Findable, FoundKind } from '@/core/wire/found';
import type { Say } from '@/words/say';
import { Sheet } from '../kit/sheet';
import { useWords } from '../kit/words';
import { lookFor } from '../live/command';
import { go } from '../live/go';

/** How long somebody has to stop typing before it is looked for, ms. */
const PAUSE = 150;

const kindWords = (say: Say): Record<FoundKind, string> => ({
  page: say('shell.foundPage'),
  dough: say('shell.foundDough'),
  batch: say('shell.foundBatch'),
  product: say('shell.foundProduct'),
  formula: say('shell.foundFormula'),
  person: say('shell.foundPerson'),
  customer: say('shell.foundCustomer'),
});

interface Found {
  /** What was typed for it. */
  text: string;
  list: readonly Findable[];
  trouble: string | null;
}

/** What fits a text, as soon as the house has answered. What comes too late for another text is not shown. */
function useFound(text: string): Found {
  const [found, setFound] = useState<Found>({ text: '', list: [], trouble: null });
  useEffect(() => {
    let isCurrent = true;
    const look = async () => {
      const answer = await lookFor(text);
      if (!isCurrent) return;
      if (answer.ok) setFound({ text, list: answer.result as Findable[], trouble: null });
      else setFound({ text, list: [], trouble: answer.message });
    };
    const timer = setTimeout(() => void look(), PAUSE);
    return () => {
      isCurrent = false;
      clearTimeout(timer);
    };
  }, [text]);
  return found;
}

/** Finds a dough, batch, product, formula, person, customer or page by a part of its name, and goes there. */
export function FindSheet({ onClose }: { onClose: () => void }) {
  const say = useWords();
  const [text, setText] = useState('');
  const { list, trouble, text: asked } = useFound(text.trim());
  const links = useRef<HTMLUListElement>(null);
  const field = useRef<HTMLInputElement>(null);
  const onKey = (event: KeyboardEvent) => {
    const by = { ArrowDown: 1, ArrowUp: -1 }[event.key];
    if (by === undefined) return;
    event.preventDefault();
    const all = [field.current, ...(links.current?.querySelectorAll('a') ?? [])];
    all[(all.findIndex((one) => one === document.activeElement) + by + all.length) % all.length]?.focus();
  };
  return (
    <Sheet open onOpenChange={onClose} title={say('shell.search')}>
      <div role="search" onKeyDown={onKey}>
        <form
          onSubmit={(event) => {
            event.preventDefault();
            const [best] = list;
            if (best) go(best.href);
          }}
        >
          <input
            ref={field}
            type="search"
            autoFocus
            aria-label={say('shell.searchFor')}
            placeholder={say('shell.searchFor')}
            className="min-h-14 w-full rounded border border-edge bg-flour px-4 text-xl"
            value={text}
            onChange={(event) => setText(event.target.value)}
          />
        </form>
        <ul ref={links} aria-label={say('shell.found')} className="mt-3 divide-y divide-hairline">
          {list.map((one) => (
            <li key={`${one.kind}${one.href}${one.name}`}>
              <FoundLink found={one} />
            </li>
          ))}
        </ul>
        <p role="status" className={clsx('mt-3 text-lg', trouble ? 'text-warn' : 'text-quiet')}>
          {trouble ?? (asked !== '' && list.length === 0 ? say('shell.nothingFound', { text: asked }) : '')}
        </p>
      </div>
    </Sheet>
  );
}

function FoundLink({ found: { href, name, detail, kind } }: { found: Findable }) {
  const say = useWords();
  return (
    <a
      href={href}
      className="grid min-h-14 grid-cols-[1fr_auto] items-center gap-x-4 px-3 py-1.5 hover:bg-butter-wash focus:bg-butter-wash"
    >
      <span className="min-w-0">
        <span className="block text-xl font-semibold">{name}</span>
        {detail && (
          <span className="block text-[15px] text-quiet">
            {detail
              .split(', ')
              .map((one) => say.named(one))
              .join(', ')}
          </span>
        )}
      </span>
      <span className="text-[15px] text-quiet">{kindWords(say)[kind]}</span>
    </a>
  );
}
