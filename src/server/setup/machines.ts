import type { Machine } from '@/core/bakery/machines';

/** The machines that a bakery begins with. */
export const MACHINES: readonly Machine[] = [
  { id: 'mixer', kind: 'mixer', label: 'Mixer', capacity: 1, unit: 'bowl', changeover: 0, kgAtOnce: 40 },
  { id: 'bench', kind: 'bench', label: 'Benches', capacity: 2, unit: 'tables', changeover: 0 },
  { id: 'sheeter', kind: 'sheeter', label: 'Sheeter', capacity: 1, unit: 'table', changeover: 0 },
  {
    ...{ id: 'retarder', kind: 'retarder', label: 'Cold shelves', capacity: 30, unit: 'shelves' },
    ...{ changeover: 0, place: 'retarder' },
  },
  {
    ...{ id: 'freezer', kind: 'freezer', label: 'Freezer', capacity: 12, unit: 'shelves' },
    ...{ changeover: 0, place: 'freezer' },
  },
  {
    ...{ id: 'proofer', kind: 'proofer', label: 'Proofer', capacity: 20, unit: 'trays' },
    ...{ changeover: 20, place: 'proofer' },
  },
  {
    ...{ id: 'oven', kind: 'oven', label: 'Oven', capacity: 9, unit: 'trays', changeover: 15 },
    ...{ decks: 3, place: 'oven' },
  },
  { id: 'tray', kind: 'tray', label: 'Trays', capacity: 60, unit: 'trays', changeover: 0 },
  { id: 'tin', kind: 'tin', label: 'Tins', capacity: 48, unit: 'tins', changeover: 0 },
];
