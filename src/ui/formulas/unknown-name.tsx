'use client';

import { useWords } from '../kit/words';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import type { IngredientBook } from '@/core/formula/ingredient';
import { Choice } from '../kit/field';
import { Sheet } from '../kit/sheet';
import { send } from '../live/command';
import { BLANK, IngredientForm } from './ingredient-form';

/** A name that is not known, settled where it stands: what was meant, another word for something, or a new ingredient. */
export function UnknownName({
  name,
  book,
  onUse,
}: {
  name: string;
  book: IngredientBook;
  onUse: (name: string) => void;
}) {
  const say = useWords();
  const router = useRouter();
  const [adding, setAdding] = useState(false);
  const [trouble, setTrouble] = useState<string | null>(null);
  const own = book.all.filter(({ id }) => !id.startsWith('formula:'));
  const sameAs = async (id: string) => {
    const known = own.find((one) => one.id === id);
    if (!known) return;
    const answer = await send('save-ingredient', { ...known, also: [...known.also, name] });
    if (answer.ok) router.refresh();
    else setTrouble(answer.message);
  };
  return (
    <div className="mt-1 flex flex-wrap items-end gap-2 text-[16px]">
      {book.like(name).map((one) => (
        <button
          key={one.id}
          type="button"
          className="min-h-9 rounded border border-edge px-3"
          onClick={() => onUse(one.name)}
        >
          {one.name}
        </button>
      ))}
      <button
        type="button"
        className="min-h-9 rounded border border-edge px-3"
        onClick={() => setAdding(true)}
      >
        {say('formulas.add', { name })}
      </button>
      <Choice
        label={say('formulas.isTheSameAs', { name })}
        value=""
        options={[{ id: '', name: say('names.choose') }, ...own]}
        onChoose={(id) => void sameAs(id)}
      />
      {trouble && (
        <p role="alert" className="text-warn">
          {trouble}
        </p>
      )}
      <Sheet open={adding} onOpenChange={() => setAdding(false)} title={say('formulas.newIngredient')}>
        {adding && <IngredientForm ingredient={{ ...BLANK, name }} onDone={() => setAdding(false)} />}
      </Sheet>
    </div>
  );
}
