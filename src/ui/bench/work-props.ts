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
