import Joi from 'joi';
import type { Temperature } from '@/core/climate/room-course';
import { coded } from '@/core/codes/coded';
import { dayOf } from '@/core/demand/orders';
import { addLocalDays } from '@/core/time/local';
import { asText } from '@/words/as-text';
import { house } from '../store/house';
import { placeBounds } from '../store/readings';
import { removeRoomDay, saveOutdoors, saveRoomDay } from '../store/room-outlook';
import { command, Refusal } from './command';

interface RoomDayInput {
  place: string;
  day: string;
  /** Null: what was told of that day is taken back. */
  expected: { coolest: number; warmest: number } | null;
}

/** Days ahead of which somebody may tell how warm a room will be. */
const DAYS_AHEAD = 7;

const celsius = Joi.number()
  .required()
  .messages({ '*': asText(coded('refusals.typeATemperatureSuchAs24')) });

/** How cool and how warm somebody expects a room to be on a day: the waits of that day are worked out with it. */
export const tellRoomDay = command<RoomDayInput, { place: string }>({
  name: 'tell-room-day',
  schema: Joi.object<RoomDayInput>({
    place: Joi.string()
      .max(40)
      .required()
      .messages({ '*': asText(coded('refusals.chooseAPlaceOfTheHouse')) }),
    day: Joi.string()
      .pattern(/^\d{4}-\d{2}-\d{2}$/)
      .required()
      .messages({ '*': asText(coded('refusals.roomDayIsSoon', { days: DAYS_AHEAD })) }),
    expected: Joi.object({ coolest: celsius, warmest: celsius }).allow(null).required(),
  }),
  doughOf: () => null,
  async run({ db, person, now }, { place, day, expected }) {
    const { zone } = await house(db);
    const days = Array.from({ length: DAYS_AHEAD + 1 }, (_, i) => dayOf(addLocalDays(now, i, zone), zone));
    if (!days.includes(day)) throw new Refusal(coded('refusals.roomDayIsSoon', { days: DAYS_AHEAD }), 'day');
    const known = await placeBounds(db, place);
    if (known?.kind !== 'room') throw new Refusal(coded('refusals.theHouseHasNoSuchPlace'), 'place');
    if (expected === null) {
      await removeRoomDay(db, place, day);
      return { place };
    }
    const { coolest, warmest } = expected;
    if (coolest > warmest) throw new Refusal(coded('refusals.coolestAboveWarmest'), 'expected.coolest');
    for (const [field, value] of Object.entries(expected))
      if (value < known.lowest || value > known.highest)
        throw new Refusal(
          coded('refusals.cCannotBeTrueOfBetween', {
            ...{ celsius: Math.round(value * 10) / 10, label: known.label.toLowerCase() },
            ...{ lowest: known.lowest, highest: known.highest },
          }),
          `expected.${field}`,
        );
    await saveRoomDay(db, { place, day, coolest, warmest, now, personId: person.id });
    return { place };
  },
});

/** Hours of weather in one file at most. */
const MOST_HOURS = 24 * 31;

/** Takes the temperatures of a weather file; the rooms of the house follow them. */
export const takeWeather = command<{ hours: Temperature[] }, { hours: number }>({
  name: 'take-weather',
  schema: Joi.object({
    hours: Joi.array()
      .items(
        Joi.object({
          at: Joi.number().integer().positive().required(),
          celsius: Joi.number().min(-60).max(60).required(),
        }),
      )
      .min(1)
      .max(MOST_HOURS)
      .required()
      .messages({ '*': asText(coded('files.weatherHasNoHours')) }),
  }),
  doughOf: () => null,
  async run({ db }, { hours }) {
    await saveOutdoors(db, hours);
    return { hours: hours.length };
  },
});
