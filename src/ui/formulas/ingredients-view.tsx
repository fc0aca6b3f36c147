'use client';

import type { Say } from '@/words/say';
import { allergenNames, ingredientKindName, strengthName } from '@/words/code-names';
import { useWords } from '../kit/words';
import { Plus } from 'lucide-react';
import { useState } from 'react';
import type { Ingredient } from '@/core/formula/ingredient';
import type { Person } from '@/core/bakery/people';
import { Button } from '../kit/button';
import { Field } from '../kit/field';
import { Sheet } from '../kit/sheet';
import { BLANK, IngredientForm } from './ingredient-form';

const percent = (say: Say, share: number) => (share === 0 ? '' : say.shown({ percent: share * 100 }));

/** What the house knows of each ingredient; a planner changes it. */
export function IngredientsView({ ingredients, person }: { ingredients: Ingredient[]; person: Person }) {
  const say = useWords();
  const [open, setOpen] = useState<Ingredient | null>(null);
  const [looking, setLooking] = useState('');
  const mayChange = person.role === 'planner';
  const shown = ingredients.filter(({ name, also }) =>
    [name, ...also].some((one) => one.includes(looking.toLowerCase().trim())),
  );
  return (
    <main className="flex-1 p-5">
      <div className="mb-3 flex flex-wrap items-end gap-4">
        <h1 className="text-3xl font-bold">{say('formulas.ingredients')}</h1>
        <a href="/formulas" className="pb-1 underline underline-offset-4">
          {say('formulas.allFormulas')}
        </a>
        <div className="ml-auto w-56">
          <Field label={say('formulas.lookFor')} value={looking} onType={setLooking} />
        </div>
        {mayChange && (
          <Button look="act" className="flex min-h-10 items-center gap-1" onClick={() => setOpen(BLANK)}>
            <Plus aria-hidden size={18} />
            {say('formulas.newIngredient2')}
          </Button>
        )}
      </div>
      <div
        className="relative overflow-x-auto"
        tabIndex={0}
        role="group"
        aria-label={say('formulas.ingredientsOfTheHouse')}
      >
        <table className="w-full min-w-[56rem] border-collapse text-left text-[16px]">
          <thead>
            <tr className="border-b border-edge text-[15px] text-quiet">
              {[
                say('formulas.name'),
                say('formulas.kind'),
                say('formulas.water'),
                say('formulas.fat'),
                say('formulas.sugar'),
                say('formulas.density'),
                say('formulas.heat'),
                say('formulas.contains'),
                say('formulas.knownOfIt'),
              ].map((heading) => (
                <th key={heading} scope="col" className="py-1 pr-4 font-normal">
                  {heading}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {shown.map((one) => (
              <tr key={one.id} className="border-b border-hairline align-baseline">
                <th scope="row" className="py-1 pr-4 font-semibold">
                  {mayChange ? (
                    <button className="text-left underline underline-offset-4" onClick={() => setOpen(one)}>
                      {say.named(one.name)}
                    </button>
                  ) : (
                    say.named(one.name)
                  )}
                </th>
                <td className="pr-4">{ingredientKindName(say, one.kind)}</td>
                <td className="pr-4">{percent(say, one.water)}</td>
                <td className="pr-4">{percent(say, one.fat)}</td>
                <td className="pr-4">{percent(say, one.sugar)}</td>
                <td className="pr-4 whitespace-nowrap">
                  {one.density === null ? '' : say('formulas.gMl', { density: one.density })}
                </td>
                <td className="pr-4">{say.number(one.heat, 2)}</td>
                <td className="pr-4">
                  {allergenNames(say, one.allergens)}
                  {one.allergensUnknown && <span className="text-warn">{say('formulas.notKnown')}</span>}
                </td>
                <td className="text-quiet">
                  {[
                    one.protein ? say('formulas.protein2', { protein: one.protein }) : '',
                    one.strength ? strengthName(say, one.strength) : '',
                    say.named(one.note ?? ''),
                  ]
                    .filter(Boolean)
                    .join(', ')}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
        {shown.length === 0 && <p className="py-6 text-lg">{say('formulas.theHouseKnowsNoSuch')}</p>}
      </div>
      <Sheet
        open={open !== null}
        onOpenChange={() => setOpen(null)}
        title={open?.id ? open.name : say('formulas.newIngredient')}
      >
        {open && <IngredientForm key={open.id} ingredient={open} onDone={() => setOpen(null)} />}
      </Sheet>
    </main>
  );
}
