'use client';

import { decksFor, deckWords, type Decks } from '@/core/bakery/decks';
import type { OvenLoad } from '@/core/shopfloor/oven-loads';
import { correctionWords } from '@/core/learning/bakes';
import { Button } from '../kit/button';
import type { Tell } from './load-rows';

/** What the oven and its decks are known to do: "deck 1 takes 8 % longer, by 4 bakes"; null where nothing is. */
export function correctionsTold({ whole, each }: Decks): string | null {
  const decks = each.flatMap((one, i) => {
    const words = correctionWords(one);
    return words ? [`deck ${i + 1} takes ${words}`] : [];
  });
  const all = correctionWords(whole);
  return decks.length > 0 ? decks.join('; ') : all && `the oven takes ${all}`;
}

/** On which decks a load is: told with a tap on each, so that what a deck does is learnt. Nothing for an oven of one deck. */
export function DeckChoice({
  load,
  decks,
  taken,
  tell,
}: {
  load: OvenLoad;
  decks: Decks;
  taken: readonly number[];
  tell: Tell;
}) {
  if (decks.count < 2) return null;
  const told = load.dough.state.steps.get(load.step.key)?.decks;
  const proposed = decksFor(load.trays, taken, decks);
  const on = told ?? [];
  const say = (next: number[]) => {
    if (next.length > 0)
      tell(load, { kind: 'deck', data: { kind: 'decks', decks: next.sort((a, b) => a - b) } });
  };
  return (
    <div role="group" aria-label="Decks" className="mt-2 flex flex-wrap items-center gap-2 text-lg">
      {Array.from({ length: decks.count }, (_, i) => i + 1).map((deck) => (
        <Button
          key={deck}
          floor
          aria-pressed={on.includes(deck)}
          onClick={() => say(on.includes(deck) ? on.filter((one) => one !== deck) : [...on, deck])}
        >
          deck {deck}
        </Button>
      ))}
      {!told && (
        <Button floor look="quiet" onClick={() => say(proposed)}>
          is on {deckWords(proposed)}
        </Button>
      )}
    </div>
  );
}
