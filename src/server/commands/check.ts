import type Joi from 'joi';
import { coded, type Coded } from '@/core/codes/coded';
import { codedIn } from '@/words/as-text';
import { Refusal } from './command';

/** Checks raw input by a schema. The first fault becomes a refusal beside its field; unknown keys are faults too. */
export function check<Input>(schema: Joi.ObjectSchema<Input>, raw: unknown): Input {
  const result = schema.validate(raw, { abortEarly: true, errors: { wrap: { label: false } } });
  const fault = result.error?.details[0];
  if (fault) throw new Refusal(codedIn(fault.message) ?? faultOf(fault), fault.path.join('.') || null);
  return result.value as Input;
}

/** What a baker is told of a fault that the schema has no words of its own for: never the names that the program uses. */
function faultOf({ type, context }: Joi.ValidationErrorItem): Coded {
  const limit = context?.limit as unknown;
  if (typeof limit === 'number')
    switch (type) {
      case 'number.min':
        return coded('refusals.enterAtLeast', { least: limit });
      case 'number.max':
        return coded('refusals.enterAtMost', { most: limit });
      case 'string.max':
        return coded('refusals.enterFewerCharacters', { most: limit });
      default:
    }
  switch (type) {
    case 'any.required':
    case 'string.empty':
      return coded('refusals.entryIsMissing');
    case 'any.only':
      return coded('refusals.chooseWhatIsOffered');
    case 'number.base':
    case 'number.infinity':
    case 'number.unsafe':
      return coded('refusals.enterANumber');
    case 'number.integer':
      return coded('refusals.enterAWholeNumber');
    default:
      return coded('refusals.entryCannotBeUsed');
  }
}
