'use client';

import { useEffect, useState } from 'react';
import { Button } from '../kit/button';
import { Field } from '../kit/field';
import { Sheet } from '../kit/sheet';
import { useWords } from '../kit/words';
import { ask } from '../live/ask';
import { send } from '../live/command';

/** Ingredients offered at once; the others are found by their first letters. */
const SHOWN = 18;

/** Says that an ingredient has run out: the next shift reads it, and for what it is needed. */
export function OutOfSheet({ onClose }: { onClose: () => void }) {
  const say = useWords();
  const [known, setKnown] = useState<{ id: string; name: string }[]>([]);
  const [typed, setTyped] = useState('');
  const [told, setTold] = useState<{ isRefused: boolean; words: string } | null>(null);
  const [id] = useState(() => crypto.randomUUID());
  useEffect(() => {
    void ask('/api/ingredients', { method: 'GET' }).then((answer) => {
      if (Array.isArray(answer)) setKnown(answer as { id: string; name: string }[]);
    });
  }, []);
  const report = async (ingredient: string) => {
    const answer = await send('report-out-of', { id, ingredient });
    setTold(
      answer.ok
        ? {
            isRefused: false,
            words: say('floor.notedOutOf', { needed: (answer.result as { needed: number }).needed }),
          }
        : { isRefused: true, words: answer.message },
    );
  };
  const found = known.filter(({ name }) => name.toLowerCase().includes(typed.trim().toLowerCase()));
  return (
    <Sheet open onOpenChange={(open) => !open && onClose()} title={say('floor.outOf')}>
      {told && (
        <p role="alert" className={told.isRefused ? 'mb-3 text-xl text-warn' : 'mb-3 text-xl'}>
          {told.words}
        </p>
      )}
      {(!told || told.isRefused) && (
        <div className="grid gap-3">
          <Field label={say('floor.outOf')} size="floor" value={typed} onType={setTyped} />
          <div className="flex flex-wrap gap-2">
            {found.slice(0, SHOWN).map(({ id: one, name }) => (
              <Button key={one} floor onClick={() => void report(one)}>
                {name}
              </Button>
            ))}
          </div>
        </div>
      )}
    </Sheet>
  );
}
