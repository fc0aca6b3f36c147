import type { Advice } from '@/core/formula/advice';
import type { Analysis } from '@/core/formula/analysis';

const LABELS: {
  about: Advice['about'] | null;
  name: string;
  of: (analysis: Analysis) => number;
  only?: (analysis: Analysis) => boolean;
}[] = [
  { about: 'hydration', name: 'Hydration', of: (a) => a.hydration },
  { about: 'fat', name: 'Fat', of: (a) => a.fat },
  { about: 'sugar', name: 'Sugar', of: (a) => a.sugar },
  { about: 'salt', name: 'Salt', of: (a) => a.salt },
  { about: 'yeast', name: 'Yeast, as instant', of: (a) => a.yeast },
  {
    about: null,
    name: 'Prefermented flour',
    of: (a) => a.prefermentedFlour,
    only: (a) => a.prefermentedFlour > 0,
  },
  {
    about: 'roll-in',
    name: 'Roll-in of the dough',
    of: (a) => a.rollInOfDough,
    only: (a) => a.rollInOfFlour > 0,
  },
  { about: null, name: 'Roll-in of the flour', of: (a) => a.rollInOfFlour, only: (a) => a.rollInOfFlour > 0 },
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
  const open = [...new Set([...(unread ?? []), ...analysis.undeclared])];
  const shown = LABELS.filter(({ only }) => analysis.flour > 0 && (only?.(analysis) ?? true));
  return (
    <section aria-label="Totals">
      {analysis.flour > 0 && (
        <>
          <h2 className="mb-1 text-lg text-quiet">of the flour</h2>
          <dl>
            {shown.map(({ about, name, of }) => {
              const said = advice.filter((one) => one.about === about && about !== null);
              return (
                <div
                  key={name}
                  className="grid grid-cols-[1fr_auto] items-baseline border-b border-hairline py-1.5"
                >
                  <dt>{name}</dt>
                  <dd className="text-xl font-semibold">{of(analysis).toFixed(1)} %</dd>
                  {said.map(({ sentence }) => (
                    <dd key={sentence} className="col-span-2 text-[15px] text-quiet">
                      {sentence}
                    </dd>
                  ))}
                </div>
              );
            })}
          </dl>
        </>
      )}
      <h2 className="mt-4 mb-1 text-lg text-quiet">contains</h2>
      {open.length > 0 && (
        <p role="status" className="mb-1 border-l-4 border-warn pl-3 font-semibold">
          Incomplete: {open.join(', ')} not known yet.
        </p>
      )}
      {analysis.allergens.length === 0 ? (
        open.length === 0 && <p>None of the fourteen allergens of EU labels.</p>
      ) : (
        <ul>
          {analysis.allergens.map(({ allergen, from }) => (
            <li key={allergen}>
              <span className="font-semibold">{allergen}</span>{' '}
              <span className="text-[15px] text-quiet">from {from.join(', ')}</span>
            </li>
          ))}
        </ul>
      )}
      {analysis.uncounted.length > 0 && (
        <p className="mt-2 text-[15px] text-quiet">Not counted: {analysis.uncounted.join(', ')}.</p>
      )}
      <p className="mt-2 text-[15px] text-quiet">
        Worked out from what is typed here; labels and traces are for trained people to check.
      </p>
    </section>
  );
}
