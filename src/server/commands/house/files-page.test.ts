import { readFileSync } from 'node:fs';
import { expect, it } from 'vitest';
import { BEGINNINGS } from '../../setup/beginnings';
import { readSetUpText } from './set-up-file';

it('the example of docs/files.md is a file of a set-up, and its product is on the shelf', () => {
  const [, example = ''] = /```json\n([\s\S]*?)```/.exec(readFileSync('docs/files.md', 'utf8')) ?? [];
  const { machines, beginnings = [] } = readSetUpText(example);
  expect(machines.map(({ label }) => label)).toContain('Rolling pin');
  expect(BEGINNINGS.map(({ name }) => name)).toEqual(expect.arrayContaining(beginnings));
});
