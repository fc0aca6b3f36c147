import Joi from 'joi';
import { describe, expect, it } from 'vitest';
import { coded } from '@/core/codes/coded';
import { asText } from '@/words/as-text';
import { check } from './check';
import { Refusal } from './command';

const schema = Joi.object<Record<string, unknown>>({
  kind: Joi.string().valid('cold', 'warm').required(),
  note: Joi.string().max(10),
  amount: Joi.number().integer().min(2).max(8),
  day: Joi.string().messages({ '*': asText(coded('refusals.giveADaySuchAs2026')) }),
  parts: Joi.array().items(Joi.object({ grams: Joi.number().required() })),
});

const refused = (raw: object): Refusal => {
  try {
    check(schema, { kind: 'cold', ...raw });
  } catch (error) {
    if (error instanceof Refusal) return error;
    throw error;
  }
  throw new Error('not refused');
};

describe('what cannot be used', () => {
  it.each([
    [{ kind: undefined }, 'kind', 'entryIsMissing'],
    [{ kind: 'hot' }, 'kind', 'chooseWhatIsOffered'],
    [{ note: '' }, 'note', 'entryIsMissing'],
    [{ note: 'much too long' }, 'note', 'enterFewerCharacters'],
    [{ amount: 'many' }, 'amount', 'enterANumber'],
    [{ amount: 2.5 }, 'amount', 'enterAWholeNumber'],
    [{ amount: 1 }, 'amount', 'enterAtLeast'],
    [{ amount: 9 }, 'amount', 'enterAtMost'],
    [{ parts: [{ grams: 1 }, {}] }, 'parts.1.grams', 'entryIsMissing'],
    [{ parts: 'some' }, 'parts', 'entryCannotBeUsed'],
    [{ other: 1 }, 'other', 'entryCannotBeUsed'],
  ])('is refused at its place, in words for a baker: %j', (raw, field, key) => {
    const refusal = refused(raw);
    expect(refusal.field).toBe(field);
    expect(refusal.message).toBe(`refusals.${key}`);
  });

  it('says the limit that was passed', () => {
    expect(refused({ amount: 1 }).words).toEqual(coded('refusals.enterAtLeast', { least: 2 }));
    expect(refused({ amount: 9 }).words).toEqual(coded('refusals.enterAtMost', { most: 8 }));
  });

  it('is said in the schema’s own words where it has some', () => {
    expect(refused({ day: 5 }).message).toBe('refusals.giveADaySuchAs2026');
  });
});

it('what can be used comes back as it is', () => {
  expect(check(schema, { kind: 'warm', amount: 3 })).toEqual({ kind: 'warm', amount: 3 });
});
