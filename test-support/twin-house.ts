import { insertMachines } from '@/server/store/machines';
import { write } from '@/server/db/rows';
import type { Db } from '@/server/db/rows';
import { machine } from './equipment';

/** Machines that the demo bakery gets beside its own: of most kinds a second one, unlike the first. */
export const SECOND_MACHINES = [
  machine('oven', {
    ...{ id: 'oven-2', label: 'Small oven', capacity: 4, changeover: 5, decks: 2, place: 'oven-2' },
  }),
  machine('mixer', { id: 'mixer-2', label: 'Small mixer', unit: 'bowl', kgLeast: 1, kgAtOnce: 12 }),
  machine('blast', { label: 'Blast freezer', capacity: 8, unit: 'shelves', place: 'blast' }),
  machine('retarder', {
    ...{ id: 'retarder-2', label: 'Walk-in', capacity: 40, unit: 'shelves', place: 'retarder-2' },
  }),
];

/** Gives the demo bakery a second oven, mixer and retarder, and a blast freezer, with the places inside them. */
export async function addSecondMachines(db: Db): Promise<void> {
  await insertMachines(db, SECOND_MACHINES, 20);
  await write(db, 'INSERT INTO place (id, label, kind, usual, lowest, highest, position) VALUES ?', [
    [
      ['oven-2', 'Small oven', 'oven', 185, 5, 320, 30],
      ['blast', 'Blast freezer', 'blast', -30, -50, 15, 31],
      ['retarder-2', 'Walk-in', 'fridge', 2, -8, 25, 32],
    ],
  ]);
}
