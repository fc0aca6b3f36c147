import type Joi from 'joi';
import { codedIn } from '@/words/as-text';
import { Refusal } from './command';

/** Checks raw input by a schema. The first fault becomes a refusal beside its field; unknown keys are faults too. */
export function check<Input>(schema: Joi.ObjectSchema<Input>, raw: unknown): Input {
  const result = schema.validate(raw, { abortEarly: true, errors: { wrap: { label: false } } });
  const fault = result.error?.details[0];
  if (fault) throw new Refusal(codedIn(fault.message) ?? fault.message, fault.path.join('.') || null);
  return result.value as Input;
}
