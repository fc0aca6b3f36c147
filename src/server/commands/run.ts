import { coded } from '@/core/codes/coded';
import { asText } from '@/words/as-text';
import { wordsIn } from '@/words/compile';
import type { Language } from '@/words/message';
import { type Answer, REFUSED } from '@/core/wire/answer';
import type { Person } from '@/core/bakery/people';
import { mayDo } from '@/core/shopfloor/rights';
import { noteChange } from '../store/changes';
import { transaction } from '../db/rows';
import { planningPool, pool } from '../db/pool';
import { houseNow } from '../store/clock';
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
import { takeWeather, tellRoomDay } from './room-day';
import { tellPlace } from './tell-place';
import { type Command, type CommandContext, type Live, Refusal, StaleBasis } from './command';
import { doneBefore, DoneMeanwhile, keepDone } from './done';
import { addOrder, changeOrder, changeStanding, closeDay, saveStanding, takeOrders } from './orders';
import { makeAddress, withdrawAddress } from './house/address';
import { changePin } from './house/change-pin';
import { nameFormula, nameProduct } from './products/naming';
import { chooseLanguage } from './house/choose-language';
import { endFirstSteps } from './house/end-first-steps';
import { addException, removeException, takeBusy } from './house/exceptions';
import { takeFromShelf } from './house/beginning';
import { removeMachine, saveMachine } from './house/machine';
import { removePlace, savePlace } from './house/place';
import { saveHouse } from './house/house';
import { makeSender, withdrawSender } from './house/sender';
import { takeSetUp } from './house/set-up-file';
import { setValue } from './house/setting';
import { savePerson } from './house/person';
import { saveShifts } from './house/shifts';
import { makeTabletCode, removeTablet } from './house/tablets';
import { applyRemedy } from './products/apply-remedy';
import { takeProducts } from './products/file';
import { takeRecipe } from './products/take-recipe';
import { removeProduct, saveProduct } from './products/save-product';
import { moveStep, pinStep } from './plan-steps';
import { acceptProposal, dropProposal, proposeMend } from './proposals';
import { tryWay } from './try-way';
import { redoPlan, undoPlan } from './undo-plan';
import { recordEvent } from './record-event';
import { removeDough, restoreDough } from './remove-dough';
import { moveStock } from './stock';
import { endTrouble, reportTrouble } from './trouble';
import { setClock } from './set-clock';
import { keepPractice, openPractice } from './practice';
import { setDemo } from './set-demo';
import { removeSituation, saveSituation } from './situations';
import { reportOutOf } from './out-of-stock';
import { markTold } from './told';
import { signHandover, takeAlarm, writeHandover } from './floor-calls';
import { check } from './check';
import { insertAudit } from '../store/house-record';

/** Where a command comes from. */
export interface Sent {
  live?: Live;
  /** The number that its page gave it: under the same number it is done once. */
  key?: string;
  sessionId?: number | null;
  /** What whoever sent it reads. */
  language?: Language;
}

type Runner = (person: Person, input: unknown, sent: Sent) => Promise<unknown>;
const COMMANDS = new Map<string, Runner>();

function register<Input, Output, Found>(command: Command<Input, Output, Found>): void {
  COMMANDS.set(command.name, (person, input, sent) => execute(command, person, input, sent));
}

register(addDough);
register(removeDough);
register(restoreDough);
register(recordEvent);
register(setClock);
register(setDemo);
register(saveFormula);
register(saveProduct);
register(removeProduct);
register(applyRemedy);
register(takeProducts);
register(takeRecipe);
register(adoptMix);
register(saveIngredient);
register(removeIngredient);
register(tellPlace);
register(tellRoomDay);
register(takeWeather);
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
register(moveStock);
register(reportTrouble);
register(endTrouble);
register(markTold);
register(reportOutOf);
register(saveShifts);
register(addException);
register(removeException);
register(saveMachine);
register(saveHouse);
register(savePlace);
register(takeSetUp);
register(removePlace);
register(makeSender);
register(withdrawSender);
register(removeMachine);
register(takeFromShelf);
register(setValue);
register(savePerson);
register(takeBusy);
register(makeAddress);
register(withdrawAddress);
register(changePin);
register(nameProduct);
register(nameFormula);
register(chooseLanguage);
register(endFirstSteps);
register(makeTabletCode);
register(removeTablet);
register(endSessions);
register(openPractice);
register(keepPractice);
register(saveSituation);
register(removeSituation);
register(takeAlarm);
register(writeHandover);
register(signHandover);

/** Names of all commands there are. */
export const commandNames = (): string[] => [...COMMANDS.keys()];

/** What the floor does all night: it has connections that no planning act can take. */
const FLOOR = new Set([
  ...['record-event', 'take-alarm', 'write-handover', 'sign-handover', 'tell-place', 'decline-evidence'],
  ...['move-stock', 'set-clock', 'change-pin', 'choose-language', 'end-first-steps'],
  'end-sessions',
]);

/** How often something is worked out anew because the plan changed meanwhile. */
const SEARCHES = 3;

async function execute<Input, Output, Found>(
  command: Command<Input, Output, Found>,
  person: Person,
  raw: unknown,
  { live, key, sessionId = null, language = 'en' }: Sent,
): Promise<unknown> {
  const { name } = command;
  if (!mayDo(person, name)) throw new Refusal(coded('refusals.mayNotDoThisHereAsk', { name: person.name }));
  const input = check(command.schema, raw);
  const db = FLOOR.has(name) ? pool() : planningPool();
  const own = key === undefined ? null : { key, command: name, personId: person.id };
  const before = own && (await doneBefore(db, own));
  if (before) return before.result;
  for (let searches = 1; ; searches++) {
    try {
      const giver = { person, sessionId, language, now: await houseNow(db) };
      const found = (await command.search?.({ ...giver, db, ...(live ? { live } : {}) }, input)) as Found;
      return await transaction(db, async (db) => {
        const now = await houseNow(db);
        const audit = auditing({ db, person, sessionId, now, name });
        const output = await command.run({ db, person, sessionId, language, now, audit }, input, found);
        if (own) await keepDone(db, own, command.toldOnce ? null : output);
        if (!command.apart)
          await noteChange(db, {
            command: name,
            doughId: command.doughOf(input, output),
            eventId: command.eventOf?.(output) ?? null,
          });
        return output;
      });
    } catch (error) {
      if (error instanceof DoneMeanwhile && own) return (await doneBefore(db, own))?.result;
      if (!(error instanceof StaleBasis)) throw error;
      if (searches === SEARCHES) throw new Refusal(coded('refusals.thePlanKeptChangingWhileThis'));
    }
  }
}

/** Writes into the audit, where something really changed. */
function auditing({
  db,
  person,
  sessionId,
  now,
  name,
}: Pick<CommandContext, 'db' | 'person' | 'sessionId' | 'now'> & { name: string }): CommandContext['audit'] {
  return async (subject, was, becomes) => {
    const [before, after] = [JSON.stringify(was ?? null), JSON.stringify(becomes ?? null)];
    if (before === after) return;
    await insertAudit(db, {
      now,
      personId: person.id,
      sessionId,
      name,
      subject: asText(subject),
      before,
      after,
    });
  };
}

/**
 * Runs a command by name for a signed-in person: permission, schema, search, transaction, change feed.
 * Refusals are answers; anything else that goes wrong is thrown.
 */
export async function runCommand(
  name: string,
  person: Person,
  input: unknown,
  sent: Sent = {},
): Promise<Answer> {
  const run = COMMANDS.get(name);
  const { language = 'en' } = sent;
  if (!run) {
    const unknown = coded('refusals.thereIsNothingCalledToDo', { name: name.slice(0, 40) });
    return refused(404, new Refusal(unknown), language);
  }
  try {
    return { ok: true, result: (await run(person, input, sent)) ?? null };
  } catch (error) {
    if (error instanceof Refusal) return refused(REFUSED, error, language);
    throw error;
  }
}

/** A refusal as the answer to somebody who reads this language. */
export const refused = (status: number, { words, field, offer }: Refusal, language: Language): Answer => ({
  ...{ ok: false, status, message: wordsIn(language).coded(words), field, offer },
});
