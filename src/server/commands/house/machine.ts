import Joi from 'joi';
import { coded } from '@/core/codes/coded';
import { MACHINE_KINDS, type MachineDetails, type MachineKind, ownDetails } from '@/core/bakery/machines';
import { asText } from '@/words/as-text';
import { addMachine, unitOf } from '../../setup/add-machine';
import { changeMachine, machineById, machinesCalled, setMachineRemoved } from '../../store/machines';
import { command, Refusal } from '../command';
import { machineForm } from './machine-form';
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

/** What a machine is, how much it takes, and how long a change of its setting is. A new one has an empty id. */
export const saveMachine = command<MachineInput, { hurts: number }>({
  name: 'save-machine',
  schema: Joi.object({
    id: Joi.string().allow('').max(40).required(),
    kind: Joi.string()
      .valid(...MACHINE_KINDS)
      .when('id', { is: '', then: Joi.required() })
      .messages({ '*': asText(coded('refusals.chooseAKindOfMachine')) }),
    ...machineForm,
    sure,
  }),
  doughOf: () => null,
  async run(context, input) {
    const { db, language } = context;
    const twin = await machinesCalled(db, input.label, input.id);
    if (twin)
      throw new Refusal(coded('refusals.thereIsAMachineCalledAlready', { label: twin.label }), 'label');
    const [kgLeast, kgAtOnce] = [input.kgLeast ?? null, input.kgAtOnce ?? null];
    if (kgLeast !== null && kgAtOnce !== null && kgLeast > kgAtOnce)
      throw new Refusal(coded('refusals.aBowlTakesAtLeastNoMore'), 'kgLeast');
    return unlessItHurts(context, input.sure, async () => {
      const { label, capacity, changeover } = input;
      if (input.id === '') {
        await addMachine(db, { ...input, kind: input.kind ?? 'bench', kgLeast, kgAtOnce }, language);
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
      await changeMachine(db, { ...is, id: input.id, unit: unitOf(kind, capacity, language) });
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
