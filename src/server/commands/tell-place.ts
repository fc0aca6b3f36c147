import Joi from 'joi';
import { rowsOf, write } from '../db/rows';
import { command, Refusal } from './command';

interface PlaceReading {
  place: string;
  celsius: number;
  humidity?: number;
}

/** Keeps a temperature that somebody read off in a room or cold store. */
export const tellPlace = command<PlaceReading, { place: string }>({
  name: 'tell-place',
  schema: Joi.object<PlaceReading>({
    place: Joi.string().max(40).required().messages({ '*': 'Choose a place of the house.' }),
    celsius: Joi.number().required().messages({ '*': 'Type a temperature, such as 24 or 75 F.' }),
    humidity: Joi.number().min(0).max(100).messages({ '*': 'Humidity lies between 0 and 100 %.' }),
  }),
  doughOf: () => null,
  async run({ db, person, now }, { place, celsius, humidity }) {
    const [known] = await rowsOf<{ label: string; lowest: number; highest: number }>(
      db,
      'SELECT label, lowest, highest FROM place WHERE id = ?',
      [place],
    );
    if (!known) throw new Refusal('The house has no such place.', 'place');
    if (celsius < known.lowest || celsius > known.highest) {
      throw new Refusal(
        `${Math.round(celsius * 10) / 10} °C cannot be true of ${known.label.toLowerCase()}; between ${known.lowest} and ${known.highest} °C.`,
        'celsius',
      );
    }
    await write(
      db,
      `INSERT INTO place_reading (place, at, celsius, humidity, source, person_id) VALUES (?, ?, ?, ?, 'typed', ?)
       ON DUPLICATE KEY UPDATE celsius = VALUES(celsius), humidity = VALUES(humidity), source = 'typed',
         person_id = VALUES(person_id), doubt = NULL`,
      [place, new Date(now), celsius, humidity ?? null, person.id],
    );
    return { place };
  },
});
