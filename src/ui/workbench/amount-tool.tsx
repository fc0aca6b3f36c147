'use client';

import { useWords } from '../kit/words';
import { useMemo } from 'react';
import { ingredientBook, measuringOf, type Ingredient } from '@/core/formula/ingredient';
import { KITCHENS } from '@/core/units/measures';
import { showMass } from '@/core/units/reader';
import { weighText } from '@/core/units/weigh';
import { Field } from '../kit/field';
import { useTyped } from './use-typed';

/** What an amount weighs, in every country's cups and spoons. */
export function AmountTool({ ingredients }: { ingredients: Ingredient[] }) {
  const say = useWords();
  const book = useMemo(() => ingredientBook(ingredients), [ingredients]);
  const { typed, field } = useTyped({
    amount: say('workbench.n12Cup'),
    of: say('names.ingredientKind', { kind: 'sugar' }),
  });
  const ingredient = book.find(typed.of);
  const answers = KITCHENS.map(({ id, name }) => {
    const weighed = weighText(typed.amount, measuringOf(ingredient, id, typed.of), say.language);
    return { name, weighed };
  });
  const first = answers[0]?.weighed;
  const trouble = first && !first.ok ? first.message : null;
  const same =
    new Set(answers.map(({ weighed }) => (weighed.ok ? weighed.value.grams.toFixed(2) : ''))).size === 1;
  return (
    <div className="grid gap-6 md:grid-cols-[18rem_1fr]">
      <div className="grid content-start gap-3">
        <Field label={say('workbench.amount')} {...field('amount')} trouble={trouble && say.coded(trouble)} />
        <Field
          label={say('workbench.of')}
          {...field('of')}
          list="amount-ingredients"
          hint={
            ingredient
              ? say('workbench.namePart', {
                  name: ingredient.name,
                  part:
                    ingredient.density === null ? '' : say('workbench.gMl', { density: ingredient.density }),
                })
              : say('workbench.notInTheHouseS')
          }
        />
        <datalist id="amount-ingredients">
          {ingredients.map(({ id, name }) => (
            <option key={id} value={name} />
          ))}
        </datalist>
      </div>
      <dl className="text-xl">
        {(same ? answers.slice(0, 1) : answers).map(({ name, weighed }) =>
          weighed.ok ? (
            <div
              key={say.coded(name)}
              className="flex max-w-xl flex-wrap items-baseline justify-between gap-x-4 border-b border-hairline py-1.5"
            >
              <dt>{say.coded(same ? say('workbench.inEveryKitchen') : name)}</dt>
              <dd className="text-right">
                <span className="text-3xl font-bold">{showMass(weighed.value.grams, { mass: 'g' })}</span>{' '}
                <span className="text-quiet">{showMass(weighed.value.grams, { mass: 'oz' })}</span>
                {weighed.value.upTo > weighed.value.grams && (
                  <span className="text-quiet">
                    {say('workbench.andUpToMore', {
                      mass: showMass(weighed.value.upTo - weighed.value.grams, { mass: 'g' }),
                    })}
                  </span>
                )}
                {weighed.value.approximate && <span className="text-quiet">{say('workbench.about')}</span>}
                {weighed.value.disagree && (
                  <span className="block text-base text-warn">{say.coded(weighed.value.disagree)}</span>
                )}
              </dd>
            </div>
          ) : null,
        )}
      </dl>
    </div>
  );
}
