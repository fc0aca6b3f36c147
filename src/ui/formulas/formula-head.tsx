'use client';

import type { ReadDraft } from '@/core/formula/draft';
import { type Kitchen, KITCHENS } from '@/core/units/measures';
import { Choice, Field } from '../kit/field';
import { MeasureField } from '../kit/measure-field';
import { useWords } from '../kit/words';
import { cellId } from './cells';
import type { DraftInHand } from './use-draft';

interface Props {
  inHand: DraftInHand;
  read: ReadDraft;
  /** Whose cups and spoons are meant. */
  kitchen: Kitchen;
  isNew: boolean;
  mayChange: boolean;
  nameTrouble: string | null;
  onChange: (draft: DraftInHand['draft']) => void;
  onKitchen: (kitchen: Kitchen) => void;
  onMove: (cell: string) => void;
}

/** What holds for the whole formula: its name, for how much it is shown, how warm the dough is to be, whose cups it means. */
export function FormulaHead({ inHand, read, kitchen, isNew, mayChange, nameTrouble, ...on }: Props) {
  const say = useWords();
  const { draft, name, setName } = inHand;
  const faultOf = (field: 'flour' | 'doughCelsius') =>
    say.coded(read.faults.find((one) => one.field === field)?.message ?? '') || null;
  return (
    <div className="mb-4 grid min-w-[44rem] grid-cols-[2fr_1fr_1fr_1.6fr] gap-3">
      <Field
        label={say('formulas.name')}
        autoFocus={isNew}
        value={name}
        readOnly={!mayChange}
        onType={setName}
        onKeyDown={(event) => event.key === 'Enter' && !event.ctrlKey && on.onMove(cellId(0, 0, 'name'))}
        trouble={nameTrouble}
        className="font-semibold"
      />
      <MeasureField
        kind="grams"
        label={
          read.hasFlour || draft.flour === ''
            ? say('formulas.showForFlourOf')
            : say('formulas.showForAWeightOf')
        }
        text={draft.flour}
        onText={(flour) => on.onChange({ ...draft, flour })}
        trouble={faultOf('flour')}
      />
      <MeasureField
        kind="celsius"
        label={say('formulas.doughTemperature')}
        text={draft.doughCelsius}
        readOnly={!mayChange}
        onText={(doughCelsius) => on.onChange({ ...draft, doughCelsius })}
        trouble={faultOf('doughCelsius')}
        hint={read.formula.doughCelsius === null ? say('formulas.n24COr75F') : null}
      />
      <Choice
        label={say('common.cupsAndSpoons')}
        value={kitchen}
        options={KITCHENS.map(({ id, name }) => ({ id, name: say.coded(name) }))}
        onChoose={(id) => on.onKitchen(id as Kitchen)}
      />
    </div>
  );
}
