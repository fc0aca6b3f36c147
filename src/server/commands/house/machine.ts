import Joi from 'joi';
import { coded, type Coded } from '@/core/codes/coded';
import { MACHINE_KINDS, type MachineDetails, type MachineKind } from '@/core/bakery/machines';
import { MIXING_WAYS } from '@/core/heat/friction';
import type { PlaceKind } from '@/core/heat/places';
import { asText } from '@/words/as-text';
import { wordsIn } from '@/words/compile';
import type { Db } from '../../db/rows';
import {
  changeMachine,
  freePlace,
  insertMachines,
  insertPlace,
  machineById,
  machineCount,
  machinesCalled,
  setMachineRemoved,
} from '../../store/machines';
import { command, Refusal } from '../command';
import { sure, unlessItHurts } from './unless-it-hurts';

interface MachineInput {
  /** Empty for a new machine. */
  id: string;
  /** What a new machine is; a machine stays what it is. */
  kind?: MachineKind;
  label: string;
  capacity: number;
  changeover: number;
  decks?: number;
  kgLeast?: number | null;
  kgAtOnce?: number | null;
  details: MachineDetails;
  sure: boolean;
}

/** The inside of machines that have a temperature of their own: °C as usual, and between which a reading can be true. */
const INSIDES: Partial<
  Record<MachineKind, { kinds: PlaceKind[]; usual: number; lowest: number; highest: number }>
> = {
  retarder: { kinds: ['retarder', 'fridge'], usual: 4, lowest: -8, highest: 25 },
  freezer: { kinds: ['freezer'], usual: -18, lowest: -45, highest: 12 },
  blast: { kinds: ['blast'], usual: -30, lowest: -50, highest: 15 },
  proofer: { kinds: ['proofer'], usual: 26, lowest: 5, highest: 60 },
  oven: { kinds: ['oven'], usual: 185, lowest: 5, highest: 320 },
};

const kilograms = Joi.number()
  .positive()
  .max(1000)
  .empty('')
  .default(null)
  .allow(null)
  .messages({ '*': asText(coded('refusals.kilogramsOfABowl')) });

/** What is told of some kinds alone; of another kind it is not kept. */
const OWN: Partial<Record<MachineKind, readonly (keyof MachineDetails)[]>> = {
  mixer: ['mixing'],
  oven: ['fan', 'correction'],
  sheeter: ['width', 'length', 'leastGap', 'reduction'],
  bench: ['width', 'length'],
};

const between = (least: number, most: number, message: Coded) =>
  Joi.number()
    .min(least)
    .max(most)
    .messages({ '*': asText(message) });
const sheetCm = between(
  20,
  1000,
  coded('refusals.aSheetIsRolledOut', { from: { cm: 20 }, to: { cm: 1000 } }),
);
const details = Joi.object({
  mixing: Joi.valid(...MIXING_WAYS),
  fan: Joi.boolean(),
  correction: between(-60, 60, coded('refusals.aCorrectionIs')),
  ...{ width: sheetCm, length: sheetCm },
  leastGap: between(0.2, 40, coded('refusals.aLeastGapIs', { from: { mm: 0.2 }, to: { mm: 40 } })),
  reduction: between(0.05, 0.7, coded('refusals.aPassTakesOff')),
}).default({});

const ownDetails = (kind: MachineKind, all: MachineDetails): MachineDetails =>
  Object.fromEntries(
    Object.entries(all).filter(([name]) => OWN[kind]?.includes(name as keyof MachineDetails)),
  );

/** What a machine is, how much it takes, and how long a change of its setting is. A new one has an empty id. */
export const saveMachine = command<MachineInput, { hurts: number }>({
  name: 'save-machine',
  schema: Joi.object({
    id: Joi.string().allow('').max(40).required(),
    kind: Joi.string()
      .valid(...MACHINE_KINDS)
      .when('id', { is: '', then: Joi.required() })
      .messages({ '*': asText(coded('refusals.chooseAKindOfMachine')) }),
    label: Joi.string()
      .trim()
      .min(1)
      .max(60)
      .required()
      .messages({ '*': asText(coded('refusals.aMachineHasANameOf')) }),
    capacity: Joi.number()
      .integer()
      .min(1)
      .max(10_000)
      .required()
      .messages({ '*': asText(coded('refusals.itTakesAtLeast1Take')) }),
    changeover: Joi.number()
      .integer()
      .min(0)
      .max(720)
      .required()
      .messages({ '*': asText(coded('refusals.anotherSettingTakesAWholeNumber')) }),
    decks: Joi.number()
      .integer()
      .min(1)
      .max(12)
      .messages({ '*': asText(coded('refusals.anOvenHas1To12')) }),
    kgLeast: kilograms,
    kgAtOnce: kilograms,
    details,
    sure,
  }),
  doughOf: () => null,
  async run(context, input) {
    const { db } = context;
    const twin = await machinesCalled(db, input.label, input.id);
    if (twin)
      throw new Refusal(coded('refusals.thereIsAMachineCalledAlready', { label: twin.label }), 'label');
    const [kgLeast, kgAtOnce] = [input.kgLeast ?? null, input.kgAtOnce ?? null];
    if (kgLeast !== null && kgAtOnce !== null && kgLeast > kgAtOnce)
      throw new Refusal(coded('refusals.aBowlTakesAtLeastNoMore'), 'kgLeast');
    return unlessItHurts(context, input.sure, async () => {
      const { label, capacity, changeover } = input;
      if (input.id === '') {
        await addMachine(db, { ...input, kgLeast, kgAtOnce });
        await context.audit(coded('record.machine', { machine: label }), null, {
          label,
          capacity,
          changeover,
        });
        return;
      }
      const known = await machineById(db, input.id);
      if (!known) throw new Refusal(coded('refusals.thereIsNoSuchMachine'), 'id');
      const { kind, ...was } = known;
      const next = {
        ...{ label, capacity, changeover, decks: input.decks ?? was.decks, kgLeast, kgAtOnce },
        details: ownDetails(kind, input.details),
      };
      const is = kind === 'mixer' ? next : { ...next, kgLeast: was.kgLeast, kgAtOnce: was.kgAtOnce };
      await changeMachine(db, { ...is, id: input.id, unit: unitOf(kind, capacity) });
      await context.audit(coded('record.machine', { machine: was.label }), was, is);
    });
  },
});

/** Takes a machine out of use. What was planned or made on it keeps it. */
export const removeMachine = command<{ id: string; sure: boolean }, { hurts: number }>({
  name: 'remove-machine',
  schema: Joi.object({ id: Joi.string().max(40).required(), sure }),
  doughOf: () => null,
  async run(context, { id, sure: isSure }) {
    return unlessItHurts(context, isSure, async () => {
      const known = await machineById(context.db, id);
      if (!known) throw new Refusal(coded('refusals.thereIsNoSuchMachine'), 'id');
      await setMachineRemoved(context.db, id, new Date(context.now));
      await context.audit(coded('record.machine', { machine: known.label }), known, null);
    });
  },
});

/** Adds a machine at the end of the house's order, and the place inside it where it has a temperature of its own. */
async function addMachine(
  db: Db,
  { kind = 'bench', label, capacity, changeover, decks, kgLeast, kgAtOnce, details: all }: MachineInput,
): Promise<void> {
  const { ids, next } = await machineCount(db);
  const id = [kind, ...ids.map((_, i) => `${kind}-${i + 2}`)].find((one) => !ids.includes(one)) ?? kind;
  const inside = INSIDES[kind];
  const free = inside ? await freePlace(db, inside.kinds) : null;
  if (inside && free === null) {
    const { kinds, usual, lowest, highest } = inside;
    await insertPlace(db, { id, label, kind: kinds[0] ?? 'room', usual, lowest, highest });
  }
  const place = inside ? (free ?? id) : null;
  const unit = unitOf(kind, capacity);
  const isMixer = kind === 'mixer';
  await insertMachines(
    db,
    [
      {
        ...{ id, kind, label, capacity, unit, changeover, decks: decks ?? 1, place },
        ...{ kgLeast: isMixer ? kgLeast : null, kgAtOnce: isMixer ? kgAtOnce : null },
        details: ownDetails(kind, all),
      },
    ],
    next,
  );
}

/** What a kind of machine takes, in the house's words. */
const unitOf = (kind: MachineKind, count: number): string => wordsIn('en')(UNITS[kind], { count });

const UNITS = {
  mixer: 'house.bowls',
  bench: 'house.tables',
  sheeter: 'house.tables',
  retarder: 'house.shelves',
  freezer: 'house.shelves',
  blast: 'house.shelves',
  proofer: 'house.trays',
  oven: 'house.trays',
  tray: 'house.trays',
  tin: 'house.tins',
} as const satisfies Record<MachineKind, `house.${string}`>;
