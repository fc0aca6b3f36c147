import { coded } from '@/core/codes/coded';
import { asText } from '@/words/as-text';
import Joi from 'joi';
import { command, Refusal } from './command';
import { limitsOf, writeLimits } from '../store/limits';

interface Limits {
  place: string;
  low: number | null;
  high: number | null;
  minutes: number;
}

const degrees = Joi.number()
  .min(-60)
  .max(350)
  .allow(null)
  .required()
  .messages({ '*': asText(coded('common.aLimitIsATemperature')) });

/** From when on a place is too cold or too warm, and for how long it may be so before somebody is called. */
export const setLimits = command<Limits, { place: string }>({
  name: 'set-limits',
  schema: Joi.object<Limits>({
    place: Joi.string()
      .max(40)
      .required()
      .messages({ '*': asText(coded('refusals.chooseAPlaceOfTheHouse')) }),
    low: degrees,
    high: degrees,
    minutes: Joi.number()
      .integer()
      .min(1)
      .max(24 * 60)
      .required()
      .messages({ '*': asText(coded('refusals.itMayBeOutsideFor1')) }),
  }),
  doughOf: () => null,
  async run({ db, audit }, { place, low, high, minutes }) {
    if (low !== null && high !== null && low >= high)
      throw new Refusal(coded('refusals.theLowerLimitHasToBe'), 'low');
    const before = await limitsOf(db, place);
    if (!before) throw new Refusal(coded('refusals.theHouseHasNoSuchPlace'), 'place');
    await writeLimits(db, { low, high, minutes, place });
    const { label, ...was } = before;
    await audit(coded('record.limitsOf', { place: label }), was, { low, high, minutes });
    return { place };
  },
});
