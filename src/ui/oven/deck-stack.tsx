'use client';

import { decksOut } from '@/core/bakery/decks';
import { dialFor } from '@/core/bakery/machines';
import { clockTime } from '@/core/time/local';
import { showCelsius } from '@/core/units/reader';
import { useWords } from '../kit/words';
import { useMinute } from '../live/clock';
import { useUnits } from '../live/units';
import { useSecond } from '../live/use-second';
import type { LoadOnDecks, OvenInside } from './oven-inside';
import { phaseAt, timer } from './words';

/** The decks of an oven as they are stacked, the highest on top: what is on each, at what phase, and how long it has. */
export function DeckStack({ oven, zone }: { oven: OvenInside; zone: string }) {
  const say = useWords();
  const { decks, onDecks, loads } = oven;
  const out = decksOut(oven.machine, useMinute());
  // Where no load says which deck it is on, none can be called free.
  if (decks.count < 2 || (loads.length > 0 && onDecks.length + out.length === 0)) return null;
  return (
    <ol aria-label={say('oven.decksOf', { oven: oven.machine.label })} className="mb-2 border border-edge">
      {Array.from({ length: decks.count }, (_, i) => decks.count - i).map((deck) => {
        const here = onDecks.filter((one) => one.decks.includes(deck));
        return (
          <li
            key={deck}
            className="grid min-h-12 grid-cols-[5rem_1fr] items-center border-b border-hairline text-lg last:border-0"
          >
            <span className="px-3 text-quiet">{say('oven.deck', { deck })}</span>
            {here.length === 0 ? (
              <span className="text-quiet">
                {out.includes(deck) ? say('oven.outOfOrder') : say('oven.free')}
              </span>
            ) : (
              <ul>
                {here.map((one) => (
                  <OnDeck key={`${one.load.dough.id}/${one.load.step.key}`} {...{ one, oven, zone }} />
                ))}
              </ul>
            )}
          </li>
        );
      })}
    </ol>
  );
}

function OnDeck({ one: { load }, oven, zone }: { one: LoadOnDecks; oven: OvenInside; zone: string }) {
  const say = useWords();
  const now = useSecond();
  const [units] = useUnits();
  const phase = phaseAt(load, now);
  const isOver = now > load.done;
  return (
    <li className="grid grid-cols-[minmax(0,1fr)_auto_6rem] items-baseline gap-x-4 pr-3">
      <b>{load.dough.name}</b>
      <span>
        {phase &&
          say('oven.deckPhase', {
            celsius: showCelsius(dialFor(oven.machine, phase.celsius), units),
            ...{ steam: phase.steam, vent: phase.vent },
            until: phase.until > now && phase !== load.phases.at(-1) ? clockTime(phase.until, zone) : '',
            isLast: phase === load.phases.at(-1) || phase.until <= now,
          })}
      </span>
      <span
        className={
          isOver ? 'text-right font-bold text-warn tabular-nums' : 'text-right font-bold tabular-nums'
        }
      >
        {timer(load.done - now)}
      </span>
    </li>
  );
}
