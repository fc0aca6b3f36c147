'use client';

import { useWords } from '../kit/words';
import { useState } from 'react';
import { measuringOf, type IngredientBook } from '@/core/formula/ingredient';
import { weighText } from '@/core/units/weigh';
import { showMass } from '@/core/units/reader';
import { Button } from '../kit/button';
import { Choice, Field } from '../kit/field';
import { Sheet } from '../kit/sheet';
import { useUnits } from '../live/units';

interface Props {
  line: { ingredient: string; grams: number };
  book: IngredientBook;
  /** What the bench scale has sent last, grams. */
  lastWeight: number | null;
  onClose: () => void;
  onWeighed: (grams: number) => void;
  onSwap: (ingredient: string) => void;
}

/** What was really weighed of a line, typed or from the scale, or another ingredient taken for it. */
export function LineSheet({ line, book, lastWeight, onClose, onWeighed, onSwap }: Props) {
  const say = useWords();
  const [units] = useUnits();
  const [typed, setTyped] = useState('');
  const [trouble, setTrouble] = useState<string | null>(null);
  const own = book.get(line.ingredient);
  const name = say.named(own?.name ?? line.ingredient);
  const alike = book.all.filter(({ id, kind }) => id !== line.ingredient && kind === own?.kind);
  const tell = (grams: number) => {
    onWeighed(grams);
    onClose();
  };
  const tenth = (grams: number) => Math.round(grams * 10) / 10;
  return (
    <Sheet open onOpenChange={onClose} title={name}>
      <div className="grid gap-4">
        <p className="text-2xl">
          {say.rich('sheet.theSheetSays', {
            span: (words) => <span className="font-bold">{words}</span>,
            mass: showMass(line.grams, units),
          })}
        </p>
        <div className="flex flex-wrap gap-3">
          <Button look="act" floor onClick={() => tell(line.grams)}>
            {say('sheet.weighedSo')}
          </Button>
          {lastWeight !== null && (
            <Button floor onClick={() => tell(tenth(lastWeight))}>
              {say('common.fromTheScale', { mass: showMass(lastWeight, units) })}
            </Button>
          )}
        </div>
        <form
          className="flex items-end gap-3"
          onSubmit={(event) => {
            event.preventDefault();
            const weighed = weighText(
              typed,
              { ...measuringOf(own, units.kitchen, name), bare: units.mass },
              say.language,
            );
            if (weighed.ok) tell(tenth(weighed.value.grams));
            else setTrouble(say.coded(weighed.message));
          }}
        >
          <Field
            label={say('sheet.orAnotherWeightSuchAs')}
            size="floor"
            value={typed}
            onType={setTyped}
            trouble={trouble}
          />
          <Button type="submit" floor>
            {say('sheet.tellIt')}
          </Button>
        </form>
        {alike.length > 0 && (
          <Choice
            label={say('sheet.takenInstead')}
            size="floor"
            value=""
            options={[
              { id: '', name: say.named(name) },
              ...alike.map(({ id, name: other }) => ({ id, name: say.named(other) })),
            ]}
            onChoose={(id) => {
              if (id === '') return;
              onSwap(id);
              onClose();
            }}
          />
        )}
      </div>
    </Sheet>
  );
}
