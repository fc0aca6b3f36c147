'use client';

import { useState } from 'react';
import type { PieceSpec } from '@/core/process/route';
import { ALLERGENS, type Allergen } from '@/core/formula/ingredient';
import { FILLING_MOMENTS, type FillingMoment } from '@/core/shaping/filling';
import { type Say, upperFirst } from '@/words/say';
import { Choice } from '../kit/field';
import { without } from '../kit/without';
import { useWords } from '../kit/words';
import { FormSheet } from './form-sheet';
import { typed, type TypedField, useTypedForm } from './typed-form';

const FIELDS = (say: Say) =>
  ({
    filling: { kind: 'text', label: say('product.filling') },
    grams: { kind: 'grams', label: say('product.perPiece') },
    limit: { kind: 'grams', label: say('product.atMost') },
    bareEdge: { kind: 'cm', label: say('product.bareEdge') },
    where: { kind: 'text', label: say('product.where') },
    wash: { kind: 'text', label: say('product.wash') },
    topping: { kind: 'text', label: say('product.topping') },
  }) satisfies Record<string, TypedField>;

type Part = 'filling' | 'wash' | 'topping';

interface Props {
  piece: PieceSpec;
  onKeep: (piece: PieceSpec) => void;
  onClose: () => void;
}

/** What goes into and onto a piece, with what it contains; a part without a name is none. */
export function DressingSheet({ piece, onKeep, onClose }: Props) {
  const say = useWords();
  const { filling, wash, topping } = piece;
  const form = useTypedForm(FIELDS(say), {
    ...{ filling: filling?.name ?? '', grams: typed(filling?.grams ?? 20, 'g') },
    ...{ limit: typed(filling?.limit ?? 40, 'g'), bareEdge: typed(filling?.bareEdge ?? 1, 'cm') },
    ...{ where: filling?.where ?? '', wash: wash?.name ?? '', topping: topping?.mark ?? '' },
  });
  const [moment, setMoment] = useState<FillingMoment>(filling?.moment ?? 'laid');
  const [contains, setContains] = useState<Record<Part, Allergen[]>>({
    ...{ filling: filling?.allergens ?? [], wash: wash?.allergens ?? [], topping: topping?.allergens ?? [] },
  });
  const has = (part: Part) => form.texts[part].trim() !== '';
  const keep = () => {
    const numbers = has('filling') ? form.read(['grams', 'limit', 'bareEdge']) : {};
    if (numbers) onKeep(dressed(piece, { ...form, moment, contains, per: filling?.per ?? 'piece' }, numbers));
  };
  const allergens = (part: Part) => (
    <Contains chosen={contains[part]} onChange={(list) => setContains({ ...contains, [part]: list })} />
  );
  return (
    <FormSheet
      title={say('product.fillingAndTop')}
      className="grid gap-3 sm:grid-cols-3"
      onKeep={keep}
      onClose={onClose}
    >
      {form.field('filling')}
      {has('filling') && (
        <>
          <Choice
            label={say('product.moment')}
            value={moment}
            options={(Object.keys(FILLING_MOMENTS) as FillingMoment[]).map((id) => ({
              ...{ id, name: upperFirst(say.coded(FILLING_MOMENTS[id])) },
            }))}
            onChoose={(id) => setMoment(id as FillingMoment)}
          />
          {(['grams', 'limit', 'bareEdge', 'where'] as const).map(form.field)}
          {allergens('filling')}
        </>
      )}
      {(['wash', 'topping'] as const).map((part) => (
        <div key={part} className="col-span-full grid gap-3 border-t border-hairline pt-2 sm:grid-cols-3">
          {form.field(part)}
          {has(part) && allergens(part)}
        </div>
      ))}
    </FormSheet>
  );
}

interface ContainsProps {
  chosen: readonly Allergen[];
  onChange: (chosen: Allergen[]) => void;
}

/** The fourteen allergens, those that are in it ticked. */
function Contains({ chosen, onChange }: ContainsProps) {
  const say = useWords();
  return (
    <fieldset className="col-span-full sm:col-span-2">
      <legend className="text-[15px]">{say('product.contains')}</legend>
      <div className="flex flex-wrap gap-x-4 gap-y-1 text-[15px]">
        {ALLERGENS.map((allergen) => (
          <label key={allergen} className="flex min-h-8 items-center gap-1">
            <input
              type="checkbox"
              className="size-5"
              checked={chosen.includes(allergen)}
              onChange={() =>
                onChange(
                  chosen.includes(allergen)
                    ? chosen.filter((one) => one !== allergen)
                    : ALLERGENS.filter((one) => one === allergen || chosen.includes(one)),
                )
              }
            />
            {allergen}
          </label>
        ))}
      </div>
    </fieldset>
  );
}

interface Dressed {
  texts: Record<'filling' | 'where' | 'wash' | 'topping', string>;
  moment: FillingMoment;
  contains: Record<Part, Allergen[]>;
  per: 'piece' | 'area';
}

function dressed(
  piece: PieceSpec,
  { texts, moment, contains, per }: Dressed,
  { grams = 0, limit = 0, bareEdge = 0 }: Partial<Record<'grams' | 'limit' | 'bareEdge', number | undefined>>,
): PieceSpec {
  const [name, wash, mark] = [texts.filling.trim(), texts.wash.trim(), texts.topping.trim()];
  const where = texts.where.trim();
  const bringing = (part: Part) => (contains[part].length > 0 ? { allergens: contains[part] } : {});
  return {
    ...without(piece, 'filling', 'wash', 'topping'),
    ...(name === ''
      ? {}
      : { filling: { name, grams, per, limit, bareEdge, moment, where, ...bringing('filling') } }),
    ...(wash === '' ? {} : { wash: { name: wash, ...bringing('wash') } }),
    ...(mark === '' ? {} : { topping: { mark, ...bringing('topping') } }),
  };
}
