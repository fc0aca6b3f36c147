import { useWords } from '../kit/words';
import type { Say } from '@/words/say';
import { decksFor, type Decks } from '@/core/bakery/decks';
import type { OvenLoad } from '@/core/shopfloor/oven-loads';
import { correctionMessage } from '@/core/learning/bakes';
import { Button } from '../kit/button';
import { FloorChoice } from '../kit/floor-choice';
import type { OvenInside } from './oven-inside';
import type { Tell } from './load-rows';
import { coded } from '@/core/codes/coded';

/** What the oven and its decks are known to do: "deck 1 takes 8 % longer, by 4 bakes"; null where nothing is. */
export function correctionsTold(say: Say, { whole, each }: Decks): string | null {
  const decks = each.flatMap((one, i) => {
    const words = correctionMessage(one);
    return words ? [say('oven.deckTakes', { i: i + 1, words: say.coded(words) })] : [];
  });
  const all = correctionMessage(whole);
  return decks.length > 0 ? decks.join('; ') : all && say('oven.theOvenTakes', { all: say.coded(all) });
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
  const say = useWords();
  const { decks, taken } = oven;
  const told = load.dough.state.steps.get(load.step.key)?.decks;
  const proposed = decksFor(load.trays, taken, decks);
  const on = told ?? [];
  const put = (next: number[], to = oven.machine.id) => {
    if (next.length === 0) return;
    tell(load, { kind: 'deck', data: { kind: 'decks', oven: to, decks: next.sort((a, b) => a - b) } });
  };
  const into = (id: string) => {
    const other = ovens.find(({ machine }) => machine.id === id);
    if (other && id !== oven.machine.id) put(decksFor(load.trays, other.taken, other.decks), id);
  };
  return (
    <>
      {ovens.length > 1 && (
        <div className="mt-2">
          <FloorChoice
            label={say('oven.oven')}
            value={oven.machine.id}
            options={ovens.map(({ machine }) => ({ id: machine.id, name: machine.label }))}
            onChoose={into}
          />
        </div>
      )}
      {decks.count > 1 && (
        <div
          role="group"
          aria-label={say('oven.decks')}
          className="mt-2 flex flex-wrap items-center gap-2 text-lg"
        >
          {Array.from({ length: decks.count }, (_, i) => i + 1).map((deck) => (
            <Button
              key={deck}
              floor
              aria-pressed={on.includes(deck)}
              onClick={() => put(on.includes(deck) ? on.filter((one) => one !== deck) : [...on, deck])}
            >
              {say('oven.deck', { deck })}
            </Button>
          ))}
          {!told && (
            <Button floor look="quiet" onClick={() => put(proposed)}>
              {say('oven.isOn', {
                deckWords: say.coded(
                  coded('oven.onDecks', { count: proposed.length, decks: proposed.map(String) }),
                ),
              })}
            </Button>
          )}
        </div>
      )}
    </>
  );
}
