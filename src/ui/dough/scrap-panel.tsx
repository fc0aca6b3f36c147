'use client';

import { useWords } from '../kit/words';
import { useState } from 'react';
import { doughYield, SCRAP_WAYS } from '@/core/record/scrap';
import type { DoughForecast } from '@/core/forecast/forecast';
import type { Person } from '@/core/bakery/people';
import type { Scrap } from '@/core/record/events';
import { showMass } from '@/core/units/reader';
import { Button } from '../kit/button';
import { useUnits } from '../live/units';
import { ScrapSheet } from '../scrap/scrap-sheet';

interface Props {
  dough: DoughForecast;
  kg: number;
  people: readonly Person[];
  zone: string;
  onTell: (scrap: Scrap) => void;
}

/** Trimmings of a dough, what became of them, and the yield. */
export function ScrapPanel({ dough, kg, people, zone, onTell }: Props) {
  const say = useWords();
  const [units] = useUnits();
  const [telling, setTelling] = useState(false);
  const told = [...dough.state.steps.values()].flatMap(({ records }) =>
    records.flatMap(({ data, at, personId }) => (data.kind === 'scrap' ? [{ ...data, at, personId }] : [])),
  );
  const share = (value: number) => say.shown({ percent: value * 100 });
  const out = doughYield(kg * 1000, told);
  return (
    <section aria-labelledby="trimmings-heading" className="mt-6">
      <div className="flex flex-wrap items-center gap-4">
        <h2 id="trimmings-heading" className="text-2xl font-semibold">
          {say('dough.trimmings')}
        </h2>
        <Button className="min-h-11" onClick={() => setTelling(true)}>
          {say('dough.tellTrimmings')}
        </Button>
      </div>
      {told.length === 0 ? (
        <p className="text-[17px] text-quiet">{say('dough.noneToldYet')}</p>
      ) : (
        <>
          <ul className="text-[17px]">
            {told.map(({ grams, how, use, at, personId }) => (
              <li key={`${at} ${grams} ${use}`}>
                {showMass(grams, units)} {say('names.known', { how })}: {say.coded(SCRAP_WAYS[use].label)}{' '}
                <span className="text-quiet">
                  {people.find(({ id }) => id === personId)?.name}, {say.dayTime(at, zone)}
                </span>
              </li>
            ))}
          </ul>
          <p className="text-[17px]">
            {say('dough.yieldBecamePiecesWasUsed', { share: share(out.pieces), share2: share(out.used) })}
          </p>
        </>
      )}
      <ScrapSheet open={telling} onOpenChange={setTelling} scale={null} onTell={onTell} />
    </section>
  );
}
