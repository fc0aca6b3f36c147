import Joi from 'joi';
import { coded } from '@/core/codes/coded';
import type { HousePlace } from '@/core/bakery/house-book';
import { PLACE_KINDS } from '@/core/heat/places';
import { asText } from '@/words/as-text';
import {
  changePlace,
  insertPlace,
  markPlaceRemoved,
  placeById,
  placeCalled,
  placeIds,
} from '../../store/house-places';
import { command, Refusal } from '../command';

/** What no place of a bakery is colder or warmer than, °C. */
const [COLDEST, HOTTEST] = [-60, 350];

const degrees = Joi.number()
  .min(COLDEST)
  .max(HOTTEST)
  .required()
  .messages({
    '*': asText(coded('refusals.aPlaceHasBetween', { from: { celsius: COLDEST }, to: { celsius: HOTTEST } })),
  });

type PlaceInput = Omit<HousePlace, 'machine'>;

/** A place of the house without a machine, or a probe that is put into doughs; a new one has an empty id. */
export const savePlace = command<PlaceInput, { id: string }>({
  name: 'save-place',
  schema: Joi.object<PlaceInput>({
    id: Joi.string().allow('').max(40).required(),
    label: Joi.string()
      .trim()
      .min(1)
      .max(60)
      .required()
      .messages({ '*': asText(coded('refusals.aPlaceHasANameOf')) }),
    kind: Joi.string()
      .valid(...Object.keys(PLACE_KINDS))
      .required(),
    purpose: Joi.string().valid('dough', 'flour', 'water').required(),
    ...{ usual: degrees, lowest: degrees, highest: degrees },
    inDough: Joi.boolean().required(),
  }),
  doughOf: () => null,
  async run({ db, audit }, input) {
    const { label, kind, purpose, usual, lowest, highest } = input;
    if (await placeCalled(db, label, input.id))
      throw new Refusal(coded('refusals.thereIsAPlaceCalled', { label }), 'label');
    if (!(lowest < highest && lowest <= usual && usual <= highest))
      throw new Refusal(coded('refusals.usualBetweenLowestAndHighest'), 'usual');
    const is = { label, kind, purpose, usual, lowest, highest };
    if (input.id === '') {
      const id = freeId(input.inDough ? 'probe' : kind, await placeIds(db));
      await insertPlace(db, { ...input, id });
      await audit(coded('record.place', { place: label }), null, is);
      return { id };
    }
    const was = await placeById(db, input.id);
    if (!was) throw new Refusal(coded('refusals.theHouseHasNoSuchPlace'), 'id');
    // What is inside a machine is what the machine is.
    const next = { ...is, kind: was.machine === null ? kind : was.kind };
    await changePlace(db, { ...next, id: input.id });
    await audit(coded('record.place', { place: was.label }), { ...was }, next);
    return { id: input.id };
  },
});

/** An id that no place has or had. */
const freeId = (begin: string, taken: readonly string[]): string =>
  [begin, ...taken.map((_, i) => `${begin}-${i + 2}`)].find((id) => !taken.includes(id)) ?? begin;

/** Takes a place out of use; the inside of a machine goes with its machine. */
export const removePlace = command<{ id: string }, { label: string }>({
  name: 'remove-place',
  schema: Joi.object({ id: Joi.string().max(40).required() }),
  doughOf: () => null,
  async run({ db, now, audit }, { id }) {
    const was = await placeById(db, id);
    if (!was) throw new Refusal(coded('refusals.theHouseHasNoSuchPlace'), 'id');
    if (was.machine !== null)
      throw new Refusal(coded('refusals.placeIsInsideMachine', { machine: was.machine }), 'id');
    await markPlaceRemoved(db, id, now);
    await audit(coded('record.place', { place: was.label }), { ...was }, null);
    return { label: was.label };
  },
});
