import { useWords } from '../kit/words';
import type { Say } from '@/words/say';
import clsx from 'clsx';
import type { RollingHouse } from '@/core/bakery/rolling';
import { verdictMessage } from '@/core/lamination/kinds';
import { outcomeOf, type Scheme, schemeMinutes, schemeName, type Weights } from '@/core/lamination/scheme';
import { duration } from '@/core/units/format';
import { microns } from './layer-facts';

export interface ComparedScheme {
  id: string;
  name: string;
  scheme: Scheme;
  products: readonly { name: string }[];
}

interface Props {
  schemes: readonly ComparedScheme[];
  chosen: string | null;
  weights: Weights;
  mm: number;
  limits: RollingHouse['limits'];
  onChoose: (id: string) => void;
}

const headings = (say: Say) => [
  say('schemes.scheme'),
  say('schemes.folds'),
  say('schemes.fat2'),
  say('schemes.multiplied'),
  say('schemes.meanFat'),
  say('schemes.comesOut'),
  say('schemes.work'),
  say('schemes.rests'),
];

/** The house's schemes side by side, for the same dough, butter and sheet. */
export function CompareTable({ schemes, chosen, weights, mm, limits, onChoose }: Props) {
  const say = useWords();
  const kg = (weights.dough + weights.fat) / 1000;
  return (
    <div
      className="relative overflow-x-auto"
      tabIndex={0}
      role="group"
      aria-label={say('schemes.schemesSideBy')}
    >
      <table className="w-full min-w-[42rem] border-collapse text-left text-[15px]">
        <thead>
          <tr className="border-b border-edge text-[15px] text-quiet">
            {headings(say).map((heading) => (
              <th key={heading} scope="col" className="pr-3 pb-1 font-normal">
                {heading}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {schemes.map(({ id, name, scheme }) => {
            const { layers, multiplied, verdict } = outcomeOf(scheme, weights, {
              mm,
              limits: limits[scheme.kind],
            });
            const { work, rest } = schemeMinutes(scheme, kg);
            return (
              <tr
                key={id}
                className={clsx('border-b border-hairline align-top', id === chosen && 'bg-butter-wash')}
              >
                <th scope="row" className="min-w-28 pr-3 font-normal">
                  <button
                    type="button"
                    aria-pressed={id === chosen}
                    onClick={() => onChoose(id)}
                    className="min-h-7 text-left font-semibold underline-offset-4 hover:underline"
                  >
                    {say.named(name)}
                  </button>
                </th>
                <td className="pr-3 whitespace-nowrap">{say.coded(schemeName(scheme))}</td>
                <td className="pr-3">{layers.fatLayers}</td>
                <td className="pr-3 text-quiet">{multiplied}</td>
                <td className="pr-3 whitespace-nowrap">{microns(say, layers.meanFat)}</td>
                <td className="pr-3">{say.coded(verdictMessage(verdict, scheme.kind))}</td>
                <td className="pr-3 whitespace-nowrap">{duration(work)}</td>
                <td className="whitespace-nowrap">{duration(rest)}</td>
              </tr>
            );
          })}
        </tbody>
      </table>
    </div>
  );
}
