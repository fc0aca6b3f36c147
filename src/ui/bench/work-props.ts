import type { EventBody } from '@/core/record/events';
import type { AgendaItem } from '@/core/shopfloor/agenda';
import type { OutputRecord } from '@/core/record/dough';
import type { RollingHouse } from '@/core/bakery/rolling';

/** What the panel of a step's own work is given. */
export interface WorkProps {
  item: AgendaItem;
  rolling: RollingHouse;
  outputs: readonly OutputRecord[];
  /** Grams that the scale shows, where it does. */
  scale: number | null;
  tell: (act: EventBody) => void;
  running: boolean;
}

/** What the card of a turn is given as well. */
export interface TurnProps extends WorkProps {
  /** Of several blocks the one in hand, counted from 1; null where a dough is one block, or all have had their turn. */
  block: number | null;
  onBlock: (block: number) => void;
}
