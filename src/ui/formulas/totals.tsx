import { allergenName } from '@/words/code-names';
import { useWords } from '../kit/words';
import type { Say } from '@/words/say';
import type { Advice } from '@/core/formula/advice';
import type { Analysis } from '@/core/formula/analysis';

const labels = (
  say: Say,
): {
  about: Advice['about'] | null;
  name: string;
  of: (analysis: Analysis) => number;
  only?: (analysis: Analysis) => boolean;
}[] => [
  { about: 'hydration', name: say('formulas.hydration'), of: (a) => a.hydration },
  { about: 'fat', name: say('formulas.fat'), of: (a) => a.fat },
  { about: 'sugar', name: say('formulas.sugar'), of: (a) => a.sugar },
  { about: 'salt', name: say('formulas.salt'), of: (a) => a.salt },
  { about: 'yeast', name: say('formulas.yeastAsInstant'), of: (a) => a.yeast },
  {
    about: null,
    name: say('formulas.prefermentedFlour'),
    of: (a) => a.prefermentedFlour,
    only: (a) => a.prefermentedFlour > 0,
  },
  {
    about: 'roll-in',
    name: say('formulas.rollInOfTheDough'),
    of: (a) => a.rollInOfDough,
    only: (a) => a.rollInOfFlour > 0,
  },
  {
    about: null,
    name: say('formulas.rollInOfTheFlour'),
    of: (a) => a.rollInOfFlour,
    only: (a) => a.rollInOfFlour > 0,
  },
];

/** What a formula comes to, each unusual value with a sentence that says why it matters. */
export function Totals({
  analysis,
  advice,
  unread = [],
}: {
  analysis: Analysis;
  advice: Advice[];
  /** Lines that are not read yet, by name: until then totals and allergens are those of the others alone. */
  unread?: string[];
}) {
  const say = useWords();
  const open = [...new Set([...(unread ?? []), ...analysis.undeclared])];
  const shown = labels(say).filter(({ only }) => analysis.flour > 0 && (only?.(analysis) ?? true));
  return (
    <section aria-label={say('formulas.totals')}>
      {analysis.flour > 0 && (
        <>
          <h2 className="mb-1 text-lg text-quiet">{say('formulas.ofTheFlour')}</h2>
          <dl>
            {shown.map(({ about, name, of }) => {
              const said = advice.filter((one) => one.about === about && about !== null);
              return (
                <div
                  key={name}
                  className="grid grid-cols-[1fr_auto] items-baseline border-b border-hairline py-1.5"
                >
                  <dt>{name}</dt>
                  <dd className="text-xl font-semibold">{say.number(of(analysis), 1)} %</dd>
                  {said.map(({ message }) => (
                    <dd key={message.code} className="col-span-2 text-[15px] text-quiet">
                      {say.coded(message)}
                    </dd>
                  ))}
                </div>
              );
            })}
          </dl>
        </>
      )}
      <h2 className="mt-4 mb-1 text-lg text-quiet">{say('formulas.contains2')}</h2>
      {open.length > 0 && (
        <p role="status" className="mb-1 border-l-4 border-warn pl-3 font-semibold">
          {say('formulas.incompleteNotKnownYet', { open: open.join(', ') })}
        </p>
      )}
      {analysis.allergens.length === 0 ? (
        open.length === 0 && <p>{say('formulas.noneOfTheFourteenAllergens')}</p>
      ) : (
        <ul>
          {analysis.allergens.map(({ allergen, from }) => (
            <li key={allergen}>
              <span className="font-semibold">{allergenName(say, allergen)}</span>{' '}
              <span className="text-[15px] text-quiet">
                {say('formulas.from', { from: from.map((one) => say.named(one)).join(', ') })}
              </span>
            </li>
          ))}
        </ul>
      )}
      {analysis.uncounted.length > 0 && (
        <p className="mt-2 text-[15px] text-quiet">
          {say('formulas.notCounted', { uncounted: analysis.uncounted.join(', ') })}
        </p>
      )}
      <p className="mt-2 text-[15px] text-quiet">{say('formulas.workedOutFromWhatIs')}</p>
    </section>
  );
}
