import type { Equipment, Machine, MachineKind } from '@/core/bakery/machines';

/** A machine as a test needs it, named by its kind where nothing else is said. */
export const machine = (kind: MachineKind, more: Partial<Machine> = {}): Machine => ({
  ...{ id: kind, kind, label: kind, capacity: 1, unit: 'trays', changeover: 0 },
  ...more,
});

/** A bakery with one machine of each kind that a laminated dough needs, and the places that are inside them. */
export const ONE_OF_EACH: Equipment = {
  machines: [
    machine('mixer', { label: 'Mixer', unit: 'bowl', kgAtOnce: 40 }),
    machine('bench', { label: 'Benches', capacity: 2, unit: 'tables' }),
    machine('sheeter', { label: 'Sheeter', unit: 'table' }),
    machine('retarder', { label: 'Cold shelves', capacity: 30, unit: 'shelves', place: 'retarder' }),
    machine('freezer', { label: 'Freezer', capacity: 12, unit: 'shelves', place: 'freezer' }),
    machine('proofer', { label: 'Proofer', capacity: 20, changeover: 20, place: 'proofer' }),
    machine('oven', { label: 'Oven', capacity: 9, changeover: 15, decks: 3, place: 'oven' }),
  ],
  places: [
    { id: 'bakery', kind: 'room' },
    { id: 'retarder', kind: 'fridge' },
    { id: 'freezer', kind: 'freezer' },
    { id: 'proofer', kind: 'proofer' },
    { id: 'oven', kind: 'oven' },
  ],
};
