'use client';

import type { Allergen } from '@/core/formula/ingredient';
import { allergenNames } from '@/words/code-names';
import { useWords } from '../kit/words';
import { scrapOffers, type ScrapStock } from '@/core/record/scrap';
import type { TrimmingsReuse } from '@/core/record/events';
import type { StepState } from '@/core/record/step-state';
import { showMass } from '@/core/units/reader';
import { Button } from '../kit/button';
import { useUnits } from '../live/units';

interface Props {
  stock: readonly ScrapStock[];
  share: number;
  mostHours: number;
  doughGrams: number;
  records: StepState['records'];
  /** What is in this dough already. */
  allergens: readonly Allergen[];
  onTake: (taken: TrimmingsReuse) => void;
}

/** Trimmings of earlier doughs that may go into this one, up to the house's share; their age and allergens go with them. */
export function ScrapOffers({ stock, share, mostHours, doughGrams, records, allergens, onTake }: Props) {
  const say = useWords();
  const [units] = useUnits();
  const had = records.flatMap(({ data }) => (data.kind === 'scrap-taken' ? [data] : []));
  const taken = had.reduce((sum, { grams }) => sum + grams, 0);
  const offers = scrapOffers(stock, doughGrams, { share, mostHours, taken });
  if (offers.length === 0 && had.length === 0) return null;
  return (
    <section aria-labelledby="scrap-heading" className="mb-5">
      <h2 id="scrap-heading" className="text-xl font-semibold">
        {say('sheet.trimmingsToGoIn')}
      </h2>
      {taken > 0 && (
        <p className="text-lg">
          {say('sheet.inAlreadyOfThisDough', {
            mass: showMass(taken, units),
            taken: Math.round((taken / doughGrams) * 1000) / 10,
          })}
        </p>
      )}
      <ul className="grid gap-2">
        {offers.map((offer) => {
          const further = offer.allergens.filter((one) => !allergens.includes(one));
          return (
            <li key={offer.fromDough} className="flex flex-wrap items-center gap-3 text-lg">
              <span>
                {say.rich('sheet.hOldWith', {
                  name: offer.name,
                  mass: showMass(offer.grams, units),
                  hours: Math.round(offer.hours),
                  allergens: allergenNames(say, offer.allergens),
                  count: () =>
                    further.length > 0 && (
                      <span className="font-bold text-warn">
                        {say('sheet.bringsIntoThisDough', {
                          further: allergenNames(say, further),
                        })}
                      </span>
                    ),
                })}
              </span>
              {offer.most >= 1 ? (
                <Button
                  floor
                  onClick={() =>
                    onTake({ kind: 'scrap-taken', from: offer.fromDough, grams: Math.floor(offer.most) })
                  }
                >
                  {say('sheet.take', { mass: showMass(Math.floor(offer.most), units) })}
                </Button>
              ) : (
                <span className="text-quiet">{offer.refused && say.coded(offer.refused)}</span>
              )}
            </li>
          );
        })}
      </ul>
    </section>
  );
}
