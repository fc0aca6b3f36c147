import type { EventBody } from '@/core/record/events';
import type { AgendaItem } from '@/core/shopfloor/agenda';
import { useWords } from '../kit/words';
import { AliveSheet } from './alive-sheet';
import { TellSheets } from './tell-sheets';

/** A sheet that lies over the card. */
export type WaitSheet = 'alive' | 'temperature' | 'note';

interface Props {
  item: AgendaItem;
  open: WaitSheet | null;
  onOpen: (sheet: WaitSheet | null) => void;
  tell: (part: EventBody) => void;
}

/** What can be told of a wait beside how it looks: whether it is alive, a temperature, a note. */
export function WaitSheets({ item, open, onOpen, tell }: Props) {
  const say = useWords();
  const { alive } = item.step.step;
  return (
    <>
      {alive && (
        <AliveSheet
          open={open === 'alive'}
          onOpenChange={(to) => onOpen(to ? 'alive' : null)}
          of={alive.of}
          signs={alive.signs}
          onAnswer={(data) => tell({ kind: 'alive', data })}
        />
      )}
      <TellSheets
        {...{ item, open, onOpen, tell }}
        notes={[
          say('bench.skinHasFormed'),
          say('bench.condensation'),
          say('bench.smellsSour'),
          say('bench.leaksButter'),
          say('bench.justRight'),
        ]}
      />
    </>
  );
}
