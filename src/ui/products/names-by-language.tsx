'use client';

import { useState } from 'react';
import type { NamedProduct, ProductName } from '@/core/bakery/product-names';
import { LANGUAGE_NAMES } from '@/words/languages';
import { LANGUAGES, type Language } from '@/words/message';
import { Button } from '../kit/button';
import { Field } from '../kit/field';
import { useWords } from '../kit/words';
import { send } from '../live/command';

interface Props {
  /** A formula has one name; a product has one for a piece and one for several. */
  what: 'product' | 'formula';
  id: number;
  named: NamedProduct;
  mayChange: boolean;
}

type Typed = Record<Language, ProductName>;

const typedOf = (names: NamedProduct['names']): Typed =>
  Object.fromEntries(
    LANGUAGES.map((language) => [language, names[language] ?? { one: '', many: '' }]),
  ) as Typed;

/** What a product or a formula is called by whoever reads another language; empty: its own name. */
export function NamesByLanguage({ what, id, named: { name, names }, mayChange }: Props) {
  const say = useWords();
  const [typed, setTyped] = useState(() => typedOf(names));
  const [saved, setSaved] = useState(typed);
  const [isSaved, setIsSaved] = useState(false);
  const [trouble, setTrouble] = useState<string | null>(null);
  const isChanged = JSON.stringify(typed) !== JSON.stringify(saved);
  const set = (language: Language, part: Partial<ProductName>) =>
    setTyped({ ...typed, [language]: { ...typed[language], ...part } });
  const save = async () => {
    const answer = await send(`name-${what}`, { id, names: typed });
    setTrouble(answer.ok ? null : answer.message);
    if (!answer.ok) return;
    setSaved(typed);
    setIsSaved(true);
  };
  return (
    <section aria-label={say('product.names')} className="mx-auto w-full max-w-7xl px-5 pb-8">
      <h2 className="border-b border-edge pb-1 text-xl font-bold">{say('product.names')}</h2>
      <p className="mt-1 mb-2 text-quiet">{say('product.namesAre', { name })}</p>
      <form
        className="grid max-w-3xl gap-3"
        onSubmit={(event) => {
          event.preventDefault();
          void save();
        }}
      >
        {LANGUAGES.map((language) => (
          <fieldset
            key={language}
            disabled={!mayChange}
            className="grid items-end gap-3 sm:grid-cols-[7rem_1fr_1fr]"
          >
            <legend className="sr-only">{LANGUAGE_NAMES[language]}</legend>
            <span aria-hidden className="text-[17px] sm:pb-2">
              {LANGUAGE_NAMES[language]}
            </span>
            <Field
              label={say(what === 'formula' ? 'formulas.name' : 'product.nameOfOne')}
              value={typed[language].one}
              onType={(one) => set(language, { one })}
            />
            {what === 'product' && (
              <Field
                label={say('product.nameOfSeveral')}
                value={typed[language].many}
                onType={(many) => set(language, { many })}
              />
            )}
          </fieldset>
        ))}
        {trouble && (
          <p role="alert" className="text-lg text-warn">
            {trouble}
          </p>
        )}
        {mayChange && (
          <div className="flex items-center gap-4">
            <Button type="submit" floor disabled={!isChanged}>
              {say('product.saveNames')}
            </Button>
            <p role="status" className="text-quiet">
              {isSaved && !isChanged ? say('product.namesSaved') : ''}
            </p>
          </div>
        )}
      </form>
    </section>
  );
}
