'use client';

import { useEffect } from 'react';
import type { DoughAmounts } from '@/core/wire/amounts';
import { showMass } from '@/core/units/reader';
import { amountTitle } from '../kit/amount-title';
import { useWords } from '../kit/words';
import { ask } from '../live/ask';
import { readHere, useKept } from '../live/kept';
import { useUnits } from '../live/units';

/** Amounts of the last doughs that this tablet has shown, so that it has them without a line. */
const KEPT = { as: 'hefeteig-amounts', doughs: 12 };
type Kept = readonly [number, DoughAmounts][];
const read = (text: string | null): Kept => (text === null ? [] : (JSON.parse(text) as Kept));

function useAmounts(doughId: number): DoughAmounts | null {
  const [kept, keep] = useKept(KEPT.as);
  useEffect(() => {
    void ask(`/api/amounts/${doughId}`, { method: 'GET' }).then((answer) => {
      if (!answer || typeof answer !== 'object' || !('steps' in answer)) return;
      const others = read(readHere(KEPT.as)).filter(([id]) => id !== doughId);
      keep(JSON.stringify([[doughId, answer], ...others].slice(0, KEPT.doughs)));
    });
  }, [doughId, keep]);
  return read(kept).find(([id]) => id === doughId)?.[1] ?? null;
}

/** What is weighed out for this step, line by line: a sponge, a levain, a butter block, a filling, a wash. */
export function StepAmounts({ doughId, stepKey }: { doughId: number; stepKey: string }) {
  const say = useWords();
  const [units] = useUnits();
  const amounts = useAmounts(doughId);
  const own = amounts?.steps[stepKey] ?? [];
  if (!amounts || own.length === 0) return null;
  return (
    <section aria-label={say('bench.weighOut')} className="my-3 grid gap-3">
      {own.map(({ what, grams, lines }) => {
        const title = amountTitle(say, what);
        return (
          <table key={title} className="w-full max-w-xl text-xl">
            <caption className="text-left text-lg text-quiet">
              {say('bench.amountOf', { title, mass: showMass(grams, units) })}
            </caption>
            <tbody>
              {lines.map(({ ingredient, grams: weight }, i) => (
                <tr key={`${ingredient} ${i}`} className="border-b border-hairline">
                  <td className="py-1">{say.named(amounts.names[ingredient] ?? ingredient)}</td>
                  <td className="text-right text-2xl font-semibold">
                    {weight === null ? say('bench.toTaste') : showMass(weight, units)}
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
        );
      })}
    </section>
  );
}
