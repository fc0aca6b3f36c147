import { coded } from '@/core/codes/coded';
import { asText } from '@/words/as-text';
import Joi from 'joi';
import { adjusted, type ClockSetting, RATES } from '@/core/time/clock';
import { parseLocal } from '@/core/time/local';
import { clockSetting, setDemoClock } from '../store/clock';
import { house } from '../store/house';
import { command, Refusal } from './command';

interface ClockInput {
  shows?: string;
  rate?: number;
  paused?: boolean;
}

/** Pauses, sets or speeds up the demo's clock. A real house has no such clock and refuses. */
export const setClock = command<ClockInput, ClockSetting>({
  name: 'set-clock',
  schema: Joi.object<ClockInput>({
    shows: Joi.string().messages({ '*': asText(coded('refusals.giveADayAndTime')) }),
    rate: Joi.number()
      .valid(...RATES)
      .messages({ '*': asText(coded('refusals.theClockRunsTimesAsFast', { RATES: RATES.join(', ') })) }),
    paused: Joi.boolean(),
  }),
  doughOf: () => null,
  async run({ db }, { shows, rate, paused }) {
    const setting = await clockSetting(db);
    if (!setting.demo) throw new Refusal(coded('refusals.thisBakeryRunsOnTheReal'));
    const shownAt = shows === undefined ? undefined : parseLocal(shows, (await house(db)).zone);
    if (shownAt === null) throw new Refusal(coded('refusals.giveADayAndTimeSuch2'), 'shows');
    const next = adjusted(setting, Date.now(), {
      ...(shownAt === undefined ? {} : { shownAt }),
      ...(rate === undefined ? {} : { rate }),
      ...(paused === undefined ? {} : { paused }),
    });
    await setDemoClock(db, {
      shownAt: next.shownAt,
      realAt: next.realAt,
      rate: next.rate,
      paused: next.paused,
    });
    return next;
  },
});
