'use client';

import { weighOut } from '@/core/formula/weigh-out';
import type { Formula } from '@/core/formula/formula';
import { dressingTotals, type DressingNeed, type DressingTotal } from '@/core/shaping/needs';
import { SHAPE_KINDS, SHAPES } from '@/core/shaping/shapes';
import { clockTime } from '@/core/time/local';
import { showMass } from '@/core/units/reader';
import { Picture } from '../drawing/picture';
import { useWords } from '../kit/words';
import { Tabs } from '../lamination/tabs';
import { useUnits } from '../live/units';

interface Props {
  needs: DressingNeed[];
  zone: string;
  /** Formulas that fillings, washes and toppings are made by, by their numbers. */
  formulas: Record<number, Formula>;
  /** What their ingredients are called. */
  names: Record<string, string>;
}

/** The days' fillings, washes and toppings with their totals and what to weigh out, and how each shape is made up. */
export function FillingsView({ needs, zone, formulas, names }: Props) {
  const say = useWords();
  const days = [...new Map(needs.map(({ at }) => [say.dayName(at, zone), at])).entries()].sort(
    (a, b) => a[1] - b[1],
  );
  return (
    <main className="flex-1 p-5">
      <Tabs at="/fillings" />
      {days.length === 0 && <p className="mt-3 text-lg">{say('fillings.noPlannedDoughAsksFor')}</p>}
      <div className="mt-3 grid gap-x-10 gap-y-5 lg:grid-cols-3">
        {days.map(([day]) => (
          <section key={day} aria-label={say('fillings.fillingsOf', { day })}>
            <h2 className="text-2xl font-semibold">{day}</h2>
            {dressingTotals(needs.filter(({ at }) => say.dayName(at, zone) === day)).map((total) => (
              <Total
                key={total.name}
                {...{ total, zone, names, formula: formulas[total.formulaId ?? 0] ?? null }}
              />
            ))}
          </section>
        ))}
      </div>
      <h2 className="mt-8 text-2xl font-semibold">{say('fillings.shapes')}</h2>
      <div className="grid gap-x-10 gap-y-6 lg:grid-cols-2">
        {SHAPE_KINDS.map((kind) => {
          const { label, steps, wrong } = SHAPES[kind];
          return (
            <section key={kind} aria-label={say.coded(label)} className="border-t border-hairline pt-2">
              <h3 className="text-xl font-semibold">{say.coded(label)}</h3>
              <ol className="mt-1 grid grid-cols-2 gap-3 sm:grid-cols-4">
                {steps.map(({ drawing, words }, i) => (
                  <li
                    key={say.coded(words)}
                    className="grid content-start gap-1 text-[15px] [overflow-wrap:anywhere] hyphens-auto"
                  >
                    <Picture drawing={drawing} id={`${kind}-${i}`} className="w-full max-w-40" />
                    {i + 1}. {say.coded(words)}
                  </li>
                ))}
              </ol>
              <p className="mt-1 text-[15px] text-quiet">
                {wrong.map(({ sign, because }) => `${say.coded(sign)}: ${say.coded(because)}`).join('; ')}.
              </p>
            </section>
          );
        })}
      </div>
    </main>
  );
}

interface TotalProps {
  total: DressingTotal;
  zone: string;
  formula: Formula | null;
  names: Record<string, string>;
}

/** One filling, wash or topping of a day: how much in all, who needs it, and its ingredients. */
function Total({ total: { name, grams, needs }, zone, formula, names }: TotalProps) {
  const say = useWords();
  const [units] = useUnits();
  return (
    <div className="mt-2 border-t border-hairline pt-1">
      <p className="flex justify-between gap-4 text-xl">
        {say.named(name)} <span className="font-bold">{showMass(grams, units)}</span>
      </p>
      {needs.map((need) => (
        <p key={`${need.dough} ${need.product} ${need.at}`} className="text-[16px] text-quiet">
          {say.rich('fillings.pieces', {
            ...{ time: clockTime(need.at, zone), product: say.inLine(need.product), dough: need.dough },
            ...{ pieces: need.pieces, mass: showMass(need.grams, units), moment: say.coded(need.moment) },
            full: () => need.overfull && <span className="block text-warn">{say.coded(need.overfull)}</span>,
          })}
        </p>
      ))}
      {formula && (
        <details>
          <summary className="min-h-8 cursor-pointer text-[17px]">{say('fillings.weighOut')}</summary>
          <table className="mt-1 w-full text-[17px]">
            <tbody>
              {weighOut(formula, grams).map(({ ingredient, grams: part }, i) => (
                <tr key={i} className="border-t border-hairline">
                  <td>{say.named(names[ingredient] ?? ingredient)}</td>
                  <td className="text-right font-bold">
                    {part === null ? say('fillings.toTaste') : showMass(part, units)}
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
        </details>
      )}
    </div>
  );
}
