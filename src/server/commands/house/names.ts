import { coded } from '@/core/codes/coded';
import { rowsOf, type Db } from '../../db/rows';
import { Refusal } from '../command';

/** Somebody's name. */
export async function nameOf(db: Db, personId: number): Promise<string> {
  const [row] = await rowsOf<{ name: string }>(db, 'SELECT name FROM person WHERE id = ?', [personId]);
  if (!row) throw new Refusal(coded('refusals.nobodyOfThatNumberWorksHere'), 'personId');
  return row.name;
}

/** What a machine is called. */
export async function labelOf(db: Db, machineId: string): Promise<string> {
  const [row] = await rowsOf<{ label: string }>(db, 'SELECT label FROM machine WHERE id = ?', [machineId]);
  if (!row) throw new Refusal(coded('refusals.thereIsNoSuchMachine'), 'machineId');
  return row.label;
}
