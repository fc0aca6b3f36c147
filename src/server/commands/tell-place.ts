import { coded } from '@/core/codes/coded';
import { asText } from '@/words/as-text';
import Joi from 'joi';
import { command, Refusal } from './command';
import { placeBounds, saveTypedReading } from '../store/readings';

interface PlaceReading {
  place: string;
  celsius: number;
  humidity?: number;
}

/** Keeps a temperature that somebody read off in a room or cold store. */
export const tellPlace = command<PlaceReading, { place: string }>({
  name: 'tell-place',
  schema: Joi.object<PlaceReading>({
    place: Joi.string()
      .max(40)
      .required()
      .messages({ '*': asText(coded('refusals.chooseAPlaceOfTheHouse')) }),
    celsius: Joi.number()
      .required()
      .messages({ '*': asText(coded('refusals.typeATemperatureSuchAs24')) }),
    humidity: Joi.number()
      .min(0)
      .max(100)
      .messages({ '*': asText(coded('refusals.humidityLiesBetween0And100')) }),
  }),
  doughOf: () => null,
  async run({ db, person, now }, { place, celsius, humidity }) {
    const known = await placeBounds(db, place);
    if (!known) throw new Refusal(coded('refusals.theHouseHasNoSuchPlace'), 'place');
    if (celsius < known.lowest || celsius > known.highest) {
      throw new Refusal(
        coded('refusals.cCannotBeTrueOfBetween', {
          celsius: Math.round(celsius * 10) / 10,
          label: known.label.toLowerCase(),
          lowest: known.lowest,
          highest: known.highest,
        }),
        'celsius',
      );
    }
    await saveTypedReading(db, { place, now, celsius, humidity, personId: person.id });
    return { place };
  },
});
