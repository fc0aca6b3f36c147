'use client';

import { useWords } from '../kit/words';
import type { Say } from '@/words/say';
import type { EventBody } from '@/core/record/events';
import type { AgendaItem } from '@/core/shopfloor/agenda';
import type { Board } from '@/core/wire/board';
import { FloorChoice } from '../kit/floor-choice';
import { useCelsius } from '../live/units';

const noShelf = (say: Say) => ({ id: '', name: say('bench.notSaid') });
const noProbe = (say: Say) => ({ id: '', name: say('bench.noProbe') });

/** Where a dough stands, and which core probe is in it: each changed with one choice. */
export function Standing({
  item: { step, state },
  places,
  coreProbes,
  rooms,
  shelves,
  tell,
}: {
  item: AgendaItem;
  places: Board['places'];
  coreProbes: Board['coreProbes'];
  rooms: Board['rooms'];
  shelves: ReadonlyMap<string, number>;
  tell: (part: EventBody) => void;
}) {
  const say = useWords();
  const shown = useCelsius();
  const here = state.moved?.place ?? step.place ?? '';
  const count = shelves.get(here) ?? 0;
  // Nothing waits in an oven.
  const open = new Set(rooms.flatMap(({ id, kind }) => (kind === 'oven' ? [] : [id])));
  const known = places.filter(({ place }) => open.has(place));
  const there = known.map(({ place, label, celsius }) => ({
    id: place,
    name: `${label}, ${shown(Math.round(celsius))}`,
  }));
  return (
    <div className="mt-3 flex flex-wrap gap-3">
      <FloorChoice
        label={say('bench.standsIn')}
        value={here}
        options={
          there.some(({ id }) => id === here) ? there : [{ id: here, name: say('bench.whereItIs') }, ...there]
        }
        onChoose={(place) => tell({ kind: 'move', data: { kind: 'moved', place } })}
      />
      {count > 0 && (
        <FloorChoice
          label={say('bench.shelf')}
          value={String(state.moved?.shelf ?? '')}
          options={[
            noShelf(say),
            ...Array.from({ length: count }, (_, i) => ({ id: String(i + 1), name: String(i + 1) })),
          ]}
          onChoose={(shelf) =>
            tell({
              kind: 'move',
              data: { kind: 'moved', place: here, ...(shelf === '' ? {} : { shelf: Number(shelf) }) },
            })
          }
        />
      )}
      {coreProbes.length > 0 && (
        <FloorChoice
          label={say('bench.coreProbe')}
          value={state.coreProbe?.id ?? ''}
          options={[noProbe(say), ...coreProbes.map(({ id, label }) => ({ id, name: say.named(label) }))]}
          onChoose={(probe) =>
            tell({ kind: 'probe', data: { kind: 'probed', probe: probe === '' ? null : probe } })
          }
        />
      )}
    </div>
  );
}
