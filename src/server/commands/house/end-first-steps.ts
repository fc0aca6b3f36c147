import Joi from 'joi';
import { setGuided } from '../../store/people';
import { command } from '../command';

/** Somebody has seen what their role does here, or wants to see no more of it. */
export const endFirstSteps = command<Record<string, never>, null>({
  name: 'end-first-steps',
  schema: Joi.object({}),
  doughOf: () => null,
  apart: true,
  async run({ db, person }) {
    await setGuided(db, person.id);
    return null;
  },
});
