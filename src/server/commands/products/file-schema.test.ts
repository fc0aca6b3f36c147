import { readFileSync } from 'node:fs';
import { Validator } from '@cfworker/json-schema';
import { describe, expect, it } from 'vitest';
import { SHELF } from '../../setup/shelf';
import { publishedSchema } from './file-schema';

describe('the schema of files of products', () => {
  it('is published where everybody can read it', () => {
    const published: unknown = JSON.parse(readFileSync('public/schemas/products.schema.json', 'utf8'));
    expect(published).toEqual(JSON.parse(JSON.stringify(publishedSchema())));
  });

  it('lets every file of the shelf through, and none with a step that is none', () => {
    const validator = new Validator(publishedSchema(), '2020-12');
    for (const file of SHELF) expect(validator.validate(file).errors).toEqual([]);
    const [file] = SHELF;
    const [product] = file?.products ?? [];
    const odd = { ...product, dough: [{ steps: [{ id: 'mix', kind: 'polish' }] }] };
    expect(validator.validate({ ...file, products: [odd] }).valid).toBe(false);
  });
});
