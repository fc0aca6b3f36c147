'use client';

import { ingredientKindName } from '@/words/code-names';
import { upperFirst } from '@/words/first-letter';
import { useWords } from '../kit/words';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { type Ingredient, INGREDIENT_KINDS, type IngredientKind } from '@/core/formula/ingredient';
import { parseNumber } from '@/core/units/number';
import { AllergenBoxes } from '../kit/allergen-boxes';
import { Button } from '../kit/button';
import { Choice, Field } from '../kit/field';
import { send } from '../live/command';

/** An ingredient of which nothing is known yet. */
export const BLANK: Ingredient = {
  ...{ id: '', name: '', also: [], kind: 'other', density: null, heat: 2, allergens: [] },
  ...{ water: 0, fat: 0, sugar: 0, salt: 0, flour: 0, yeast: 0 },
  allergensUnknown: true,
};
const SHARES = ['water', 'fat', 'sugar', 'salt', 'flour'] as const;

/** What the house knows of an ingredient, to be changed; a new one has an empty id. */
export function IngredientForm({ ingredient, onDone }: { ingredient: Ingredient; onDone: () => void }) {
  const say = useWords();
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
  const troubleAt = (field: string) => (trouble?.field === field ? trouble.message : null);
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
      trouble={troubleAt(name)}
    />
  );

  return (
    <form
      className="grid gap-4"
      noValidate
      onSubmit={(event) => {
        event.preventDefault();
        void save();
      }}
    >
      <NameFields facts={facts} onFacts={setFacts} troubleAt={troubleAt} typed={typed} onTyped={setTyped} />
      <div className="grid grid-cols-3 gap-3 sm:grid-cols-5">
        {SHARES.map((share) => (
          <div key={share}>{field(share, `${upperFirst(ingredientKindName(say, share))}, %`)}</div>
        ))}
        {field('density', say('formulas.densityGMl'))}
        {field('heat', say('formulas.heatKJKgK'))}
        {field('protein', say('formulas.protein'))}
      </div>
      <Contains facts={facts} onFacts={setFacts} />
      {trouble &&
        (trouble.field === null ||
          !['name', 'note', 'density', 'heat', 'protein', ...SHARES].includes(trouble.field)) && (
          <p role="alert" className="text-warn">
            {trouble.message}
          </p>
        )}
      <div className="flex justify-between gap-3">
        {ingredient.id ? (
          <Button onClick={() => void done('remove-ingredient', { id: ingredient.id })}>
            {say('formulas.takeItOut')}
          </Button>
        ) : (
          <span />
        )}
        <Button type="submit" look="act" className="min-h-10">
          {say('formulas.keep')}
        </Button>
      </div>
    </form>
  );
}

interface NameFieldsProps {
  facts: Ingredient;
  onFacts: (value: Ingredient) => void;
  troubleAt: (field: string) => string | null;
  typed: Record<string, string>;
  onTyped: (value: Record<string, string>) => void;
}

/** Name, kind, other names, remark. */
function NameFields({ facts, onFacts, troubleAt, typed, onTyped }: NameFieldsProps) {
  const say = useWords();
  return (
    <div className="grid gap-3 sm:grid-cols-2">
      <Field
        label={say('formulas.name')}
        autoFocus
        value={facts.name}
        onType={(name) => onFacts({ ...facts, name })}
        trouble={troubleAt('name')}
      />
      <Choice
        label={say('formulas.kind')}
        value={facts.kind}
        options={INGREDIENT_KINDS.map((kind) => ({ id: kind, name: ingredientKindName(say, kind) }))}
        onChoose={(kind) => onFacts({ ...facts, kind: kind as IngredientKind })}
      />
      <Field
        label={say('formulas.alsoCalled')}
        value={typed.also ?? ''}
        onType={(also) => onTyped({ ...typed, also })}
        hint={say('formulas.withCommasBetween')}
      />
      <Field
        label={say('formulas.knownOfIt')}
        value={facts.note ?? ''}
        onType={(note) => onFacts({ ...facts, note })}
        trouble={troubleAt('note')}
      />
    </div>
  );
}

interface ContainsProps {
  facts: Ingredient;
  onFacts: (value: Ingredient) => void;
}

/** Which allergens it contains; none is something to be stated. */
function Contains({ facts, onFacts }: ContainsProps) {
  const say = useWords();
  const { allergensUnknown, ...known } = facts;
  const none = facts.allergens.length === 0 && !allergensUnknown;
  return (
    <fieldset>
      <legend className="mb-1 text-[15px]">{say('formulas.contains')}</legend>
      <AllergenBoxes chosen={facts.allergens} onChange={(allergens) => onFacts({ ...known, allergens })}>
        <label className="flex min-h-8 items-center gap-1.5 font-semibold">
          <input
            type="checkbox"
            checked={none}
            onChange={() =>
              onFacts(none ? { ...facts, allergensUnknown: true } : { ...known, allergens: [] })
            }
          />
          {say('formulas.noneOfThese')}
        </label>
      </AllergenBoxes>
      {allergensUnknown && <p className="mt-1 text-[15px] text-warn">{say('formulas.notSaidYetLabelsOf')}</p>}
    </fieldset>
  );
}
