import { coded } from '@/core/codes/coded';
import { type Db } from '../../db/rows';
import { Refusal } from '../command';
import { machineCalled } from '../../store/machines';
import { personCalled } from '../../store/people';

/** Somebody's name. */
export async function nameOf(db: Db, personId: number): Promise<string> {
  const row = await personCalled(db, personId);
  if (!row) throw new Refusal(coded('refusals.nobodyOfThatNumberWorksHere'), 'personId');
  return row.name;
}

/** What a machine is called. */
export async function labelOf(db: Db, machineId: string): Promise<string> {
  const row = await machineCalled(db, machineId);
  if (!row) throw new Refusal(coded('refusals.thereIsNoSuchMachine'), 'machineId');
  return row.label;
}
