import type { Answer } from '@/core/floor/answer';
import type { Person } from '@/core/floor/board';
import { transaction, write } from '../db/rows';
import { pool } from '../db/pool';
import { houseNow } from '../queries/clock';
import { addDough } from './add-dough';
import { adoptMix } from './adopt-mix';
import { chooseScheme, relaminateDough } from './choose-scheme';
import { declineEvidence } from './decline-evidence';
import { endSessions } from './end-sessions';
import { followDough } from './follow-dough';
import { removeIngredient, saveIngredient } from './ingredients';
import { saveFormula } from './save-formula';
import { removeScheme, restoreScheme, saveScheme } from './save-scheme';
import { setLimits } from './set-limits';
import { tellPlace } from './tell-place';
import { Refusal, type Command, type Live } from './command';
import {
  addOrder,
  changeOrder,
  changeStanding,
  closeDay,
  moveFrozen,
  saveStanding,
  takeOrders,
} from './orders';
import { makeAddress } from './house/address';
import { addException, removeException, takeBusy } from './house/exceptions';
import { saveMachine } from './house/machine';
import { savePerson } from './house/person';
import { saveShifts } from './house/shifts';
import { moveStep, pinStep } from './plan-steps';
import { acceptProposal, dropProposal, proposeMend } from './proposals';
import { tryWay } from './try-way';
import { redoPlan, undoPlan } from './undo-plan';
import { recordEvent } from './record-event';
import { removeDough, restoreDough } from './remove-dough';
import { setClock } from './set-clock';
import { signHandover, takeAlarm, writeHandover } from './floor-calls';
import { check } from './check';

const COMMANDS = new Map<string, (person: Person, input: unknown, live?: Live) => Promise<unknown>>();

function register<Input, Output>(command: Command<Input, Output>): void {
  COMMANDS.set(command.name, (person, input, live) => execute(command, person, input, live));
}

register(addDough);
register(removeDough);
register(restoreDough);
register(recordEvent);
register(setClock);
register(saveFormula);
register(adoptMix);
register(saveIngredient);
register(removeIngredient);
register(tellPlace);
register(setLimits);
register(followDough);
register(declineEvidence);
register(saveScheme);
register(removeScheme);
register(restoreScheme);
register(chooseScheme);
register(relaminateDough);
register(moveStep);
register(pinStep);
register(undoPlan);
register(redoPlan);
register(proposeMend);
register(acceptProposal);
register(dropProposal);
register(tryWay);
register(addOrder);
register(takeOrders);
register(changeOrder);
register(saveStanding);
register(changeStanding);
register(closeDay);
register(moveFrozen);
register(saveShifts);
register(addException);
register(removeException);
register(saveMachine);
register(savePerson);
register(takeBusy);
register(makeAddress);
register(endSessions);
register(takeAlarm);
register(writeHandover);
register(signHandover);

async function execute<Input, Output>(
  command: Command<Input, Output>,
  person: Person,
  raw: unknown,
  live?: Live,
): Promise<Output> {
  if (!command.roles.includes(person.role)) {
    throw new Refusal(`${person.name} may not do this here; a ${command.roles.join(' or ')} can.`);
  }
  const input = check(command.schema, raw);
  return transaction(pool(), async (db) => {
    const now = await houseNow(db);
    const output = await command.run({ db, person, now, ...(live ? { live } : {}) }, input);
    const dough = command.doughOf(input, output);
    await write(db, 'INSERT INTO change_feed (at, command, dough_id) VALUES (?, ?, ?)', [
      new Date(),
      command.name,
      dough,
    ]);
    return output;
  });
}

/**
 * Runs a command by name for a signed-in person: permission, schema, transaction, change feed.
 * Refusals are answers; anything else that goes wrong is thrown.
 */
export async function runCommand(name: string, person: Person, input: unknown, live?: Live): Promise<Answer> {
  const run = COMMANDS.get(name);
  if (!run) return refused(404, new Refusal(`There is nothing called ${name.slice(0, 40)} to do here.`));
  try {
    return { ok: true, result: (await run(person, input, live)) ?? null };
  } catch (error) {
    if (error instanceof Refusal) return refused(422, error);
    throw error;
  }
}

export function refused(status: number, { message, field, offer }: Refusal): Answer {
  return { ok: false, status, message, field, offer };
}
