'use client';

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
  allergens: readonly string[];
  onTake: (taken: TrimmingsReuse) => void;
}

/** Trimmings of earlier doughs that may go into this one, up to the house's share; their age and allergens go with them. */
export function ScrapOffers({ stock, share, mostHours, doughGrams, records, allergens, onTake }: Props) {
  const [units] = useUnits();
  const had = records.flatMap(({ data }) => (data.kind === 'scrap-taken' ? [data] : []));
  const taken = had.reduce((sum, { grams }) => sum + grams, 0);
  const offers = scrapOffers(stock, doughGrams, { share, mostHours, taken });
  if (offers.length === 0 && had.length === 0) return null;
  return (
    <section aria-labelledby="scrap-heading" className="mb-5">
      <h2 id="scrap-heading" className="text-xl font-semibold">
        Trimmings to go in
      </h2>
      {taken > 0 && (
        <p className="text-lg">
          {showMass(taken, units)} in already, {Math.round((taken / doughGrams) * 1000) / 10} % of this dough
        </p>
      )}
      <ul className="grid gap-2">
        {offers.map((offer) => {
          const further = offer.allergens.filter((one) => !allergens.includes(one));
          return (
            <li key={offer.fromDough} className="flex flex-wrap items-center gap-3 text-lg">
              <span>
                {offer.name}: {showMass(offer.grams, units)}, {Math.round(offer.hours)} h old, with{' '}
                {offer.allergens.join(', ')}
                {further.length > 0 && (
                  <span className="font-bold text-warn">; brings {further.join(', ')} into this dough</span>
                )}
              </span>
              {offer.most >= 1 ? (
                <Button
                  floor
                  onClick={() =>
                    onTake({ kind: 'scrap-taken', from: offer.fromDough, grams: Math.floor(offer.most) })
                  }
                >
                  Take {showMass(Math.floor(offer.most), units)}
                </Button>
              ) : (
                <span className="text-quiet">{offer.refused}</span>
              )}
            </li>
          );
        })}
      </ul>
    </section>
  );
}
