import type { Schema } from '@cfworker/json-schema';
import { STAGE_KINDS } from '../formula/formula';

export const FORMULA_FORMAT = 'hefeteig-formula/1';

/** JSON Schema of a formula file; published as `/schemas/formula.schema.json`. */
export const FORMULA_SCHEMA: Schema = {
  $schema: 'http://json-schema.org/draft-07/schema#',
  $id: 'https://hefeteig.invalid/schemas/formula.schema.json',
  title: 'Formula',
  description:
    'A formula in baker’s percent: all flours together, preferments included, are 100. Without flour the whole is 100. Lines stand in the order of adding.',
  type: 'object',
  required: ['format', 'name', 'stages'],
  additionalProperties: false,
  properties: {
    format: { const: FORMULA_FORMAT },
    name: { type: 'string', minLength: 2, maxLength: 80 },
    doughCelsius: {
      description: 'Desired dough temperature after mixing, °C.',
      type: ['number', 'null'],
      minimum: 5,
      maximum: 40,
    },
    stages: {
      type: 'array',
      minItems: 1,
      maxItems: 20,
      items: {
        type: 'object',
        required: ['kind', 'lines'],
        additionalProperties: false,
        properties: {
          kind: { enum: [...STAGE_KINDS] },
          lines: {
            type: 'array',
            minItems: 1,
            maxItems: 120,
            items: {
              type: 'object',
              required: ['ingredient', 'percent'],
              additionalProperties: false,
              properties: {
                ingredient: { type: 'string', minLength: 1, maxLength: 80 },
                percent: { type: 'number', minimum: 0, maximum: 2000 },
                upTo: {
                  description: 'Of a range, its upper end; `percent` is weighed, the rest stands ready.',
                  type: 'number',
                  minimum: 0,
                  maximum: 2000,
                },
                approximate: { type: 'boolean' },
                uncounted: { description: 'Named but not weighed: “to taste”.', type: 'boolean' },
                note: { type: 'string', maxLength: 200 },
              },
            },
          },
        },
      },
    },
  },
};
