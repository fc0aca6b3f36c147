'use client';

import { useRef, useState } from 'react';
import type { Ingredient } from '@/core/formula/ingredient';
import { askText, openAsks } from '@/core/recipe/open-asks';
import type { Ask, RecipeReading } from '@/core/recipe/reading';
import { LONGEST_RECIPE } from '@/core/recipe/recipe-text';
import { Button } from '../kit/button';
import { Field } from '../kit/field';
import { FileIn } from '../kit/file-in';
import { useWords } from '../kit/words';
import { send } from '../live/command';
import { go } from '../live/go';
import { MarkedText } from './marked-text';
import { useRecipe } from './use-recipe';
import { WhatItIs } from './what-it-is';

/** Reads a recipe as it is pasted or dropped, beside what it was read as, and makes a product of it. */
export function RecipeView(means: { ingredients: readonly Ingredient[]; benchCm: number }) {
  const say = useWords();
  const { recipe, change, outcome, kitchen, forget } = useRecipe(means);
  const box = useRef<HTMLDivElement>(null);
  const read = outcome && 'reading' in outcome ? outcome : null;
  const reading = read?.reading ?? null;
  const open = reading ? openAsks(reading, recipe.settled) : [];
  const [refused, setRefused] = useState<{ message: string; field: string | null } | null>(null);
  const name = recipe.name === '' ? (reading?.title ?? '') : recipe.name;
  const take = async () => {
    const answer = await send('take-recipe', { text: recipe.text, name, kitchen, settled: recipe.settled });
    if (!answer.ok) return setRefused(answer);
    forget();
    go(`/products/${(answer.result as { productId: number }).productId}`);
  };
  /** Shows a part in the field, where it can be mended; a text that came as a file of another form is mended as lines. */
  const show = ({ from, to }: Ask) => {
    if (reading && reading.text !== recipe.text) change({ text: reading.text });
    requestAnimationFrame(() => {
      const field = box.current?.querySelector('textarea');
      field?.focus();
      field?.setSelectionRange(from, to);
    });
  };
  return (
    <main className="flex-1 p-5">
      <h1 className="text-3xl font-bold">{say('recipe.fromARecipe')}</h1>
      <p className="mb-3 text-quiet">{say('recipe.pasteItAsItIs')}</p>
      <div className="grid gap-6 lg:grid-cols-[minmax(0,1fr)_minmax(0,1fr)_minmax(0,1fr)]">
        <div
          ref={box}
          className="grid min-w-0 content-start gap-2 [&_input]:w-full [&_input]:min-w-0 [&_label]:min-w-0 [&_textarea]:min-h-96"
        >
          <FileIn
            label={say('recipe.recipe')}
            accept=".txt,.md,.json,.csv,text/*,application/json"
            longest={LONGEST_RECIPE}
            text={recipe.text}
            trouble={outcome && 'trouble' in outcome ? say.coded(outcome.trouble) : null}
            onText={(text) => change({ text })}
          />
        </div>
        {reading && <MarkedText {...{ reading, open }} />}
        {read && reading && (
          <div className="grid content-start gap-5">
            <Questions
              {...{ reading, open }}
              onShow={show}
              onSettle={(text) => change({ settled: [...recipe.settled, text] })}
            />
            <form
              noValidate
              className="grid gap-2"
              onSubmit={(event) => {
                event.preventDefault();
                void take();
              }}
            >
              <Field
                label={say('product.name')}
                value={name}
                trouble={refused?.field === 'name' ? refused.message : null}
                onType={(typed) => change({ name: typed })}
              />
              {refused && refused.field !== 'name' && (
                <p role="alert" className="text-warn">
                  {refused.message}
                </p>
              )}
              {read.lack && <p className="text-warn">{say.coded(read.lack)}</p>}
              {read.assumed.length > 0 && (
                <p className="text-[15px] text-quiet">
                  {say('recipe.added')}:{' '}
                  {read.assumed.map((part) => say('recipe.addedPart', { part })).join(', ')}
                </p>
              )}
              <Button
                look="act"
                type="submit"
                className="min-h-11 justify-self-start"
                disabled={open.length > 0 || read.lack !== null}
              >
                {say('recipe.makeAProduct')}
              </Button>
            </form>
            <WhatItIs reading={reading} />
          </div>
        )}
      </div>
    </main>
  );
}

interface QuestionsProps {
  reading: RecipeReading;
  open: readonly Ask[];
  onShow: (ask: Ask) => void;
  onSettle: (text: string) => void;
}

/** What a person has to decide, each with its part of the text. */
function Questions({ reading, open, onShow, onSettle }: QuestionsProps) {
  const say = useWords();
  if (open.length === 0) return null;
  return (
    <section aria-label={say('recipe.questions')}>
      <h2 className="border-b border-edge pb-0.5 text-lg font-bold">
        {say('recipe.questionsCount', { count: open.length })}
      </h2>
      <ul>
        {open.map((ask) => {
          const text = askText(reading, ask);
          return (
            <li key={`${ask.from}-${ask.to}`} className="border-b border-hairline py-2">
              <p className="font-semibold">{text}</p>
              <p>{say.coded(ask.message)}</p>
              <p className="mt-1 flex gap-2">
                <Button onClick={() => onShow(ask)}>{say('recipe.editText')}</Button>
                <Button look="quiet" onClick={() => onSettle(text)}>
                  {say('recipe.keepAsRead')}
                </Button>
              </p>
            </li>
          );
        })}
      </ul>
    </section>
  );
}
