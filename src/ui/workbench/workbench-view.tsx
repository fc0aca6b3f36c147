'use client';

import { useWords } from '../kit/words';
import { Tabs } from 'radix-ui';
import { useState } from 'react';
import type { Ingredient } from '@/core/formula/ingredient';
import { bookWithFormulas, type NamedFormula } from '@/core/formula/parts';
import type { BowlTemperatures } from '@/core/heat/mixing';
import type { Rise } from '@/core/process/route';
import { ScalePanel } from '../formulas/scale-panel';
import { Choice } from '../kit/field';
import { AmountTool } from './amount-tool';
import { ChillTool, type ToolPlace } from './chill-tool';
import { LevainTool } from './levain-tool';
import { ProofTool, type LearntProduct } from './proof-tool';
import { WaterTool, type LearntMixing } from './water-tool';

interface Props {
  formulas: NamedFormula[];
  ingredients: Ingredient[];
  places: ToolPlace[];
  temperatures: BowlTemperatures;
  mixing: LearntMixing[];
  products: LearntProduct[];
  levain: Rise;
  bowlGrams: number;
  zone: string;
}

/** The calculators alone, for a quick question. */
export function WorkbenchView(props: Props) {
  const say = useWords();
  const { formulas, ingredients, places, temperatures, mixing, products, levain, bowlGrams, zone } = props;
  const tools = [
    {
      id: 'water',
      name: say('workbench.water'),
      tool: <WaterTool {...{ formulas, ingredients, temperatures, mixing, zone }} />,
    },
    { id: 'chill', name: say('workbench.chillAndWarm'), tool: <ChillTool places={places} /> },
    { id: 'proof', name: say('workbench.proof'), tool: <ProofTool {...{ products, places, zone }} /> },
    {
      id: 'levain',
      name: say('workbench.levain'),
      tool: <LevainTool rise={levain} room={temperatures.room} zone={zone} />,
    },
    {
      id: 'scale',
      name: say('workbench.scale'),
      tool: <ScaleTool {...{ formulas, ingredients, bowlGrams }} />,
    },
    { id: 'amounts', name: say('workbench.amounts'), tool: <AmountTool ingredients={ingredients} /> },
  ];
  return (
    <main className="flex-1 bg-flour p-5">
      <h1 className="mb-3 text-3xl font-bold">{say('workbench.workbench')}</h1>
      <Tabs.Root defaultValue="water">
        <Tabs.List
          aria-label={say('workbench.calculators')}
          className="mb-5 flex flex-wrap gap-1 border-b border-hairline"
        >
          {tools.map(({ id, name }) => (
            <Tabs.Trigger
              key={id}
              value={id}
              className="min-h-11 px-4 text-lg data-[state=active]:border-b-4 data-[state=active]:border-butter data-[state=active]:font-semibold"
            >
              {name}
            </Tabs.Trigger>
          ))}
        </Tabs.List>
        {tools.map(({ id, tool }) => (
          <Tabs.Content key={id} value={id}>
            {tool}
          </Tabs.Content>
        ))}
      </Tabs.Root>
    </main>
  );
}

function ScaleTool({
  formulas,
  ingredients,
  bowlGrams,
}: Pick<Props, 'formulas' | 'ingredients' | 'bowlGrams'>) {
  const say = useWords();
  const [id, setId] = useState(formulas[0]?.id ?? 0);
  const formula = formulas.find((one) => one.id === id)?.formula;
  return (
    <div className="max-w-xl">
      <Choice
        label={say('workbench.formula')}
        value={id}
        options={formulas.map((one) => ({ id: String(one.id), name: say.named(one.name) }))}
        onChoose={(chosen) => setId(Number(chosen))}
      />
      {formula && (
        <ScalePanel formula={formula} book={bookWithFormulas(ingredients, formulas)} bowlGrams={bowlGrams} />
      )}
    </div>
  );
}
