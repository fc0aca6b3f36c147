import { coded } from '@/core/codes/coded';
import { asText } from '@/words/as-text';
import Joi from 'joi';
import { rowsOf, write } from '../../db/rows';
import { command, Refusal } from '../command';
import { sure, unlessItHurts } from './unless-it-hurts';

interface MachineInput {
  id: string;
  label: string;
  capacity: number;
  changeover: number;
  decks?: number;
  sure: boolean;
}

/** What a machine is called, how much it takes, and how long a change of its setting is. */
export const saveMachine = command<MachineInput, { hurts: number }>({
  name: 'save-machine',
  schema: Joi.object({
    id: Joi.string().max(40).required(),
    label: Joi.string()
      .trim()
      .min(1)
      .max(60)
      .required()
      .messages({
        '*': asText(coded('refusals.aMachineHasANameOf')),
      }),
    capacity: Joi.number()
      .integer()
      .min(1)
      .max(10_000)
      .required()
      .messages({
        '*': asText(coded('refusals.itTakesAtLeast1Take')),
      }),
    changeover: Joi.number()
      .integer()
      .min(0)
      .max(720)
      .required()
      .messages({
        '*': asText(coded('refusals.anotherSettingTakesAWholeNumber')),
      }),
    decks: Joi.number()
      .integer()
      .min(1)
      .max(12)
      .messages({ '*': asText(coded('refusals.anOvenHas1To12')) }),
    sure,
  }),
  doughOf: () => null,
  async run(context, input) {
    const { db } = context;
    const [twin] = await rowsOf<{ label: string }>(
      db,
      'SELECT label FROM machine WHERE label = ? AND id <> ?',
      [...[input.label, input.id]],
    );
    if (twin)
      throw new Refusal(coded('refusals.thereIsAMachineCalledAlready', { label: twin.label }), 'label');
    return unlessItHurts(context, input.sure, async () => {
      const [known] = await rowsOf<{ label: string; capacity: number; changeover: number; decks: number }>(
        db,
        'SELECT label, capacity, changeover_minutes AS changeover, decks FROM machine WHERE id = ?',
        [input.id],
      );
      if (!known) throw new Refusal(coded('refusals.thereIsNoSuchMachine'), 'id');
      await write(
        db,
        'UPDATE machine SET label = ?, capacity = ?, changeover_minutes = ?, decks = COALESCE(?, decks) WHERE id = ?',
        [...[input.label, input.capacity, input.changeover, input.decks ?? null, input.id]],
      );
      const { label, capacity, changeover, decks = known.decks } = input;
      await context.audit(`machine ${known.label}`, known, { label, capacity, changeover, decks });
    });
  },
});
