import type { AgendaItem } from '@/core/floor/agenda';
import type { BoardOutput, RollingHouse } from '@/core/floor/board';
import type { Act } from './turn-acts';

/** What the panel of a step's own work is given. */
export interface WorkProps {
  item: AgendaItem;
  rolling: RollingHouse;
  outputs: readonly BoardOutput[];
  /** Grams that the scale shows, where it does. */
  scale: number | null;
  tell: (act: Act) => void;
  running: boolean;
}
