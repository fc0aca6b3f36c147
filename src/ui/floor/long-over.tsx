'use client';

import { unrecorded } from '@/core/shopfloor/catch-up';
import { entriesOf } from '@/core/shopfloor/catch-up-entries';
import type { DoughForecast } from '@/core/forecast/forecast';
import { goesToStock } from '@/core/process/output-way';
import type { Recording } from '@/core/record/events';
import { type Instant } from '@/core/time/local';
import type { Board } from '@/core/wire/board';
import { Button } from '../kit/button';
import { useWords } from '../kit/words';

/** Doughs that are long over and were not recorded to their end: closed with one tap; what they put into the cold is asked for first. */
export function LongOver({
  board,
  doughs,
  now,
  onRecord,
  onEnter,
}: {
  board: Board;
  doughs: readonly DoughForecast[];
  now: Instant;
  onRecord: (recording: Recording, at?: Instant) => void;
  /** Somebody knows how it went and enters it after all. */
  onEnter: (doughId: number) => void;
}) {
  const say = useWords();
  if (doughs.length === 0) return null;
  const keptOf = (dough: DoughForecast) =>
    board.doughs.find(({ id }) => id === dough.id)?.outputs.filter(({ way }) => goesToStock(way)) ?? [];
  const gone = doughs.filter((dough) => keptOf(dough).length === 0);
  const close = ({ id }: DoughForecast) => onRecord({ doughId: id, stepKey: null, kind: 'close' });
  const allDone = (dough: DoughForecast) => {
    for (const one of unrecorded(dough, now))
      for (const { recording, at } of entriesOf(dough, one)) onRecord(recording, at);
  };
  return (
    <section aria-label={say('floor.overWithoutRecord')} className="mb-5">
      <h3 className="text-xl font-semibold">{say('floor.overWithoutRecord')}</h3>
      <ul>
        {doughs.map((dough) => {
          const kept = keptOf(dough);
          const end = Math.max(...dough.steps.map(({ plannedEnd }) => plannedEnd));
          return (
            <li
              key={dough.id}
              className="flex flex-wrap items-center justify-between gap-x-3 border-b border-hairline py-1 text-xl"
            >
              <span>
                {dough.name}{' '}
                <span className="text-lg text-quiet">
                  {say('floor.plannedOverAt', { time: say.dayTime(end, board.house.zone) })}
                </span>
              </span>
              {kept.length === 0 ? (
                <Button look="quiet" className="min-h-14" onClick={() => onEnter(dough.id)}>
                  {say('floor.enterSteps')}
                </Button>
              ) : (
                <span className="flex w-full flex-wrap items-center justify-between gap-2 text-lg">
                  {say('floor.areTheyKept', {
                    what: kept
                      .map(({ pieces, product }) => say('common.somePieces', { pieces, product }))
                      .join(', '),
                  })}
                  <span className="flex gap-2">
                    <Button floor onClick={() => allDone(dough)}>
                      {say('floor.theyAreThere')}
                    </Button>
                    <Button floor onClick={() => close(dough)}>
                      {say('floor.no')}
                    </Button>
                  </span>
                </span>
              )}
            </li>
          );
        })}
      </ul>
      {gone.length > 0 && (
        <Button look="act" floor className="mt-3 w-full" onClick={() => gone.forEach(close)}>
          {say('floor.closeAll', { doughs: gone.length })}
        </Button>
      )}
    </section>
  );
}
