'use client';

import { Plus } from 'lucide-react';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import {
  ALLERGENS,
  INGREDIENT_KINDS,
  type Allergen,
  type Ingredient,
  type IngredientKind,
} from '@/core/formula/ingredient';
import { parseNumber } from '@/core/units/number';
import type { Person } from '@/core/floor/board';
import { Button } from '../kit/button';
import { Choice, Field } from '../kit/field';
import { Sheet } from '../kit/sheet';
import { send } from '../live/command';

const BLANK: Ingredient = {
  ...{ id: '', name: '', also: [], kind: 'other', density: null, heat: 2, allergens: [] },
  ...{ water: 0, fat: 0, sugar: 0, salt: 0, flour: 0, yeast: 0 },
};
const SHARES = ['water', 'fat', 'sugar', 'salt', 'flour'] as const;
const percent = (share: number) => (share === 0 ? '' : `${Number((share * 100).toFixed(1))} %`);

/** What the house knows of each ingredient; a planner changes it. */
export function IngredientsView({ ingredients, person }: { ingredients: Ingredient[]; person: Person }) {
  const [open, setOpen] = useState<Ingredient | null>(null);
  const [looking, setLooking] = useState('');
  const mayChange = person.role === 'planner';
  const shown = ingredients.filter(({ name, also }) =>
    [name, ...also].some((one) => one.includes(looking.toLowerCase().trim())),
  );
  return (
    <main className="flex-1 p-5">
      <div className="mb-3 flex flex-wrap items-end gap-4">
        <h1 className="text-3xl font-bold">Ingredients</h1>
        <a href="/formulas" className="pb-1 underline underline-offset-4">
          All formulas
        </a>
        <div className="ml-auto w-56">
          <Field label="Look for" value={looking} onType={setLooking} />
        </div>
        {mayChange && (
          <Button look="act" className="flex min-h-10 items-center gap-1" onClick={() => setOpen(BLANK)}>
            <Plus aria-hidden size={18} /> New ingredient
          </Button>
        )}
      </div>
      <div className="overflow-x-auto" tabIndex={0} role="group" aria-label="Ingredients of the house">
        <table className="w-full min-w-[56rem] border-collapse text-left text-[16px]">
          <thead>
            <tr className="border-b border-edge text-[15px] text-quiet">
              {['Name', 'Kind', 'Water', 'Fat', 'Sugar', 'Density', 'Heat', 'Contains', 'Known of it'].map(
                (heading) => (
                  <th key={heading} scope="col" className="py-1 pr-4 font-normal">
                    {heading}
                  </th>
                ),
              )}
            </tr>
          </thead>
          <tbody>
            {shown.map((one) => (
              <tr key={one.id} className="border-b border-hairline align-baseline">
                <th scope="row" className="py-1 pr-4 font-semibold">
                  {mayChange ? (
                    <button className="text-left underline underline-offset-4" onClick={() => setOpen(one)}>
                      {one.name}
                    </button>
                  ) : (
                    one.name
                  )}
                </th>
                <td className="pr-4">{one.kind}</td>
                <td className="pr-4">{percent(one.water)}</td>
                <td className="pr-4">{percent(one.fat)}</td>
                <td className="pr-4">{percent(one.sugar)}</td>
                <td className="pr-4 whitespace-nowrap">
                  {one.density === null ? '' : `${one.density} g/ml`}
                </td>
                <td className="pr-4">{one.heat}</td>
                <td className="pr-4">{one.allergens.join(', ')}</td>
                <td className="text-quiet">
                  {[one.protein ? `${one.protein} % protein` : '', one.strength ?? '', one.note ?? '']
                    .filter(Boolean)
                    .join(', ')}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
        {shown.length === 0 && <p className="py-6 text-lg">The house knows no such ingredient.</p>}
      </div>
      <Sheet
        open={open !== null}
        onOpenChange={() => setOpen(null)}
        title={open?.id ? open.name : 'New ingredient'}
      >
        {open && <IngredientForm key={open.id} ingredient={open} onDone={() => setOpen(null)} />}
      </Sheet>
    </main>
  );
}

function IngredientForm({ ingredient, onDone }: { ingredient: Ingredient; onDone: () => void }) {
  const router = useRouter();
  const [facts, setFacts] = useState(ingredient);
  const text = (value: number | null | undefined) =>
    value === null || value === undefined ? '' : String(value);
  const [typed, setTyped] = useState<Record<string, string>>(() => ({
    also: ingredient.also.join(', '),
    density: text(ingredient.density),
    heat: text(ingredient.heat),
    protein: text(ingredient.protein),
    ...Object.fromEntries(SHARES.map((share) => [share, text(Number((ingredient[share] * 100).toFixed(2)))])),
  }));
  const [trouble, setTrouble] = useState<{ message: string; field: string | null } | null>(null);
  const at = (field: string) => (trouble?.field === field ? trouble.message : null);
  const number = (field: string) => {
    const value = (typed[field] ?? '').replace('%', '').trim();
    // What is no number goes to the house as it was typed, which says so.
    return value === '' ? null : (parseNumber(value) ?? value);
  };
  const done = async (command: string, input: unknown) => {
    const answer = await send(command, input);
    if (!answer.ok) {
      setTrouble(answer);
      return;
    }
    router.refresh();
    onDone();
  };
  const save = () => {
    const share = (field: string) => {
      const value = number(field);
      return typeof value === 'number' ? value / 100 : (value ?? 0);
    };
    const protein = number('protein');
    return done('save-ingredient', {
      ...facts,
      also: (typed.also ?? '')
        .split(',')
        .map((one) => one.trim())
        .filter(Boolean),
      ...{ density: number('density'), heat: number('heat'), protein: protein ?? undefined },
      ...Object.fromEntries(SHARES.map((name) => [name, share(name)])),
    });
  };
  const field = (name: string, label: string) => (
    <Field
      label={label}
      value={typed[name] ?? ''}
      inputMode="decimal"
      onType={(value) => setTyped({ ...typed, [name]: value })}
      trouble={at(name)}
    />
  );
  const toggle = (allergen: Allergen) =>
    setFacts({
      ...facts,
      allergens: ALLERGENS.filter((one) => (one === allergen) !== facts.allergens.includes(one)),
    });
  return (
    <form
      className="grid gap-4"
      noValidate
      onSubmit={(event) => {
        event.preventDefault();
        void save();
      }}
    >
      <div className="grid gap-3 sm:grid-cols-2">
        <Field
          label="Name"
          autoFocus
          value={facts.name}
          onType={(name) => setFacts({ ...facts, name })}
          trouble={at('name')}
        />
        <Choice
          label="Kind"
          value={facts.kind}
          options={INGREDIENT_KINDS.map((kind) => ({ id: kind, name: kind }))}
          onChoose={(kind) => setFacts({ ...facts, kind: kind as IngredientKind })}
        />
        <Field
          label="Also called"
          value={typed.also ?? ''}
          onType={(also) => setTyped({ ...typed, also })}
          hint="with commas between"
        />
        <Field
          label="Known of it"
          value={facts.note ?? ''}
          onType={(note) => setFacts({ ...facts, note })}
          trouble={at('note')}
        />
      </div>
      <div className="grid grid-cols-3 gap-3 sm:grid-cols-5">
        {SHARES.map((share) => (
          <div key={share}>{field(share, `${share[0]?.toUpperCase() ?? ''}${share.slice(1)}, %`)}</div>
        ))}
        {field('density', 'Density, g/ml')}
        {field('heat', 'Heat, kJ/kg·K')}
        {field('protein', 'Protein, %')}
      </div>
      <fieldset>
        <legend className="mb-1 text-[15px]">Contains</legend>
        <div className="flex flex-wrap gap-x-4 gap-y-1">
          {ALLERGENS.map((allergen) => (
            <label key={allergen} className="flex min-h-8 items-center gap-1.5">
              <input
                type="checkbox"
                checked={facts.allergens.includes(allergen)}
                onChange={() => toggle(allergen)}
              />{' '}
              {allergen}
            </label>
          ))}
        </div>
      </fieldset>
      {trouble &&
        (trouble.field === null ||
          !['name', 'note', 'density', 'heat', 'protein', ...SHARES].includes(trouble.field)) && (
          <p role="alert" className="text-warn">
            {trouble.message}
          </p>
        )}
      <div className="flex justify-between gap-3">
        {ingredient.id ? (
          <Button onClick={() => void done('remove-ingredient', { id: ingredient.id })}>Take it out</Button>
        ) : (
          <span />
        )}
        <Button type="submit" look="act" className="min-h-10">
          Keep
        </Button>
      </div>
    </form>
  );
}
