import { type HeatShare, heatShares } from '@/core/heat/shares';
import type { Mixing } from '@/core/heat/mixing';
import { type ReaderUnits, showCelsius, showDifference } from '@/core/units/reader';
import { upperFirst } from '@/words/first-letter';
import { type SayOnPage, useWords } from '../kit/words';

/** Less than this neither warms nor cools anything, °C. */
const NOTHING = 0.05;
/** The same by day and by night, as in the composition of doughs. */
const COLD = '#7fa6bd';
const WARM = '#d98f63';

/**
 * What warms and what cools a dough, as bars to both sides of the temperature that is wanted: as much on one side as on the
 * other, since the liquid is chosen so. Whoever wants other water sees what else could be cooled or warmed.
 */
export function HeatShares({ mixing, units }: { mixing: Mixing; units: ReaderUnits }) {
  const say = useWords();
  const shares = heatShares(mixing);
  const most = Math.max(...shares.map(({ degrees }) => Math.abs(degrees)), NOTHING);
  const names: Record<HeatShare['part'], string> = {
    flour: say('workbench.flour'),
    preferment: say('workbench.levainOrSponge'),
    cold: say('workbench.fromTheFridge'),
    rest: say('workbench.otherIngredients'),
    liquid: upperFirst(say.named(mixing.liquid.name)),
    ice: say('workbench.ice'),
    mixing: say('workbench.mixing'),
  };
  return (
    <table className="mt-6 w-full max-w-3xl text-[17px]">
      <caption className="border-b border-edge pb-1 text-left text-xl font-bold">
        {say('workbench.whatWarmsAndCools', { celsius: showCelsius(mixing.question.target, units) })}
      </caption>
      <thead className="sr-only">
        <tr>
          <th scope="col">{say('workbench.cause')}</th>
          <th scope="col">{say('workbench.temperature')}</th>
          <td className="max-sm:hidden" />
          <th scope="col">{say('workbench.effect')}</th>
        </tr>
      </thead>
      <tbody>
        {shares.map(({ part, degrees, celsius }) => (
          <tr key={part} className="border-b border-hairline">
            <th scope="row" className="py-2 text-left font-normal sm:min-w-40">
              {names[part]}
            </th>
            <td className="py-2 pl-2 text-right whitespace-nowrap text-quiet tabular-nums">
              {celsius === null ? '' : showCelsius(celsius, units)}
            </td>
            <td className="w-full py-2 pl-4 max-sm:hidden">
              <Bar share={degrees / most} />
            </td>
            <td className="py-2 pl-4 text-right sm:whitespace-nowrap">{signed(say, degrees, units)}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

const signed = (say: SayOnPage, degrees: number, units: ReaderUnits) =>
  Math.abs(degrees) < NOTHING
    ? say('workbench.noEffect')
    : say(degrees > 0 ? 'workbench.warmsBy' : 'workbench.coolsBy', {
        difference: showDifference(Math.abs(degrees), units),
      });

/** A bar from the middle: to the right what warms, to the left what cools. */
function Bar({ share }: { share: number }) {
  const bar = { width: `${Math.abs(share) * 100}%`, background: share < 0 ? COLD : WARM };
  return (
    <div aria-hidden className="grid grid-cols-2">
      <div className="flex h-7 justify-end border-r-2 border-ink">
        {share < 0 && <div className="h-full border border-r-0 border-ink" style={bar} />}
      </div>
      <div className="flex h-7">
        {share > 0 && <div className="h-full border border-l-0 border-ink" style={bar} />}
      </div>
    </div>
  );
}
