import { randomBytes } from 'node:crypto';
import type { SettingName } from '@/core/bakery/settings';
import { coded } from '@/core/codes/coded';
import { onHouseMachines, type SetUpFile } from '@/core/exchange/set-up-file';
import type { SetUpPart } from '@/core/exchange/set-up-parts';
import type { Instant } from '@/core/time/local';
import { hashPin } from '../auth/pin';
import { Refusal } from '../commands/command';
import type { Db } from '../db/rows';
import { changeHouse, house, machines, people } from '../store/house';
import { changePlace, housePlaces, insertPlace, placeIds } from '../store/house-places';
import { saveHouseValue } from '../store/house-values';
import { ingredientLike, writeIngredient } from '../store/ingredients';
import { insertPerson, insertSkills } from '../store/people';
import { insertShifts } from '../store/shifts';
import type { Language } from '@/words/message';
import { addMachine } from './add-machine';
import { takeBeginning } from './beginnings';
import { productCalled } from '../store/product-versions';
import { takeProduct } from './take-product';

/**
 * Makes parts of a set-up the house's own. What the house has already under the same name stays as it is; values are set.
 *
 * @throws {Refusal} where something in the file is wrong
 */
export async function takeSetUp(
  db: Db,
  file: SetUpFile,
  parts: readonly SetUpPart[],
  by: { at: Instant; personId: number | null; language: Language },
): Promise<void> {
  const has = (part: SetUpPart) => parts.includes(part);
  const idOf = await takeMachines(db, file, { isTaken: has('machines'), language: by.language });
  if (has('places')) await takePlaces(db, file);
  if (has('people')) await takePeople(db, file);
  if (has('values')) {
    const { units, apart } = file;
    await changeHouse(db, { ...(await house(db)), ...(units ? { units } : {}), ...(apart ? { apart } : {}) });
    for (const [name, value] of Object.entries(file.values) as [SettingName, number][])
      await saveHouseValue(db, name, value);
  }
  if (!has('products')) return;
  await takeIngredients(db, file);
  const own = { ...file, products: file.products.map((product) => onHouseMachines(product, idOf)) };
  for (const { name } of file.products) await takeProduct(db, own, name, by);
  for (const name of file.beginnings ?? []) {
    if ((await takeBeginning(db, name, by)) === null && (await productCalled(db, name)) === null)
      throw new Refusal(coded('refusals.thatIsNotOnTheShelf', { name }), 'beginnings');
  }
}

const alike = (a: string, b: string) => a.toLowerCase() === b.toLowerCase();

/** Adds the machines that the house has none of that name of; gives the house's ids by those of the file. */
async function takeMachines(
  db: Db,
  file: SetUpFile,
  { isTaken, language }: { isTaken: boolean; language: Language },
): Promise<ReadonlyMap<string, string>> {
  const own = await machines(db);
  const idOf = new Map<string, string>();
  for (const machine of file.machines) {
    const twin = own.find(({ kind, label }) => kind === machine.kind && alike(label, machine.label));
    const id = twin?.id ?? (isTaken ? await addMachine(db, machine, language) : undefined);
    if (id === undefined) continue;
    idOf.set(machine.id, id);
    const inside = file.places.find((place) => place.id === machine.place);
    if (!twin && inside) await tellInside(db, id, inside);
  }
  return idOf;
}

/** The inside of a machine that was added, as the file has it. */
async function tellInside(db: Db, machineId: string, inside: SetUpFile['places'][number]): Promise<void> {
  const added = (await machines(db)).find(({ id }) => id === machineId);
  const place = (await housePlaces(db)).find(({ id }) => id === added?.place);
  if (place) await changePlace(db, { ...place, ...inside, id: place.id, kind: inside.kind });
}

/** Adds the places that the house has none of that name of; insides come with their machines. */
async function takePlaces(db: Db, { places, machines: all }: SetUpFile): Promise<void> {
  const own = await housePlaces(db);
  const insides = new Set(all.flatMap(({ place }) => place ?? []));
  for (const place of places) {
    if (insides.has(place.id) || own.some(({ label }) => alike(label, place.label))) continue;
    const taken = await placeIds(db);
    const id = [place.id, ...taken.map((_, i) => `${place.kind}-${i + 2}`)].find(
      (one) => !taken.includes(one),
    );
    await insertPlace(db, { ...place, id: id ?? place.id });
  }
}

/** Adds people whom the house has nobody called like; nobody knows the PIN of who comes so, until a planner gives one. */
async function takePeople(db: Db, { people: all }: SetUpFile): Promise<void> {
  const own = await people(db);
  for (const { name, role, team, skills = [], shifts } of all) {
    if (own.some((one) => alike(one.name, name))) continue;
    const hash = await hashPin(randomBytes(16).toString('hex'));
    const { id } = await insertPerson(db, { name, role, team, hash });
    if (skills.length > 0) await insertSkills(db, id, skills);
    if (shifts.length > 0) await insertShifts(db, shifts, id);
  }
}

async function takeIngredients(db: Db, { ingredients }: SetUpFile): Promise<void> {
  for (const ingredient of ingredients) {
    const id = ingredient.name.replace(/[^a-z0-9]+/g, '-').slice(0, 60);
    const twin = await ingredientLike(db, ingredient.name, id);
    if (!twin || twin.removed) await writeIngredient(db, { ...ingredient, id: twin?.id ?? id });
  }
}
