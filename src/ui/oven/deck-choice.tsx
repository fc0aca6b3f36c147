import { useWords } from '../kit/words';
import type { Say } from '@/words/say';
import { crowdedDecks, decksFor, decksOut, type Decks } from '@/core/bakery/decks';
import type { OvenLoad } from '@/core/shopfloor/oven-loads';
import { correctionMessage } from '@/core/learning/bakes';
import { Button } from '../kit/button';
import { FloorChoice } from '../kit/floor-choice';
import { useMinute } from '../live/clock';
import { decksOf, type OvenInside, othersOn } from './oven-inside';
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

/** Free decks for a load; `[]` where others leave it no room. */
function roomFor(load: OvenLoad, oven: OvenInside, now: number): number[] {
  const others = othersOn(oven, load);
  const out = decksOut(oven.machine, now);
  const taken = others.flatMap((other) => other.decks);
  const decks = decksFor(load.trays, [...taken, ...out], oven.decks);
  if (decks.some((deck) => out.includes(deck))) return [];
  return crowdedDecks({ decks, trays: load.trays }, others, oven.decks).length > 0 ? [] : decks;
}

const isCrowded = (deck: number, ...asked: Parameters<typeof crowdedDecks>) =>
  crowdedDecks(...asked).includes(deck);

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
  const { decks } = oven;
  const told = decksOf(load);
  const now = useMinute();
  const out = decksOut(oven.machine, now);
  const others = othersOn(oven, load);
  const proposed = roomFor(load, oven, now);
  const on = told ?? [];
  const put = (next: readonly number[], to = oven.machine.id) => {
    const inOrder = [...next].sort((a, b) => a - b);
    tell(load, { kind: 'deck', data: { kind: 'decks', oven: to, decks: inOrder } });
  };
  const into = (id: string) => {
    const other = ovens.find(({ machine }) => machine.id === id);
    if (other && id !== oven.machine.id) put(roomFor(load, other, now), id);
  };
  return (
    <>
      {ovens.length > 1 && (
        <div className="mt-2">
          <FloorChoice
            label={say('oven.oven')}
            value={oven.machine.id}
            options={ovens.map(({ machine }) => ({ id: machine.id, name: say.named(machine.label) }))}
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
          {!told && <b>{say('oven.onWhichDecks')}</b>}
          {Array.from({ length: decks.count }, (_, i) => i + 1).map((deck) => {
            const next = on.includes(deck) ? on.filter((one) => one !== deck) : [...on, deck];
            const isOut = out.includes(deck);
            const full =
              !on.includes(deck) && isCrowded(deck, { decks: next, trays: load.trays }, others, decks);
            return (
              <Button
                key={deck}
                floor
                aria-pressed={on.includes(deck)}
                disabled={full || isOut || next.length === 0}
                onClick={() => put(next)}
              >
                {isOut
                  ? say('oven.deckOut', { deck })
                  : full
                    ? say('oven.deckFull', { deck })
                    : say('oven.deck', { deck })}
              </Button>
            );
          })}
          {!told && proposed.length > 0 && (
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
