import { decksFor, deckWords, type Decks } from '@/core/bakery/decks';
import type { OvenLoad } from '@/core/shopfloor/oven-loads';
import { correctionWords } from '@/core/learning/bakes';
import { Button } from '../kit/button';
import { FloorChoice } from '../kit/floor-choice';
import type { OvenInside } from './oven-inside';
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

interface Props {
  load: OvenLoad;
  oven: OvenInside;
  /** Every oven of the house. */
  ovens: readonly OvenInside[];
  tell: Tell;
}

/**
 * In which oven and on which decks a load is: told with a tap, so that what each does is learnt. Nothing where there is
 * nothing to choose.
 */
export function DeckChoice({ load, oven, ovens, tell }: Props) {
  const { decks, taken } = oven;
  const told = load.dough.state.steps.get(load.step.key)?.decks;
  const proposed = decksFor(load.trays, taken, decks);
  const on = told ?? [];
  const say = (next: number[], to = oven.machine.id) => {
    if (next.length === 0) return;
    tell(load, { kind: 'deck', data: { kind: 'decks', oven: to, decks: next.sort((a, b) => a - b) } });
  };
  const into = (id: string) => {
    const other = ovens.find(({ machine }) => machine.id === id);
    if (other && id !== oven.machine.id) say(decksFor(load.trays, other.taken, other.decks), id);
  };
  return (
    <>
      {ovens.length > 1 && (
        <div className="mt-2">
          <FloorChoice
            label="oven"
            value={oven.machine.id}
            options={ovens.map(({ machine }) => ({ id: machine.id, name: machine.label }))}
            onChoose={into}
          />
        </div>
      )}
      {decks.count > 1 && (
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
      )}
    </>
  );
}
