import Joi from 'joi';
import { coded } from '@/core/codes/coded';
import { isMeant, type SettingName, SETTINGS, settingQuantity } from '@/core/bakery/settings';
import { asText } from '@/words/as-text';
import { houseSettings } from '../../store/house';
import { saveHouseValue } from '../../store/house-values';
import { command, Refusal } from '../command';

interface SettingInput {
  name: SettingName;
  /** Null: as usual again. */
  value: number | null;
}

/** Sets one of the values that the house reckons with, or lets it be as usual. */
export const setValue = command<SettingInput, null>({
  name: 'set-value',
  schema: Joi.object({
    name: Joi.string()
      .valid(...Object.keys(SETTINGS))
      .required(),
    value: Joi.number()
      .empty('')
      .default(null)
      .allow(null)
      .messages({ '*': asText(coded('refusals.enterANumber')) }),
  }),
  doughOf: () => null,
  async run({ db, audit }, { name, value }) {
    const { usual, least, most } = SETTINGS[name];
    if (value !== null && !isMeant(name, value))
      throw new Refusal(
        coded('refusals.theValueLiesBetween', {
          least: settingQuantity(name, least),
          most: settingQuantity(name, most),
        }),
        'value',
      );
    const before = (await houseSettings(db))[name];
    const next = value ?? usual;
    if (next === before) return null;
    await saveHouseValue(db, name, next);
    const subject = coded('record.houseValue', { setting: coded(`settings.${name}`) });
    await audit(subject, { setting: name, value: before }, { setting: name, value: next });
    return null;
  },
});
