'use client';

import type { Words } from '@/core/codes/coded';
import { upperFirst } from '@/words/first-letter';
import { AllergenBoxes } from '../kit/allergen-boxes';
import { Button } from '../kit/button';
import { Choice, Field } from '../kit/field';
import { MeasureField } from '../kit/measure-field';
import { useWords } from '../kit/words';
import { PART_MOMENTS, partNumbers, type PartText } from './part-form';
import type { Named } from './product-head';

interface Props {
  part: PartText;
  nth: number;
  formulas: readonly Named[];
  /** Somebody has tried to keep it: what is missing is said. */
  isTried: boolean;
  onChange: (part: Partial<PartText>) => void;
  onDrop: () => void;
}

/** One filling, wash or topping: what it is, made by which formula, when, how much, where, and what it contains. */
export function PartFields({ part, nth, formulas, isTried, onChange, onDrop }: Props) {
  const say = useWords();
  const moments = Object.entries(PART_MOMENTS[part.kind]) as [string, Words][];
  const name = part.name.trim() === '' ? say('product.partNth', { nth }) : part.name.trim();
  return (
    <fieldset aria-label={name} className="mt-1 grid gap-3 border-b border-hairline pb-3 sm:grid-cols-3">
      <Field
        label={say('product.name')}
        value={part.name}
        trouble={isTried && part.name.trim() === '' ? say('product.enterAName') : null}
        onType={(text) => onChange({ name: text })}
      />
      <Choice
        label={say('product.partFormula')}
        value={String(part.formulaId ?? '')}
        options={[
          { id: '', name: say('product.noFormula') },
          ...formulas.map((one) => ({ id: String(one.id), name: one.name })),
        ]}
        onChoose={(id) => {
          const chosen = formulas.find((one) => String(one.id) === id);
          const isUnnamed = part.name.trim() === '' && chosen;
          onChange({
            formulaId: chosen?.id ?? null,
            ...(isUnnamed ? { name: chosen.name.toLowerCase() } : {}),
          });
        }}
      />
      <Amounts {...{ part, onChange }} />
      <div className="sm:col-span-2">
        <Choice
          label={say('product.moment')}
          value={part.moment}
          options={moments.map(([id, words]) => ({ id, name: upperFirst(say.coded(words)) }))}
          onChoose={(moment) => onChange({ moment })}
        />
      </div>
      <div className="sm:col-span-3">
        <Field label={say('product.where')} value={part.where} onType={(where) => onChange({ where })} />
      </div>
      <fieldset className="col-span-full">
        <legend className="text-[15px]">{say('product.contains')}</legend>
        <AllergenBoxes chosen={part.allergens} onChange={(allergens) => onChange({ allergens })} />
      </fieldset>
      <Button look="quiet" className="justify-self-start" onClick={onDrop}>
        {say('product.remove', { step: name })}
      </Button>
    </fieldset>
  );
}

/** How much of it, by the piece or by the area that is spread. */
function Amounts({ part, onChange }: Pick<Props, 'part' | 'onChange'>) {
  const say = useWords();
  const numbers = partNumbers(part);
  const trouble = (of: keyof typeof numbers) => (Number.isNaN(numbers[of]) ? say('kit.enterAMeasure') : null);
  const grams = (
    <MeasureField
      kind="grams"
      label={say(part.kind === 'fillings' ? 'product.howMuch' : 'product.perPieceIfWeighed')}
      text={part.grams}
      trouble={trouble('grams')}
      onText={(text) => onChange({ grams: text })}
    />
  );
  if (part.kind !== 'fillings') return grams;
  return (
    <>
      {grams}
      <Choice
        label={say('product.per')}
        value={part.per}
        options={[
          { id: 'piece', name: say('product.perOnePiece') },
          { id: 'area', name: say('product.perArea') },
        ]}
        onChoose={(per) => onChange({ per: per as PartText['per'] })}
      />
      <MeasureField
        kind="grams"
        label={say('product.atMost')}
        text={part.limit}
        trouble={trouble('limit')}
        onText={(limit) => onChange({ limit })}
      />
      <MeasureField
        kind="cm"
        label={say('product.bareEdge')}
        text={part.bareEdge}
        trouble={trouble('bareEdge')}
        onText={(bareEdge) => onChange({ bareEdge })}
      />
    </>
  );
}
